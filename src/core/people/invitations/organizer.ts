import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import type { GuestAnswer, Invitation } from '../../model/invitation';
import { allGuestsOf, addressed, guestsOf, isAmong, type Outgoing } from './addressing';
import { answerFor, answerOfPartstat, timeSequenceOf, withAnswer, withAnswers } from './answers';
import { comesFrom } from './guest';
import type { ItipMessage, ItipPart } from './itipMessage';
import { plainAddress } from '../../model/emailAddress';

/** What came of a message to the one who invites. */
export type Answered =
  | { readonly kind: 'taken'; readonly invitation: Invitation }
  | { readonly kind: 'nothing-new' }
  | { readonly kind: 'forged' | 'stranger' | 'proposal' | 'refresh' };

/**
 * Takes in a message of a guest (RFC 5546 3.2.3, 3.2.6, 3.2.7). Answers of those who are invited are believed if they come from their own
 * address; proposals, questions and answers of others wait for a decision.
 * @param from the address that it comes from; undefined where somebody laid it before the application themselves
 */
export function receiveAsOrganizer(
  invitation: Invitation,
  message: ItipMessage,
  from: string | undefined,
): Answered {
  const guest = message.parts[0]?.attendees[0];
  if (invitation.role !== 'organizer' || !guest) return { kind: 'forged' };
  if (from !== undefined && !comesFrom(guest, from)) return { kind: 'forged' };
  const isInvited = isAmong(allGuestsOf(invitation.events, []), guest);
  if (!isInvited) return { kind: 'stranger' };
  if (message.method === 'REFRESH') return { kind: 'refresh' };
  if (message.method === 'COUNTER') return { kind: 'proposal' };
  if (message.method !== 'REPLY') return { kind: 'forged' };
  let answers: readonly GuestAnswer[] = invitation.answers;
  for (const part of message.parts) answers = withReply(invitation, answers, message, part) ?? answers;
  if (answers === invitation.answers) return { kind: 'nothing-new' };
  return {
    kind: 'taken',
    invitation: {
      ...invitation,
      answers: [...answers],
      events: invitation.events.map((event) => withAnswers(event, answers)),
    },
  };
}

function withReply(
  invitation: Invitation,
  answers: readonly GuestAnswer[],
  message: ItipMessage,
  { attendees, recurrenceId, comment }: ItipPart,
): readonly GuestAnswer[] | undefined {
  const [guest] = attendees;
  const answer = answerOfPartstat(String(guest?.parameters.partstat ?? ''));
  if (!guest || !answer) return undefined;
  const address = plainAddress(guest.address);
  const given: GuestAnswer = {
    address,
    answer,
    at: message.stamp,
    sequence: message.sequence,
    comment,
    ...(recurrenceId ? { recurrenceId } : {}),
    ...(message.sequence < timeSequenceOf(invitation, recurrenceId) ? { isOutdated: true as const } : {}),
  };
  const isTakenBack = answers.some(
    (other) => other.address === address && other.recurrenceId === undefined && other.at > given.at,
  );
  if (recurrenceId !== undefined && isTakenBack) return undefined;
  const more = withAnswer(answers, given);
  if (!more || recurrenceId !== undefined) return more;
  // What is said of all dates takes the place of what was said of single ones before.
  return more.filter(
    (other) => other.address !== address || other.recurrenceId === undefined || other.at > given.at,
  );
}

/** The entry and its dates as they were told, to guests who asked or were silent (REQUEST, RFC 5546 3.2.2). */
export function tellAgain(
  invitation: Invitation,
  guests: readonly CalendarUser[],
  comment: string,
  now: number,
): Outgoing[] {
  const { events, organizer, sequence, id: uid } = invitation;
  const message: ItipMessage = {
    method: invitation.isCancelled ? 'CANCEL' : 'REQUEST',
    uid,
    sequence,
    stamp: now,
    organizer,
    parts: events.map((event) => ({
      event,
      attendees: event.attendees ?? [],
      comment,
      ...(event.recurrenceId ? { recurrenceId: event.recurrenceId } : {}),
    })),
  };
  return addressed(guests, message, [organizer.address]);
}

/** Says that a proposed time is not taken (DECLINECOUNTER, RFC 5546 3.2.8). */
export const declineProposal = (
  invitation: Invitation,
  counter: ItipMessage,
  comment: string,
  now: number,
): Outgoing => ({
  to: counter.parts
    .slice(0, 1)
    .flatMap(({ attendees }) => attendees.map(({ address }) => plainAddress(address))),
  message: {
    method: 'DECLINECOUNTER',
    uid: invitation.id,
    sequence: invitation.sequence,
    stamp: now,
    organizer: invitation.organizer,
    parts: counter.parts.map((part) => ({ ...part, comment })),
  },
});

/** Guests of an entry or a date who have not answered to the time that it has. */
export const silentGuests = (
  { answers }: Pick<Invitation, 'answers'>,
  event: CalendarEvent,
  own: readonly string[],
): CalendarUser[] =>
  guestsOf(event, own).filter((guest) => {
    const last = answerFor(answers, guest.address, event.recurrenceId);
    return last ? last.isOutdated === true : !answerOfPartstat(String(guest.parameters.partstat ?? ''));
  });
