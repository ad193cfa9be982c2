import { type Waiting, waitingFor } from '@/core/change/invitations/waitingFor';
import { StyleSheet, View } from 'react-native';
import { messageIn } from '@/core/change/invitations/answering';
import { firstOf } from '@/core/change/scopes';
import { targetKey } from '@/core/change/target';
import type { CalendarEvent } from '@/core/model/entry';
import { entriesOfUid } from '@/core/change/invitations/entriesOfUid';
import { proposalTarget } from '@/core/change/invitations/proposal';
import { instantOf } from '@/core/time/eventTime';
import { useCommands, useReveal } from '@/features/workspace';
import { useNow, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { invitationWords } from '@/ui/words/invitations';
import { InvitedGuests } from './InvitedGuests';
import { OwnDay } from './OwnDay';
import { ReceivedInvitation } from './ReceivedInvitation';
import { useInvitationDeeds } from './useInvitationDeeds';
import { reasonOf } from './WaitingList';
import { whenText } from './wording';
import { SideHead } from '../SideHead';

const said = invitationWords.waits;

/** One of those that wait: what it says, that day of mine, and what can be done. */
export function WaitingPage({ id, onClose }: { id: string; onClose: () => void }) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const reveal = useReveal();
  const now = useNow();
  const all = waitingFor(state, now, homeZone);
  const waiting = all.find((each) => each.id === id);
  // What was answered stays in sight until one goes on.
  const event = waiting?.event ?? entriesOfUid(state, id)[0];
  // It was done with meanwhile, here or in another tab.
  const isGone = !waiting && !event;
  const title = isGone ? said.none : event?.title || words.entry.noTitle;
  const letter = waiting?.kind === 'letter' ? waiting.letter : undefined;
  return (
    <View
      role="region"
      aria-label={title}
      testID="waiting-page"
      style={[styles.page, { borderColor: colours.line, backgroundColor: colours.card }]}
    >
      <SideHead title={title} onClose={onClose} />
      {waiting?.kind === 'letter' ? <AppText tone="accent">{reasonOf(waiting, state)}</AppText> : null}
      {event ? <EventLines event={event} /> : null}
      {letter && letter.text !== '' ? <AppText>{letter.text}</AppText> : null}
      {waiting?.kind === 'letter' ? <LetterDeeds waiting={waiting} event={event} onDone={onClose} /> : null}
      {event && !letter ? (
        <>
          {event.ownAnswer !== undefined && event.start.kind === 'zoned' ? (
            <OwnDay
              start={instantOf(event.start, homeZone)}
              end={instantOf(event.end, homeZone)}
              exceptEntryIds={entriesOfUid(state, event.uid).map((each) => each.id)}
            />
          ) : null}
          <ReceivedInvitation event={event} />
          <InvitedGuests event={event} />
        </>
      ) : null}
      {event && state.entries.has(event.id) ? (
        <Button
          label={said.showInPlan}
          icon="view-week-outline"
          style={styles.start}
          onPress={() => reveal(targetKey(firstOf(event)))}
        />
      ) : null}
    </View>
  );
}

/** When and where something is, and what it is about. */
function EventLines({ event }: { event: CalendarEvent }) {
  return (
    <View style={styles.lines}>
      <AppText figures weight="700">
        {whenText(event)}
      </AppText>
      {event.location ? <AppText>{event.location}</AppText> : null}
      {event.notes ? <AppText>{event.notes}</AppText> : null}
    </View>
  );
}

/** What can be done with a letter of somebody else. */
function LetterDeeds({
  waiting: { letter },
  event,
  onDone,
}: {
  waiting: Extract<Waiting, { kind: 'letter' }>;
  event: CalendarEvent | undefined;
  onDone: () => void;
}) {
  const deeds = useInvitationDeeds();
  const commands = useCommands();
  const { homeZone } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const message = messageIn(letter, commands.context());
  const part = message?.parts[0];
  const proposed = part?.event;
  const take = async () => {
    const target = message && proposalTarget(state, message, homeZone);
    if (!proposed || !target) return;
    const moved = await commands.setFields(targetKey(target), { start: proposed.start, end: proposed.end });
    if (moved) {
      await deeds.dismiss(letter.id);
      onDone();
    }
  };
  const then = (done: Promise<boolean>) => void done.then((isDone) => isDone && onDone());
  return (
    <View style={styles.lines}>
      {part?.comment && part.comment !== letter.text ? <AppText>{part.comment}</AppText> : null}
      {letter.waitsFor === 'proposal' && proposed ? (
        <>
          <AppText figures weight="700" testID="proposed-time">
            {whenText({ start: proposed.start, end: proposed.end })}
          </AppText>
          {proposed.start.kind === 'zoned' ? (
            <OwnDay
              start={instantOf(proposed.start, homeZone)}
              end={instantOf(proposed.end, homeZone)}
              exceptEntryIds={entriesOfUid(state, letter.uid).map((each) => each.id)}
            />
          ) : null}
        </>
      ) : null}
      <View style={styles.deeds}>
        {letter.waitsFor === 'proposal' && proposed && event ? (
          <>
            <Button kind="primary" label={said.takeTime} onPress={() => void take()} />
            <Button label={said.keepTime} onPress={() => then(deeds.keepTime(letter.id, ''))} />
          </>
        ) : null}
        {letter.waitsFor === 'stranger' ? (
          <Button kind="primary" label={said.admit} onPress={() => then(deeds.admit(letter.id))} />
        ) : null}
        {letter.waitsFor === 'refresh' && part ? (
          <Button
            kind="primary"
            label={said.send}
            onPress={() =>
              then(
                deeds.remind(letter.uid, part.attendees).then(async (isDone) => {
                  if (isDone) await deeds.dismiss(letter.id);
                  return isDone;
                }),
              )
            }
          />
        ) : null}
        <Button kind="quiet" label={said.dismiss} onPress={() => then(deeds.dismiss(letter.id))} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { gap: space(3), padding: space(3), borderWidth: hairline, borderRadius: corner },
  lines: { gap: space(1) },
  deeds: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  start: { alignSelf: 'flex-start' },
});
