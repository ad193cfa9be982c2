import type { Occurrence } from '../../schedule/occurrence';
import { isEvent } from '../../model/entry';
import { DAY, MINUTE } from '../../time/civil';
import { minutesOf, type TableLine } from './tableLines';
import type { TableSums } from './tableQuery';

/** The minutes that hours take together, where they overlap once. */
function minutesOnce(occurrences: readonly Occurrence[]): number {
  const timed = occurrences.filter(({ allDay }) => !allDay).sort((a, b) => a.start - b.start);
  let covered = 0;
  let until = -Infinity;
  for (const { start, end } of timed) {
    if (end <= until) continue;
    covered += end - Math.max(start, until);
    until = end;
  }
  return Math.round(covered / MINUTE);
}

/**
 * What lines come to. A to-do takes no time itself: it is counted, and what it is said to take is not.
 * @param isBounded whether the lines hold all occurrences of a range, or each series once
 */
export function sumsOf(lines: readonly TableLine[], isBounded: boolean): TableSums {
  const occurrences = lines.flatMap(({ entry, occurrences: own }) => (isEvent(entry) ? own : []));
  const wholeDays = occurrences.reduce(
    (sum, { allDay, startWall, endWall }) => sum + (allDay ? Math.round((endWall - startWall) / DAY) : 0),
    0,
  );
  return {
    entries: lines.length,
    occurrences: occurrences.length,
    wholeDays,
    ...(isBounded
      ? {
          minutesEach: occurrences.reduce((sum, occurrence) => sum + minutesOf(occurrence), 0),
          minutesOnce: minutesOnce(occurrences),
        }
      : {}),
  };
}
