import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import type { Invitation } from '../../model/invitation';
import { SECOND } from '../../time/civil';
import { addressed, guestsOf, isAmong, type Outgoing, without } from './addressing';
import { withPartstat } from './answers';
import { dateKey, isAt, type ItipMessage, type ItipPart } from './itipMessage';
import { asTold, onDate } from './sharedFields';
import { byDate, difference, standing, untoldOf } from './untold';
import { plainAddress } from '../../model/emailAddress';

/** Whom to tell: everybody, or those only whom it touches. */
export type Audience = 'all' | 'touched';

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
  const told = standing(invitation);
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
  const send = (to: readonly CalendarUser[], method: ItipMessage['method'], parts: readonly ItipPart[]) =>
    outgoing.push(...addressed(to, message(method, parts), own));
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
      audience === 'all' ? [...some] : some.filter((guest) => isAmong(untold.touched, guest));
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
      events: isCalledOff ? [...told] : shared,
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
