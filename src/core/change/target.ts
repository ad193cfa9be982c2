import type { CalendarEvent } from '../model/entry';
import type { State } from '../model/state';
import { parseLocal } from '../time/civil';
import type { EventTime } from '../model/eventTime';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import type { ChangeContext } from './patch';

/** What a change is about: an entry, or one occurrence of a series by the wall time of its original start. */
export interface Target {
  readonly entryId: string;
  /** `YYYY-MM-DD` or `YYYY-MM-DDTHH:MM:SS` on the series' own clock. */
  readonly recurrenceKey?: string;
}

/** Which occurrences a change of a recurring entry is about. */
export type Scope = 'this' | 'every';

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

/** The changed occurrences of a series. */
export function overridesOf(state: State, seriesId: string): CalendarEvent[] {
  const overrides: CalendarEvent[] = [];
  for (const entry of state.entries.values()) if (entry.seriesId === seriesId) overrides.push(entry);
  return overrides;
}

/**
 * The event as it stands at a target: the entry itself, or for an occurrence of a series an event of its own
 * (with `seriesId` and `recurrenceId`, under a fresh id) that starts and ends where the occurrence does.
 */
export function eventAt(state: State, target: Target, context: ChangeContext): CalendarEvent | undefined {
  const entry = state.entries.get(target.entryId);
  if (!entry || target.recurrenceKey === undefined || !entry.recurrence) return entry;
  const wall = parseLocal(target.recurrenceKey);
  const start = atWall(entry.start, wall);
  const { recurrence: _, ...single } = entry;
  return {
    ...single,
    id: context.newId(),
    seriesId: entry.id,
    recurrenceId: start,
    start,
    end: endAfter(entry, start, context.zone),
    created: context.now,
    modified: context.now,
  };
}

/** The end of an event moved to another start: exact for zoned times, nominal for dates and floating ones. */
export function endAfter(event: CalendarEvent, start: EventTime, zone: string): EventTime {
  if (event.start.kind !== 'zoned')
    return atWall(event.end, wallOf(start) + wallOf(event.end) - wallOf(event.start));
  const length = instantOf(event.end, zone) - instantOf(event.start, zone);
  return atInstant(event.end, instantOf(start, zone) + length, zone);
}
