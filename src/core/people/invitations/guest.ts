import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent, OwnAnswer } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import type { Answer, GuestAnswer, Invitation } from '../../model/invitation';
import { Series } from '../../recurrence/series';
import { zoneOf } from '../../time/eventTime';
import { answerFor, answerOfPartstat, withAnswer, withPartstat } from './answers';
import { dateKey, isAt, type ItipMessage, type ItipPart } from './itipMessage';
import { asTold, isRescheduled, onDate } from './sharedFields';
import type { Outgoing } from './addressing';
import { mailtoOf, plainAddress } from '../../model/emailAddress';

/** What came of a message: it was believed, it says nothing new, or it waits for a decision. */
export type Received =
  | { readonly kind: 'taken'; readonly invitation: Invitation }
  | { readonly kind: 'nothing-new' }
  | { readonly kind: 'forged' }
  | { readonly kind: 'unknown-entry' };

const NOTHING_NEW: Received = { kind: 'nothing-new' };

/** Whether a message comes from somebody, or from who may send in their name (SENT-BY, RFC 5545 3.2.18). */
export const comesFrom = (user: CalendarUser | undefined, from: string): boolean =>
  user !== undefined &&
  (isAt(user, [from]) || isAt({ address: String(user.parameters['sent-by'] ?? ''), parameters: {} }, [from]));

/** The entry, or one of its dates, in what came: as the series is, where it says nothing of the date alone. */
function eventOf(events: readonly CalendarEvent[], recurrenceId?: EventTime): CalendarEvent | undefined {
  const key = dateKey(recurrenceId);
  const found = events.find((event) => dateKey(event.recurrenceId) === key);
  if (found || recurrenceId === undefined) return found;
  const master = events.find((event) => event.recurrenceId === undefined);
  return master && { ...onDate(master, recurrenceId), recurrenceId };
}

/** The answers that hold for what came: one to another time is kept, and is none any more. */
function stillHolding(invitation: Invitation, events: readonly CalendarEvent[]): GuestAnswer[] {
  const { answers, answeredEvents = [] } = invitation;
  return answers.map((answer): GuestAnswer => {
    const [then, now] = [eventOf(answeredEvents, answer.recurrenceId), eventOf(events, answer.recurrenceId)];
    const { isOutdated: _, ...holding } = answer;
    return then && now && isRescheduled(then, now) ? { ...holding, isOutdated: true } : holding;
  });
}

/** The parts of a message as events of one series. */
function eventsOf(message: ItipMessage): CalendarEvent[] {
  const master = message.parts.find(({ recurrenceId, event }) => event && recurrenceId === undefined)?.event;
  return message.parts.flatMap(({ event, attendees }): CalendarEvent[] =>
    event
      ? [
          {
            ...asTold(event),
            uid: message.uid,
            sequence: message.sequence,
            attendees: [...attendees],
            ...(message.organizer ? { organizer: message.organizer } : {}),
            ...(master && event.recurrenceId ? { seriesId: master.id } : {}),
          },
        ]
      : [],
  );
}

/**
 * Takes in a message to a guest (RFC 5546 3.2.2, 3.2.4, 3.2.5, 3.2.8). What is older than what is known says nothing new; what does not
 * come from the one who invited is not believed.
 * @param from the address that the message comes from; undefined where somebody laid it before the application themselves
 */
export function receiveAsGuest(
  known: Invitation | undefined,
  message: ItipMessage,
  from: string | undefined,
): Received {
  const { method, organizer, sequence, stamp } = message;
  if (known?.role === 'organizer') return { kind: 'forged' };
  const inviter = known?.organizer ?? organizer;
  if (!inviter || (organizer && known && !isAt(organizer, [known.organizer.address])))
    return { kind: 'forged' };
  if (from !== undefined && !comesFrom(inviter, from)) return { kind: 'forged' };
  if (method === 'DECLINECOUNTER') {
    const { proposal } = known ?? {};
    if (!known || !proposal || proposal.isDeclined || stamp < proposal.at) return NOTHING_NEW;
    const comment = message.parts.map((part) => part.comment).join('\n');
    return { kind: 'taken', invitation: { ...known, proposal: { ...proposal, isDeclined: true, comment } } };
  }
  // Called off before it came: it is known that it does not count when it comes.
  if (!known && method !== 'REQUEST' && method !== 'CANCEL')
    return method === 'ADD' ? { kind: 'unknown-entry' } : NOTHING_NEW;
  if (known && (sequence < known.sequence || (sequence === known.sequence && stamp <= known.stamp)))
    return NOTHING_NEW;
  const isWhole = message.parts.some(({ recurrenceId }) => recurrenceId === undefined) && method !== 'ADD';
  const isBehind =
    known !== undefined && !isWhole && (sequence > known.sequence + 1 || known.isBehind === true);
  const base: Invitation = {
    ...(known ?? {
      id: message.uid,
      role: 'guest',
      organizer: inviter,
      timeSequences: {},
      toldTo: {},
      answers: [],
    }),
    sequence,
    stamp,
    events: known?.events ?? [],
    comment: message.parts.find((part) => part.comment !== '')?.comment,
  } as Invitation;
  const { isBehind: _, isCancelled: __, ...whole } = base;
  const withEvents = (events: readonly CalendarEvent[]): Received => ({
    kind: 'taken',
    invitation: {
      ...whole,
      ...(isBehind ? { isBehind: true as const } : {}),
      events: [...events],
      answers: stillHolding(whole, events),
    },
  });
  switch (method) {
    case 'REQUEST': {
      const told = eventsOf(message);
      if (told.length === 0) return NOTHING_NEW;
      if (isWhole) return withEvents(told);
      const keys = new Set(told.map(({ recurrenceId }) => dateKey(recurrenceId)));
      const master = base.events.find(({ recurrenceId }) => recurrenceId === undefined);
      return withEvents([
        ...base.events.filter(({ recurrenceId }) => !keys.has(dateKey(recurrenceId))),
        ...told.map((event) => (master ? { ...event, seriesId: master.id } : event)),
      ]);
    }
    case 'CANCEL': {
      if (isWhole) return { kind: 'taken', invitation: { ...base, isCancelled: true } };
      const dates = message.parts.flatMap(({ recurrenceId }) => recurrenceId ?? []);
      const left = withoutDates(base.events, dates);
      return left.length > 0
        ? withEvents(left)
        : { kind: 'taken', invitation: { ...base, isCancelled: true } };
    }
    case 'ADD': {
      const master = base.events.find(({ recurrenceId }) => recurrenceId === undefined);
      if (!master) return { kind: 'unknown-entry' };
      const further = message.parts.flatMap(({ event }) => event?.start ?? []);
      const { rules = [], dates = [], exceptionDates = [], ...rest } = master.recurrence ?? {};
      const keys = new Set(dates.map(dateKey));
      const all = [...dates, ...further.filter((time) => !keys.has(dateKey(time)))];
      return withEvents(
        base.events.map((event) =>
          event === master
            ? { ...master, recurrence: { ...rest, rules, dates: all, exceptionDates } }
            : event,
        ),
      );
    }
    case 'REPLY':
    case 'COUNTER':
    case 'REFRESH':
      return NOTHING_NEW;
  }
}

/** A series and its dates without some dates. */
function withoutDates<Event extends CalendarEvent>(
  events: readonly Event[],
  dates: readonly EventTime[],
): Event[] {
  const keys = new Set(dates.map(dateKey));
  return events
    .filter(({ recurrenceId }) => recurrenceId === undefined || !keys.has(dateKey(recurrenceId)))
    .map((event) => {
      if (!event.recurrence) return event;
      const known = new Set(event.recurrence.exceptionDates.map(dateKey));
      const left = dates.filter((time) => !known.has(dateKey(time)));
      return {
        ...event,
        recurrence: { ...event.recurrence, exceptionDates: [...event.recurrence.exceptionDates, ...left] },
      };
    });
}

/** What a guest has answered to an entry or a date: themselves, or as the one who invites has it. */
export function ownAnswerOf(
  { answers }: Pick<Invitation, 'answers'>,
  event: CalendarEvent,
  own: readonly string[],
): OwnAnswer {
  for (const address of own) {
    const last = answerFor(answers, address, event.recurrenceId);
    if (last) return last.isOutdated ? 'needs-action' : asOwn(last.answer);
  }
  const self = event.attendees?.find((guest) => isAt(guest, own));
  return asOwn(answerOfPartstat(String(self?.parameters.partstat ?? '')) ?? 'needs-action');
}

/** What was handed on is not for oneself any more. */
const asOwn = (answer: OwnAnswer | 'delegated'): OwnAnswer => (answer === 'delegated' ? 'declined' : answer);

/** Dates of a series that are as the series is, but were answered by themselves. */
function answeredAlone(
  invitation: Invitation,
  master: CalendarEvent,
  left: ReadonlySet<string>,
): CalendarEvent[] {
  const keys = new Set(invitation.events.map(({ recurrenceId }) => dateKey(recurrenceId)));
  const series = new Series(master);
  const zone = zoneOf(master.start, 'UTC');
  return invitation.answers.flatMap(({ recurrenceId, isOutdated }) => {
    const key = dateKey(recurrenceId);
    if (!recurrenceId || isOutdated || keys.has(key) || left.has(key)) return [];
    keys.add(key);
    const wall = series.wallOfRecurrenceId(recurrenceId, zone);
    return series.isDate(wall, zone)
      ? [{ ...onDate(master, recurrenceId), recurrenceId, seriesId: master.id }]
      : [];
  });
}

/**
 * The entry and its dates as they stand in a guest's calendar: dates that they are not invited to are left out of it, and each says
 * what was answered.
 * @param dropsDeclined whether single dates that were declined are left out, too
 */
export function guestEvents(
  invitation: Invitation,
  own: readonly string[],
  dropsDeclined = false,
): CalendarEvent[] {
  const { events, isCancelled } = invitation;
  const master = events.find(({ recurrenceId }) => recurrenceId === undefined);
  const isForMe = (event: CalendarEvent): boolean =>
    own.length === 0 || (event.attendees ?? []).some((guest) => isAt(guest, own));
  const masterIsForMe = master !== undefined && isForMe(master);
  const notMine = masterIsForMe
    ? events.flatMap((event) => (event.recurrenceId && !isForMe(event) ? event.recurrenceId : []))
    : [];
  const alone = master?.recurrence ? answeredAlone(invitation, master, new Set(notMine.map(dateKey))) : [];
  const answered = [...withoutDates(events, notMine), ...alone].map((event) => ({
    ...event,
    ownAnswer: ownAnswerOf(invitation, event, own),
    ...(isCancelled ? { status: 'cancelled' as const } : {}),
  }));
  const declined = answered.flatMap(({ recurrenceId, ownAnswer }) =>
    recurrenceId && ownAnswer === 'declined' ? recurrenceId : [],
  );
  return dropsDeclined ? withoutDates(answered, declined) : answered;
}

/** What a guest says to an invitation. */
export interface GivenAnswer {
  readonly answer: Answer;
  /** The date that it is about; all of them without one. */
  readonly recurrenceId?: EventTime | undefined;
  readonly comment: string;
  /** Another time that would suit better (COUNTER, RFC 5546 3.2.7). */
  readonly proposal?: { readonly start: EventTime; readonly end: EventTime } | undefined;
}

/** A guest as they stand in an entry; somebody whom it was passed on to is none of them yet. */
const selfIn = (event: CalendarEvent | undefined, own: readonly string[]): CalendarUser =>
  event?.attendees?.find((guest) => isAt(guest, own)) ?? {
    address: mailtoOf(own[0] ?? ''),
    parameters: {},
  };

/**
 * Answers an invitation (REPLY, RFC 5546 3.2.3), or proposes another time.
 * @param own one's own addresses, the first of which stands for oneself where none is invited
 * @param now when it is answered, an instant
 */
export function answerInvitation(
  invitation: Invitation,
  { answer, recurrenceId, comment, proposal }: GivenAnswer,
  own: readonly string[],
  now: number,
): { readonly invitation: Invitation; readonly outgoing: Outgoing } {
  const about = eventOf(invitation.events, recurrenceId);
  const self = selfIn(about, own);
  const given: GuestAnswer = {
    address: plainAddress(self.address),
    ...(recurrenceId ? { recurrenceId } : {}),
    answer,
    at: now,
    sequence: invitation.sequence,
    comment,
  };
  // Of dates without their series each is answered.
  const heads = about ? [about] : invitation.events;
  const parts = heads.map((event): ItipPart => ({
    event: proposal ? { ...event, start: proposal.start, end: proposal.end } : event,
    attendees: [withPartstat(self, answer)],
    comment,
    ...(event.recurrenceId ? { recurrenceId: event.recurrenceId } : {}),
  }));
  const earlier = (invitation.answers ?? []).filter(
    // What is said of all dates takes the place of what was said of single ones.
    (other) => recurrenceId !== undefined || other.recurrenceId === undefined,
  );
  const { proposal: _, ...rest } = invitation;
  return {
    invitation: {
      ...rest,
      answers: [...(withAnswer(earlier, given) ?? earlier)],
      answeredEvents: invitation.events,
      ...(proposal
        ? { proposal: { ...(recurrenceId ? { recurrenceId } : {}), ...proposal, at: now, comment: '' } }
        : {}),
    },
    outgoing: {
      to: [plainAddress(invitation.organizer.address)],
      message: {
        method: proposal ? 'COUNTER' : 'REPLY',
        uid: invitation.id,
        sequence: invitation.sequence,
        stamp: now,
        organizer: invitation.organizer,
        parts,
      },
    },
  };
}

/** Asks how an entry stands (REFRESH, RFC 5546 3.2.6). */
export const askAgain = (invitation: Invitation, own: readonly string[], now: number): Outgoing => ({
  to: [plainAddress(invitation.organizer.address)],
  message: {
    method: 'REFRESH',
    uid: invitation.id,
    sequence: invitation.sequence,
    stamp: now,
    organizer: invitation.organizer,
    parts: [{ attendees: [selfIn(invitation.events[0], own)], comment: '' }],
  },
});
