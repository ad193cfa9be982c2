import type { CalendarEvent } from '../model/entry';
import type { State } from '../model/state';
import { type CalendarFields, saveCalendar } from './calendarChanges';
import { type Change, type ChangeContext, makePatch, type Patch, put } from './patch';

/** Where imported entries go. */
export type ImportInto = { calendarId: string } | { newCalendar: CalendarFields };

/** Puts events read from a file into a calendar, as one patch. */
export function importEntries(
  state: State,
  events: readonly CalendarEvent[],
  into: ImportInto,
  context: ChangeContext,
): Patch {
  const made: Change[] =
    'newCalendar' in into ? [...saveCalendar(state, undefined, into.newCalendar, context).changes] : [];
  const calendarId = 'calendarId' in into ? into.calendarId : made[0]!.id;
  const name = 'calendarId' in into ? state.calendars.get(calendarId)?.name : into.newCalendar.name;
  return makePatch(context, { what: 'imported', count: events.length, name }, [
    ...made,
    ...events.map((event) => put(state, 'entries', { ...event, calendarId })),
  ]);
}
