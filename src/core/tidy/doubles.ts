import type { CalendarEvent } from '../model/entry';

/** Two entries that look like one: the same UID (RFC 5545 3.8.4.7), or the same title at the same time. */
export interface Double {
  readonly one: CalendarEvent;
  readonly other: CalendarEvent;
  readonly by: 'uid' | 'title-and-time';
}

/** An entry that stands for itself: single, a series, or a changed occurrence whose series is not there. */
export const isHead = ({ seriesId }: Pick<CalendarEvent, 'seriesId'>): boolean => seriesId === undefined;

const uidKey = (event: CalendarEvent): string => JSON.stringify([event.uid, event.recurrenceId ?? null]);

const timeKey = (event: CalendarEvent): string =>
  JSON.stringify([
    event.title.normalize('NFKC').trim().toLocaleLowerCase(),
    event.start,
    event.end,
    [...(event.recurrence?.rules ?? [])].sort(),
  ]);

/**
 * The doubles among two lists of entries, at most one for each of the first. The changed occurrences of a series follow
 * their series and are not named themselves.
 */
export function findDoubles(ones: readonly CalendarEvent[], others: readonly CalendarEvent[]): Double[] {
  const byUid = new Map<string, CalendarEvent>();
  const byTime = new Map<string, CalendarEvent>();
  for (const other of others) {
    if (!isHead(other)) continue;
    byUid.set(uidKey(other), other);
    if (other.title.trim() !== '') byTime.set(timeKey(other), other);
  }
  return ones.filter(isHead).flatMap((one): Double[] => {
    const sameUid = byUid.get(uidKey(one));
    if (sameUid) return [{ one, other: sameUid, by: 'uid' }];
    const sameTime = byTime.get(timeKey(one));
    return sameTime ? [{ one, other: sameTime, by: 'title-and-time' }] : [];
  });
}
