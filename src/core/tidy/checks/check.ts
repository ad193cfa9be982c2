import type { CalendarEvent, Todo } from '../../model/entry';
import type { EntryIndex } from '../../schedule/entryIndex';
import { byStart, type OccurrenceIndex } from '../../schedule/occurrenceIndex';
import type { Occurrence } from '../../schedule/occurrence';
import { takesTime } from '../../schedule/standing';
import type { WorkingDay } from '../../model/settings';
import { DAY } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import { workingDay } from '../../time/workingPattern';
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
import type { Touched } from './groups';
import { plainTitle } from './likeTitles';

/** So far behind and ahead days are looked at, in days. */
const BEHIND = 90;
const AHEAD = 180;

/** What checks look at, each part of it worked out once and kept up with changes. */
export class Checked {
  readonly calendars: ReadonlyMap<string, CheckedCalendar>;
  /** Today, as a day number in the person's zone. */
  readonly today: number;
  private lists: Lists | undefined;
  private readonly titles = new WeakMap<CalendarEvent, string>();
  private readonly days = new Map<number, WorkingDay>();

  /** The events among the entries. */
  readonly index: OccurrenceIndex;

  constructor(
    readonly entries: EntryIndex,
    readonly query: CheckQuery,
  ) {
    this.index = entries.events;
    this.calendars = new Map(query.calendars.map((calendar) => [calendar.id, calendar]));
    this.today = Math.floor(instantToWall(query.zone, query.now) / DAY);
  }

  /** Follows a change of entries: of what occurs, only what it touched is expanded again. */
  follow(touched: Touched<CalendarEvent>): void {
    if (!this.lists) return;
    const { around, taking } = this.lists;
    const added = this.occurring(touched);
    const followed = (list: readonly Occurrence[], more: readonly Occurrence[]): Occurrence[] =>
      merged(
        list.filter(({ entryId }) => !touched.has(entryId)),
        more,
      );
    this.lists = this.listsOf(followed(around, added), followed(taking, added.filter(takesHours)));
  }

  private listsOf(around: readonly Occurrence[], taking: readonly Occurrence[]): Lists {
    return { around, taking, coming: this.comingOf(around), comingTaking: this.comingOf(taking) };
  }

  private comingOf(list: readonly Occurrence[]): readonly Occurrence[] {
    const next = list.findIndex(({ start }) => start >= this.query.now);
    return next === -1 ? [] : list.slice(next);
  }

  private get known(): Lists {
    if (!this.lists) {
      const around = this.occurring();
      this.lists = this.listsOf(around, around.filter(takesHours));
    }
    return this.lists;
  }

  private occurring(only?: Pick<ReadonlySet<string>, 'has'>): Occurrence[] {
    const { zone, now, workingPattern } = this.query;
    return this.index.between(
      { start: now - BEHIND * DAY, end: now + AHEAD * DAY },
      zone,
      { workingPattern },
      only,
    );
  }

  /** Whether an entry stands for itself: a single one, a series, or a changed occurrence whose series is gone. */
  isOwn({ seriesId }: CalendarEvent): boolean {
    return seriesId === undefined || !this.index.get(seriesId);
  }

  /** The title of an entry as it is compared. */
  titleOf(event: CalendarEvent): string {
    let title = this.titles.get(event);
    if (title === undefined) this.titles.set(event, (title = plainTitle(event.title)));
    return title;
  }

  /** What begins from now on, in half a year ahead. */
  get coming(): readonly Occurrence[] {
    return this.known.coming;
  }

  /** What takes timed hours of the person: in a quarter behind, half a year ahead. */
  get taking(): readonly Occurrence[] {
    return this.known.taking;
  }

  /** What of that begins from now on. */
  get comingTaking(): readonly Occurrence[] {
    return this.known.comingTaking;
  }

  /** The working hours of a day. */
  workingDay(day: number): WorkingDay {
    let working = this.days.get(day);
    if (!working) this.days.set(day, (working = workingDay(this.query.workingPattern, day)));
    return working;
  }

  isClosed(event: Pick<CalendarEvent, 'calendarId'>): boolean {
    return this.calendars.get(event.calendarId)?.isClosed ?? true;
  }

  /** Whether the whole of a single entry is over. */
  isOver(event: CalendarEvent): boolean {
    return !event.recurrence && instantOf(event.end, this.query.zone) < this.query.now;
  }
}

/** What occurs, by start. */
type Lists = Readonly<Record<'around' | 'taking' | 'coming' | 'comingTaking', readonly Occurrence[]>>;

const takesHours = (occurrence: Occurrence): boolean =>
  !occurrence.allDay &&
  occurrence.end > occurrence.start &&
  occurrence.end - occurrence.start < DAY &&
  takesTime(occurrence);

/** Two lists by start as one. */
function merged(list: readonly Occurrence[], more: readonly Occurrence[]): Occurrence[] {
  const both: Occurrence[] = [];
  let next = 0;
  for (const each of list) {
    while (next < more.length && byStart(more[next]!, each) < 0) both.push(more[next++]!);
    both.push(each);
  }
  return [...both, ...more.slice(next)];
}

/** What a finding is made of. */
export interface Found {
  /** What it is told by, where that is not what it is about. */
  readonly id?: string;
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
  const id = found.id ?? findingId(check, [...keys, ...calendarIds]);
  return {
    id,
    check,
    keys,
    calendarIds,
    details,
    ...(fix ? { fix } : { noFix: noFix ?? 'yours-to-say' }),
    isSafe: isSafe && fix !== undefined,
  };
}

/**
 * Some checks that share what they look at: given what they look at, they give how to follow a change. It hears what was
 * touched since it was called before, at first all, events and to-dos apart, and gives all that is found now.
 */
export type Check = (
  checked: Checked,
) => (touched: Touched<CalendarEvent>, todos: Touched<Todo>) => Iterable<Finding>;

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
