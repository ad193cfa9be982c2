import { type CalendarEvent, type Entry, eventsOf, isEvent, seriesOf } from '../model/entry';
import type { State } from '../model/state';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { rangeChangeAt, rangeChanges, shapeAt } from '../recurrence/occurrenceShape';
import { Series } from '../recurrence/series';
import type { DayOffLookup } from '../recurrence/skipDaysOff';
import { DaysOff } from '../schedule/daysOff';
import { parseLocal } from '../time/civil';
import { atWall } from '../time/eventTime';
import { overridesOf } from './overrides';
import type { ChangeContext } from './patch';

/** What a change is about: an entry, or one occurrence of a series by the wall time of its original start. */
export interface Target {
  readonly entryId: string;
  /** `YYYY-MM-DD` or `YYYY-MM-DDTHH:MM:SS` on the series' own clock. */
  readonly recurrenceKey?: string;
}

/** Which occurrences a change of a recurring entry is about. */
export const SCOPES = ['this', 'later', 'every'] as const;
export type Scope = (typeof SCOPES)[number];

/** A text that is equal for equal targets. */
export const targetKey = (target: Target): string =>
  target.recurrenceKey === undefined ? target.entryId : `${target.entryId}|${target.recurrenceKey}`;

/** The target of a key made by `targetKey`. */
export function targetOfKey(key: string): Target {
  const [entryId, recurrenceKey] = key.split('|');
  return recurrenceKey === undefined ? { entryId: key } : { entryId: entryId!, recurrenceKey };
}

/** Whether a target is part of a series: an occurrence, or a changed one with its series still there. */
export function isRecurring(state: State, target: Target): boolean {
  const entry = state.entries.get(target.entryId);
  return (
    !!entry && (!!entry.recurrence || (entry.seriesId !== undefined && state.entries.has(entry.seriesId)))
  );
}

/** The series that a target belongs to, or the entry itself. */
export function masterOf(state: State, target: Target): Entry | undefined {
  const entry = state.entries.get(target.entryId);
  return (entry?.seriesId !== undefined && state.entries.get(entry.seriesId)) || entry;
}

/**
 * The entry as it stands at a target: itself, or for an occurrence of a series an entry of its own
 * (with `seriesId` and `recurrenceId`, under a fresh id) that starts and ends where the occurrence does.
 */
export function entryAt(state: State, target: Target, context: ChangeContext): Entry | undefined {
  const entry = state.entries.get(target.entryId);
  const master = seriesOf(entry);
  if (!master || target.recurrenceKey === undefined) return entry;
  const wall = parseLocal(target.recurrenceKey);
  const series = new Series(master);
  const ranges = rangeChanges(series, overridesOf(state, master.id), context.zone);
  const shownWall = series.shownWallOf(wall, context.zone, daysOffFor(state, master)) ?? wall;
  const { fields, start, end } = shapeAt(master, shownWall, rangeChangeAt(ranges, wall), context.zone);
  const { recurrence: _, recurrenceRange: __, ...single } = fields;
  return {
    ...single,
    id: context.newId(),
    uid: master.uid,
    seriesId: master.id,
    recurrenceId: atWall(master.start, wall),
    start,
    end,
    created: context.now,
    modified: context.now,
  };
}

/** The event as it stands at a target; undefined where something else is there. */
export function eventAt(state: State, target: Target, context: ChangeContext): CalendarEvent | undefined {
  const entry = entryAt(state, target, context);
  return entry && isEvent(entry) ? entry : undefined;
}

/** What a series that skips days off has to know of the state; undefined for one that skips none. */
export function daysOffFor(state: State, series: Entry): DayOffLookup | undefined {
  const skip = series.recurrence?.skipDaysOff;
  if (!skip) return undefined;
  const own = eventsOf(state.entries.values()).filter(({ calendarId }) => calendarId === skip.calendarId);
  const pattern = state.settings.get('settings')?.workingPattern ?? standardWorkingPattern;
  return new DaysOff(own).lookup(pattern);
}
