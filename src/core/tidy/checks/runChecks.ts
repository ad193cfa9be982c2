import type { OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { ofCalendars } from './calendarChecks';
import { type Check, Checked } from './check';
import { chains, onDaysOff, outsideHours, overbooked, overlaps } from './dayChecks';
import { doubles } from './doubleChecks';
import { ofEach } from './fieldChecks';
import { CHECKS, COMING, type CheckName, type CheckQuery, type Finding } from './finding';
import { ofSeries } from './seriesChecks';
import { spellings, wrongZones } from './spellingChecks';

/** All checks, each with all that it finds. */
const RUNS: readonly Check[] = [
  doubles,
  ofEach,
  ofSeries,
  overlaps,
  overbooked,
  chains,
  onDaysOff,
  outsideHours,
  spellings,
  wrongZones,
  ofCalendars,
];

/** What all checks found. */
export interface Findings {
  /** By weight, then the latest first, or the next of what is to come; without those that are fine, and of one check at most so many. */
  readonly findings: readonly Finding[];
  /** How many each check found, those that are fine left out. */
  readonly counts: Readonly<Partial<Record<CheckName, number>>>;
  /** How many are left out because they are fine as they are. */
  readonly fine: number;
}

/** So many findings of one check are listed: who has dealt with them asks for the next. */
export const MOST_LISTED = 500;

const WEIGHT = new Map(CHECKS.map((check, at) => [check, at]));
const timeOf = ({ details }: Finding): number => details.at ?? (details.day ?? 0) * 86_400_000;

function inOrder(all: readonly Finding[], query: CheckQuery): Findings {
  const fine = new Set(query.fine);
  const findings = all
    .filter(({ id }) => !fine.has(id))
    .sort(
      (a, b) =>
        WEIGHT.get(a.check)! - WEIGHT.get(b.check)! ||
        (COMING.has(a.check) ? timeOf(a) - timeOf(b) : timeOf(b) - timeOf(a)) ||
        (a.id < b.id ? -1 : 1),
    );
  const counts: Partial<Record<CheckName, number>> = {};
  const listed = findings.filter(({ check }) => (counts[check] = (counts[check] ?? 0) + 1) <= MOST_LISTED);
  return { findings: listed, counts, fine: all.length - findings.length };
}

/**
 * Runs all checks, one after the other.
 * @param next hears how many are done before each goes on, and says whether it is wanted still
 * @returns undefined where it was not
 */
export async function runChecks(
  index: OccurrenceIndex,
  query: CheckQuery,
  next: (done: number, all: number) => boolean | Promise<boolean> = () => true,
): Promise<Findings | undefined> {
  const checked = new Checked(index, query);
  const all: Finding[] = [];
  for (const [done, check] of RUNS.entries()) {
    if (!(await next(done, RUNS.length))) return undefined;
    for (const found of check(checked)) all.push(found);
  }
  return inOrder(all, query);
}
