import type { State } from '../model/state';
import { editEach, madeOfEach } from './editEach';
import type { ChangeResult } from './eventFields';
import { daysBy, moveEntries } from './moveEntry';
import type { ChangeContext } from './patch';
import { eventAt, type Target } from './target';

/** Which occurrences of the series among several entries a change is about. */
export type SeveralScope = 'this' | 'every';

/** Moves several entries to a calendar. Of a series just the chosen occurrences, or every one with those that were changed. */
export function moveToCalendar(
  state: State,
  targets: readonly Target[],
  calendarId: string,
  scope: SeveralScope,
  context: ChangeContext,
): ChangeResult {
  const calendar = state.calendars.get(calendarId);
  if (!calendar) return { refused: 'calendar-missing' };
  const elsewhere = targets.filter((target) => eventAt(state, target, context)?.calendarId !== calendarId);
  const edited = editEach(state, elsewhere, scope, (event) => ({ ...event, calendarId }), context);
  return madeOfEach(edited, { what: 'entries-to-calendar', name: calendar.name });
}

/** Moves entries by whole days on their own clocks. Of a series, only the chosen occurrences move. */
export const shiftByDays = (
  state: State,
  targets: readonly Target[],
  days: number,
  context: ChangeContext,
): ChangeResult => moveEntries(state, targets, daysBy(days), context);
