import { StyleSheet, View } from 'react-native';
import { ownAddresses } from '@/core/change/invitations/ownUser';
import { isOwnToTell, untoldIn } from '@/core/change/invitations/tellGuests';
import type { CalendarEvent } from '@/core/model/entry';
import type { CalendarUser } from '@/core/model/calendarUser';
import type { Invitation } from '@/core/model/invitation';
import { answerOf, isForInformation, isOptional } from '@/core/people/guests';
import { answerFor, partstatOf } from '@/core/people/invitations/answers';
import { isAt } from '@/core/people/invitations/itipMessage';
import { silentGuests } from '@/core/people/invitations/organizer';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useSettings, useSnapshot } from '@/store';
import { shortDayText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { invitationWords, OWN_ANSWER_WORDS } from '@/ui/words/invitations';
import { peopleWords } from '@/ui/words/people';
import { FindButton } from '../find/FindButton';
import { GuestRow } from '../GuestRow';
import { askToTell } from './telling';
import { useInvitationDeeds } from './useInvitationDeeds';
import { plainAddress } from '@/core/model/emailAddress';

const said = invitationWords.guests;

/** What is known of a guest's answer, in words: which, when, to an earlier time, or whether they have seen it at all. */
function answerText(
  guest: CalendarUser,
  event: CalendarEvent,
  invitation: Invitation | undefined,
  momentText: (instant: number) => string,
): string {
  const { answers } = peopleWords.guests;
  const address = plainAddress(guest.address);
  const last = invitation?.role === 'organizer' && answerFor(invitation.answers, address, event.recurrenceId);
  if (last && last.isOutdated && last.answer !== 'delegated')
    return said.outdated(OWN_ANSWER_WORDS[last.answer]);
  if (last) return said.said(answers[partstatOf(last.answer)]!, momentText(last.at));
  const known = answers[answerOf(guest)] ?? answers['NEEDS-ACTION']!;
  if (invitation?.role !== 'organizer' || answerOf(guest) !== 'NEEDS-ACTION') return known;
  if (!(address in invitation.toldTo)) return said.heardNothing;
  const receipt = invitation.receipts?.[address];
  return receipt ? `${known}, ${said[receipt.status]}` : known;
}

/** Who is invited to an entry, what each answered, and what can be done about it by who invites. */
export function InvitedGuests({
  event,
  occurrenceKey,
}: {
  event: CalendarEvent;
  /** As it is found in Plan, where it is looked at there. */
  occurrenceKey?: string;
}) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const { homeZone } = useSettings();
  const deeds = useInvitationDeeds();
  const own = ownAddresses(state);
  const guests = (event.attendees ?? []).filter((guest) => !isAt(guest, own));
  const invitation = state.invitations.get(event.uid);
  if (guests.length === 0 && invitation?.role !== 'organizer') return null;
  const isMine = isOwnToTell(event, own);
  const untold = isMine ? untoldIn(state, event.uid) : undefined;
  const isTold = invitation?.role === 'organizer' && invitation.sequence >= 0 && invitation.events.length > 0;
  const silent = isTold && !untold && !invitation.isCancelled ? silentGuests(invitation, event, own) : [];
  const momentText = (instant: number): string => {
    const wall = instantToWall(homeZone, instant);
    return `${shortDayText(Math.floor(wall / DAY))}, ${timeText(wall)}`;
  };
  return (
    <View role="group" aria-label={peopleWords.guests.title} style={styles.guests} testID="entry-guests">
      <AppText size="small" tone="quiet">
        {peopleWords.guests.title}
      </AppText>
      {guests.map((guest) => {
        const comment =
          invitation?.role === 'organizer'
            ? (answerFor(invitation.answers, guest.address, event.recurrenceId)?.comment ?? '')
            : '';
        return (
          <GuestRow
            key={guest.address}
            guest={guest}
            says={answerText(guest, event, invitation, momentText)}
            words={comment}
          >
            {isOptional(guest) ? (
              <AppText size="small" tone="quiet">
                {isForInformation(guest) ? said.information : peopleWords.guests.optional}
              </AppText>
            ) : null}
          </GuestRow>
        );
      })}
      {untold ? (
        <View style={styles.untold} role="status" testID="untold">
          <AppText tone={isTold ? 'accent' : 'quiet'}>
            {isTold ? invitationWords.tell.untold : invitationWords.tell.untoldFirst}
          </AppText>
          <Button
            kind={isTold ? 'primary' : 'plain'}
            label={isTold ? invitationWords.tell.action : invitationWords.tell.first}
            onPress={() => askToTell(event.uid)}
            style={styles.start}
          />
        </View>
      ) : null}
      {isMine && occurrenceKey !== undefined && event.start.kind === 'zoned' ? (
        <FindButton guests={guests} about={occurrenceKey} />
      ) : null}
      {silent.length > 0 ? (
        <Button
          label={said.remind(silent.length)}
          onPress={() => void deeds.remind(event.uid, silent)}
          style={styles.start}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  guests: { gap: space(1) },
  untold: { gap: space(1) },
  start: { alignSelf: 'flex-start' },
});
