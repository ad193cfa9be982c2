import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { removePeople } from '@/core/change/peopleChanges';
import type { BusyTimes } from '@/core/model/busyTimes';
import type { Person } from '@/core/model/person';
import { accessOf } from '@/core/people/sharing/access';
import { LATE, promptnessOf } from '@/core/people/invitations/promptness';
import { DAY, MINUTE } from '@/core/time/civil';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { instantToWall } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { useNowWall, useOpenStore, useSettings, useSnapshot } from '@/store';
import { lengthText, shortDayText, timeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { invitationWords } from '@/ui/words/invitations';
import { peopleWords as said } from '@/ui/words/people';
import { sharingWords } from '@/ui/words/sharing';
import { AvailabilityLanes } from './find/AvailabilityLanes';
import { hueOf, initialsOf } from './personMark';
import { useMeetNow } from './useMeetNow';
import { shareSummary } from './sharing/shareSummary';
import { NextAndLast } from './NextAndLast';
import { SideHead } from './SideHead';

interface PersonPageProps {
  person: Person;
  times: BusyTimes | undefined;
  onEdit: () => void;
  onFind: () => void;
  onShare: () => void;
  onClose: () => void;
}

/** Somebody by themselves: what they let be seen, their day, and what is next and was last with them. */
export function PersonPage({ person, times, onEdit, onFind, onShare, onClose }: PersonPageProps) {
  const { colours } = useTheme();
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { homeZone } = useSettings();
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const meetNow = useMeetNow();
  const zone = person.zone ?? homeZone;
  const details = [
    [person.role, person.place, person.groups.join(', ')],
    [person.seats === undefined ? '' : `${said.fields.seats}: ${person.seats}`, person.equipment.join(', ')],
    person.addresses,
  ].map((parts) => parts.filter(Boolean).join(' · '));
  const takeOut = () => {
    const patch = removePeople(store.getSnapshot().state, [person.id], context());
    if (patch && commit(patch)) onClose();
  };
  return (
    <View
      role="region"
      aria-label={person.name}
      testID="person-page"
      style={[styles.page, { borderColor: colours.line, backgroundColor: colours.card }]}
    >
      <SideHead title={person.name} onClose={onClose}>
        <Mark mark={initialsOf(person)} colour={hueOf(person)} />
      </SideHead>
      {details.filter(Boolean).map((line) => (
        <AppText key={line} size="small" tone="quiet">
          {line}
        </AppText>
      ))}
      {person.notes === '' ? null : <AppText>{person.notes}</AppText>}
      <View style={styles.actions}>
        <Button kind="primary" label={said.findTitle} onPress={onFind} />
        <ShowInPlan person={person} />
        {person.kind === 'colleague' && person.addresses.length > 0 ? (
          <Button
            icon="link-variant"
            label={invitationWords.online.startNow}
            onPress={() => meetNow([person])}
          />
        ) : null}
        <Button icon="pencil-outline" label={said.edit} onPress={onEdit} />
        <Button icon="delete-outline" label={said.remove} onPress={takeOut} />
      </View>
      <TitleText level={3} size="body">
        {said.today}
      </TitleText>
      <AvailabilityLanes
        day={today}
        lanes={[
          {
            id: person.id,
            name: person.name,
            mark: initialsOf(person),
            hue: hueOf(person),
            place: person.place,
            zone,
            workingPattern: person.workingPattern ?? standardWorkingPattern,
            busy: times?.spans ?? [],
            known: times ? { start: times.from, end: times.until } : undefined,
          },
        ]}
      />
      <AppText size="small" tone="quiet">
        {times
          ? `${said.depths[times.depth]} · ${said.readAt(momentText(times.readAt, homeZone))}`
          : said.notRead}
      </AppText>
      <Answering person={person} />
      {person.kind === 'colleague' ? <Shared person={person} onShare={onShare} /> : null}
      <NextAndLast
        who={{
          addresses: person.addresses,
          ...(person.kind === 'room' ? { place: person.name } : {}),
        }}
        titles={{ next: said.next, last: said.last, nothing: said.nothingWith }}
      />
    </View>
  );
}

/** What of one's own they see. */
function Shared({ person, onShare }: { person: Person; onShare: () => void }) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const isActing = state.shares.get(person.id)?.acting !== undefined;
  return (
    <View style={styles.rows} role="group" aria-label={sharingWords.section}>
      <TitleText level={3} size="body">
        {sharingWords.section}
      </TitleText>
      <AppText size="small" tone="quiet">
        {shareSummary(accessOf(state, person), state.calendars, isActing)}
      </AppText>
      <View style={styles.actions}>
        <Button icon="share-variant-outline" label={sharingWords.choose(person.name)} onPress={onShare} />
      </View>
    </View>
  );
}

/** Has their times stand in Plan. */
function ShowInPlan({ person: { id } }: { person: Person }) {
  const router = useRouter();
  return (
    <Button
      icon="view-week-outline"
      label={said.showInPlan}
      onPress={() => router.push({ pathname: '/', params: { view: 'day', with: id } })}
    />
  );
}

/** How promptly somebody answers. */
function Answering({ person }: { person: Person }) {
  const invitations = useSnapshot(({ state }) => state.invitations);
  const { answered, silent, median } = promptnessOf(invitations.values(), person.addresses);
  if (answered + silent === 0) return null;
  return (
    <AppText
      size="small"
      tone={median !== undefined && median > LATE ? 'accent' : 'quiet'}
      testID="promptness"
    >
      {[
        median === undefined ? '' : said.answersAfter(lengthText(Math.max(MINUTE, median)), median > LATE),
        silent > 0 ? said.silentTo(silent) : '',
      ]
        .filter(Boolean)
        .join(' · ')}
    </AppText>
  );
}

const momentText = (instant: number, zone: string): string => {
  const wall = instantToWall(zone, instant);
  return `${shortDayText(Math.floor(wall / DAY))}, ${timeText(wall)}`;
};

const styles = StyleSheet.create({
  page: { borderWidth: hairline, borderRadius: corner, padding: space(4), gap: space(2) },
  grow: { flex: 1, minWidth: 0 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), paddingVertical: space(2) },
  rows: { gap: space(1) },
  entry: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.target },
});
