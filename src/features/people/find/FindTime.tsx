import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { lengthOfNew } from '@/core/change/calendarDefaults';
import type { EventFields } from '@/core/model/entry';
import type { Person } from '@/core/model/person';
import { whoCant } from '@/core/people/busy/whoCant';
import type { SeriesSlot } from '@/core/people/gaps/findSeriesSlots';
import { isAskable } from '@/core/people/directory';
import type { Proposal } from '@/core/people/gaps/gapQuery';
import { ONLINE, withMeeting } from '@/core/people/onlineMeeting';
import { DAY, dateString, MINUTE } from '@/core/time/civil';
import { zonedAt } from '@/core/time/eventTime';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { instantToWall } from '@/core/time/zones';
import { useCommands, workspace } from '@/features/workspace';
import { meetingRooms, useSettings, useWritableCalendars } from '@/store';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { and, type GapFormats, peopleWords as said } from '@/ui/words/people';
import { hueOf, initialsOf } from '../personMark';
import type { KnownTimes } from '../useBusyTimes';
import { AvailabilityLanes, type PersonLane } from './AvailabilityLanes';
import { DayFitStrip } from './DayFitStrip';
import { FindOptions } from './FindOptions';
import { Ladder } from './Ladder';
import { OwnProposal } from './OwnProposal';
import { SeriesLadder } from './SeriesLadder';
import { draftOf } from './takeProposal';
import { firstChoices, OWN_ID, useGaps } from './useGaps';
import { useSubject } from './useSubject';
import { SideHead } from '../SideHead';

const NONE: readonly string[] = [];

interface FindTimeProps {
  people: readonly Person[];
  rooms: readonly Person[];
  known: KnownTimes;
  /** What a time is looked for: an occurrence by its key, or `DRAFT`; something new without it. */
  about: string | undefined;
  onLeaveOut: (id: string) => void;
  onClose: () => void;
}

/** A time that suits some people: proposals with their reasons, how well days suit, and the lanes of all. */
export function FindTime({ people, rooms, known, about, onLeaveOut, onClose }: FindTimeProps) {
  const settings = useSettings();
  const router = useRouter();
  const commands = useCommands();
  const calendars = useWritableCalendars();
  const target = calendars.find(({ id }) => id === settings.targetCalendarId) ?? calendars[0];
  const subject = useSubject(about);
  const [choices, setChoices] = useState(() =>
    firstChoices(subject?.minutes ?? lengthOfNew(target, settings)),
  );
  const [shown, setShown] = useState<{ proposal?: Proposal; day: number; isOwn?: true }>();
  // What is proposed before anything is known of somebody would be another thing a moment later.
  const isFirstReading =
    known.isReading && people.some(({ id, busyAddress }) => isAskable(busyAddress) && !known.times.has(id));
  const { question, data, isError, isPlaceholderData, refetch } = useGaps(
    people,
    rooms,
    known.times,
    choices,
    subject?.entryIds ?? NONE,
    !isFirstReading,
  );
  const byId = useMemo(() => new Map([...people, ...rooms].map((each) => [each.id, each])), [people, rooms]);
  // A room has its whole name, somebody the one that they are called by.
  const nameOf = (id: string): string => {
    if (id === OWN_ID) return said.yourself;
    const named = byId.get(id);
    return named?.kind === 'room' ? named.name : (named?.name.split(' ')[0] ?? '');
  };
  const formats: GapFormats = {
    name: nameOf,
    whose: (id) => (id === OWN_ID ? said.yours : said.theirs(nameOf(id))),
    place: (id) => byId.get(id)?.place || (byId.get(id)?.zone ?? ''),
    clock: (minute) => timeText(minute * MINUTE),
  };
  const proposals = data?.proposals ?? [];
  const first = proposals[0];
  const clockOf = (instant: number): string => timeText(instantToWall(settings.homeZone, instant));
  const dayOf = (instant: number): number => Math.floor(instantToWall(settings.homeZone, instant) / DAY);
  const proposal = shown ? shown.proposal : first;
  const day = shown?.day ?? (first ? dayOf(first.start) : dayOf(question.range.start));
  const drafted = (taken: Proposal) => {
    if (!target) return undefined;
    const where = { calendarId: target.id, zone: settings.homeZone };
    const isOnline = choices.way === 'online' || taken.reasons.some(({ kind }) => kind === 'online');
    const fields = draftOf(taken, people, rooms, choices.optional, where);
    return withMeeting(
      isOnline ? { ...fields, location: fields.location || ONLINE } : fields,
      settings,
      meetingRooms(),
    );
  };
  const openDraft = (fields: EventFields | undefined, start: number) => {
    if (!fields) return;
    workspace.edit({ fields, before: fields, panel: 'full', changed: true });
    router.navigate({ pathname: '/', params: { date: dateString(dayOf(start)) } });
  };
  const take = (taken: Proposal) => {
    if (subject) {
      const [start, end] = [taken.start, taken.end].map((instant) => zonedAt(instant, settings.homeZone));
      subject.move({ start: start!, end: end! }, dateString(dayOf(taken.start)));
      return;
    }
    openDraft(drafted(taken), taken.start);
  };
  const ownProposal = (start: number): Proposal => {
    const end = start + choices.minutes * MINUTE;
    return { start, end, cost: 0, reasons: [], missing: [] };
  };
  // The slot of a series is taken with its rule.
  const takeSlot = (slot: SeriesSlot) => {
    const fields = drafted({ ...ownProposal(slot.start), end: slot.end });
    const rule = `FREQ=WEEKLY${choices.everyWeeks > 1 ? `;INTERVAL=${choices.everyWeeks}` : ''}`;
    openDraft(
      fields && { ...fields, recurrence: { rules: [rule], dates: [], exceptionDates: [] } },
      slot.start,
    );
  };
  // It is kept as an entry; whom to invite, and under which title, is asked then.
  const invite = (taken: Proposal) => {
    const fields = drafted(taken);
    const coming = people.filter(({ id }) => !taken.missing.includes(id));
    if (fields)
      commands.create({ ...fields, title: said.meetingWith(and(coming.map(({ id }) => nameOf(id)))) });
  };
  const lanes: PersonLane[] = [
    {
      id: OWN_ID,
      name: said.you,
      mark: said.you.slice(0, 2).toUpperCase(),
      hue: 'pine',
      place: question.own.place,
      zone: settings.homeZone,
      workingPattern: settings.workingPattern,
      busy: data?.ownBusy ?? [],
      known: { start: question.range.start - DAY, end: question.range.end },
    },
    ...people.map((person): PersonLane => {
      const times = known.times.get(person.id);
      return {
        id: person.id,
        name: person.name,
        mark: initialsOf(person),
        hue: hueOf(person),
        place: person.place,
        zone: person.zone ?? settings.homeZone,
        workingPattern: person.workingPattern ?? standardWorkingPattern,
        busy: times?.spans ?? [],
        known: times ? { start: times.from, end: times.until } : undefined,
      };
    }),
  ];
  // Of any other time that is proposed over the lanes it is said who is in its way.
  const hindered = proposal ? whoCant(lanes, proposal) : [];
  const verdict =
    hindered.length === 0
      ? said.suitsAll
      : hindered
          .map(({ id, state }) =>
            said.hindered(nameOf(id), said.stateNow(state, state.until ? clockOf(state.until) : '')),
          )
          .join('; ');
  return (
    <View role="region" aria-label={said.findTitle} style={styles.find} testID="find-time">
      <SideHead title={subject ? said.findFor(subject.title) : said.findTitle} onClose={onClose} />
      {people.length === 0 ? null : (
        <FindOptions
          people={people}
          rooms={rooms}
          canRepeat={subject === undefined}
          choices={choices}
          onChange={(changes) => {
            setShown(undefined);
            setChoices({ ...choices, ...changes });
          }}
          onLeaveOut={onLeaveOut}
        />
      )}
      {known.isAway ? <AppText role="status">{said.away}</AppText> : null}
      {people.length === 0 ? (
        <AppText tone="quiet">{said.chooseSome}</AppText>
      ) : isError ? (
        <View role="alert" style={styles.head}>
          <AppText>{said.failed}</AppText>
          <Button label={said.retry} onPress={() => void refetch()} />
        </View>
      ) : !data || isFirstReading ? (
        <AppText role="status" tone="quiet">
          {said.looking}
        </AppText>
      ) : (
        <>
          <DayFitStrip days={data.days} shown={day} onShow={(next) => setShown({ day: next })} />
          <AvailabilityLanes
            day={day}
            lanes={lanes}
            proposed={proposal && dayOf(proposal.start) === day ? proposal : undefined}
            verdict={verdict}
            onPropose={(start) => setShown({ proposal: ownProposal(start), day: dayOf(start), isOwn: true })}
          />
          {proposal && shown?.isOwn ? (
            <OwnProposal
              proposal={proposal}
              verdict={verdict}
              onTake={take}
              onInvite={subject ? undefined : invite}
              takeWords={subject ? said.moveThere : said.take}
            />
          ) : (
            <AppText size="small" tone="quiet">
              {said.cursorHint}
            </AppText>
          )}
          <AppText role="status" tone="quiet" size="small">
            {(data.series ?? proposals).length === 0 ? said.noneSuits : ''}
          </AppText>
          {data.series ? (
            <SeriesLadder
              slots={data.series}
              nameOf={nameOf}
              isBehind={isPlaceholderData}
              onTake={takeSlot}
            />
          ) : null}
          {data.series ? null : (
            <Ladder
              isBehind={isPlaceholderData}
              proposals={proposals}
              shown={proposal}
              formats={formats}
              onShow={(next) => setShown({ proposal: next, day: dayOf(next.start) })}
              onTake={take}
              onInvite={subject ? undefined : invite}
              takeWords={subject ? said.moveThere : said.take}
            />
          )}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  find: { gap: space(3) },
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
});
