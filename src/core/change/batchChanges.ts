import type { Reminder } from '../model/reminder';
import type { State } from '../model/state';
import { changedReminders } from './batch/changedReminders';
import { editEach, madeOfEach } from './editEach';
import type { ChangeResult } from './eventFields';
import { daysBy, moveEntries } from './moveEntry';
import type { ChangeContext } from './patch';
import { entryAt, type Target } from './target';

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
  const elsewhere = targets.filter((target) => entryAt(state, target, context)?.calendarId !== calendarId);
  const edited = editEach(state, elsewhere, scope, (entry) => ({ ...entry, calendarId }), context);
  return madeOfEach(edited, { what: 'entries-to-calendar', name: calendar.name });
}

/** What becomes of the reminders of several entries: one more, none at all, or those that are usual in their calendars. */
export type ReminderChange =
  | { readonly kind: 'add'; readonly reminder: Reminder }
  | { readonly kind: 'none' }
  | { readonly kind: 'usual' };

/** Gives several entries a reminder more, takes all of them, or has them follow their calendars again. */
export function changeReminders(
  state: State,
  targets: readonly Target[],
  change: ReminderChange,
  scope: SeveralScope,
  context: ChangeContext,
): ChangeResult {
  const edited = editEach(
    state,
    targets,
    scope,
    (event) =>
      changedReminders(
        event,
        { how: change.kind, reminders: change.kind === 'add' ? [change.reminder] : [] },
        state,
      ),
    context,
  );
  return madeOfEach(edited, { what: 'entries-reminded' });
}

/** Moves entries by whole days on their own clocks. Of a series, only the chosen occurrences move. */
export const shiftByDays = (
  state: State,
  targets: readonly Target[],
  days: number,
  context: ChangeContext,
): ChangeResult => moveEntries(state, targets, daysBy(days), context);
