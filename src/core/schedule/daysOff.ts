import type { CalendarEvent } from '../model/entry';
import type { WorkingPattern } from '../model/settings';
import { DAY, parseDate } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { workingDay } from '../time/workingPattern';
import { Series, type SeriesDate } from '../recurrence/series';
import type { DayOffLookup } from '../recurrence/skipDaysOff';
import { busyKindOf } from './standing';

/** More dates than this no calendar of days off has within a year. */
const MOST_DATES = 5_000;

/** The dates of a series on days; none of one that can't be asked: the question about itself says so. */
function datesIn(series: Series, first: number, end: number): readonly SeriesDate[] {
  try {
    return series.between({ start: first * DAY, end: end * DAY }, 'UTC', undefined, false, MOST_DATES);
  } catch {
    return [];
  }
}

/** Days that are read at once, and kept. */
const SPAN = 366;
/** The days that a calendar's all-day entries take, singles and series; what is off or free does not count. */
export class DaysOff {
  private readonly singles: { first: number; end: number }[] = [];
  private readonly series: Series[] = [];
  private readonly changed = new Map<string, Set<string>>();
  private readonly spans = new Map<number, Set<number>>();

  /** @param events the events of the calendar that marks days off */
  constructor(events: Iterable<CalendarEvent>) {
    for (const event of events) {
      if (event.start.kind !== 'date') continue;
      if (event.seriesId !== undefined && event.recurrenceId) {
        const key = event.recurrenceId.kind === 'date' ? event.recurrenceId.date : event.recurrenceId.local;
        this.changed.set(event.seriesId, (this.changed.get(event.seriesId) ?? new Set()).add(key));
      }
      if (busyKindOf(event) === undefined) continue;
      if (event.recurrence) this.series.push(new Series(event));
      else this.singles.push({ first: parseDate(event.start.date), end: wallOf(event.end) / DAY });
    }
  }

  /** Whether the calendar marks a day. */
  has(day: number): boolean {
    const number = Math.floor(day / SPAN);
    let span = this.spans.get(number);
    if (!span) this.spans.set(number, (span = this.read(number * SPAN, (number + 1) * SPAN)));
    return span.has(day);
  }

  /** Together with a working pattern: what a series needs to know. */
  lookup(pattern: WorkingPattern): DayOffLookup {
    return {
      isDayOff: (day) => this.has(day),
      isWorkingDay: (day) => workingDay(pattern, day).spans.length > 0 && !this.has(day),
    };
  }

  private read(first: number, end: number): Set<number> {
    const days = new Set<number>();
    const add = (from: number, to: number) => {
      for (let day = Math.max(first, from); day < Math.min(end, to); day++) days.add(day);
    };
    for (const single of this.singles) add(single.first, single.end);
    for (const series of this.series) {
      const changed = this.changed.get(series.event.id);
      const length = (wallOf(series.event.end) - wallOf(series.event.start)) / DAY;
      for (const { wall } of datesIn(series, first, end))
        if (!changed?.has(series.keyOf(wall))) add(wall / DAY, wall / DAY + length);
    }
    return days;
  }
}
