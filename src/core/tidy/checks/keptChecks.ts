import { type CalendarEvent, type Entry, isEvent, isTodo, type Todo } from '../../model/entry';
import type { EntryIndex } from '../../schedule/entryIndex';
import { ofCalendars } from './calendarChecks';
import { type Check, Checked } from './check';
import { chains, onDaysOff, outsideHours, overbooked } from './dayChecks';
import { doubles } from './doubleChecks';
import { ofEach } from './fieldChecks';
import { CHECKS, COMING, type CheckName, type CheckQuery, type Finding } from './finding';
import type { Touched } from './groups';
import { overlaps } from './overlapCheck';
import { ofSeries } from './seriesChecks';
import { spellings, wrongZones } from './spellingChecks';
import { ofTodos } from './todoChecks';
import { DAY } from '../../time/civil';

/** All checks, each with all that it finds. */
const CHECKS_RUN: readonly Check[] = [
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
  (checked) => {
    const follow = ofTodos(checked);
    return (_, todos) => follow(todos);
  },
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
const MOST_LISTED = 500;

/** After so many changes all is looked at anew. */
const MOST_TOUCHED = 5000;

const timeOf = ({ details }: Finding): number => details.at ?? (details.day ?? 0) * DAY;
/** The first findings of a check, of however many. */
function firstOf(check: CheckName, found: readonly Finding[]): Finding[] {
  const sign = COMING.has(check) ? 1 : -1;
  const ranks = new Float64Array(found.length);
  for (let at = 0; at < ranks.length; at++) ranks[at] = sign * timeOf(found[at]!);
  const last = ranks.length > MOST_LISTED ? ranks.slice().sort()[MOST_LISTED - 1]! : Infinity;
  return found
    .filter((_, at) => ranks[at]! <= last)
    .sort((a, b) => sign * (timeOf(a) - timeOf(b)) || (a.id < b.id ? -1 : 1))
    .slice(0, MOST_LISTED);
}

function inOrder(all: Iterable<Finding>, { fine, accepts }: Asked): Findings {
  const isFine = new Set(fine);
  const byCheck = new Map<CheckName, Finding[]>(CHECKS.map((check) => [check, []]));
  let left = 0;
  for (const finding of all) {
    if (isFine.has(finding.id)) left++;
    else if (accepts(finding)) byCheck.get(finding.check)!.push(finding);
  }
  return {
    findings: [...byCheck].flatMap(([check, found]) => firstOf(check, found)),
    counts: Object.fromEntries(
      [...byCheck].flatMap(([check, { length }]) => (length > 0 ? [[check, length]] : [])),
    ),
    fine: left,
  };
}

/** Which of all findings are wanted. */
interface Asked {
  /** The ids of those that are fine as they are. */
  readonly fine: readonly string[];
  readonly accepts: (finding: Finding) => boolean;
}

/** Hears how many checks are done, of how many, before each goes on; says whether it is wanted still. */
export type Progress = (done: number, all: number) => boolean | Promise<boolean>;

/** What of the touched is an event: where it is gone, nobody knows what it was. */
const eventsIn = (touched: Touched<Entry>): Touched<CalendarEvent> =>
  new Map([...touched].flatMap(([id, entry]) => (!entry || isEvent(entry) ? [[id, entry] as const] : [])));
const todosIn = (touched: Touched<Entry>): Touched<Todo> =>
  new Map([...touched].flatMap(([id, entry]) => (!entry || isTodo(entry) ? [[id, entry] as const] : [])));

/**
 * All checks over the entries of an index. What they found is kept: after a change only what it touches is looked at again.
 */
export class KeptChecks {
  private checked: Checked | undefined;
  private checks: ReturnType<Check>[] = [];
  /** What the checks were last run with, but for what is fine. */
  private asked = '';
  /** The ids of what changed since, with those of its series; and calendars in which a whole day changed. */
  private touched = new Set<string>();
  private changedDays = new Set<string>();
  private running: Promise<unknown> = Promise.resolve();

  constructor(private readonly index: EntryIndex) {}

  /** Forgets everything: all entries are others now. */
  reset(): void {
    this.checked = undefined;
    this.forgetTouched();
  }

  private forgetTouched(): void {
    this.touched = new Set();
    this.changedDays = new Set();
  }

  /** Hears of a change of an entry: what it was, and what it is. */
  touch(id: string, entries: readonly (Entry | null)[]): void {
    if (!this.checked) return;
    this.touched.add(id);
    for (const entry of entries) {
      if (!entry) continue;
      if (entry.seriesId !== undefined) this.touched.add(entry.seriesId);
      if (isEvent(entry) && entry.start.kind === 'date') this.changedDays.add(entry.calendarId);
    }
    // Where most has changed, it costs less to begin anew.
    if (this.touched.size > MOST_TOUCHED) this.reset();
  }

  /**
   * What all checks find, one after the other.
   * @param accepts which findings are wanted
   * @returns undefined where it was not wanted any more
   */
  run(
    query: CheckQuery,
    next: Progress = () => true,
    accepts: Asked['accepts'] = () => true,
  ): Promise<Findings | undefined> {
    const run = this.running.then(() => this.runNow(query, next, accepts));
    this.running = run.catch(() => this.reset());
    return run;
  }

  private async runNow(
    { fine, ...query }: CheckQuery,
    next: Progress,
    accepts: Asked['accepts'],
  ): Promise<Findings | undefined> {
    const asked = JSON.stringify(query);
    let touched: Touched<Entry>;
    if (!this.checked || asked !== this.asked) {
      this.asked = asked;
      this.checked = new Checked(this.index, { ...query, fine });
      this.checks = CHECKS_RUN.map((check) => check(this.checked!));
      touched = new Map([...this.index.all()].map((entry) => [entry.id, entry]));
    } else {
      touched = this.concerned();
      this.checked.follow(eventsIn(touched));
    }
    this.forgetTouched();
    const { checked, checks } = this;
    const [events, todos] = [eventsIn(touched), todosIn(touched)];
    const all: Finding[] = [];
    for (const [done, check] of checks.entries()) {
      if (!(await next(done, checks.length))) {
        // Some have followed the change, and some have not.
        if (checked === this.checked) this.reset();
        return undefined;
      }
      for (const found of check(events, todos)) all.push(found);
    }
    return inOrder(all, { fine, accepts });
  }

  /** What was touched, with what hangs on it: a series and its occurrences, and series that leave out other days now. */
  private concerned(): Touched<Entry> {
    const ids = new Set(this.touched);
    for (const id of this.touched) for (const changed of this.index.events.changesOf(id)) ids.add(changed);
    if (this.changedDays.size > 0)
      for (const { id, recurrence } of this.index.events.all())
        if (recurrence?.skipDaysOff && this.changedDays.has(recurrence.skipDaysOff.calendarId)) ids.add(id);
    return new Map([...ids].map((id) => [id, this.index.get(id)]));
  }
}
