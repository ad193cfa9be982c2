import { type CalendarEvent, type Dated, isEvent } from '../model/entry';
import type { WorkingPattern } from '../model/settings';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { type RangeChange, rangeChangeAt, rangeChanges, shapeAt } from '../recurrence/occurrenceShape';
import { TooManyDatesError } from '../recurrence/expandRule';
import { Series, type SeriesDate } from '../recurrence/series';
import type { DayOffLookup } from '../recurrence/skipDaysOff';
import { DAY, MINUTE, parseLocal } from '../time/civil';
import { type InstantRange, instantOf, rangesOverlap, wallOf, zoneOf } from '../time/eventTime';
import { instantToWall, startOfDay } from '../time/zones';
import { Budget } from './budget';
import { DaysOff } from './daysOff';
import { type Interval, IntervalIndex } from './intervalIndex';
import {
  type Occurrence,
  occurrenceOf,
  spansOf,
  takenSpans,
  type TakenSpan,
  travelOf,
  waysOf,
} from './occurrence';
import { takesTime } from './standing';

/** Floating times and dates lie up to this far from where UTC would read them. */
const ZONE_REACH = 15 * 60 * 60 * 1000;

/** How many days about an instant an occurrence is looked for, in turn. */
const REACHES = [40, 400, 4000, 40_000];

/**
 * Why an event is left out of what is asked for: it makes more dates than a question can take (its start is there), it can't
 * be read, or nothing that was asked while it was there was ever answered.
 */
export type Trouble = 'too-many-dates' | 'unreadable' | 'no-answer';

/** What of the entries a question is about, and what working days are for series that skip days off. */
export interface OccurrenceFilter {
  readonly hiddenCalendarIds?: readonly string[];
  readonly workingPattern?: WorkingPattern;
  /** Whether series are expanded that make more dates than a view can hold. */
  readonly withDense?: boolean;
}

/**
 * All entries of a kind that have a span, events where nothing else is said, ready to say what occurs in a window. Single
 * ones and changed occurrences lie in a sorted index; series are expanded over the window only.
 */
export class OccurrenceIndex<Kept extends Dated = CalendarEvent> {
  private readonly events = new Map<string, Kept>();
  private readonly singles = new IntervalIndex();
  private readonly series = new Map<string, Series<Kept>>();
  /** For each series: the ids of its changed occurrences. */
  private readonly changed = new Map<string, Set<string>>();
  /** For each series: the wall keys of occurrences that another record stands for, with that record's id. */
  private readonly overridden = new Map<string, Map<string, string>>();
  /** For each series that has any: its changes that hold for later occurrences too. */
  private readonly ranges = new Map<string, readonly RangeChange<Kept>[]>();
  /** The days off of calendars that a series skips, read when they are first asked for. */
  private readonly daysOff = new Map<string, DaysOff>();
  private at: ((id: string | undefined) => void) | undefined;
  private readonly troubles = new Map<string, Trouble>();
  /** The longest way there or back of any event that was here, in milliseconds. */
  private longestWay = 0;

  /** @param daysOffIn the events among which days off are looked up, where they are not these */
  constructor(private readonly daysOffIn?: OccurrenceIndex) {}

  /**
   * Replaces everything.
   * @param aside events that are left out of all questions until they are put anew
   */
  load(events: Iterable<Kept>, aside: ReadonlySet<string> = new Set()): void {
    this.events.clear();
    this.series.clear();
    this.changed.clear();
    this.overridden.clear();
    this.ranges.clear();
    this.daysOff.clear();
    this.longestWay = 0;
    const intervals: Interval[] = [];
    this.troubles.clear();
    for (const event of events) {
      this.hold(event);
      if (aside.has(event.id)) {
        this.troubles.set(event.id, 'no-answer');
        continue;
      }
      this.attempt(event.id, () => {
        if (event.recurrence) this.series.set(event.id, new Series(event));
        else intervals.push(intervalOf(event));
      });
    }
    this.singles.load(intervals);
    for (const event of this.events.values())
      if (!aside.has(event.id)) this.attempt(event.id, () => this.noteOverride(event));
  }

  /** The events that questions leave out, in whole or but for their start, and why. */
  troubled(): ReadonlyMap<string, Trouble> {
    return this.troubles;
  }

  /** Says from now on which event it is at, before anything is done for it and after; no more without a listener. */
  sayAt(listener?: (id: string | undefined) => void): void {
    this.at = listener;
  }

  /**
   * Does something for one event; one that can't be done so is left out, and the others are not.
   * @throws TooManyDatesError where all dates are asked for, whatever it takes
   */
  private attempt(id: string, task: () => void, { withDense }: OccurrenceFilter = {}): void {
    this.at?.(id);
    try {
      task();
    } catch (error) {
      if (withDense && error instanceof TooManyDatesError) throw error;
      this.trouble(id, error instanceof TooManyDatesError ? 'too-many-dates' : 'unreadable');
    }
    this.at?.(undefined);
  }

  private trouble(id: string, reason: Trouble): void {
    const event = this.events.get(id);
    const series = this.series.get(id);
    if (!event) return;
    this.troubles.set(id, reason);
    if (reason === 'too-many-dates' && series && !series.isDense) series.holdBack();
    else if (!this.series.delete(id)) this.withoutInterval(event);
  }

  private withoutInterval(event: Kept): void {
    try {
      this.singles.remove(intervalOf(event));
    } catch {
      // One whose times can't be read lies nowhere.
    }
  }

  /** Puts an event in place of the one of its id. */
  put(event: Kept): void {
    this.remove(event.id);
    this.hold(event);
    this.forgetDaysOff(event);
    this.attempt(event.id, () => {
      if (event.recurrence) {
        this.series.set(event.id, new Series(event));
        this.overridden.delete(event.id);
        this.ranges.delete(event.id);
        for (const id of this.changed.get(event.id) ?? [])
          this.attempt(id, () => this.noteOverride(this.events.get(id)!));
      } else {
        this.singles.add(intervalOf(event));
        this.noteOverride(event);
      }
    });
  }

  /** A window with what lies so near to it that a way there or back may reach into it. */
  withWays({ start, end }: InstantRange): InstantRange {
    return { start: start - this.longestWay, end: end + this.longestWay };
  }

  private hold(event: Kept): void {
    this.events.set(event.id, event);
    const travel = travelOf(event);
    if (travel) this.longestWay = Math.max(this.longestWay, travel.there * MINUTE, travel.back * MINUTE);
    if (event.seriesId === undefined) return;
    const known = this.changed.get(event.seriesId);
    if (known) known.add(event.id);
    else this.changed.set(event.seriesId, new Set([event.id]));
  }

  remove(id: string): void {
    const event = this.events.get(id);
    if (!event) return;
    this.events.delete(id);
    if (event.seriesId !== undefined) {
      const changed = this.changed.get(event.seriesId);
      changed?.delete(id);
      if (changed?.size === 0) this.changed.delete(event.seriesId);
    }
    this.forgetDaysOff(event);
    this.troubles.delete(id);
    if (this.series.delete(id) || event.recurrence) return;
    this.withoutInterval(event);
    if (event.seriesId === undefined) return;
    const overrides = this.overridden.get(event.seriesId);
    for (const [key, by] of overrides ?? []) if (by === id) overrides?.delete(key);
    const ranges = this.ranges.get(event.seriesId)?.filter((range) => range.event.id !== id);
    if (ranges) this.ranges.set(event.seriesId, ranges);
  }

  /** The days that a calendar marks as days off. */
  daysOffOf(calendarId: string): DaysOff {
    if (this.daysOffIn) return this.daysOffIn.daysOffOf(calendarId);
    const known = this.daysOff.get(calendarId);
    if (known) return known;
    const own: CalendarEvent[] = [];
    for (const event of this.events.values())
      if (isEvent(event) && event.calendarId === calendarId) own.push(event);
    const daysOff = new DaysOff(own);
    this.daysOff.set(calendarId, daysOff);
    return daysOff;
  }

  private forgetDaysOff(event: Kept): void {
    if (event.start.kind === 'date') this.daysOff.delete(event.calendarId);
  }

  get(id: string): Kept | undefined {
    return this.events.get(id);
  }

  /** The ids of the occurrences of a series that are kept by themselves. */
  changesOf(seriesId: string): Iterable<string> {
    return this.changed.get(seriesId) ?? [];
  }

  /** The event that an occurrence has its fields from: its own, its series', or a change that holds for it. */
  fieldsOf(occurrence: Pick<Occurrence, 'entryId' | 'recurrenceKey'>): Kept | undefined {
    const { entryId, recurrenceKey } = occurrence;
    const ranges = this.ranges.get(entryId);
    if (!ranges?.length || recurrenceKey === undefined) return this.events.get(entryId);
    return rangeChangeAt(ranges, parseLocal(recurrenceKey))?.event ?? this.events.get(entryId);
  }

  get size(): number {
    return this.events.size;
  }

  /** The events, in no particular order. */
  all(): IterableIterator<Kept> {
    return this.events.values();
  }

  /**
   * What touches a window of instants, by start, longer first, then by key: a stable order.
   * @param only the events that are looked at; all without
   */
  between(
    window: InstantRange,
    viewZone: string,
    filter: OccurrenceFilter = {},
    only?: Pick<ReadonlySet<string>, 'has'>,
  ): Occurrence[] {
    const hidden = new Set(filter.hiddenCalendarIds ?? []);
    const found: Occurrence[] = [];
    for (const id of this.singles.touching(window.start - ZONE_REACH, window.end + ZONE_REACH)) {
      const event = this.events.get(id)!;
      if (hidden.has(event.calendarId) || (only && !only.has(id))) continue;
      this.attempt(id, () => {
        const at = { start: instantOf(event.start, viewZone), end: instantOf(event.end, viewZone) };
        if (rangesOverlap(at, window)) found.push(occurrenceOf(event, { ...at, key: id }, viewZone));
      });
    }
    const budget = new Budget();
    const lookup = this.lookups(filter.workingPattern);
    for (const [id, series] of this.series) {
      if (only && !only.has(id)) continue;
      if (hidden.has(series.event.calendarId) && !this.ranges.get(id)?.length) continue;
      const skip = series.event.recurrence?.skipDaysOff;
      const daysOff = () => skip && lookup(skip.calendarId);
      this.attempt(
        id,
        () => this.addSeries(id, series, window, viewZone, daysOff(), hidden, filter, found, budget),
        filter,
      );
    }
    return found.sort(byStart);
  }

  /**
   * The time that events take in a window, in no order: what loads over a year need, at a fraction of the cost of their
   * occurrences.
   * @param accepts which events count
   */
  takenBetween(
    asked: InstantRange,
    viewZone: string,
    filter: OccurrenceFilter,
    accepts: (event: Kept) => boolean,
  ): TakenSpan[] {
    const hidden = new Set(filter.hiddenCalendarIds ?? []);
    const counts = (event: Kept) =>
      isEvent(event) && takesTime(event) && !hidden.has(event.calendarId) && accepts(event);
    const spans: TakenSpan[] = [];
    const window = this.withWays(asked);
    const add = (event: Kept, start: number, end: number): void => {
      const wall = instantToWall(viewZone, start);
      const ways = waysOf(travelOf(event), { start, end }, viewZone);
      if (event.start.kind === 'date') {
        const startWall = Math.round(wall / DAY) * DAY;
        const endWall = startWall + wallOf(event.end) - wallOf(event.start);
        spans.push(...spansOf(startWall, endWall, true, ways));
      } else {
        const endWall = instantToWall(viewZone, end);
        spans.push(...spansOf(wall, endWall, end - start >= DAY, ways));
      }
    };
    for (const id of this.singles.touching(window.start - ZONE_REACH, window.end + ZONE_REACH)) {
      const event = this.events.get(id)!;
      if (!counts(event)) continue;
      this.attempt(id, () => {
        const at = { start: instantOf(event.start, viewZone), end: instantOf(event.end, viewZone) };
        if (rangesOverlap(at, window)) add(event, at.start, at.end);
      });
    }
    const budget = new Budget();
    const lookup = this.lookups(filter.workingPattern);
    const addTaken = (id: string, series: Series<Kept>): void => {
      const { event } = series;
      const skip = event.recurrence?.skipDaysOff;
      const daysOff = skip && lookup(skip.calendarId);
      if (this.ranges.get(id)?.length) {
        const found: Occurrence[] = [];
        this.addSeries(id, series, window, viewZone, daysOff, hidden, filter, found, budget);
        const accepted = found.filter((occurrence) => {
          const fields = this.fieldsOf(occurrence);
          return fields !== undefined && accepts(fields);
        });
        for (const span of takenSpans(accepted)) spans.push(span);
      } else if (counts(event)) {
        const overridden = this.overridden.get(id);
        for (const date of datesOf(series, window, viewZone, daysOff, filter, budget))
          if (!overridden?.has(series.keyOf(date.wall))) add(event, date.start, date.end);
      }
    };
    for (const [id, series] of this.series) this.attempt(id, () => addTaken(id, series), filter);
    return spans;
  }

  /** Days off by calendar, each read once for a question. */
  private lookups(workingPattern: WorkingPattern | undefined): (calendarId: string) => DayOffLookup {
    const known = new Map<string, DayOffLookup>();
    return (calendarId) => {
      let lookup = known.get(calendarId);
      if (!lookup) {
        lookup = this.daysOffOf(calendarId).lookup(workingPattern ?? standardWorkingPattern);
        known.set(calendarId, lookup);
      }
      return lookup;
    };
  }

  /**
   * The occurrence that stands for an event where one is enough: its own; of a series the first that ends after an instant,
   * else the last before it. Undefined where none touches the window.
   */
  representative(
    id: string,
    from: number,
    viewZone: string,
    filter: OccurrenceFilter,
    window?: InstantRange,
  ): Occurrence | undefined {
    const event = this.events.get(id);
    const series = this.series.get(id);
    if (!event) return undefined;
    if (!series) {
      const at = { start: instantOf(event.start, viewZone), end: instantOf(event.end, viewZone) };
      return !window || rangesOverlap(at, window)
        ? occurrenceOf(event, { ...at, key: id }, viewZone)
        : undefined;
    }
    const skip = event.recurrence?.skipDaysOff;
    const daysOff =
      skip && this.daysOffOf(skip.calendarId).lookup(filter.workingPattern ?? standardWorkingPattern);
    const within = (span: InstantRange): Occurrence[] => {
      const clipped = window
        ? { start: Math.max(span.start, window.start), end: Math.min(span.end, window.end) }
        : span;
      if (clipped.end <= clipped.start) return [];
      const found: Occurrence[] = [];
      const none = new Set<string>();
      this.attempt(
        id,
        () => this.addSeries(id, series, clipped, viewZone, daysOff, none, filter, found, new Budget()),
        filter,
      );
      for (const override of this.overridden.get(id)?.values() ?? []) {
        const changed = this.events.get(override);
        if (!changed) continue;
        const at = { start: instantOf(changed.start, viewZone), end: instantOf(changed.end, viewZone) };
        if (rangesOverlap(at, clipped)) found.push(occurrenceOf(changed, { ...at, key: override }, viewZone));
      }
      return found.sort((a, b) => a.start - b.start);
    };
    // Ever wider, so that a daily series is not expanded over centuries.
    for (const days of REACHES) {
      const [next] = within({ start: from, end: from + days * DAY });
      if (next) return next;
      const last = within({ start: from - days * DAY, end: from }).at(-1);
      if (last && days === REACHES.at(-1)) return last;
      if (last && series.lastWall(viewZone) < from + DAY) return last;
    }
    return undefined;
  }

  private addSeries(
    id: string,
    series: Series<Kept>,
    window: InstantRange,
    viewZone: string,
    daysOff: DayOffLookup | undefined,
    hidden: ReadonlySet<string>,
    filter: OccurrenceFilter,
    found: Occurrence[],
    budget: Budget,
  ): void {
    const overridden = this.overridden.get(id);
    const ranges = this.ranges.get(id) ?? [];
    // A change that holds for later occurrences may move them into the window, or out of it.
    const reach = ranges.length > 0 ? reachOf(ranges) : 0;
    const wide = { start: window.start - reach, end: window.end + reach };
    for (const date of datesOf(series, wide, viewZone, daysOff, filter, budget)) {
      const key = series.keyOf(date.wall);
      if (overridden?.has(key)) continue;
      const range = rangeChangeAt(ranges, date.wall);
      const at = { start: date.start, end: date.end, key: `${id}|${key}`, recurrenceKey: key, entryId: id };
      if (!range) {
        if (hidden.has(series.event.calendarId) || (reach > 0 && !rangesOverlap(date, window))) continue;
        found.push(occurrenceOf(series.event, at, viewZone));
        continue;
      }
      const shape = shapeAt(series.event, date.shownWall, range, viewZone);
      const span = { start: instantOf(shape.start, viewZone), end: instantOf(shape.end, viewZone) };
      if (!hidden.has(shape.fields.calendarId) && rangesOverlap(span, window))
        found.push(occurrenceOf(shape.fields, { ...at, ...span }, viewZone));
    }
  }

  private noteOverride(event: Kept): void {
    if (event.seriesId === undefined || !event.recurrenceId) return;
    const series = this.series.get(event.seriesId);
    if (!series) return;
    const viewZone = zoneOf(series.event.start, 'UTC');
    const key = series.keyOf(series.wallOfRecurrenceId(event.recurrenceId, viewZone));
    const known = this.overridden.get(event.seriesId) ?? new Map<string, string>();
    this.overridden.set(event.seriesId, known.set(key, event.id));
    if (!event.recurrenceRange) return;
    const others = (this.ranges.get(event.seriesId) ?? []).map((range) => range.event);
    this.ranges.set(event.seriesId, rangeChanges(series, [...others, event], viewZone));
  }
}

/** Occurrences by start, longer first, then by key. */
export const byStart = (a: Occurrence, b: Occurrence): number =>
  a.start - b.start || b.end - a.end || (a.key < b.key ? -1 : 1);

/** The dates of a series that touch a window, taken off the question's budget; of one that is asked for in whole, all. */
function datesOf(
  series: Series<Dated>,
  window: InstantRange,
  viewZone: string,
  daysOff: DayOffLookup | undefined,
  { withDense }: OccurrenceFilter,
  budget: Budget,
): SeriesDate[] {
  const { most } = budget;
  // Those that were made before it was seen to be too many have cost as much.
  let spent = most;
  try {
    const dates = series.between(window, viewZone, daysOff, withDense, withDense ? Infinity : most);
    spent = dates.length;
    return dates;
  } finally {
    budget.spend(spent);
  }
}

/** How far, in milliseconds, the changes of a series may move its occurrences or lengthen them. */
function reachOf(ranges: readonly RangeChange<Dated>[]): number {
  const far = ranges.map(({ event, wall }) => {
    const start = instantOf(event.start, 'UTC');
    return Math.abs(start - wall) + instantOf(event.end, 'UTC') - start;
  });
  return Math.max(...far) + 2 * DAY;
}

/** Where an event lies as UTC would read it: floating times and dates are looked for with a margin. */
function intervalOf(event: Dated): Interval {
  const start = instantOf(event.start, 'UTC');
  return { id: event.id, start, end: Math.max(start, instantOf(event.end, 'UTC')) };
}

/** A window of whole days in a zone, as instants. */
export const dayWindow = (firstDay: number, endDay: number, zone: string): InstantRange => ({
  start: startOfDay(zone, firstDay),
  end: startOfDay(zone, endDay),
});
