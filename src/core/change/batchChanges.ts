import type { CalendarEvent } from '../model/entry';
import type { State } from '../model/state';
import type { ChangeResult } from './eventFields';
import { daysBy, moveEntries } from './moveEntry';
import { type Change, type ChangeContext, makePatch, type Patch, put } from './patch';
import { eventAt, isRecurring, masterOf, overridesOf, type Target } from './target';

/** Which occurrences of the series among several entries a change is about. */
export type SeveralScope = 'this' | 'every';

/** Moves several entries to a calendar. Of a series just the chosen occurrences, or every one with those that were changed. */
export function moveToCalendar(
  state: State,
  targets: readonly Target[],
  calendarId: string,
  scope: SeveralScope,
  context: ChangeContext,
): Patch {
  const changes = new Map<string, Change>();
  let count = 0;
  const move = (entry: CalendarEvent): boolean => {
    if (entry.calendarId === calendarId) return false;
    changes.set(
      entry.id,
      put(state, 'entries', {
        ...entry,
        calendarId,
        sequence: entry.sequence + 1,
        modified: context.now,
      }),
    );
    return true;
  };
  for (const target of targets) {
    const master = masterOf(state, target);
    if (!master) continue;
    const isOne = scope === 'this' && isRecurring(state, target) && !isWholeSeries(state, target);
    const event = isOne ? eventAt(state, target, context) : master;
    if (!event || changes.has(event.id)) continue;
    let isMoved = move(event);
    if (!isOne && master.recurrence)
      for (const override of overridesOf(state, master.id)) isMoved = move(override) || isMoved;
    if (isMoved) count++;
  }
  return makePatch(
    context,
    { what: 'entries-to-calendar', count, name: state.calendars.get(calendarId)?.name },
    [...changes.values()],
  );
}

const isWholeSeries = (state: State, target: Target): boolean =>
  target.recurrenceKey === undefined && !!state.entries.get(target.entryId)?.recurrence;

/** Moves entries by whole days on their own clocks. Of a series, only the chosen occurrences move. */
export const shiftByDays = (
  state: State,
  targets: readonly Target[],
  days: number,
  context: ChangeContext,
): ChangeResult => moveEntries(state, targets, daysBy(days), context);
