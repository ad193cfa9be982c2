import { type Dated, isEvent } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { DAY, dateString, localString, MINUTE } from '../time/civil';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import { endAfter } from '../recurrence/occurrenceShape';

/** Why a change can't be made. The interface has the words. */
const REFUSALS = [
  'rule-fixes-days',
  'unreadable-rule',
  'rule-not-divisible',
  'end-before-start',
  'calendar-missing',
  'entry-missing',
  'beyond-calendar',
  'title-too-long',
  'calendar-closed',
  'others-meeting',
  'not-timed',
  'no-such-zone',
  'no-series',
  'series-without-end',
  'too-many-dates',
  'fits-no-rule',
  'no-date',
  'no-event',
  'no-todo',
  'done-by-date',
] as const;
export type Refusal = (typeof REFUSALS)[number];

/** Whether a change was refused rather than made. */
export const isRefusal = (value: unknown): value is Refusal =>
  typeof value === 'string' && REFUSALS.some((refusal) => refusal === value);

/** A time moved on its own wall clock. */
const shiftTime = (time: EventTime, by: number): EventTime => atWall(time, wallOf(time) + by);

/** An event moved by wall-clock milliseconds (whole days for all-day events), its length kept. */
export function shiftEvent(event: Dated, by: number, zone: string): Dated {
  const wholeDays = event.start.kind === 'date' ? Math.round(by / DAY) * DAY : by;
  const start = shiftTime(event.start, wholeDays);
  return { ...event, start, end: endAfter(event, start, zone) };
}

/** An event that ends at another instant. All-day events end with a whole day. */
export function stretchEvent(event: Dated, edge: 'start' | 'end', by: number, zone: string): Dated | Refusal {
  const amount = event.start.kind === 'date' ? Math.round(by / DAY) * DAY : by;
  const moved =
    event.start.kind === 'zoned'
      ? atInstant(event[edge], instantOf(event[edge], zone) + amount, zone)
      : shiftTime(event[edge], amount);
  const stretched = { ...event, [edge]: moved };
  return instantOf(stretched.start, zone) < instantOf(stretched.end, zone) ? stretched : 'end-before-start';
}

/** An event turned into whole days beginning with a day, as many as it touched. Its length is remembered. */
export function toWholeDays(event: Dated, day: number): Dated {
  const length = wallOf(event.end) - wallOf(event.start);
  const days = Math.max(1, Math.ceil(length / DAY));
  const wasTimed = event.start.kind !== 'date';
  return {
    ...event,
    start: { kind: 'date', date: dateString(day) },
    end: { kind: 'date', date: dateString(day + days) },
    ...(isEvent(event) && wasTimed && length > 0 ? { timedMinutes: Math.round(length / MINUTE) } : {}),
  };
}

/** An all-day event turned into hours of a day: so many milliseconds from a wall time of the viewer's zone. */
export function toHours(entry: Dated, startWall: number, zone: string, length: number): Dated {
  const times = {
    start: { kind: 'zoned', local: localString(startWall), zone },
    end: { kind: 'zoned', local: localString(startWall + length), zone },
  } as const;
  if (!isEvent(entry)) return { ...entry, ...times };
  const { timedMinutes: _, ...event } = entry;
  return { ...event, ...times };
}
