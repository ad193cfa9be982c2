import { initialFields } from '../../fields/eventFields';
import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { endAfter } from '../../recurrence/occurrenceShape';
import { zoneOf } from '../../time/eventTime';
import { dateKey } from './itipMessage';
import { plainAddress } from '../../model/emailAddress';

/**
 * What of an entry is told to its guests; the rest is its owner's own: calendar, categories, colour, reminders, ways, files,
 * and what was answered.
 */
export const SHARED_WITH_GUESTS = [
  'title',
  'start',
  'end',
  'recurrence',
  'location',
  'notes',
  'url',
  'status',
  'conferences',
  'priority',
  'guestsMay',
] as const satisfies readonly (keyof CalendarEvent)[];
export type SharedField = (typeof SHARED_WITH_GUESTS)[number];

/** A field as it is compared: times of one clock and moment are the same, dates left out stand in order. */
function comparable(event: CalendarEvent, field: SharedField): unknown {
  if (field !== 'recurrence') return event[field] ?? null;
  const { recurrence } = event;
  if (!recurrence) return null;
  const keys = (times: readonly CalendarEvent['start'][]) => times.map(dateKey).sort();
  return [
    recurrence.rules,
    keys(recurrence.dates),
    keys(recurrence.exceptionDates),
    (recurrence.periods ?? []).map(({ start, end }) => [dateKey(start), dateKey(end)]),
  ];
}

/** The fields, of those that guests are told, in which two states of an entry differ. */
export const differingShared = (one: CalendarEvent, other: CalendarEvent): SharedField[] =>
  SHARED_WITH_GUESTS.filter(
    (field) => JSON.stringify(comparable(one, field)) !== JSON.stringify(comparable(other, field)),
  );

/** How guests are told apart as guests: by address and part, not by what they answered. */
const guestKey = ({ address, parameters }: CalendarUser): string =>
  `${plainAddress(address)} ${String(parameters.role ?? '')} ${String(parameters.rsvp ?? '')}`;

/** Whether the same are invited in the same way. */
export const sameGuests = (one: CalendarEvent, other: CalendarEvent): boolean => {
  const keys = ({ attendees = [] }: CalendarEvent) => attendees.map(guestKey).sort().join('\n');
  return keys(one) === keys(other);
};

/** An entry as it is told to its guests: nothing that is its owner's own. */
export function asTold(event: CalendarEvent): CalendarEvent {
  const shared = Object.fromEntries(
    SHARED_WITH_GUESTS.flatMap((field) => (event[field] === undefined ? [] : [[field, event[field]]])),
  ) as Pick<CalendarEvent, 'title' | 'start' | 'end'>;
  const { recurrence } = event;
  return {
    ...initialFields(),
    kind: 'event',
    id: event.id,
    uid: event.uid,
    calendarId: '-',
    ...shared,
    ...(recurrence
      ? {
          recurrence: {
            rules: recurrence.rules,
            dates: recurrence.dates,
            exceptionDates: recurrence.exceptionDates,
            ...(recurrence.periods ? { periods: recurrence.periods } : {}),
          },
        }
      : {}),
    ...(event.organizer ? { organizer: event.organizer } : {}),
    ...(event.attendees ? { attendees: event.attendees } : {}),
    ...(event.seriesId === undefined ? {} : { seriesId: event.seriesId }),
    ...(event.recurrenceId ? { recurrenceId: event.recurrenceId } : {}),
    ...(event.recurrenceRange ? { recurrenceRange: event.recurrenceRange } : {}),
    availability: event.availability === 'free' ? 'free' : 'busy',
    sequence: event.sequence,
    created: event.created,
    modified: event.modified,
  };
}

/** What a version of an entry and its dates is known by: whoever is told of another one learns something. */
export const fingerprint = (events: readonly CalendarEvent[]): string =>
  JSON.stringify(
    events
      .map((event) => [
        dateKey(event.recurrenceId),
        ...SHARED_WITH_GUESTS.map((field) => comparable(event, field)),
        (event.attendees ?? []).map(guestKey).sort(),
      ])
      .sort(([one], [other]) => (String(one) < String(other) ? -1 : 1)),
  );

/** A date of a series as an event of its own, as long as the series is. */
export const onDate = ({ recurrence: _, ...series }: CalendarEvent, start: EventTime): CalendarEvent => ({
  ...series,
  start,
  end: endAfter(series, start, zoneOf(start, 'UTC')),
});

/** What became of the dates of a series that changed in nothing else. */
export interface ChangedDates {
  readonly left: readonly EventTime[];
  readonly further: readonly EventTime[];
}

/** The dates that were left out of a series or added to it, if nothing else of how it repeats changed. */
export function changedDates(before: CalendarEvent, after: CalendarEvent): ChangedDates | undefined {
  const [one, other] = [before.recurrence, after.recurrence];
  if (!one || !other) return undefined;
  const same = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);
  const keys = (times: readonly EventTime[]) => new Set(times.map(dateKey));
  const [left, dates] = [keys(one.exceptionDates), keys(one.dates)];
  const [leftNow, datesNow] = [keys(other.exceptionDates), keys(other.dates)];
  if (
    !same(one.rules, other.rules) ||
    !same(one.periods, other.periods) ||
    [...left].some((key) => !leftNow.has(key)) ||
    [...dates].some((key) => !datesNow.has(key))
  )
    return undefined;
  return {
    left: other.exceptionDates.filter((time) => !left.has(dateKey(time))),
    further: other.dates.filter((time) => !dates.has(dateKey(time))),
  };
}

/**
 * Whether guests have to be asked again for a version of an entry (RFC 5546 2.1.4): it is at another time, or repeats in another way. A
 * date more or less of a series is no such change for the others.
 */
export function isRescheduled(before: CalendarEvent, after: CalendarEvent): boolean {
  const fields = differingShared(before, after);
  if (fields.includes('start') || fields.includes('end')) return true;
  return fields.includes('recurrence') && !!after.recurrence && !changedDates(before, after);
}
