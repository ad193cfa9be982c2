import { type Entry, isEvent } from '../model/entry';
import type { WorkingPattern } from '../model/settings';
import { gapsBetween } from '../schedule/load';
import { daysOf, isRibbon, type Occurrence } from '../schedule/occurrence';
import { DAY, HOUR, MINUTE, weekdayOf } from '../time/civil';
import { instantOf } from '../time/eventTime';
import { workingDay } from '../time/workingPattern';
import { instantToWall, wallToInstant } from '../time/zones';
import { isOff } from '../schedule/standing';

/** What is new of an entry since the run-down before. */
type RunDownChange = 'new' | 'changed';

/** A line of a run-down. Wall times where the person is, in milliseconds. */
export interface RunDownEntry {
  readonly occurrence: Occurrence;
  readonly change: RunDownChange | undefined;
}

/** A day in short, as it is written in the morning. */
export interface RunDown {
  readonly day: number;
  /** Of the whole day first, then in order of their starts; what is cancelled is not among them. */
  readonly entries: readonly RunDownEntry[];
  /** The free times of an hour or more within the working hours. */
  readonly gaps: readonly { readonly startWall: number; readonly endWall: number }[];
  /** Titles of what was on the day and went to the bin since the run-down before. */
  readonly gone: readonly string[];
}

/** What a run-down is made of. */
export interface RunDownSource {
  /** What occurs on the day, and what lies beside it with a way that reaches into it. */
  readonly occurrences: readonly Occurrence[];
  readonly travelling: readonly Occurrence[];
  readonly entries: ReadonlyMap<string, Entry>;
  readonly bin: Iterable<{ readonly entry: Entry; readonly deleted: number }>;
  readonly pattern: WorkingPattern;
  readonly zone: string;
}

/** The shortest gap that is told, in milliseconds. */
const SHORTEST_GAP = HOUR;

/**
 * The run-down of a day.
 * @param day a day number where the person is
 * @param since the instant from which on changes are told: that of the run-down before
 */
export function runDownOf(day: number, since: number, source: RunDownSource): RunDown {
  const { zone, pattern, entries } = source;
  const shown = source.occurrences.filter((each) => !isOff(each));
  const changeOf = ({ entryId }: Occurrence): RunDownChange | undefined => {
    const entry = entries.get(entryId);
    if (!entry || entry.modified < since) return undefined;
    return entry.created >= since ? 'new' : 'changed';
  };
  const rank = (occurrence: Occurrence): number => (isRibbon(occurrence) ? 0 : 1);
  const gaps = workingDay(pattern, day).spans.flatMap(({ from, to }) =>
    gapsBetween(
      [...source.occurrences, ...source.travelling],
      wallToInstant(zone, day * DAY + from * MINUTE),
      wallToInstant(zone, day * DAY + to * MINUTE),
      SHORTEST_GAP,
    ).map(({ start, end }) => ({ startWall: instantToWall(zone, start), endWall: instantToWall(zone, end) })),
  );
  const gone = [...source.bin].flatMap(({ entry, deleted }) => {
    if (deleted < since || entry.recurrence || !isEvent(entry)) return [];
    const at = {
      startWall: instantToWall(zone, instantOf(entry.start, zone)),
      endWall: instantToWall(zone, instantOf(entry.end, zone)),
    };
    const { first, end } = daysOf(at);
    return first <= day && day < end ? [entry.title] : [];
  });
  return {
    day,
    gaps,
    gone,
    entries: [...shown]
      .sort((a, b) => rank(a) - rank(b) || a.startWall - b.startWall || (a.key < b.key ? -1 : 1))
      .map((occurrence) => ({ occurrence, change: changeOf(occurrence) })),
  };
}

/** When run-downs are due after an instant and up to another: the days and the instants. */
export function runDownTimes(
  { minute, weekdays }: { readonly minute: number; readonly weekdays: readonly number[] },
  from: number,
  to: number,
  zone: string,
): { day: number; at: number }[] {
  const first = Math.floor(instantToWall(zone, from) / DAY);
  const last = Math.floor(instantToWall(zone, to) / DAY);
  return Array.from({ length: last - first + 1 }, (_, index) => first + index)
    .filter((day) => weekdays.includes(weekdayOf(day)))
    .map((day) => ({ day, at: wallToInstant(zone, day * DAY + minute * MINUTE) }))
    .filter(({ at }) => at > from && at <= to);
}
