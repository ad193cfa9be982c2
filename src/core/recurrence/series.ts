import type { Dated } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { DAY, parseDate, parseLocal } from '../time/civil';
import { recurrenceKey, wallOf, zoneOf } from '../time/eventTime';
import { instantToWall, wallToInstant } from '../time/zones';
import { expandRule, LAST_WALL, TooManyDatesError, type WallRange } from './expandRule';
import { parseRule, type RecurrenceRule, RecurrenceRuleError, type Until } from './rule';
import { RuleBlocks } from './ruleBlocks';
import { makesTooManyDates, MOST_DATES_A_YEAR } from './ruleProblems';
import { dayInstead, type DayOffLookup, FARTHEST_MOVE } from './skipDaysOff';

/** One date of a series, before overrides. */
export interface SeriesDate {
  /** The original start as wall time: the identity of the occurrence (RECURRENCE-ID). */
  readonly wall: number;
  /** Where it is shown: another day than the original where a day off moved it. */
  readonly shownWall: number;
  /** Instants, in the zone that the series is viewed in if it has none. */
  readonly start: number;
  readonly end: number;
}

interface CompiledRule {
  readonly rule: RecurrenceRule;
  readonly blocks: RuleBlocks;
  /** Whether it makes more dates than a view can hold: it then makes its start alone, unless all are asked for. */
  readonly isDense: boolean;
}

/** What is left out: whole days, as day numbers, and wall times. */
interface Exceptions {
  readonly days: ReadonlySet<number>;
  readonly walls: ReadonlySet<number>;
}

/** A further date with an end of its own: its wall time, and its length in milliseconds. */
interface Period {
  readonly wall: number;
  readonly length: number;
}

/**
 * A series made ready for expansion: rules parsed, exceptions and further dates as wall times.
 * An unreadable rule makes no dates; `readRules` and `problemsOfRule` say so to whoever reads a file.
 */
export class Series<Kept extends Dated = Dated> {
  readonly allDay: boolean;
  private readonly startWall: number;
  private readonly endWall: number;
  private readonly rules: readonly CompiledRule[];
  private readonly dates: readonly EventTime[];
  private readonly exceptions: readonly EventTime[];
  private readonly exactLengthByZone = new Map<string, number>();
  private readonly lastWallByZone = new Map<string, number>();
  private readonly periodsByZone = new Map<string, ReadonlyMap<number, Period>>();
  private readonly furtherByZone = new Map<string, readonly number[]>();
  private readonly exceptionsByZone = new Map<string, Exceptions>();
  private isHeldBack = false;
  /** The occurrences of a counted rule, walked once. */
  private readonly countedWalls = new Map<CompiledRule, number[]>();

  constructor(readonly event: Kept) {
    this.allDay = event.start.kind === 'date';
    this.startWall = wallOf(event.start);
    this.endWall = wallOf(event.end);
    const recurrence = event.recurrence ?? { rules: [], dates: [], exceptionDates: [] };
    this.rules = readRules(recurrence.rules).rules.map((rule) => ({
      rule,
      blocks: new RuleBlocks(rule, this.startWall),
      isDense: makesTooManyDates(rule, this.startWall),
    }));
    this.dates = recurrence.dates;
    this.exceptions = recurrence.exceptionDates;
  }

  /** The length in milliseconds: of the wall clock for whole days and floating times, else exact. */
  private length(viewZone: string): number {
    const known = this.exactLengthByZone.get(viewZone);
    if (known !== undefined) return known;
    const { start, end } = this.event;
    const length =
      start.kind === 'zoned'
        ? wallToInstant(zoneOf(end, viewZone), this.endWall) -
          wallToInstant(zoneOf(start, viewZone), this.startWall)
        : this.endWall - this.startWall;
    this.exactLengthByZone.set(viewZone, length);
    return length;
  }

  /**
   * The dates whose span [start, end) touches the window of instants, ascending by original start.
   * @param daysOff what the series has to know if it skips days off; without it, it skips none
   * @param all whether rules that make more dates than a view can hold are expanded, too
   * @param most how many dates are looked at
   * @throws TooManyDatesError if there are more, or if all are asked for and they are too many for any list
   */
  between(
    window: WallRange,
    viewZone: string,
    daysOff?: DayOffLookup,
    all = false,
    most = Infinity,
  ): SeriesDate[] {
    const zone = zoneOf(this.event.start, viewZone);
    const periods = this.periods(zone);
    const length = this.length(viewZone);
    let longest = Math.max(0, length);
    for (const period of periods.values()) longest = Math.max(longest, period.length);
    const skip = daysOff && this.event.recurrence?.skipDaysOff;
    const reach = (skip && skip.handling !== 'omit' ? FARTHEST_MOVE + 2 : 2) * DAY;
    const wallWindow = { start: window.start - longest - reach, end: window.end + reach };
    // Most series have ended, or not begun, in most windows.
    if (
      this.dates.length + periods.size === 0 &&
      (wallWindow.end <= this.startWall || this.lastWall(zone) < wallWindow.start)
    )
      return [];
    const result: SeriesDate[] = [];
    for (const wall of this.wallsBetween(wallWindow, zone, all, most)) {
      const date = this.dateAt(wall, zone, length, daysOff);
      if (!date) continue;
      const { start, end } = date;
      if (!(start < window.end && (end > window.start || (start === end && start >= window.start)))) continue;
      // Of two walls that a clock change puts on one instant, the clock shows the later one.
      const last = result.at(-1);
      if (last && last.start === start && last.shownWall !== date.shownWall) result.pop();
      result.push(date);
    }
    return result;
  }

  /** The first `limit` dates from a wall time on; of a series that skips days off, those that are left. */
  next(fromWall: number, limit: number, viewZone: string, daysOff?: DayOffLookup): SeriesDate[] {
    const zone = zoneOf(this.event.start, viewZone);
    const length = this.length(viewZone);
    const found: SeriesDate[] = [];
    const hasEarlierDates = this.dates.length + this.periods(zone).size > 0;
    let start = hasEarlierDates ? fromWall : Math.max(fromWall, this.startWall);
    for (let days = 40; found.length < limit && start < LAST_WALL; days *= 4) {
      const end = Math.min(LAST_WALL, start + days * DAY);
      if (start > this.lastWall(zone)) break;
      for (const wall of this.wallsBetween({ start, end }, zone)) {
        const date = this.dateAt(wall, zone, length, daysOff);
        if (date && found.push(date) === limit) break;
      }
      start = end;
    }
    return found;
  }

  /** Where the date of an original start lies; undefined if it falls on a day off that is left out. */
  private dateAt(
    wall: number,
    zone: string,
    length: number,
    daysOff: DayOffLookup | undefined,
  ): SeriesDate | undefined {
    const shownWall = this.shownWallOf(wall, zone, daysOff);
    if (shownWall === undefined) return undefined;
    const own = this.periods(zone).get(wall);
    const start = wallToInstant(zone, shownWall);
    const long = own?.length ?? length;
    return {
      wall,
      shownWall,
      start,
      end: this.allDay ? wallToInstant(zone, shownWall + long) : start + long,
    };
  }

  /**
   * The wall time that an original start is shown at; undefined if it is left out, because it falls on a day off
   * or would move onto a day that has its own occurrence, or to which one nearer by moves.
   */
  shownWallOf(wall: number, viewZone: string, daysOff: DayOffLookup | undefined): number | undefined {
    const skip = this.event.recurrence?.skipDaysOff;
    if (!skip || !daysOff) return wall;
    const day = Math.floor(wall / DAY);
    const instead = dayInstead(day, skip.handling, daysOff);
    if (instead === undefined || instead === day) return instead === undefined ? undefined : wall;
    const step = Math.sign(day - instead);
    const isTaken = (other: number) =>
      (other === instead || daysOff.isDayOff(other)) && this.isDate(wall + (other - day) * DAY, viewZone);
    for (let other = instead; other !== day; other += step) if (isTaken(other)) return undefined;
    return wall + (instead - day) * DAY;
  }

  /** Whether the series has an occurrence that starts, by its rules and further dates, at a wall time of its clock. */
  isDate(wall: number, viewZone: string): boolean {
    const zone = zoneOf(this.event.start, viewZone);
    return this.wallsBetween({ start: wall, end: wall + 1 }, zone).length > 0;
  }

  /** Whether the rules and further dates make a wall time, left out or not. */
  makes(wall: number, viewZone: string): boolean {
    const zone = zoneOf(this.event.start, viewZone);
    return this.madeBetween({ start: wall, end: wall + 1 }, zone).includes(wall);
  }

  /** The wall times of each rule's own dates before a wall time, exceptions included: how its COUNT divides. */
  ruleDatesBefore(wall: number, viewZone: string): number[][] {
    const zone = zoneOf(this.event.start, viewZone);
    const window = { start: this.startWall, end: wall };
    return this.rules.map((compiled) => this.ruleWalls(compiled, window, zone));
  }

  /** From now on makes its start alone, for all that do not ask for more: it made more dates than a question can take. */
  holdBack(): void {
    this.isHeldBack = true;
  }

  /** Whether it makes more dates than a view can hold. */
  get isDense(): boolean {
    return this.isHeldBack || this.rules.some((compiled) => compiled.isDense);
  }

  /** A wall time after which there are no more dates: UNTIL, the last of COUNT, or the last further date. */
  lastWall(viewZone: string): number {
    const zone = zoneOf(this.event.start, viewZone);
    const known = this.lastWallByZone.get(zone);
    if (known !== undefined) return known;
    const lasts = this.rules.map((compiled) =>
      compiled.rule.count === undefined
        ? this.untilWall(compiled.rule.until, zone)
        : (this.counted(compiled, zone).at(-1) ?? this.startWall),
    );
    const last = Math.max(this.startWall, ...lasts, this.further(zone).at(-1) ?? -Infinity);
    this.lastWallByZone.set(zone, last);
    return last;
  }

  /** The last wall time that a rule's UNTIL allows on this series' clock; infinite without one. */
  untilOf(rule: RecurrenceRule, viewZone: string): number {
    return this.untilWall(rule.until, zoneOf(this.event.start, viewZone));
  }

  private wallsBetween(window: WallRange, zone: string, all = false, most = Infinity): number[] {
    const walls = this.madeBetween(window, zone, all, most + 1);
    if (walls.length > most) throw new TooManyDatesError();
    if (this.exceptions.length === 0) return walls;
    const exceptions = this.exceptionsIn(zone);
    return walls.filter(
      (wall) => !exceptions.days.has(Math.floor(wall / DAY)) && !exceptions.walls.has(wall),
    );
  }

  private madeBetween(window: WallRange, zone: string, all = false, most = Infinity): number[] {
    if (this.isHeldBack && !all)
      return this.startWall >= window.start && this.startWall < window.end ? [this.startWall] : [];
    const [only] = this.rules;
    const further = this.further(zone);
    if (only && this.rules.length === 1 && further.length === 0)
      return this.ruleWalls(only, window, zone, all, most);
    const walls: number[] = [];
    for (const compiled of this.rules)
      for (const wall of this.ruleWalls(compiled, window, zone, all, most)) walls.push(wall);
    for (let place = placeOf(further, window.start); further[place]! < window.end; place++)
      walls.push(further[place]!);
    if (!only) walls.push(this.startWall);
    return [...new Set(walls)]
      .filter((wall) => wall >= window.start && wall < window.end)
      .sort((a, b) => a - b);
  }

  private ruleWalls(
    compiled: CompiledRule,
    window: WallRange,
    zone: string,
    all = false,
    most = Infinity,
  ): number[] {
    if (compiled.isDense && !all)
      return this.startWall >= window.start && this.startWall < window.end ? [this.startWall] : [];
    if (compiled.isDense && compiled.rule.count === undefined)
      return expandRule(compiled.rule, this.startWall, window, this.untilWall(compiled.rule.until, zone));
    if (compiled.rule.count === undefined)
      return compiled.blocks.between(window, this.untilWall(compiled.rule.until, zone), most);
    return this.counted(compiled, zone).filter((wall) => wall >= window.start && wall < window.end);
  }

  private counted(compiled: CompiledRule, zone: string): number[] {
    let counted = this.countedWalls.get(compiled);
    if (!counted) {
      const all = { start: this.startWall, end: LAST_WALL };
      const until = this.untilWall(compiled.rule.until, zone);
      counted = expandRule(compiled.rule, this.startWall, all, until, MOST_DATES_A_YEAR);
      this.countedWalls.set(compiled, counted);
    }
    return counted;
  }

  /**
   * UNTIL on the wall clock of the start (RFC 5545 3.3.10); a date allows the whole of its day. The start itself is
   * always allowed: an event whose rule ends before it begins is still there.
   */
  private untilWall(until: Until | undefined, zone: string): number {
    if (!until) return Infinity;
    if (until.kind === 'date') return Math.max(this.startWall, (parseDate(until.value) + 1) * DAY - 1);
    const wall = parseLocal(until.value);
    return Math.max(this.startWall, until.kind === 'utc' && !this.allDay ? instantToWall(zone, wall) : wall);
  }

  private periods(zone: string): ReadonlyMap<number, Period> {
    const periods = this.event.recurrence?.periods;
    if (!periods) return NO_PERIODS;
    const known = this.periodsByZone.get(zone);
    if (known) return known;
    const read = new Map<number, Period>();
    for (const { start, end } of periods) {
      const wall = this.wallHere(start, zone);
      const length = this.allDay
        ? wallOf(end) - wallOf(start)
        : wallToInstant(zoneOf(end, zone), wallOf(end)) - wallToInstant(zoneOf(start, zone), wallOf(start));
      if (!read.has(wall)) read.set(wall, { wall, length });
    }
    this.periodsByZone.set(zone, read);
    return read;
  }

  /** The wall times of further dates, ascending, each once. */
  private further(zone: string): readonly number[] {
    const known = this.furtherByZone.get(zone);
    if (known) return known;
    const walls = new Set(this.dates.map((date) => this.furtherWall(date, zone)));
    for (const wall of this.periods(zone).keys()) walls.add(wall);
    const sorted = [...walls].sort((a, b) => a - b);
    this.furtherByZone.set(zone, sorted);
    return sorted;
  }

  private wallHere(time: EventTime, zone: string): number {
    const wall = wallOf(time);
    return time.kind === 'zoned' && this.event.start.kind === 'zoned' && time.zone !== this.event.start.zone
      ? instantToWall(zone, wallToInstant(zoneOf(time, zone), wall))
      : wall;
  }

  /** A further date as wall time; one that is only a date has the series' own time of day. */
  private furtherWall(time: EventTime, zone: string): number {
    const wall = this.wallHere(time, zone);
    return time.kind === 'date' && !this.allDay
      ? wall + this.startWall - Math.floor(this.startWall / DAY) * DAY
      : wall;
  }

  private exceptionsIn(zone: string): Exceptions {
    const known = this.exceptionsByZone.get(zone);
    if (known) return known;
    const days = new Set<number>();
    const walls = new Set<number>();
    for (const exception of this.exceptions)
      if (exception.kind === 'date') days.add(parseDate(exception.date));
      else walls.add(this.wallHere(exception, zone));
    const exceptions = { days, walls };
    this.exceptionsByZone.set(zone, exceptions);
    return exceptions;
  }

  /** The wall time, on this series' clock, that a RECURRENCE-ID names. */
  wallOfRecurrenceId(recurrenceId: EventTime, viewZone: string): number {
    const wall = this.furtherWall(recurrenceId, zoneOf(this.event.start, viewZone));
    return this.allDay ? Math.floor(wall / DAY) * DAY : wall;
  }

  /** The key of the occurrence at an original wall time. */
  keyOf(wall: number): string {
    return recurrenceKey(wall, this.allDay);
  }
}

const NO_PERIODS: ReadonlyMap<number, Period> = new Map();

/** The place of the first of some ascending numbers that is not below another. */
function placeOf(ascending: readonly number[], low: number): number {
  let first = 0;
  let end = ascending.length;
  while (first < end) {
    const middle = (first + end) >>> 1;
    if (ascending[middle]! < low) first = middle + 1;
    else end = middle;
  }
  return first;
}

/** Parses rule texts; those that can't be read are named, and the rest are given. */
export function readRules(texts: readonly string[]): { rules: RecurrenceRule[]; unreadable: string[] } {
  const rules: RecurrenceRule[] = [];
  const unreadable: string[] = [];
  for (const text of texts)
    try {
      rules.push(parseRule(text));
    } catch (error) {
      if (!(error instanceof RecurrenceRuleError)) throw error;
      unreadable.push(text);
    }
  return { rules, unreadable };
}
