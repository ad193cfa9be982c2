import type { Occurrence } from '../schedule/occurrence';
import { DAY } from '../time/civil';

/** A series that occurs on days in a row at the same time of day, as one line over them. */
export interface GatheredLine {
  /** The days that it covers, as columns, half-open. */
  readonly from: number;
  readonly to: number;
  readonly row: number;
  /** One for each day. */
  readonly occurrences: readonly Occurrence[];
}

/** So many days in a row make a line of their own. */
const FEWEST = 4;

/** What occurrences share that are gathered; undefined for one that stands by itself. */
function sharedBy(occurrence: Occurrence, day: number): string | undefined {
  const { startWall, endWall, recurrenceKey, changed, entryId, title, calendarId, availability, status } =
    occurrence;
  const minute = startWall - day * DAY;
  if (recurrenceKey === undefined || changed || minute < 0 || minute >= DAY || endWall > (day + 1) * DAY)
    return undefined;
  return JSON.stringify([entryId, minute, endWall - startWall, title, calendarId, availability, status]);
}

/**
 * The lines of a week's daily series, earliest first, each in the first row that is free for it.
 * @param onDays the timed occurrences of each shown day
 * @param days the shown day numbers
 * @param rows how many rows there is room for; what has none is not gathered
 */
export function gatherDaily(
  onDays: readonly (readonly Occurrence[])[],
  days: readonly number[],
  rows: number,
): GatheredLine[] {
  const byKind = new Map<string, (Occurrence | undefined)[]>();
  onDays.forEach((occurrences, column) => {
    for (const occurrence of occurrences) {
      const kind = sharedBy(occurrence, days[column]!);
      if (kind === undefined) continue;
      const found = byKind.get(kind) ?? [];
      found[column] = occurrence;
      byKind.set(kind, found);
    }
  });
  const runs: Omit<GatheredLine, 'row'>[] = [];
  for (const found of byKind.values())
    for (let from = 0; from < found.length; from++) {
      let to = from;
      // A view without weekends has days side by side that do not follow each other: they are a row all the same.
      while (found[to]) to++;
      if (to - from >= FEWEST) runs.push({ from, to, occurrences: found.slice(from, to) as Occurrence[] });
      from = Math.max(from, to);
    }
  runs.sort(
    (a, b) =>
      a.from - b.from ||
      a.occurrences[0]!.start - b.occurrences[0]!.start ||
      (a.occurrences[0]!.key < b.occurrences[0]!.key ? -1 : 1),
  );
  const ends: number[] = [];
  return runs.flatMap((run): GatheredLine[] => {
    let row = 0;
    while ((ends[row] ?? 0) > run.from) row++;
    if (row >= rows) return [];
    ends[row] = run.to;
    return [{ ...run, row }];
  });
}
