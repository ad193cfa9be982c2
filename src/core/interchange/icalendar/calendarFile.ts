import type { CalendarEvent, Todo } from '../../model/entry';
import { wallOf } from '../../time/eventTime';
import type { CalendarProperties } from './calendarProperties';
import type { ReadProblem } from './problems';

/** What a calendar file holds. The entries name no calendar of ours yet. */
export interface CalendarFile extends CalendarProperties {
  readonly events: readonly CalendarEvent[];
  readonly todos: readonly Todo[];
  readonly problems: readonly ReadProblem[];
}

/** The first and last wall time of a file's events, for its preview; undefined for an empty file. */
export function spanOf(events: readonly CalendarEvent[]): { first: number; last: number } | undefined {
  if (events.length === 0) return undefined;
  const walls = events.map((event) => wallOf(event.start));
  return {
    first: walls.reduce((a, b) => Math.min(a, b)),
    last: walls.reduce((a, b) => Math.max(a, b)),
  };
}
