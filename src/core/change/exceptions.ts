import { type Dated, seriesOf } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import type { State } from '../model/state';
import { Series } from '../recurrence/series';
import { type ChangeContext, makePatch, type Patch, put, remove } from './patch';
import { touched } from './versions';

/** Sets a changed occurrence back to its series; undefined if it is none. */
export function resetOccurrence(state: State, overrideId: string, context: ChangeContext): Patch | undefined {
  const override = state.entries.get(overrideId);
  if (override?.seriesId === undefined || !state.entries.has(override.seriesId)) return undefined;
  return makePatch(context, { what: 'occurrence-reset', count: 1, name: override.title }, [
    remove('entries', override),
  ]);
}

/** A series with a date that it leaves out let in again; undefined if it leaves out no such date. */
export function withDate(event: Dated, date: EventTime, context: ChangeContext): Dated | undefined {
  if (!event.recurrence) return undefined;
  const series = new Series(event);
  const wallOfDate = (time: EventTime) => series.wallOfRecurrenceId(time, context.zone);
  const wall = wallOfDate(date);
  const exceptionDates = event.recurrence.exceptionDates.filter((time) => wallOfDate(time) !== wall);
  if (exceptionDates.length === event.recurrence.exceptionDates.length) return undefined;
  return touched({ ...event, recurrence: { ...event.recurrence, exceptionDates } }, context);
}

/** Brings a date back that a series leaves out; undefined if it leaves out no such date. */
export function bringBackDate(
  state: State,
  seriesId: string,
  date: EventTime,
  context: ChangeContext,
): Patch | undefined {
  const event = seriesOf(state.entries.get(seriesId));
  const whole = event && withDate(event, date, context);
  if (!whole) return undefined;
  return makePatch(context, { what: 'occurrence-brought-back', count: 1, name: whole.title }, [
    put(state, 'entries', whole),
  ]);
}
