import { type Dated, isEvent } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { endAfter } from '../../recurrence/occurrenceShape';
import { DAY, localString, MINUTE, parseDate, startOfWeek } from '../../time/civil';
import { atInstant, atWall, instantOf, wallOf } from '../../time/eventTime';
import { isKnownZone } from '../../time/zones';
import { type Refusal, shiftEvent, stretchEvent, toHours, toWholeDays } from '../shift';
import type { StepOf } from '../../model/batchStep';

type Timed = Dated | Refusal;

const isWhole = ({ start }: Dated): boolean => start.kind === 'date';
const dayOf = (time: EventTime): number => Math.floor(wallOf(time) / DAY);

/** An event that starts at another wall time, as long as before. */
const startingAt = (event: Dated, wall: number, zone: string): Dated => {
  const start = atWall(event.start, wall);
  return { ...event, start, end: endAfter(event, start, zone) };
};

/** Moved on its own clock. Whole days move by whole days only. */
export function shifted(event: Dated, step: StepOf<'shift'>, zone: string): Timed {
  if (isWhole(event) && step.minutes % 1440 !== 0) return 'not-timed';
  return shiftEvent(event, step.days * DAY + step.minutes * MINUTE, zone);
}

/** On the same weekday of another week. */
export function toWeek(event: Dated, { of }: StepOf<'week'>, zone: string): Dated {
  const by = startOfWeek(parseDate(of)) - startOfWeek(dayOf(event.start));
  return shiftEvent(event, by * DAY, zone);
}

/** At another time of the day on which it starts. */
export function atTimeOfDay(event: Dated, { minute }: StepOf<'start-time'>, zone: string): Timed {
  if (isWhole(event)) return 'not-timed';
  return startingAt(event, dayOf(event.start) * DAY + minute * MINUTE, zone);
}

/** As long as is asked: whole days by days, all else exactly. */
export function withLength(event: Dated, { minutes }: StepOf<'length'>, zone: string): Timed {
  const { start, end } = event;
  if (isWhole(event))
    return minutes % 1440 === 0
      ? { ...event, end: atWall(end, wallOf(start) + minutes * MINUTE) }
      : 'not-timed';
  return {
    ...event,
    end:
      start.kind === 'zoned'
        ? atInstant(end, instantOf(start, zone) + minutes * MINUTE, zone)
        : atWall(end, wallOf(start) + minutes * MINUTE),
  };
}

const ROUNDED = { nearest: Math.round, earlier: Math.floor, later: Math.ceil } as const;

/** Both ends on the grid, at least one step of it apart. */
export function rounded(event: Dated, { minutes, way }: StepOf<'round'>, zone: string): Timed {
  if (isWhole(event)) return 'not-timed';
  const grid = minutes * MINUTE;
  const round = (time: EventTime): EventTime => atWall(time, ROUNDED[way](wallOf(time) / grid) * grid);
  const start = round(event.start);
  const end = round(event.end);
  if (instantOf(end, zone) > instantOf(start, zone)) return { ...event, start, end };
  const least = { kind: 'length', minutes } as const;
  return withLength({ ...event, start, end }, least, zone);
}

/** Ends earlier. */
export const trimmed = (event: Dated, { minutes }: StepOf<'trim'>, zone: string): Timed =>
  isWhole(event) ? 'not-timed' : stretchEvent(event, 'end', -minutes * MINUTE, zone);

/** On another clock: at the same instant, or when that clock shows the same. */
export function inZone(event: Dated, step: StepOf<'zone'>, zone: string): Timed {
  if (isWhole(event)) return 'not-timed';
  if (!isKnownZone(step.zone)) return 'no-such-zone';
  const on = (time: EventTime): EventTime => {
    const clock = { kind: 'zoned', local: localString(wallOf(time)), zone: step.zone } as const;
    return step.keeps === 'wall' ? clock : atInstant(clock, instantOf(time, zone), zone);
  };
  const moved = { ...event, start: on(event.start), end: on(event.end) };
  // Where start and end stood on two clocks, one clock may have it end first.
  return instantOf(moved.end, zone) < instantOf(moved.start, zone) ? 'end-before-start' : moved;
}

/** The days that it touches, whole. */
export const asWholeDays = (event: Dated): Dated =>
  isWhole(event) ? event : toWholeDays(event, dayOf(event.start));

/** Hours of the first of its days; as long as it was before it was whole days, where that is known. */
export const asHours = (event: Dated, { minute, minutes }: StepOf<'hours'>, zone: string) =>
  isWhole(event)
    ? toHours(
        event,
        dayOf(event.start) * DAY + minute * MINUTE,
        zone,
        ((isEvent(event) && event.timedMinutes) || minutes) * MINUTE,
      )
    : event;
