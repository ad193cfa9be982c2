import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import type { Letter } from '../../model/invitation';
import type { State } from '../../model/state';
import { withAnswers } from '../../people/invitations/answers';
import { answerInvitation, askAgain, type GivenAnswer } from '../../people/invitations/guest';
import type { ItipMessage } from '../../people/invitations/itipMessage';
import { declineProposal, receiveAsOrganizer } from '../../people/invitations/organizer';
import { readMessages } from '../../people/invitations/readMessage';
import { withGuest } from '../../people/guests';
import { toBin } from '../binChanges';
import { type ChangeContext, makePatch, type Patch, remove } from '../patch';
import { UnitOfWork } from '../unitOfWork';
import { entriesOfUid } from './entriesOfUid';
import { putGuestEntries } from './guestEntries';
import { lettersOf, type Wording } from './letters';
import { ownAddresses } from './ownUser';
import { plainAddress } from '../../model/emailAddress';

/** Answers an invitation: the entry says so, and a letter waits to go out. */
export function giveAnswer(
  state: State,
  uid: string,
  given: GivenAnswer,
  wording: Wording,
  context: ChangeContext,
): Patch | undefined {
  const invitation = state.invitations.get(uid);
  if (invitation?.role !== 'guest') return undefined;
  const answered = answerInvitation(invitation, given, ownAddresses(state), context.now);
  const work = new UnitOfWork(state, context);
  work.put('invitations', answered.invitation);
  putGuestEntries(state, answered.invitation, work);
  for (const letter of lettersOf(state, answered.outgoing, wording, context)) work.put('letters', letter);
  return work.patch({ what: 'invitation-answered', count: 1, name: invitation.events[0]?.title ?? '' });
}

/** Asks the one who invites how it stands. */
export function askHowItStands(
  state: State,
  uid: string,
  wording: Wording,
  context: ChangeContext,
): Patch | undefined {
  const invitation = state.invitations.get(uid);
  if (invitation?.role !== 'guest') return undefined;
  const work = new UnitOfWork(state, context);
  const outgoing = askAgain(invitation, ownAddresses(state), context.now);
  for (const letter of lettersOf(state, outgoing, wording, context)) work.put('letters', letter);
  return work.patch({ what: 'guests-told', count: 1, name: invitation.events[0]?.title ?? '' });
}

/**
 * Passes an invitation on to somebody whom its organizer did not invite (RFC 5546 3.2.2.6): as it was told, with the organizer's name, to
 * whom the answer goes.
 */
export function passOn(
  state: State,
  uid: string,
  guest: CalendarUser,
  wording: Wording,
  context: ChangeContext,
): Patch | undefined {
  const invitation = state.invitations.get(uid);
  if (invitation?.role !== 'guest' || invitation.isCancelled) return undefined;
  const { events, organizer, sequence, stamp } = invitation;
  const message: ItipMessage = {
    method: 'REQUEST',
    uid,
    sequence,
    stamp,
    organizer,
    parts: events.map((event) => ({
      event,
      attendees: event.attendees ?? [],
      comment: '',
      ...(event.recurrenceId ? { recurrenceId: event.recurrenceId } : {}),
    })),
  };
  const work = new UnitOfWork(state, context);
  const outgoing = { to: [plainAddress(guest.address)], message };
  for (const letter of lettersOf(state, outgoing, wording, context)) work.put('letters', letter);
  return work.patch({ what: 'guests-told', count: 1, name: events[0]?.title ?? '' });
}

/** Takes an entry that was called off out of the calendar. */
export function leaveCalledOff(state: State, uid: string, context: ChangeContext): Patch | undefined {
  const events = entriesOfUid(state, uid);
  const invitation = state.invitations.get(uid);
  if (!invitation?.isCancelled || invitation.role !== 'guest') return undefined;
  const work = new UnitOfWork(state, context);
  for (const event of events) work.add(toBin(state, event, context));
  work.remove('invitations', uid);
  return work.patch({ what: 'entries-binned', count: 1, name: events[0]?.title ?? '' });
}

/** The message in a letter that came, if it can be read still. */
export function messageIn(letter: Letter, context: ChangeContext): ItipMessage | undefined {
  try {
    return readMessages(letter.calendar, { ...context }).find(({ uid }) => uid === letter.uid);
  } catch {
    return undefined;
  }
}

/** Lets a letter that waits be: nothing is answered. */
export function dismissLetter(state: State, id: string, context: ChangeContext): Patch | undefined {
  const letter = state.letters.get(id);
  return (
    letter &&
    makePatch(context, { what: 'letter-dismissed', count: 1, name: letter.subject }, [
      remove('letters', letter),
    ])
  );
}

/** Says to a guest that the time stays as it is. */
export function turnDownProposal(
  state: State,
  letterId: string,
  comment: string,
  wording: Wording,
  context: ChangeContext,
): Patch | undefined {
  const letter = state.letters.get(letterId);
  const invitation = letter && state.invitations.get(letter.uid);
  const counter = letter && messageIn(letter, context);
  if (!invitation || !counter) return undefined;
  const work = new UnitOfWork(state, context);
  work.remove('letters', letterId);
  for (const letter of lettersOf(
    state,
    declineProposal(invitation, counter, comment, context.now),
    wording,
    context,
  ))
    work.put('letters', letter);
  return work.patch({ what: 'guests-told', count: 1, name: invitation.events[0]?.title ?? '' });
}

/** Somebody who answered without being invited becomes a guest, with their answer. */
export function admitStranger(state: State, letterId: string, context: ChangeContext): Patch | undefined {
  const letter = state.letters.get(letterId);
  const invitation = letter && state.invitations.get(letter.uid);
  const message = letter && messageIn(letter, context);
  const guest = message?.parts[0]?.attendees[0];
  if (!invitation || !message || !guest) return undefined;
  const admitted = (event: CalendarEvent): CalendarEvent =>
    event.recurrenceId === undefined
      ? { ...event, attendees: withGuest(event.attendees ?? [], guest) }
      : event;
  const told = { ...invitation, events: invitation.events.map(admitted) };
  const received = receiveAsOrganizer(told, message, letter.from || undefined);
  const next = received.kind === 'taken' ? received.invitation : told;
  const work = new UnitOfWork(state, context);
  work.remove('letters', letterId);
  work.put('invitations', next);
  for (const event of entriesOfUid(state, letter.uid))
    work.put('entries', withAnswers(admitted(event), next.answers));
  return work.patch({ what: 'entry-changed', count: 1, name: invitation.events[0]?.title ?? '' });
}
