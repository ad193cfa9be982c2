import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ownAddresses } from '@/core/change/invitations/ownUser';
import type { CalendarEvent } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { type Answer, ANSWERS, type Invitation } from '@/core/model/invitation';
import { nameOfUser } from '@/core/people/guests';
import { ownAnswerOf } from '@/core/people/invitations/guest';
import { dateKey } from '@/core/people/invitations/itipMessage';
import { differingShared, SHARED_WITH_GUESTS } from '@/core/people/invitations/sharedFields';
import { GUESTS_MAY_USUALLY } from '@/core/model/entry';
import { useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { TextField } from '@/ui/primitives/TextField';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { ANSWER_WORDS, invitationWords, OWN_ANSWER_WORDS } from '@/ui/words/invitations';
import { OtherTimeSheet } from './OtherTimeSheet';
import { PassOn } from './PassOn';
import { useInvitationDeeds } from './useInvitationDeeds';
import { whenText } from './wording';

const said = invitationWords.own;

/** The entry as it was when it was answered, and as it is now, field by field in words. */
function changesOf(invitation: Invitation, event: CalendarEvent): string[] {
  const key = dateKey(event.recurrenceId);
  const of = (events: readonly CalendarEvent[]) =>
    events.find((each) => dateKey(each.recurrenceId) === key) ?? events.find((each) => !each.recurrenceId);
  const [then, now] = [of(invitation.answeredEvents ?? []), of(invitation.events)];
  if (!then || !now) return [];
  const fields = differingShared(then, now);
  const isMoved = fields.some((field) => field === 'start' || field === 'end');
  return [
    ...(isMoved ? [said.fromTo(invitationWords.fields(['start']), whenText(then), whenText(now))] : []),
    ...SHARED_WITH_GUESTS.filter(
      (field) => fields.includes(field) && field !== 'start' && field !== 'end',
    ).map((field) => {
      const [from, to] = [then[field], now[field]];
      return typeof from === 'string' && typeof to === 'string' && field !== 'notes'
        ? said.fromTo(invitationWords.fields([field]), from || '–', to || '–')
        : invitationWords.fields([field]);
    }),
  ];
}

/** An invitation that came: who invites, what changed since it was answered, and what to answer. */
export function ReceivedInvitation({ event }: { event: CalendarEvent }) {
  const { colours } = useTheme();
  const deeds = useInvitationDeeds();
  const invitation = useSnapshot(({ state }) => state.invitations.get(event.uid));
  const settings = useSnapshot(({ state }) => state.settings);
  const people = useSnapshot(({ state }) => state.people);
  const [scope, setScope] = useState<'this' | 'every'>('every');
  const [comment, setComment] = useState('');
  const [hasWords, setHasWords] = useState(false);
  const [isElsewhen, setIsElsewhen] = useState(false);
  if (invitation?.role !== 'guest') return null;
  const name = nameOfUser(people, invitation.organizer);
  const recurs = invitation.events.some(({ recurrence }) => recurrence !== undefined);
  const recurrenceId: EventTime | undefined = recurs && scope === 'this' ? event.recurrenceId : undefined;
  const answered = ownAnswerOf(invitation, event, ownAddresses({ settings }));
  const changes = answered === 'needs-action' || changedSince(invitation) ? changesOf(invitation, event) : [];
  const date = recurrenceId ? { recurrenceId } : {};
  const { proposal } = invitation;
  const mayPropose = (event.guestsMay ?? GUESTS_MAY_USUALLY).includes('propose');
  const answer = (given: Answer) => {
    void deeds.answer(event.uid, { answer: given, comment: comment.trim(), ...date });
    setComment('');
    setHasWords(false);
  };
  return (
    <View
      role="group"
      aria-label={said.title}
      testID="own-answer"
      style={[styles.box, { borderColor: colours.accent, backgroundColor: colours.accentTint }]}
    >
      <AppText weight="700">{invitation.isCancelled ? said.calledOff(name) : said.from(name)}</AppText>
      {invitation.comment ? <AppText>{`“${invitation.comment}”`}</AppText> : null}
      {invitation.isCancelled ? (
        <Button label={said.leave} onPress={() => void deeds.leave(event.uid)} style={styles.start} />
      ) : (
        <>
          {invitation.isBehind ? (
            <View style={styles.row}>
              <AppText>{said.behind}</AppText>
              <Button label={said.ask} onPress={() => void deeds.ask(event.uid)} />
            </View>
          ) : null}
          {answered === 'needs-action' ? null : (
            <AppText role="status">{said.answered(OWN_ANSWER_WORDS[answered])}</AppText>
          )}
          {changes.length > 0 ? (
            <View role="status">
              <AppText tone="accent">{said.again}</AppText>
              {changes.map((change) => (
                <AppText key={change} size="small" figures>
                  {change}
                </AppText>
              ))}
            </View>
          ) : null}
          {proposal ? (
            <AppText role="status">
              {proposal.isDeclined
                ? said.proposalDeclined(proposal.comment)
                : said.proposed(whenText(proposal))}
            </AppText>
          ) : null}
          {recurs && event.recurrenceId ? (
            <ChoiceRow
              label={said.scope}
              choices={(['this', 'every'] as const).map((value) => ({ value, label: said.scopes[value] }))}
              value={scope}
              onChange={setScope}
            />
          ) : null}
          {hasWords ? (
            <TextField
              label={said.words}
              value={comment}
              onChangeText={setComment}
              maxLength={4000}
              multiline
              testID="answer-words"
            />
          ) : null}
          <View style={styles.row}>
            {ANSWERS.map((each) => (
              <Button
                key={each}
                kind={answered === 'needs-action' && each === 'accepted' ? 'primary' : 'plain'}
                label={ANSWER_WORDS[each]}
                icon={answered === each ? 'check' : undefined}
                onPress={() => answer(each)}
              />
            ))}
            {mayPropose ? <Button label={said.otherTime} onPress={() => setIsElsewhen(true)} /> : null}
            {hasWords ? null : (
              <Button kind="quiet" label={said.withWords} onPress={() => setHasWords(true)} />
            )}
          </View>
          {event.guestsMay?.includes('invite') ? <PassOn event={event} /> : null}
        </>
      )}
      {isElsewhen ? (
        <OtherTimeSheet
          event={event}
          comment={comment}
          onClose={() => setIsElsewhen(false)}
          onPropose={(times, said_) => {
            setIsElsewhen(false);
            void deeds.answer(event.uid, { answer: 'declined', comment: said_, proposal: times, ...date });
          }}
        />
      ) : null}
    </View>
  );
}

/** Whether the entry has changed since it was answered. */
const changedSince = ({ answeredEvents, events }: Invitation): boolean =>
  answeredEvents !== undefined && JSON.stringify(answeredEvents) !== JSON.stringify(events);

const styles = StyleSheet.create({
  box: { gap: space(2), padding: space(3), borderWidth: hairline, borderRadius: corner },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), alignItems: 'center' },
  start: { alignSelf: 'flex-start' },
});
