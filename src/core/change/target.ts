import type { CalendarEvent } from '../model/entry';
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
export function masterOf(state: State, target: Target): CalendarEvent | undefined {
  const entry = state.entries.get(target.entryId);
  return (entry?.seriesId !== undefined && state.entries.get(entry.seriesId)) || entry;
}

/**
 * The event as it stands at a target: the entry itself, or for an occurrence of a series an event of its own
 * (with `seriesId` and `recurrenceId`, under a fresh id) that starts and ends where the occurrence does.
 */
export function eventAt(state: State, target: Target, context: ChangeContext): CalendarEvent | undefined {
  const entry = state.entries.get(target.entryId);
  if (!entry || target.recurrenceKey === undefined || !entry.recurrence) return entry;
  const wall = parseLocal(target.recurrenceKey);
  const series = new Series(entry);
  const ranges = rangeChanges(series, overridesOf(state, entry.id), context.zone);
  const shownWall = series.shownWallOf(wall, context.zone, daysOffFor(state, entry)) ?? wall;
  const { fields, start, end } = shapeAt(entry, shownWall, rangeChangeAt(ranges, wall), context.zone);
  const { recurrence: _, recurrenceRange: __, ...single } = fields;
  return {
    ...single,
    id: context.newId(),
    uid: entry.uid,
    seriesId: entry.id,
    recurrenceId: atWall(entry.start, wall),
    start,
    end,
    created: context.now,
    modified: context.now,
  };
}

/** What a series that skips days off has to know of the state; undefined for one that skips none. */
export function daysOffFor(state: State, series: CalendarEvent): DayOffLookup | undefined {
  const skip = series.recurrence?.skipDaysOff;
  if (!skip) return undefined;
  const own = [...state.entries.values()].filter((entry) => entry.calendarId === skip.calendarId);
  const pattern = state.settings.get('settings')?.workingPattern ?? standardWorkingPattern;
  return new DaysOff(own).lookup(pattern);
}
