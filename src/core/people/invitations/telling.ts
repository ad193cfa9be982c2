import type { CalendarUser } from '../../model/calendarUser';
import { type CalendarEvent, GUESTS_MAY_USUALLY } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import type { Invitation } from '../../model/invitation';
import { SECOND } from '../../time/civil';
import { plainAddress } from '../peopleInOrder';
import { withPartstat } from './answers';
import { dateKey, isAt, type ItipMessage, type ItipPart } from './itipMessage';
import {
  asTold,
  changedDates,
  differingShared,
  fingerprint,
  isRescheduled,
  onDate,
  sameGuests,
  type SharedField,
} from './sharedFields';

/** Whom to tell: everybody, or those only whom it touches. */
export const AUDIENCES = ['all', 'touched'] as const;
export type Audience = (typeof AUDIENCES)[number];

/** What guests do not know yet of an entry and its dates. */
export interface Untold {
  readonly kind: 'invited' | 'changed' | 'called-off';
  /** What of it, or of one of its dates, is other than they know. */
  readonly fields: readonly SharedField[];
  readonly added: readonly CalendarUser[];
  readonly removed: readonly CalendarUser[];
  /** Whether they have to answer again. */
  readonly isRescheduled: boolean;
  /** All who would hear of it, and those whom it touches. */
  readonly all: readonly CalendarUser[];
  readonly touched: readonly CalendarUser[];
}

/** A message and whom it goes to. */
export interface Outgoing {
  readonly to: readonly string[];
  readonly message: ItipMessage;
}

type ByDate = ReadonlyMap<string, CalendarEvent>;
const byDate = (events: readonly CalendarEvent[]): ByDate =>
  new Map(events.map((event) => [dateKey(event.recurrenceId), event]));

const guestsOf = (event: CalendarEvent | undefined, own: readonly string[]): CalendarUser[] =>
  (event?.attendees ?? []).filter((guest) => !isAt(guest, own));

function union(...lists: readonly (readonly CalendarUser[])[]): CalendarUser[] {
  const known = new Map<string, CalendarUser>();
  for (const guest of lists.flat()) {
    const address = plainAddress(guest.address);
    if (!known.has(address)) known.set(address, guest);
  }
  return [...known.values()];
}

const without = (some: readonly CalendarUser[], others: readonly CalendarUser[]): CalendarUser[] =>
  some.filter((guest) => !isAmong(others, guest));

interface Difference {
  readonly untold: Untold;
  /** Whether all of it is told anew. */
  readonly isWhole: boolean;
  /** Dates that differ, and such as were left out or added. */
  readonly dates: readonly string[];
  readonly left: readonly EventTime[];
  readonly further: readonly EventTime[];
  readonly rescheduled: readonly string[];
}

function difference(
  told: readonly CalendarEvent[],
  now: readonly CalendarEvent[],
  own: readonly string[],
): Difference {
  const [before, after] = [byDate(told), byDate(now)];
  const [oldMaster, master] = [before.get(''), after.get('')];
  const oldGuests = guestsOf(oldMaster, own);
  const guests = guestsOf(master, own);
  const fields = new Set<SharedField>();
  const rescheduled = new Set<string>();
  const ofMaster = oldMaster && master ? differingShared(oldMaster, master) : [];
  const onlyDates =
    oldMaster && master && ofMaster.every((field) => field === 'recurrence')
      ? changedDates(oldMaster, master)
      : undefined;
  const leftKeys = new Set(onlyDates?.left.map(dateKey));
  for (const field of ofMaster) fields.add(field);
  const isNew = told.length === 0;
  const isReset = [...before.keys()].some((key) => key !== '' && !after.has(key) && !leftKeys.has(key));
  const isWhole =
    isNew ||
    (oldMaster === undefined) !== (master === undefined) ||
    (ofMaster.length > 0 && !onlyDates) ||
    isReset;
  if (isWhole && (!oldMaster || !master || isRescheduled(oldMaster, master))) rescheduled.add('');
  const dates: string[] = [];
  let touched: CalendarUser[] = [];
  for (const [key, event] of after) {
    if (key === '') continue;
    const old = before.get(key);
    // A date that was as its series is compared with what guests knew of it then.
    const compared = old ?? (oldMaster && onDate(oldMaster, event.recurrenceId!));
    const differing = compared
      ? differingShared(compared, event).filter((field) => old !== undefined || field !== 'recurrence')
      : [];
    for (const field of differing) fields.add(field);
    const isOther = !old || differing.length > 0 || !sameGuests(old, event);
    if (!isOther) continue;
    dates.push(key);
    if (compared && isRescheduled(compared, event)) rescheduled.add(key);
    const [had, has] = [guestsOf(old ?? oldMaster, own), guestsOf(event, own)];
    const gone = without(had, has);
    const isOnlyGuests = differing.length === 0;
    touched = union(touched, isOnlyGuests ? without(has, had) : has, gone);
  }
  const everyone = union(guests, ...[...after.values()].map((event) => guestsOf(event, own)));
  const everyoneBefore = union(oldGuests, ...[...before.values()].map((event) => guestsOf(event, own)));
  const added = without(everyone, everyoneBefore);
  const removed = without(everyoneBefore, everyone);
  const isCalledOff = now.length === 0;
  if (isWhole || (onlyDates && onlyDates.left.length + onlyDates.further.length > 0))
    touched = union(touched, everyone);
  else touched = union(touched, added, without(guests, oldGuests));
  const all = isCalledOff ? everyoneBefore : union(everyone, removed);
  return {
    untold: {
      kind: isCalledOff ? 'called-off' : isNew ? 'invited' : 'changed',
      fields: [...fields],
      added,
      removed: isCalledOff ? [] : removed,
      isRescheduled: rescheduled.size > 0,
      all,
      touched: isCalledOff ? all : union(touched, removed),
    },
    isWhole,
    dates,
    left: onlyDates?.left ?? [],
    further: onlyDates?.further ?? [],
    rescheduled: [...rescheduled],
  };
}

/**
 * What guests do not know yet of an entry and its changed dates; undefined where they know all, or are not to be told.
 * @param events the entry and its dates as they are now; none where they are gone
 * @param own one's own addresses
 */
export function untoldOf(
  invitation: Invitation | undefined,
  events: readonly CalendarEvent[],
  own: readonly string[],
): Untold | undefined {
  if (invitation?.role === 'guest') return undefined;
  if (invitation?.isCancelled && events.length === 0) return undefined;
  const told = invitation && !invitation.isCancelled ? invitation.events : [];
  const now = events.map(asTold);
  const print = fingerprint(now);
  if (print === fingerprint(told) || print === invitation?.settled) return undefined;
  const { untold } = difference(told, now, own);
  return untold.all.length === 0 ? undefined : untold;
}

/** What becomes of an entry that is told of. */
export interface Told {
  readonly invitation: Invitation;
  readonly outgoing: readonly Outgoing[];
  /** The entry and its dates: their guests have to answer again where the time changed. */
  readonly events: readonly CalendarEvent[];
}

/** Who speaks, and how a message begins. */
export interface TellOptions {
  readonly organizer: CalendarUser;
  readonly own: readonly string[];
  readonly audience: Audience;
  readonly comment: string;
  /** When it is told, an instant. */
  readonly now: number;
}

/**
 * Tells guests what they do not know yet (RFC 5546 3.2.2, 3.2.4, 3.2.5): REQUEST for what is new or changed, the whole of it or the
 * dates alone that are touched; ADD for further dates; CANCEL for dates left out and for who is no longer invited.
 * Undefined where there is nothing to tell.
 */
export function tell(
  uid: string,
  invitation: Invitation | undefined,
  events: readonly CalendarEvent[],
  { organizer, own, audience, comment, now }: TellOptions,
): Told | undefined {
  if (!untoldOf(invitation, events, own)) return undefined;
  const told = invitation && !invitation.isCancelled ? invitation.events : [];
  const sequence = invitation
    ? invitation.sequence + 1
    : Math.max(0, ...events.map((event) => event.sequence));
  const differs = difference(told, events.map(asTold), own);
  const { isWhole, untold } = differs;
  const isAgain = (event: CalendarEvent): boolean =>
    differs.rescheduled.includes('') || differs.rescheduled.includes(dateKey(event.recurrenceId));
  const asked = events.map((event): CalendarEvent => {
    const attendees = event.attendees?.map((guest) =>
      isAt(guest, own)
        ? withPartstat(guest, 'accepted')
        : isAgain(event)
          ? withPartstat(guest, 'needs-action')
          : guest,
    );
    return { ...event, organizer, ...(attendees ? { attendees } : {}) };
  });
  const shared = asked.map(asTold).map((event) => ({ ...event, sequence }));
  const after = byDate(shared);
  const before = byDate(told);
  const outgoing: Outgoing[] = [];
  // Of several messages to one guest the later one is told by its stamp, of which seconds are written.
  const message = (method: ItipMessage['method'], parts: readonly ItipPart[]): ItipMessage => ({
    method,
    uid,
    sequence,
    stamp: now + outgoing.length * SECOND,
    organizer,
    parts,
  });
  const part = (event: CalendarEvent, attendees = event.attendees ?? []): ItipPart => ({
    event,
    attendees,
    comment,
    ...(event.recurrenceId ? { recurrenceId: event.recurrenceId } : {}),
  });
  const send = (to: readonly CalendarUser[], method: ItipMessage['method'], parts: readonly ItipPart[]) => {
    if (to.length === 0 || parts.length === 0) return;
    const maySee = (parts[0]!.event?.guestsMay ?? GUESTS_MAY_USUALLY).includes('see-each-other');
    if (maySee || method === 'CANCEL') {
      outgoing.push({ to: to.map(({ address }) => plainAddress(address)), message: message(method, parts) });
      return;
    }
    // Each sees nobody but themselves.
    for (const guest of to)
      outgoing.push({
        to: [plainAddress(guest.address)],
        message: message(
          method,
          parts.map((each) => ({
            ...each,
            attendees: each.attendees.filter((other) => isAt(other, [guest.address]) || isAt(other, own)),
          })),
        ),
      });
  };
  const cancelled = (event: CalendarEvent, guests: readonly CalendarUser[], isForAll: boolean): ItipPart =>
    part({ ...event, sequence, ...(isForAll ? { status: 'cancelled' as const } : {}) }, [...guests]);
  const master = after.get('');
  if (untold.kind === 'called-off') {
    const whole = before.get('');
    send(
      untold.all,
      'CANCEL',
      (whole ? [whole] : told).map((event) => cancelled(event, event.attendees ?? [], true)),
    );
  } else {
    const guests = guestsOf(master, own);
    const oldGuests = guestsOf(before.get(''), own);
    const reached = (some: readonly CalendarUser[]) =>
      audience === 'all' ? [...some] : some.filter((guest) => isTouched(untold, guest));
    const isUpToDate = ({ address }: CalendarUser): boolean =>
      invitation?.toldTo[plainAddress(address)] === invitation?.sequence;
    // What is one change alone goes alone, to who knows all before it; several would get lost one by one.
    const isOne = !isWhole && differs.dates.length + differs.left.length + differs.further.length === 1;
    const alone = isOne
      ? reached(guests.filter((guest) => isAmong(oldGuests, guest) && isUpToDate(guest)))
      : [];
    if (master) {
      const isNow = isWhole ? guests : reached(guests);
      send(
        without(isNow, alone),
        'REQUEST',
        shared.map((event) => part(event)),
      );
      for (const time of isOne ? differs.left : [])
        send(alone, 'CANCEL', [
          cancelled(
            before.get(dateKey(time)) ?? { ...onDate(master, time), recurrenceId: time },
            guests,
            true,
          ),
        ]);
      for (const time of isOne ? differs.further : []) send(alone, 'ADD', [part(onDate(master, time))]);
      for (const event of isOne ? differs.dates.map((key) => after.get(key)!) : []) {
        const [has, gone] = [guestsOf(event, own), without(alone, guestsOf(event, own))];
        send(
          alone.filter((guest) => isAmong(has, guest)),
          'REQUEST',
          [part(event)],
        );
        send(gone, 'CANCEL', [cancelled(event, gone, false)]);
      }
    }
    // Who is invited to dates alone hears of these.
    const ofDates = differs.dates.map((key) => after.get(key)!);
    for (const guest of without(reached(untold.all), [...guests, ...untold.removed])) {
      const isTheirs = (event: CalendarEvent) => isAmong(guestsOf(event, own), guest);
      if (ofDates.some(isTheirs))
        send(
          [guest],
          'REQUEST',
          shared.filter((event) => event.recurrenceId && isTheirs(event)).map((event) => part(event)),
        );
      for (const event of ofDates.filter((each) => !isTheirs(each)))
        if (isAmong(guestsOf(before.get(dateKey(event.recurrenceId)), own), guest))
          send([guest], 'CANCEL', [cancelled(event, [guest], false)]);
    }
    for (const guest of untold.removed) {
      const event = before.get('') ?? told[0];
      if (event) send([guest], 'CANCEL', [cancelled(event, [guest], false)]);
    }
  }
  const timeSequences = Object.fromEntries([
    ...Object.entries(differs.rescheduled.includes('') ? {} : (invitation?.timeSequences ?? {})),
    ...differs.rescheduled.map((key) => [key, sequence] as const),
  ]);
  const isCalledOff = untold.kind === 'called-off';
  const reachedNow = (value: number) =>
    Object.fromEntries(outgoing.flatMap(({ to }) => to.map((address) => [address, value] as const)));
  return {
    events: asked,
    outgoing,
    invitation: {
      id: uid,
      role: 'organizer',
      organizer,
      sequence,
      stamp: now + outgoing.length * SECOND,
      timeSequences,
      toldTo: { ...invitation?.toldTo, ...reachedNow(sequence) },
      toldAt: { ...invitation?.toldAt, ...reachedNow(now) },
      events: isCalledOff ? told.slice() : shared,
      answers: (invitation?.answers ?? []).map((answer) =>
        answer.sequence < Math.max(timeSequences[''] ?? 0, timeSequences[dateKey(answer.recurrenceId)] ?? 0)
          ? { ...answer, isOutdated: true as const }
          : answer,
      ),
      receipts: {},
      ...(isCalledOff ? { isCancelled: true as const } : {}),
    },
  };
}

const isAmong = (some: readonly CalendarUser[], { address }: CalendarUser): boolean =>
  some.some((other) => isAt(other, [address]));

const isTouched = ({ touched }: Untold, guest: CalendarUser): boolean => isAmong(touched, guest);
