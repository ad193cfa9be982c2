import type { BusySpan } from '../../model/busyTimes';
import type { WorkingPattern } from '../../model/settings';
import { gapsAmong } from '../../schedule/load';
import { DAY, MINUTE } from '../../time/civil';
import type { InstantRange } from '../../time/eventTime';
import { workingDay } from '../../time/workingPattern';
import { wallToInstant } from '../../time/zones';

/** Of which days, hours and lengths free times are told. */
export interface FreeTimesQuery {
  /** Half-open day numbers on the clock of the zone. */
  readonly first: number;
  readonly end: number;
  readonly zone: string;
  readonly workingPattern: WorkingPattern;
  /** Minutes of the day that they lie within, beside the working hours. */
  readonly earliest?: number | undefined;
  readonly latest?: number | undefined;
  /** Shorter ones are left out, in minutes. */
  readonly minutes: number;
  /** What takes one's time, in whatever order. */
  readonly busy: readonly BusySpan[];
  /** Whether what is tentative counts as free. */
  readonly overTentative: boolean;
  /** Days, as day numbers, on which nothing is free. */
  readonly daysOff: readonly number[];
  /** Nothing is free before it: an instant. */
  readonly now: number;
}

/** Instants are told in steps of five minutes. */
const STEP = 5 * MINUTE;

/** One's free times on some days: the working hours without what is taken, by their starts, as half-open instants. */
export function freeTimes(query: FreeTimesQuery): InstantRange[] {
  const { zone, workingPattern, earliest = 0, latest = 1440, minutes, busy, overTentative, now } = query;
  const taken = busy
    .filter(({ kind }) => !overTentative || kind !== 'tentative')
    .sort((a, b) => a.start - b.start);
  const off = new Set(query.daysOff);
  const found: InstantRange[] = [];
  for (let day = query.first; day < query.end; day++) {
    if (off.has(day)) continue;
    for (const { from, to } of workingDay(workingPattern, day).spans) {
      const [begins, ends] = [Math.max(from, earliest), Math.min(to, latest)];
      if (begins >= ends) continue;
      const at = (minute: number): number => wallToInstant(zone, day * DAY + minute * MINUTE);
      const start = Math.max(at(begins), Math.ceil(now / STEP) * STEP);
      found.push(...gapsAmong(taken, start, at(ends), minutes * MINUTE));
    }
  }
  return found;
}
