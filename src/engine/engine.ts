import type { Patch } from '@/core/change/patch';
import { type CalendarEvent, type Entry, isTodo } from '@/core/model/entry';
import type { EntryFilter } from '@/core/model/look';
import type { WorkingPattern } from '@/core/model/settings';
import { EntrySearch, type SearchAnswer, type SearchRequest } from '@/core/search/entrySearch';
import type { ReminderWay } from '@/core/model/reminder';
import { dueReminders, type DueReminder, type Reminded } from '@/core/reminders/dueReminders';
import { ReminderPlan } from '@/core/reminders/reminderPlan';
import { ReminderIndex } from '@/core/reminders/reminderIndex';
import { type DayLoad, loadOfDays, minutesByCalendar } from '@/core/schedule/load';
import { filterTest, isFilterEmpty } from '@/core/schedule/entryFilter';
import { type Occurrence, takenRange, takenSpans } from '@/core/schedule/occurrence';
import { isOff } from '@/core/schedule/standing';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { dayWindow, type OccurrenceFilter, type Trouble } from '@/core/schedule/occurrenceIndex';
import { DAY } from '@/core/time/civil';
import { rangesOverlap } from '@/core/time/eventTime';
import { type EventChange, type NewOverlap, newOverlaps } from '@/core/change/batch/newOverlaps';
import { targetOfKey } from '@/core/change/target';
import type { CheckQuery, Finding } from '@/core/tidy/checks/finding';
import { type Findings, KeptChecks, type Progress } from '@/core/tidy/checks/keptChecks';
import type { BusySpan } from '@/core/model/busyTimes';
import { ownBusy } from '@/core/people/busy/ownBusy';
import { entriesWith, type EntriesWith, type Subject } from '@/core/people/entriesWith';
import { findGaps } from '@/core/people/gaps/findGaps';
import { findSeriesSlots, type SeriesSlot } from '@/core/people/gaps/findSeriesSlots';
import type { Gaps, GapsQuestion } from '@/core/people/gaps/gapQuery';
import { type Double, findDoubles } from '@/core/tidy/doubles';
import { hoursOf } from '@/core/tidy/hours/hours';
import type { HoursAnswer, HoursQuery } from '@/core/tidy/hours/hoursQuery';
import { EntryTable } from '@/core/tidy/table/entryTable';
import type { Likeness, SelectionSums, TableAnswer, TableQuery } from '@/core/tidy/table/tableQuery';
import { keysLike, selectionSums } from '@/core/tidy/table/selection';
import type { Beside } from './beside';

/** What a view of days asks for. Days as day numbers, half-open. */
export interface DaysQuery {
  readonly firstDay: number;
  readonly endDay: number;
  readonly zone: string;
  readonly hiddenCalendarIds: readonly string[];
  /** Calendars that are put away: none of their entries count as left out. */
  readonly unlistedCalendarIds?: readonly string[];
  /** Calendars whose entries take no time, whatever they say themselves. */
  readonly freeCalendarIds?: readonly string[];
  readonly filter?: EntryFilter;
  /** Whether cancelled entries are left out. */
  readonly withoutCancelled?: boolean;
  readonly workingPattern: WorkingPattern;
}

export interface DaysAnswer {
  readonly firstDay: number;
  readonly endDay: number;
  readonly occurrences: readonly Occurrence[];
  /** What lies beside the days and whose way there or back reaches into them. */
  readonly travelling: readonly Occurrence[];
  readonly loads: readonly DayLoad[];
  /** How many occurrences the filter and hidden calendars leave out. */
  readonly filteredOut: number;
  /** Minutes that each calendar takes, hidden ones too. */
  readonly calendarMinutes: Readonly<Record<string, number>>;
  /** How many entries could not be asked about, anywhere. */
  readonly troubled: number;
}

/** An entry that questions leave out, in whole or but for its start. */
export interface TroubledEntry {
  readonly entryId: string;
  readonly reason: Trouble;
}

/** The ids of the to-dos that a search line finds, and what of it is not understood. */
export interface FoundTodos {
  readonly ids: readonly string[];
  readonly problems: readonly string[];
}

/** Two entries that look like one, by their ids. */
export interface FoundDouble {
  readonly oneId: string;
  readonly otherId: string;
  readonly by: Double['by'];
}

/** Times that suit all, with what takes one's own. */
export interface GapsAnswer extends Gaps {
  readonly ownBusy: readonly BusySpan[];
  /** Where it is to be held again and again: the slots that suit the most of its dates. */
  readonly series?: readonly SeriesSlot[];
}

/** What is asked about reminders. */
export interface RemindersQuery {
  readonly zone: string;
  readonly workingPattern: WorkingPattern;
  /** Calendars that are put away: nothing of theirs reminds. */
  readonly unlistedCalendarIds: readonly string[];
  readonly ways: readonly ReminderWay[];
}

/** Holds the entries and their index, and answers questions about them; it never changes data itself. */
export class Engine {
  private readonly entries = new EntryIndex();
  /** The events among the entries: what takes time. */
  private readonly index = this.entries.events;
  private readonly search = new EntrySearch(this.entries);
  private readonly table = new EntryTable(this.entries, this.search);
  private readonly checks = new KeptChecks(this.entries);
  private readonly reminders = new ReminderIndex();
  /** What falls due soon, for each question that is asked about it. */
  private readonly plans = new Map<string, ReminderPlan>();

  /**
   * Replaces all entries. Each chunk is a JSON list of entries that the store has checked already.
   * @param aside entries that are not asked about
   */
  load(chunks: readonly string[], aside: readonly string[] = []): void {
    this.search.reset();
    this.table.reset();
    const entries = chunks.flatMap((chunk) => JSON.parse(chunk) as Entry[]);
    this.entries.load(entries, new Set(aside));
    this.checks.reset();
    this.reminders.load(entries);
    this.plans.clear();
  }

  /** Says from now on which entry it is at, before it is asked about, and after that none; no more without a listener. */
  sayAt(listener?: (entryId: string | undefined) => void): void {
    this.entries.sayAt(listener);
  }

  /** Replaces what stands beside the entries. */
  loadBeside({ notes, calendars }: Beside): void {
    this.search.loadNotes(notes);
    this.table.reset();
    this.reminders.loadUsual(calendars);
    this.plans.clear();
  }

  /** Follows a change. */
  apply(patch: Pick<Patch, 'changes'>): void {
    this.table.reset();
    for (const change of patch.changes) {
      if (change.collection === 'ownNotes') this.search.putNote(change.id, change.after?.text);
      if (change.collection === 'calendars') {
        this.reminders.putUsual(change.id, change.after?.usualReminders);
        this.plans.clear();
      }
      if (change.collection !== 'entries') continue;
      this.checks.touch(change.id, [change.before, change.after]);
      for (const entry of [change.before, change.after])
        if (entry) for (const plan of this.plans.values()) plan.touch(entry);
      if (change.after) {
        this.entries.put(change.after);
        this.search.put(change.after);
        this.reminders.put(change.after);
      } else {
        this.entries.remove(change.id);
        this.search.remove(change.id);
        this.reminders.remove(change.id);
      }
    }
  }

  /** What occurs on days, how booked each is, and what each calendar takes of them. */
  days(query: DaysQuery): DaysAnswer {
    const { firstDay, endDay, zone, workingPattern, freeCalendarIds = [] } = query;
    const { all, occurrences, travelling } = this.asked(query);
    const taking = [...occurrences, ...travelling];
    return {
      firstDay,
      endDay,
      occurrences,
      travelling,
      loads: loadOfDays(
        takenSpans(taking.filter(({ calendarId }) => !freeCalendarIds.includes(calendarId))),
        firstDay,
        endDay,
        workingPattern,
      ),
      filteredOut: all.length - occurrences.length,
      calendarMinutes: minutesByCalendar(all, dayWindow(firstDay, endDay, zone)),
      troubled: this.entries.troubled().size,
    };
  }

  /** The entries that questions leave out, and why. */
  troubled(): readonly TroubledEntry[] {
    return [...this.entries.troubled()].map(([entryId, reason]) => ({ entryId, reason }));
  }

  /** How many occurrences on days the filter and hidden calendars leave out. */
  leftOut(query: DaysQuery): number {
    const { all, occurrences } = this.asked(query);
    return all.length - occurrences.length;
  }

  /** How booked each day of a range is. */
  loads(query: DaysQuery): readonly DayLoad[] {
    const { firstDay, endDay, zone, workingPattern } = query;
    const { unlistedCalendarIds = [], freeCalendarIds = [] } = query;
    const hiddenCalendarIds = [...query.hiddenCalendarIds, ...unlistedCalendarIds, ...freeCalendarIds];
    const window = dayWindow(firstDay, endDay, zone);
    const accepts = filterTest(query.filter);
    const spans = this.index.takenBetween(window, zone, { hiddenCalendarIds, workingPattern }, accepts);
    return loadOfDays(spans, firstDay, endDay, workingPattern);
  }

  /** All occurrences on days but those of calendars that are put away, and which of them are asked for. */
  private asked(query: DaysQuery): Record<'all' | 'occurrences' | 'travelling', Occurrence[]> {
    const { firstDay, endDay, zone, workingPattern, unlistedCalendarIds = [] } = query;
    const filter = { workingPattern, hiddenCalendarIds: unlistedCalendarIds };
    const window = dayWindow(firstDay, endDay, zone);
    const around = this.index.between(this.index.withWays(window), zone, filter);
    const hidden = new Set(query.hiddenCalendarIds);
    const shown = this.filtered(query, around).filter(({ calendarId }) => !hidden.has(calendarId));
    return {
      all: around.filter((occurrence) => rangesOverlap(occurrence, window)),
      occurrences: shown.filter((occurrence) => rangesOverlap(occurrence, window)),
      travelling: shown.filter(
        (occurrence) => !rangesOverlap(occurrence, window) && rangesOverlap(takenRange(occurrence), window),
      ),
    };
  }

  private filtered(query: DaysQuery, occurrences: Occurrence[]): Occurrence[] {
    const { filter, withoutCancelled } = query;
    const shown = withoutCancelled ? occurrences.filter((occurrence) => !isOff(occurrence)) : occurrences;
    if (!filter || isFilterEmpty(filter)) return shown;
    const passes = filterTest(filter);
    // Of a series, one answer holds for all occurrences that share its fields.
    const known = new Map<CalendarEvent | undefined, boolean>();
    return shown.filter((occurrence) => {
      const event = this.index.fieldsOf(occurrence);
      let answer = known.get(event);
      if (answer === undefined) known.set(event, (answer = event !== undefined && passes(event)));
      return answer;
    });
  }

  /** The categories that entries bear, most used first. */
  categories(): string[] {
    const uses = new Map<string, number>();
    for (const { categories } of this.entries.all())
      for (const category of categories) uses.set(category, (uses.get(category) ?? 0) + 1);
    return [...uses].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).map(([name]) => name);
  }

  /** What a search line finds. */
  find(request: SearchRequest): Promise<SearchAnswer> {
    return this.search.find(request);
  }

  /** The ids of the to-dos that a search line finds; with days in it, of those that are to be done on them. */
  async foundTodos(request: SearchRequest): Promise<FoundTodos> {
    const { ids, days, problems } = await this.search.idsOf(request);
    const { zone, now, workingPattern } = request;
    const window = days && dayWindow(days.first, days.end, zone);
    const found = [...this.entries.all()].filter(
      (entry) =>
        isTodo(entry) &&
        (!ids || ids.has(entry.id)) &&
        (!window || this.entries.representative(entry.id, now, zone, { workingPattern }, window)),
    );
    return { ids: found.map(({ id }) => id), problems };
  }

  /** Makes searching ready. */
  prepareSearch(): Promise<void> {
    return this.search.prepare();
  }

  /** The rows of the table of all entries, from one place up to another. */
  tableRows(query: TableQuery, from: number, to: number): Promise<TableAnswer> {
    return this.table.rows(query, from, to);
  }

  /** The keys of all entries of the table in their order, or of those in a half-open range of places. */
  tableKeys(query: TableQuery, from?: number, to?: number): Promise<string[]> {
    return this.table.keys(query, from, to);
  }

  /** Where an entry stands in the table; -1 where it does not. */
  tablePlace(query: TableQuery, key: string): Promise<number> {
    return this.table.placeOf(query, key);
  }

  /** The keys of all entries that share something with one. */
  keysLike(key: string, likeness: Likeness): string[] {
    return keysLike(this.entries, key, likeness);
  }

  /** What selected entries come to, and how many of them a table leaves out. */
  async selectionSums(keys: readonly string[], zone: string, query?: TableQuery): Promise<SelectionSums> {
    const shown = query && new Set(await this.table.keys(query));
    return selectionSums(this.entries, keys, zone, shown);
  }

  /**
   * What all checks find; undefined where it was not wanted any more.
   * @param within only what is about an entry of this table
   */
  async findings(
    query: CheckQuery,
    within?: TableQuery,
    next: Progress = () => true,
  ): Promise<Findings | undefined> {
    const accepts = within && (await this.aboutRowsOf(within));
    let last = performance.now();
    const nowAndThen: Progress = async (done, all) => {
      if (performance.now() - last < PAUSE_AFTER) return true;
      // Other questions are answered in between.
      await new Promise((resolve) => setTimeout(resolve));
      last = performance.now();
      return next(done, all);
    };
    return this.checks.run(query, nowAndThen, accepts);
  }

  /** Whether a finding is about some entry of a table, or about a calendar that is shown in it. */
  private async aboutRowsOf(table: TableQuery): Promise<(finding: Finding) => boolean> {
    const ids = new Set((await this.table.keys(table)).map((key) => targetOfKey(key).entryId));
    const isIn = (key: string): boolean => {
      const { entryId } = targetOfKey(key);
      const seriesId = this.entries.get(entryId)?.seriesId;
      return ids.has(entryId) || (seriesId !== undefined && ids.has(seriesId));
    };
    const hidden = new Set(table.hiddenCalendarIds);
    return ({ keys, calendarIds }) => keys.some(isIn) || calendarIds.some((id) => !hidden.has(id));
  }

  /** The hours of a range, told apart. */
  hours(query: HoursQuery): HoursAnswer {
    return hoursOf(this.index, query);
  }

  /** Times that suit all, and what takes one's own meanwhile. */
  gaps({ own, others, freeCalendarIds, exceptEntryIds, series, ...query }: GapsQuestion): GapsAnswer {
    const except = new Set(exceptEntryIds);
    // The whole first day is seen, though nothing is proposed before now.
    const { start } = query.range;
    const last = series ? start + 7 * series.everyWeeks * (series.dates + 1) * DAY : 0;
    const range = { start, end: Math.max(query.range.end, last) };
    const known = { start: start - DAY, end: range.end };
    const around = this.index.between(this.index.withWays(known), own.zone, {
      workingPattern: own.workingPattern,
      hiddenCalendarIds: freeCalendarIds,
    });
    const busy = ownBusy(around.filter(({ entryId }) => !except.has(entryId)));
    const attenders = [{ ...own, busy, known }, ...others];
    return {
      ...findGaps({ ...query, attenders }),
      ownBusy: busy,
      ...(series ? { series: findSeriesSlots({ ...query, attenders, range }, series) } : {}),
    };
  }

  /** The next and the last entries with somebody, or in a room. */
  entriesWith(who: Subject, query: RemindersQuery, now: number): EntriesWith {
    return entriesWith(this.index, who, now, query.zone, filterOf(query));
  }

  /** The busy time that would be taken twice after some changes and was not before. */
  newOverlaps(changes: readonly EventChange[], query: RemindersQuery): NewOverlap[] {
    return newOverlaps(this.index, changes, query.zone, filterOf(query));
  }

  /** Which of the given events are here already, but for entries of calendars that can't be changed. */
  doubles(events: readonly CalendarEvent[], closedCalendarIds: readonly string[]): FoundDouble[] {
    const closed = new Set(closedCalendarIds);
    const here = [...this.index.all()].filter(({ calendarId }) => !closed.has(calendarId));
    return findDoubles(events, here).map(({ one, other, by }) => ({ oneId: one.id, otherId: other.id, by }));
  }

  /** Reminders due after `from`, up to `to`, oldest first. */
  dueReminders(query: RemindersQuery, from: number, to: number): DueReminder[] {
    return dueReminders(this.reminded(), from, to, query.zone, filterOf(query), new Set(query.ways));
  }

  /** When the next reminder falls due after an instant, if one does. */
  nextReminder(query: RemindersQuery, after: number): number | undefined {
    return this.planOf(query).next(after);
  }

  private planOf(query: RemindersQuery): ReminderPlan {
    const key = JSON.stringify(query);
    let plan = this.plans.get(key);
    if (!plan) {
      // Of settings that are no more, none is asked about again.
      if (this.plans.size >= MOST_PLANS) this.plans.clear();
      plan = new ReminderPlan(this.reminded(), query.zone, filterOf(query), new Set(query.ways));
      this.plans.set(key, plan);
    }
    return plan;
  }

  private reminded(): Reminded {
    return { index: this.entries, reminders: this.reminders };
  }
}

/** So long checks go on without a pause, in milliseconds. */
const PAUSE_AFTER = 30;

/** The most questions whose answers are kept ready. */
const MOST_PLANS = 4;

const filterOf = ({ workingPattern, unlistedCalendarIds }: RemindersQuery): OccurrenceFilter => ({
  workingPattern,
  hiddenCalendarIds: unlistedCalendarIds,
});
