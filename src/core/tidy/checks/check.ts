import type { CalendarEvent } from '../../model/entry';
import type { OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { type Occurrence } from '../../schedule/occurrence';
import { DAY } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import { instantToWall } from '../../time/zones';
import {
  type CheckedCalendar,
  type CheckName,
  type CheckQuery,
  type Finding,
  type FindingDetails,
  findingId,
  type FixPart,
  type NoFixReason,
} from './finding';

/** So far behind and ahead days are looked at, in days. */
const BEHIND = 90;
const AHEAD = 180;

/** What checks look at, each part of it worked out once. */
export class Checked {
  readonly calendars: ReadonlyMap<string, CheckedCalendar>;
  /** Today, as a day number in the person's zone. */
  readonly today: number;
  private heads: readonly CalendarEvent[] | undefined;
  private occurrences: readonly Occurrence[] | undefined;
  private next: readonly Occurrence[] | undefined;
  private changed: ReadonlySet<string> | undefined;

  constructor(
    readonly index: OccurrenceIndex,
    readonly query: CheckQuery,
  ) {
    this.calendars = new Map(query.calendars.map((calendar) => [calendar.id, calendar]));
    this.today = Math.floor(instantToWall(query.zone, query.now) / DAY);
  }

  /** The entries that stand for themselves, in a stable order: single ones and series. */
  get own(): readonly CalendarEvent[] {
    this.heads ??= [...this.index.all()]
      .filter(({ seriesId }) => seriesId === undefined || !this.index.get(seriesId))
      .sort((a, b) => (a.id < b.id ? -1 : 1));
    return this.heads;
  }

  /** What occurs on the days that are looked at: a quarter behind, half a year ahead. */
  get around(): readonly Occurrence[] {
    const { zone, now, workingPattern } = this.query;
    this.occurrences ??= this.index.between({ start: now - BEHIND * DAY, end: now + AHEAD * DAY }, zone, {
      workingPattern,
    });
    return this.occurrences;
  }

  /** What of that begins from now on. */
  get coming(): readonly Occurrence[] {
    this.next ??= this.around.filter(({ start }) => start >= this.query.now);
    return this.next;
  }

  /** The ids of series that have changed occurrences: what goes with such a one is more than it says itself. */
  get withChanged(): ReadonlySet<string> {
    this.changed ??= new Set([...this.index.all()].flatMap(({ seriesId }) => seriesId ?? []));
    return this.changed;
  }

  isClosed(event: Pick<CalendarEvent, 'calendarId'>): boolean {
    return this.calendars.get(event.calendarId)?.isClosed ?? true;
  }

  /** Whether the whole of a single entry is over. */
  isOver(event: CalendarEvent): boolean {
    return !event.recurrence && instantOf(event.end, this.query.zone) < this.query.now;
  }
}

/** What a finding is made of. */
export interface Found {
  readonly keys: readonly string[];
  readonly calendarIds?: readonly string[];
  readonly details: FindingDetails;
  readonly fix?: readonly FixPart[];
  readonly isSafe?: boolean;
  readonly noFix?: NoFixReason;
}

/** A finding of a check. Where nothing is proposed, it is the person's to say. */
export function finding(check: CheckName, found: Found): Finding {
  const { keys, calendarIds = [], details, fix, isSafe = false, noFix } = found;
  return {
    id: findingId(check, [...keys, ...calendarIds]),
    check,
    keys,
    calendarIds,
    details,
    ...(fix ? { fix } : { noFix: noFix ?? 'yours-to-say' }),
    isSafe: isSafe && fix !== undefined,
  };
}

/** Findings of some checks that share what they look at. */
export type Check = (checked: Checked) => Iterable<Finding>;

/** Gathers what shares a key; what has none is left out. */
export function gathered<Item, Key>(
  items: Iterable<Item>,
  keyOf: (item: Item) => Key | undefined,
): Map<Key, Item[]> {
  const groups = new Map<Key, Item[]>();
  for (const item of items) {
    const key = keyOf(item);
    if (key === undefined) continue;
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}
