import type { CalendarEvent } from '../model/entry';
import { Series } from '../recurrence/series';
import { type InstantRange, instantOf, rangesOverlap } from '../time/eventTime';
import { startOfDay } from '../time/zones';
import { type Interval, IntervalIndex } from './intervalIndex';
import { type Occurrence, occurrenceOf } from './occurrence';

/** Floating times and dates lie up to this far from where UTC would read them. */
const ZONE_REACH = 15 * 60 * 60 * 1000;

/** What of the entries a question is about. */
export interface OccurrenceFilter {
  readonly hiddenCalendarIds?: readonly string[];
}

/**
 * All events, ready to say what occurs in a window. Single events and changed occurrences lie in a sorted
 * index; series are expanded over the window only.
 */
export class OccurrenceIndex {
  private readonly events = new Map<string, CalendarEvent>();
  private readonly singles = new IntervalIndex();
  private readonly series = new Map<string, Series>();
  /** For each series: the wall keys of occurrences that another record stands for, with that record's id. */
  private readonly overridden = new Map<string, Map<string, string>>();

  /** Replaces everything. */
  load(events: Iterable<CalendarEvent>): void {
    this.events.clear();
    this.series.clear();
    this.overridden.clear();
    const intervals: Interval[] = [];
    for (const event of events) {
      this.events.set(event.id, event);
      if (event.recurrence) this.series.set(event.id, new Series(event));
      else intervals.push(intervalOf(event));
    }
    this.singles.load(intervals);
    for (const event of this.events.values()) this.noteOverride(event);
  }

  /** Puts an event in place of the one of its id. */
  put(event: CalendarEvent): void {
    this.remove(event.id);
    this.events.set(event.id, event);
    if (event.recurrence) {
      this.series.set(event.id, new Series(event));
      this.overridden.delete(event.id);
      for (const other of this.events.values()) if (other.seriesId === event.id) this.noteOverride(other);
    } else {
      this.singles.add(intervalOf(event));
      this.noteOverride(event);
    }
  }

  remove(id: string): void {
    const event = this.events.get(id);
    if (!event) return;
    this.events.delete(id);
    if (this.series.delete(id)) return;
    this.singles.remove(intervalOf(event));
    const overrides = event.seriesId === undefined ? undefined : this.overridden.get(event.seriesId);
    for (const [key, by] of overrides ?? []) if (by === id) overrides?.delete(key);
  }

  get(id: string): CalendarEvent | undefined {
    return this.events.get(id);
  }

  get size(): number {
    return this.events.size;
  }

  /** The events, in no particular order. */
  all(): IterableIterator<CalendarEvent> {
    return this.events.values();
  }

  /** What touches a window of instants, by start, longer first, then by key: a stable order. */
  between(window: InstantRange, viewZone: string, filter: OccurrenceFilter = {}): Occurrence[] {
    const hidden = new Set(filter.hiddenCalendarIds ?? []);
    const found: Occurrence[] = [];
    for (const id of this.singles.touching(window.start - ZONE_REACH, window.end + ZONE_REACH)) {
      const event = this.events.get(id)!;
      if (hidden.has(event.calendarId)) continue;
      const at = { start: instantOf(event.start, viewZone), end: instantOf(event.end, viewZone) };
      if (rangesOverlap(at, window)) found.push(occurrenceOf(event, { ...at, key: id }, viewZone));
    }
    for (const [id, series] of this.series) {
      if (hidden.has(series.event.calendarId)) continue;
      const overridden = this.overridden.get(id);
      for (const date of series.between(window, viewZone)) {
        const recurrenceKey = series.keyOf(date.wall);
        if (overridden?.has(recurrenceKey)) continue;
        const at = { start: date.start, end: date.end, key: `${id}|${recurrenceKey}`, recurrenceKey };
        found.push(occurrenceOf(series.event, at, viewZone));
      }
    }
    return found.sort((a, b) => a.start - b.start || b.end - a.end || (a.key < b.key ? -1 : 1));
  }

  private noteOverride(event: CalendarEvent): void {
    if (event.seriesId === undefined || !event.recurrenceId) return;
    const series = this.series.get(event.seriesId);
    if (!series) return;
    const viewZone = series.event.start.kind === 'zoned' ? series.event.start.zone : 'UTC';
    const key = series.keyOf(series.wallOfRecurrenceId(event.recurrenceId, viewZone));
    const known = this.overridden.get(event.seriesId) ?? new Map<string, string>();
    this.overridden.set(event.seriesId, known.set(key, event.id));
  }
}

/** Where an event lies as UTC would read it: floating times and dates are looked for with a margin. */
function intervalOf(event: CalendarEvent): Interval {
  const start = instantOf(event.start, 'UTC');
  return { id: event.id, start, end: Math.max(start, instantOf(event.end, 'UTC')) };
}

/** A window of whole days in a zone, as instants. */
export const dayWindow = (firstDay: number, endDay: number, zone: string): InstantRange => ({
  start: startOfDay(zone, firstDay),
  end: startOfDay(zone, endDay),
});
