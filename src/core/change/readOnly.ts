import { isReadOnly, type Calendar } from '../model/calendar';
import type { State } from '../model/state';
import type { Patch } from './patch';

/** Changes that may touch entries of calendars that can't be changed by hand. */
const ALLOWED = new Set([
  'feed-refreshed',
  'calendar-deleted',
  'calendar-restored',
  'calendars-merged',
  'imported',
  'restored',
  'settings-changed',
  'bin-emptied',
]);

/** The calendar whose entries a patch changes though they can't be changed here; undefined if it may go ahead. */
export function readOnlyTouched(state: State, patch: Patch): Calendar | undefined {
  if (ALLOWED.has(patch.summary.what)) return undefined;
  for (const change of patch.changes) {
    if (change.collection !== 'entries') continue;
    for (const entry of [change.before, change.after]) {
      const calendar = entry ? state.calendars.get(entry.calendarId) : undefined;
      if (isReadOnly(calendar)) return calendar;
    }
  }
  return undefined;
}
