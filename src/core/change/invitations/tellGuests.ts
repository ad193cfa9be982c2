import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import type { Invitation, Receipt } from '../../model/invitation';
import type { State } from '../../model/state';
import { isAt } from '../../people/invitations/itipMessage';
import { tellAgain } from '../../people/invitations/organizer';
import { asTold, fingerprint } from '../../people/invitations/sharedFields';
import { type Audience, tell } from '../../people/invitations/telling';
import { type Untold, untoldOf } from '../../people/invitations/untold';
import { type ChangeContext, type Patch } from '../patch';
import { UnitOfWork } from '../unitOfWork';
import { entriesOfUid } from './entriesOfUid';
import { lettersOf, type Wording } from './letters';
import { ownAddresses, ownUser } from './ownUser';

/** Whether an entry is for oneself to tell of: nobody else invites to it. */
export const isOwnToTell = (event: CalendarEvent, own: readonly string[]): boolean =>
  event.ownAnswer === undefined && (event.organizer === undefined || isAt(event.organizer, own));

/** What guests of an entry do not know yet, whether or not they were ever told of it. */
export function untoldIn(state: State, uid: string): Untold | undefined {
  const events = entriesOfUid(state, uid);
  const own = ownAddresses(state);
  if (events.some((event) => !isOwnToTell(event, own))) return undefined;
  return untoldOf(state.invitations.get(uid), events, own);
}

/** The UIDs of entries whose guests were told something that does not hold any more. */
export const untoldUids = (state: State): string[] =>
  [...state.invitations.values()]
    .filter(({ id, role }) => role === 'organizer' && untoldIn(state, id) !== undefined)
    .map(({ id }) => id);

/** Tells the guests of an entry what they do not know yet. Undefined where there is nothing to tell, or nobody to tell it. */
export function tellGuests(
  state: State,
  uid: string,
  { audience, comment }: { readonly audience: Audience; readonly comment: string },
  wording: Wording,
  context: ChangeContext,
): Patch | undefined {
  const organizer = ownUser(state);
  if (!organizer || !untoldIn(state, uid)) return undefined;
  const events = entriesOfUid(state, uid);
  const own = ownAddresses(state);
  const told = tell(uid, state.invitations.get(uid), events, {
    organizer,
    own,
    audience,
    comment,
    now: context.now,
  });
  if (!told) return undefined;
  const work = new UnitOfWork(state, context);
  for (const event of told.events) work.put('entries', event);
  work.put('invitations', told.invitation);
  for (const outgoing of told.outgoing) {
    for (const letter of lettersOf(state, outgoing, wording, context)) work.put('letters', letter);
  }
  const to = new Set(told.outgoing.flatMap((outgoing) => outgoing.to));
  const name = events[0]?.title ?? told.invitation.events[0]?.title ?? '';
  return work.patch({ what: 'guests-told', count: to.size, name });
}

/** Lets guests not know of the version that an entry has now. */
export function tellNobody(state: State, uid: string, context: ChangeContext): Patch | undefined {
  const invitation = state.invitations.get(uid);
  const organizer = ownUser(state) ?? { address: '', parameters: {} };
  const events = entriesOfUid(state, uid);
  const settled = fingerprint(events.map(asTold));
  const work = new UnitOfWork(state, context);
  const never: Invitation = {
    id: uid,
    role: 'organizer',
    organizer,
    sequence: 0,
    stamp: context.now,
    timeSequences: {},
    toldTo: {},
    events: [],
    answers: [],
  };
  work.put('invitations', { ...(invitation ?? never), settled });
  return work.patch({ what: 'nobody-told', count: 1, name: events[0]?.title ?? '' });
}

/** Sends guests once more what they were told: such as ask how it stands, or have not answered. */
export function remindGuests(
  state: State,
  uid: string,
  guests: readonly CalendarUser[],
  comment: string,
  wording: Wording,
  context: ChangeContext,
): Patch | undefined {
  const invitation = state.invitations.get(uid);
  if (!invitation || guests.length === 0) return undefined;
  const work = new UnitOfWork(state, context);
  for (const outgoing of tellAgain(invitation, guests, comment, context.now))
    for (const letter of lettersOf(state, outgoing, wording, context)) work.put('letters', letter);
  work.put('invitations', { ...invitation, stamp: Math.max(invitation.stamp, context.now) });
  return work.patch({ what: 'guests-told', count: guests.length, name: invitation.events[0]?.title ?? '' });
}

/** How far letters came with those whom they went to. */
export interface LetterReceipt {
  readonly uid: string;
  readonly address: string;
  readonly status: Receipt['status'];
  readonly at: number;
}

/** Letters went out: they wait no more, and it is kept how far those before them came. Undefined where that says nothing new. */
export function lettersWent(
  state: State,
  ids: readonly string[],
  receipts: readonly LetterReceipt[],
  context: ChangeContext,
): Patch | undefined {
  const work = new UnitOfWork(state, context);
  for (const id of ids) if (state.letters.has(id)) work.remove('letters', id);
  for (const { uid, address, status, at } of receipts) {
    const invitation = work.state.invitations.get(uid);
    const known = invitation?.receipts?.[address];
    const isNews = !known || known.at < at || (known.at === at && status !== 'delivered');
    if (invitation?.role === 'organizer' && isNews && known?.status !== status)
      work.put('invitations', {
        ...invitation,
        receipts: { ...invitation.receipts, [address]: { status, at } },
      });
  }
  const changes = work.changes();
  return changes.length > 0 ? work.patch({ what: 'letters-sent', count: ids.length }) : undefined;
}
