import type { BusyKind, BusyTimes } from '../../model/busyTimes';
import type { Occurrence } from '../../schedule/occurrence';
import { DAY, MINUTE } from '../../time/civil';
import { instantToWall, startOfDay } from '../../time/zones';

const PREFIX = 'person:';

/** Under which id a colleague's times stand where calendars do: as a lane, a column, a chip. */
export const colleagueLaneId = (personId: string): string => `${PREFIX}${personId}`;

/** Whose lane it is; undefined for a calendar. */
export const colleagueOfLane = (id: string): string | undefined =>
  id.startsWith(PREFIX) ? id.slice(PREFIX.length) : undefined;

/** What is said of times whose title is not seen, and of days of which nothing is known. */
export type ColleagueTitles = Readonly<Record<BusyKind | 'unknown', string>>;

const blank = {
  location: '',
  classification: 'public',
  status: 'confirmed',
  recurring: false,
  changed: false,
  reminds: false,
} as const;

/**
 * What takes a colleague's time on half-open day numbers, as occurrences of their own lane: nothing of it can be opened or moved. A
 * day of which nothing is known is there as one of the whole day that takes no time.
 * @param times what was read of them, if anything was
 * @param zone the zone of the days
 * @param isOutlined whether it stands over one's own: as an outline
 */
export function colleagueOccurrences(
  personId: string,
  times: Pick<BusyTimes, 'from' | 'until' | 'spans'> | undefined,
  { first, end }: { readonly first: number; readonly end: number },
  zone: string,
  { titles, isOutlined }: { readonly titles: ColleagueTitles; readonly isOutlined: boolean },
): Occurrence[] {
  const lane = colleagueLaneId(personId);
  const own = { ...blank, calendarId: lane, entryId: lane, personId, isOutlined };
  const [from, until] = [startOfDay(zone, first), startOfDay(zone, end)];
  const busy = (times?.spans ?? [])
    .filter((span) => span.start < until && span.end > from)
    .map(({ start, end: over, kind, title, place }, index): Occurrence => ({
      ...own,
      key: `${lane}|${start}|${index}`,
      // Over one's own there is room for how taken they are, and no more.
      title: (isOutlined ? undefined : title) ?? titles[kind],
      location: isOutlined ? '' : (place ?? ''),
      start,
      end: over,
      startWall: instantToWall(zone, start),
      endWall: instantToWall(zone, over),
      allDay: false,
      availability: kind,
    }));
  const unknown: Occurrence[] = [];
  for (let day = first; day < end; day++) {
    const [begins, ends] = [startOfDay(zone, day), startOfDay(zone, day + 1)];
    if (times && times.from < ends && times.until > begins) continue;
    unknown.push({
      ...own,
      key: `${lane}|unknown|${day}`,
      title: titles.unknown,
      start: begins,
      end: ends,
      startWall: day * DAY,
      endWall: (day + 1) * DAY,
      allDay: true,
      availability: 'free',
    });
  }
  return [...busy, ...unknown];
}

/** How many minutes of half-open instants are taken; what lies over each other counts once. */
export function takenMinutes(
  spans: readonly { readonly start: number; readonly end: number }[],
  { start, end }: { readonly start: number; readonly end: number },
): number {
  let taken = 0;
  let upTo = start;
  for (const span of [...spans].sort((a, b) => a.start - b.start)) {
    const from = Math.max(span.start, upTo);
    const until = Math.min(span.end, end);
    if (until <= from) continue;
    taken += until - from;
    upTo = until;
  }
  return Math.round(taken / MINUTE);
}
