import type { CalendarEvent } from '../../model/entry';
import { attendeesOf } from '../../model/attendees';
import { filterTest } from '../../schedule/entryFilter';
import { isRibbon, type Occurrence, takenRange } from '../../schedule/occurrence';
import { dayWindow, type OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { civilDate, DAY, dayNumber, MINUTE, startOfWeek, weekdayOf } from '../../time/civil';
import { startOfDay } from '../../time/zones';
import { workingDay } from '../../time/workingPattern';
import type {
  DayRange,
  HoursAnswer,
  HoursBy,
  HoursColumn,
  HoursQuery,
  HoursRow,
  HoursStep,
  SeriesCost,
} from './hoursQuery';
import { busyKindOf, isOff } from '../../schedule/standing';
import { rangesOverlap } from '../../time/eventTime';

/** Free time counts from so long on: an hour, in minutes. */
const UNBROKEN = 60;
/** So many series are named. */
const MOST_SERIES = 10;

/** The parts of a range in which its columns lie: days, weeks from the first weekday on, or months; half-open. */
export function columnsOf({ first, end }: DayRange, step: HoursStep, weekStart: number): DayRange[] {
  const columns: DayRange[] = [];
  const after = (day: number): number => {
    if (step === 'day') return day + 1;
    if (step === 'week') return startOfWeek(day, weekStart) + 7;
    const { year, month } = civilDate(day);
    return month === 12 ? dayNumber(year + 1, 1, 1) : dayNumber(year, month + 1, 1);
  };
  for (let day = first; day < end; day = columns.at(-1)!.end)
    columns.push({ first: day, end: Math.min(end, after(day)) });
  return columns;
}

/** An entry in time, with what its hours are told apart by. Instants. */
interface Taken {
  readonly occurrence: Occurrence;
  readonly event: CalendarEvent;
  readonly start: number;
  readonly end: number;
  readonly keys: readonly string[];
}

const NONE = [''];
const orNone = (keys: readonly string[]): readonly string[] => (keys.length > 0 ? keys : NONE);

const KEYS: Readonly<Record<Exclude<HoursBy, 'weekday'>, (event: CalendarEvent) => readonly string[]>> = {
  calendar: ({ calendarId }) => [calendarId],
  category: ({ categories }) => orNone([...new Set(categories)]),
  place: ({ location }) => [location.trim()],
  person: (event) => orNone([...new Set(attendeesOf(event).map(({ name }) => name))]),
};

function takenIn(index: OccurrenceIndex, query: HoursQuery, range: DayRange): Taken[] {
  const { zone, by, counted, filter, hiddenCalendarIds, workingPattern } = query;
  const window = dayWindow(range.first, range.end, zone);
  const passes = filterTest(filter);
  const known = new Map<CalendarEvent, readonly string[] | undefined>();
  const keysOf = (event: CalendarEvent): readonly string[] | undefined => {
    if (!known.has(event))
      known.set(event, passes(event) ? (by === 'weekday' ? NONE : KEYS[by](event)) : undefined);
    return known.get(event);
  };
  return index
    .between(index.withWays(window), zone, { hiddenCalendarIds, workingPattern })
    .flatMap((occurrence): Taken[] => {
      const event = index.fieldsOf(occurrence);
      if (!event || isOff(occurrence) || !counted.includes(busyKindOf(occurrence) ?? 'free')) return [];
      const keys = keysOf(event);
      if (!keys) return [];
      const span = occurrence.allDay ? occurrence : takenRange(occurrence);
      const start = Math.max(span.start, window.start);
      const end = Math.min(span.end, window.end);
      return end > start ? [{ occurrence, event, start, end, keys }] : [];
    });
}

/** Sums while they are gathered, in milliseconds. */
interface Sums {
  shared: number;
  each: number;
  wholeDays: number;
  columns: number[];
}

/**
 * Calls back with each stretch of time in which the same entries run, and which these are: cut at the given instants, too.
 * @param taken in any order
 * @param cuts in order, from the first instant to the last
 */
function eachStretch<Item extends { readonly start: number; readonly end: number }>(
  taken: readonly Item[],
  cuts: readonly number[],
  found: (from: number, to: number, running: ReadonlySet<Item>, cut: number) => void,
): void {
  const edges = [
    ...taken.flatMap((each) => [
      { at: each.start, each, isStart: true },
      { at: each.end, each, isStart: false },
    ]),
    ...cuts.map((at) => ({ at, each: undefined, isStart: false })),
  ].sort((a, b) => a.at - b.at);
  const running = new Set<Item>();
  let from = -Infinity;
  let cut = -1;
  for (const { at, each, isStart } of edges) {
    if (at > from && running.size > 0) found(from, at, running, cut);
    from = at;
    if (!each) cut++;
    else if (isStart) running.add(each);
    else running.delete(each);
  }
}

/** The hours of a range: told apart, over columns, against the working pattern, and of which series. */
export function hoursOf(index: OccurrenceIndex, query: HoursQuery): HoursAnswer {
  const { range, before, weekStart, by, step } = query;
  const columns = columnsOf(range, step, weekStart);
  const taken = takenIn(index, query, range);
  const sums = gather(taken, query, range, columns);
  const earlier = before ? gather(takenIn(index, query, before), query, before, [before]) : undefined;
  const minutesOf = (milliseconds: number): number => milliseconds / MINUTE;
  const rows = [...new Set([...sums.byKey.keys(), ...(earlier?.byKey.keys() ?? [])])]
    .map((key): HoursRow => {
      const own = sums.byKey.get(key);
      return {
        key,
        minutes: minutesOf(own?.shared ?? 0),
        each: minutesOf(own?.each ?? 0),
        before: minutesOf(earlier?.byKey.get(key)?.shared ?? 0),
        wholeDays: own?.wholeDays ?? 0,
        columns: own?.columns.map(minutesOf) ?? columns.map(() => 0),
      };
    })
    .filter((row) => row.minutes > 0 || row.before > 0 || row.wholeDays > 0);
  return {
    rows:
      by === 'weekday'
        ? rows.sort((a, b) => ((Number(a.key) - weekStart + 7) % 7) - ((Number(b.key) - weekStart + 7) % 7))
        : rows.sort((a, b) => b.minutes - a.minutes || (a.key < b.key ? -1 : 1)),
    columns: columns.map((column, at) => ({
      ...column,
      minutes: minutesOf(sums.perColumn[at]!),
      ...workOf(taken, column, query),
    })),
    minutes: minutesOf(sums.once),
    each: minutesOf(sums.each),
    before: minutesOf(earlier?.once ?? 0),
    series: costsOf(taken),
  };
}

function gather(
  taken: readonly Taken[],
  { by, zone }: HoursQuery,
  range: DayRange,
  columns: readonly DayRange[],
) {
  const byKey = new Map<string, Sums>();
  const sumsOf = (key: string): Sums => {
    let known = byKey.get(key);
    if (!known) byKey.set(key, (known = { shared: 0, each: 0, wholeDays: 0, columns: columns.map(() => 0) }));
    return known;
  };
  const days = Array.from({ length: range.end - range.first + 1 }, (_, index) => range.first + index);
  const cuts = days.map((day) => startOfDay(zone, day));
  const columnOf: number[] = [];
  columns.forEach(({ first, end }, at) => {
    for (let day = first; day < end; day++) columnOf[day - range.first] = at;
  });
  const ofDay = cuts.map((_, index) =>
    by === 'weekday' && index < cuts.length - 1 ? [sumsOf(String(weekdayOf(range.first + index)))] : [],
  );
  // Whose sums they are is looked up once for each, and not at every stretch.
  const summed = taken.map(({ occurrence, start, end, keys }) => ({
    occurrence,
    start,
    end,
    sums: by === 'weekday' ? undefined : keys.map(sumsOf),
  }));
  const timed = summed.filter(({ occurrence }) => !occurrence.allDay);
  const perColumn = columns.map(() => 0);
  let once = 0;
  let all = 0;
  eachStretch(timed, cuts, (from, to, running, cut) => {
    const length = to - from;
    const column = columnOf[cut]!;
    once += length;
    perColumn[column]! += length;
    for (const each of running) {
      all += length;
      const sumsOfEach = each.sums ?? ofDay[cut]!;
      // A person had all of the time that others had, too.
      const share = by === 'person' ? length : length / running.size / sumsOfEach.length;
      for (const sums of sumsOfEach) {
        sums.shared += share;
        sums.each += length;
        sums.columns[column]! += share;
      }
    }
  });
  for (const { occurrence, sums: own } of summed) {
    if (!occurrence.allDay) continue;
    const first = Math.max(range.first, Math.floor(occurrence.startWall / DAY));
    const end = Math.min(range.end, Math.ceil(occurrence.endWall / DAY));
    for (let day = first; day < end; day++)
      for (const sums of own ?? ofDay[day - range.first]!) sums.wholeDays++;
  }
  return { byKey, perColumn, once, each: all };
}

/** What of the working hours of a column is booked, with others, and free in one piece. */
function workOf(
  taken: readonly Taken[],
  { first, end }: DayRange,
  { zone, workingPattern }: HoursQuery,
): Pick<HoursColumn, 'working' | 'booked' | 'meetings' | 'unbroken'> {
  const sums = { working: 0, booked: 0, meetings: 0, unbroken: 0 };
  const window = dayWindow(first, end, zone);
  const near = taken.filter((each) => !isRibbon(each.occurrence) && rangesOverlap(each, window));
  for (let day = first; day < end; day++) {
    const { spans } = workingDay(workingPattern, day);
    if (spans.length === 0) continue;
    const midnight = day * DAY;
    const own = near
      .map(({ occurrence, event }) => {
        const ways = occurrence.ways;
        return {
          from: ((ways?.leaveWall ?? occurrence.startWall) - midnight) / MINUTE,
          to: ((ways?.homeWall ?? occurrence.endWall) - midnight) / MINUTE,
          isMeeting: (event.attendees?.length ?? 0) > 0,
        };
      })
      .filter(({ from, to }) => to > 0 && from < 1440)
      .sort((a, b) => a.from - b.from);
    for (const span of spans) {
      sums.working += span.to - span.from;
      let free = span.from;
      let met = span.from;
      for (const { from, to, isMeeting } of [...own, { from: span.to, to: span.to, isMeeting: false }]) {
        const [clippedFrom, clippedTo] = [Math.max(from, span.from), Math.min(to, span.to)];
        if (clippedFrom > free) {
          const gap = Math.min(clippedFrom, span.to) - free;
          if (gap >= UNBROKEN) sums.unbroken += gap;
          sums.booked -= gap;
        }
        if (isMeeting && clippedTo > Math.max(clippedFrom, met)) {
          sums.meetings += clippedTo - Math.max(clippedFrom, met);
          met = clippedTo;
        }
        free = Math.max(free, Math.min(span.to, Math.max(clippedFrom, clippedTo)));
      }
      sums.booked += span.to - span.from;
    }
  }
  return sums;
}

/** The series that take the most, each of their occurrences in full. */
function costsOf(taken: readonly Taken[]): SeriesCost[] {
  const costs = new Map<string, { event: CalendarEvent; minutes: number; count: number }>();
  for (const { occurrence, event, start, end } of taken) {
    if (!occurrence.recurring || occurrence.allDay) continue;
    const id = event.seriesId ?? occurrence.entryId;
    const known = costs.get(id) ?? { event, minutes: 0, count: 0 };
    costs.set(id, {
      event: known.event,
      minutes: known.minutes + (end - start) / MINUTE,
      count: known.count + 1,
    });
  }
  return [...costs]
    .map(([entryId, { event, minutes, count }]) => ({
      entryId,
      title: event.title,
      calendarId: event.calendarId,
      minutes,
      count,
    }))
    .sort((a, b) => b.minutes - a.minutes || (a.entryId < b.entryId ? -1 : 1))
    .slice(0, MOST_SERIES);
}
