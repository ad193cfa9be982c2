import { isReadOnly, type Calendar } from '../model/calendar';
import type { State } from '../model/state';
import type { Patch } from './patch';

/** The calendar whose entries a patch changes without permission; undefined if it may go ahead. */
export function readOnlyTouched(state: State, { changes, permission }: Patch): Calendar | undefined {
  if (permission === 'closed-calendars') return undefined;
  for (const change of changes) {
    if (change.collection !== 'entries') continue;
    for (const entry of [change.before, change.after]) {
      const calendar = entry ? state.calendars.get(entry.calendarId) : undefined;
      if (isReadOnly(calendar)) return calendar;
    }
  }
  return undefined;
}
