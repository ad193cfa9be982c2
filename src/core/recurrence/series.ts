import type { CalendarEvent } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { DAY, parseDate, parseLocal } from '../time/civil';
import { recurrenceKey, wallOf, zoneOf } from '../time/eventTime';
import { instantToWall, wallToInstant } from '../time/zones';
import { expandRule, LAST_WALL, type WallRange } from './expandRule';
import { parseRule, type RecurrenceRule, RecurrenceRuleError, type Until } from './rule';

/** One date of a series, before overrides. */
export interface SeriesDate {
  /** The original start as wall time: the identity of the occurrence (RECURRENCE-ID). */
  readonly wall: number;
  /** Instants, in the zone that the series is viewed in if it has none. */
  readonly start: number;
  readonly end: number;
}

interface CompiledRule {
  readonly rule: RecurrenceRule;
  readonly until: Until | undefined;
}

/**
 * A series made ready for expansion: rules parsed, exceptions and further dates as wall times.
 * An unreadable rule makes no dates; `readRules` says so to whoever reads a file.
 */
export class Series {
  readonly allDay: boolean;
  private readonly startWall: number;
  private readonly endWall: number;
  private readonly rules: CompiledRule[];
  private readonly dates: readonly EventTime[];
  private readonly exceptions: readonly EventTime[];
  private readonly exactLengthByZone = new Map<string, number>();
  private readonly lastWallByZone = new Map<string, number>();
  /** The occurrences of a counted rule, walked once. */
  private readonly countedWalls = new Map<CompiledRule, number[]>();

  constructor(readonly event: CalendarEvent) {
    this.allDay = event.start.kind === 'date';
    this.startWall = wallOf(event.start);
    this.endWall = wallOf(event.end);
    const recurrence = event.recurrence ?? { rules: [], dates: [], exceptionDates: [] };
    this.rules = readRules(recurrence.rules).rules.map((rule) => ({ rule, until: rule.until }));
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

  /** The dates whose span [start, end) touches the window of instants, ascending by original start. */
  between(window: WallRange, viewZone: string): SeriesDate[] {
    const zone = zoneOf(this.event.start, viewZone);
    const length = this.length(viewZone);
    const wallWindow = { start: window.start - Math.max(0, length) - 2 * DAY, end: window.end + 2 * DAY };
    // Most series have ended, or not begun, in most windows.
    if (
      this.dates.length === 0 &&
      (wallWindow.end <= this.startWall || this.lastWall(zone) < wallWindow.start)
    )
      return [];
    const walls = this.wallsBetween(wallWindow, zone);
    const result: SeriesDate[] = [];
    for (const wall of walls) {
      const start = wallToInstant(zone, wall);
      const end = this.allDay ? wallToInstant(zone, wall + length) : start + length;
      if (start < window.end && (end > window.start || (start === end && start >= window.start)))
        result.push({ wall, start, end });
    }
    return result;
  }

  /** The first `limit` dates from a wall time on. */
  next(fromWall: number, limit: number, viewZone: string): SeriesDate[] {
    const zone = zoneOf(this.event.start, viewZone);
    const length = this.length(viewZone);
    const walls: number[] = [];
    let start = Math.max(fromWall, this.startWall);
    for (let days = 40; walls.length < limit && start < LAST_WALL; days *= 4) {
      const end = Math.min(LAST_WALL, start + days * DAY);
      walls.push(...this.wallsBetween({ start, end }, zone));
      start = end;
    }
    return walls.slice(0, limit).map((wall) => {
      const at = wallToInstant(zone, wall);
      return { wall, start: at, end: this.allDay ? wallToInstant(zone, wall + length) : at + length };
    });
  }

  /** A wall time after which the rules make no more dates: UNTIL, or the last of COUNT. */
  private lastWall(zone: string): number {
    const known = this.lastWallByZone.get(zone);
    if (known !== undefined) return known;
    const lasts = this.rules.map((compiled) =>
      compiled.rule.count === undefined
        ? this.untilWall(compiled.until, zone)
        : (this.counted(compiled, zone).at(-1) ?? this.startWall),
    );
    const last = Math.max(this.startWall, ...lasts);
    this.lastWallByZone.set(zone, last);
    return last;
  }

  private wallsBetween(window: WallRange, zone: string): number[] {
    let walls: number[] = [];
    for (const compiled of this.rules) walls.push(...this.ruleWalls(compiled, window, zone));
    for (const date of this.dates) walls.push(this.wallHere(date, zone));
    if (this.rules.length === 0) walls.push(this.startWall);
    if (this.rules.length + this.dates.length > 1) walls = [...new Set(walls)].sort((a, b) => a - b);
    if (this.dates.length > 0 || this.rules.length === 0)
      walls = walls.filter((wall) => wall >= window.start && wall < window.end);
    return this.exceptions.length === 0 ? walls : walls.filter((wall) => !this.isException(wall, zone));
  }

  private ruleWalls(compiled: CompiledRule, window: WallRange, zone: string): number[] {
    if (compiled.rule.count === undefined)
      return expandRule(compiled.rule, this.startWall, window, this.untilWall(compiled.until, zone));
    return this.counted(compiled, zone).filter((wall) => wall >= window.start && wall < window.end);
  }

  private counted(compiled: CompiledRule, zone: string): number[] {
    let counted = this.countedWalls.get(compiled);
    if (!counted) {
      const all = { start: this.startWall, end: LAST_WALL };
      counted = expandRule(compiled.rule, this.startWall, all, this.untilWall(compiled.until, zone));
      this.countedWalls.set(compiled, counted);
    }
    return counted;
  }

  /** UNTIL on the wall clock of the start (RFC 5545 3.3.10); a date allows the whole of its day. */
  private untilWall(until: Until | undefined, zone: string): number {
    if (!until) return Infinity;
    if (until.kind === 'date') return (parseDate(until.value) + 1) * DAY - 1;
    const wall = parseLocal(until.value);
    return until.kind === 'utc' && !this.allDay ? instantToWall(zone, wall) : wall;
  }

  private wallHere(time: EventTime, zone: string): number {
    const wall = wallOf(time);
    return time.kind === 'zoned' && this.event.start.kind === 'zoned' && time.zone !== this.event.start.zone
      ? instantToWall(zone, wallToInstant(zoneOf(time, zone), wall))
      : wall;
  }

  private isException(wall: number, zone: string): boolean {
    return this.exceptions.some((exception) =>
      exception.kind === 'date'
        ? parseDate(exception.date) === Math.floor(wall / DAY)
        : this.wallHere(exception, zone) === wall,
    );
  }

  /** The wall time, on this series' clock, that a RECURRENCE-ID names. */
  wallOfRecurrenceId(recurrenceId: EventTime, viewZone: string): number {
    return this.wallHere(recurrenceId, zoneOf(this.event.start, viewZone));
  }

  /** The key of the occurrence at an original wall time. */
  keyOf(wall: number): string {
    return recurrenceKey(wall, this.allDay);
  }
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
