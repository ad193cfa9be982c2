import type { CalendarEvent } from '../model/entry';
import { AVAILABILITIES, CLASSIFICATIONS } from '../model/entry';
import type { State } from '../model/state';
import { editEach, madeOfEach } from './editEach';
import type { ChangeResult } from './eventFields';
import type { ChangeContext } from './patch';
import type { Refusal } from './shift';
import type { Target } from './target';

/** The plain values of an entry that are written where they stand. */
export const CELLS = ['title', 'place', 'category', 'calendar', 'availability', 'visibility'] as const;
export type Cell = (typeof CELLS)[number];

const namesIn = (text: string): string[] => [
  ...new Set(
    text
      .split(',')
      .map((name) => name.trim())
      .filter(Boolean),
  ),
];

/** What is written into a cell, in an event. */
function written(event: CalendarEvent, cell: Cell, text: string, state: State): CalendarEvent | Refusal {
  switch (cell) {
    case 'title':
      return { ...event, title: text.trim() };
    case 'place':
      return { ...event, location: text.trim() };
    case 'category':
      return { ...event, categories: namesIn(text) };
    case 'calendar':
      return state.calendars.has(text) ? { ...event, calendarId: text } : 'calendar-missing';
    case 'availability':
      return { ...event, availability: AVAILABILITIES.find((value) => value === text) ?? event.availability };
    case 'visibility':
      return {
        ...event,
        classification: CLASSIFICATIONS.find((value) => value === text) ?? event.classification,
      };
  }
}

/** Writes into one plain value of an entry: a series as a whole, an occurrence alone. */
export function editCell(
  state: State,
  target: Target,
  cell: Cell,
  text: string,
  context: ChangeContext,
): ChangeResult {
  const edited = editEach(state, [target], 'this', (event) => written(event, cell, text, state), context);
  const name = state.entries.get(target.entryId)?.title;
  return madeOfEach(edited, { what: 'entry-changed', name });
}
