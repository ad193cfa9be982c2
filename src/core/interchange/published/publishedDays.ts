import type { CalendarEvent } from '../../model/entry';
import { daysOf, type Occurrence } from '../../schedule/occurrence';
import { dayWindow, OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { isOff } from '../../schedule/standing';

/** An occurrence on one day of a published calendar, with its notes, and the UID that its readers see. */
export interface PublishedItem {
  readonly occurrence: Occurrence;
  readonly notes: string;
  readonly uid: string;
}

/** A day of a published calendar on which there is something. */
export interface PublishedDay {
  readonly day: number;
  readonly items: readonly PublishedItem[];
}

/** What a published calendar shows day by day, within half-open day numbers on a zone's clock. */
export function publishedDays(
  events: readonly CalendarEvent[],
  range: { readonly first: number; readonly end: number },
  zone: string,
): PublishedDay[] {
  const index = new OccurrenceIndex();
  index.load(events);
  const occurrences = index
    .between(dayWindow(range.first, range.end, zone), zone)
    .filter((occurrence) => !isOff(occurrence));
  const days = new Map<number, PublishedItem[]>();
  for (const occurrence of occurrences) {
    const { first, end } = daysOf(occurrence);
    const { notes = '', uid = '' } = index.get(occurrence.entryId) ?? {};
    for (let day = Math.max(first, range.first); day < Math.min(end, range.end); day++) {
      const items = days.get(day) ?? [];
      items.push({ occurrence, notes, uid });
      days.set(day, items);
    }
  }
  return [...days].sort(([a], [b]) => a - b).map(([day, items]) => ({ day, items }));
}
