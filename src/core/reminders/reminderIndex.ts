import type { Calendar } from '../model/calendar';
import { type Entry, isEvent } from '../model/entry';
import type { Reminder, ReminderWay, UsualReminders } from '../model/reminder';
import { MINUTE } from '../time/civil';
import { LONGEST_WAY, reachOf } from './dueTimes';

/** Steps of the distances by which events are found, in minutes: each a third as far again as the one before. */
const STEPS: readonly number[] = (() => {
  const far = Array.from({ length: 43 }, (_, index) => Math.round(120 * 1.3 ** index));
  return [...far.map((minutes) => -minutes).reverse(), 0, ...far].map((minutes) => minutes * MINUTE);
})();

/** Entries whose reminders come between two distances from them, and how many reasons there are to look at each. */
class Bucket {
  readonly members = new Map<string, number>();
  constructor(
    readonly by: ReminderWay,
    readonly low: number,
    readonly high: number,
  ) {}

  add(id: string): void {
    this.members.set(id, (this.members.get(id) ?? 0) + 1);
  }

  remove(id: string): void {
    const reasons = (this.members.get(id) ?? 0) - 1;
    if (reasons > 0) this.members.set(id, reasons);
    else this.members.delete(id);
  }
}

/** What is looked at to find reminders: the entries, and between which distances from them (due less anchor) they remind. */
export interface ReminderGroup {
  readonly low: number;
  readonly high: number;
  readonly has: (id: string) => boolean;
}

/** The events that follow the usual reminders of a calendar. */
interface Followers {
  readonly timed: Set<string>;
  readonly wholeDays: Set<string>;
}

const bounds = ({ low, high }: { low: number; high: number }): { low: number; high: number } => ({
  low: STEPS.findLast((step) => step <= low) ?? -Infinity,
  high: STEPS.find((step) => step >= high) ?? Infinity,
});

/**
 * Which entries remind how far from themselves, so that what is due at a time is found among those few that can be: kept
 * with each change, never counted anew.
 */
export class ReminderIndex {
  private readonly buckets = new Map<string, Bucket>();
  /** For each entry with reminders of its own: the buckets that it is in, and under which ids. */
  private readonly places = new Map<string, readonly (readonly [Bucket, string])[]>();
  private readonly followers = new Map<string, Followers>();
  /** For each event that follows: its set, and under which ids. */
  private readonly following = new Map<string, readonly (readonly [Set<string>, string])[]>();
  private readonly fixed = new Set<string>();
  private readonly usual = new Map<string, UsualReminders>();

  /** Replaces everything but the usual reminders. */
  load(entries: Iterable<Entry>): void {
    this.buckets.clear();
    this.places.clear();
    this.followers.clear();
    this.following.clear();
    this.fixed.clear();
    for (const entry of entries) this.put(entry);
  }

  /** Replaces the usual reminders of all calendars. */
  loadUsual(calendars: Iterable<Pick<Calendar, 'id' | 'usualReminders'>>): void {
    this.usual.clear();
    for (const { id, usualReminders } of calendars) this.putUsual(id, usualReminders);
  }

  /** Sets the usual reminders of a calendar; none take them away. */
  putUsual(calendarId: string, usual: UsualReminders | undefined): void {
    if (usual) this.usual.set(calendarId, usual);
    else this.usual.delete(calendarId);
  }

  usualOf(calendarId: string): UsualReminders | undefined {
    return this.usual.get(calendarId);
  }

  /** A to-do without reminders of its own has none: what is usual in its calendar is usual for events. */
  put(entry: Entry): void {
    this.remove(entry.id);
    // A change that holds for later occurrences reminds of those of its series.
    const ids =
      entry.recurrenceRange && entry.seriesId !== undefined ? [entry.id, entry.seriesId] : [entry.id];
    if (entry.reminders === undefined) {
      if (!isEvent(entry)) return;
      const followers = this.followersOf(entry.calendarId);
      const set = entry.start.kind === 'date' ? followers.wholeDays : followers.timed;
      for (const id of ids) set.add(id);
      this.following.set(
        entry.id,
        ids.map((id) => [set, id] as const),
      );
      return;
    }
    const places: (readonly [Bucket, string])[] = [];
    for (const reminder of entry.reminders) {
      if (reminder.trigger.kind === 'fixed') this.fixed.add(entry.id);
      const bucket = this.bucketOf(reminder, ((isEvent(entry) && entry.travel?.there) || 0) * MINUTE);
      if (!bucket) continue;
      for (const id of ids) {
        bucket.add(id);
        places.push([bucket, id]);
      }
    }
    if (places.length > 0) this.places.set(entry.id, places);
  }

  remove(id: string): void {
    this.fixed.delete(id);
    for (const [bucket, member] of this.places.get(id) ?? []) bucket.remove(member);
    this.places.delete(id);
    // A series stays where another of its changes follows too: it is looked at in vain, no more.
    for (const [set, member] of this.following.get(id) ?? []) if (member === id) set.delete(member);
    this.following.delete(id);
  }

  /** The entries with reminders at fixed instants. */
  fixedIds(): ReadonlySet<string> {
    return this.fixed;
  }

  /**
   * All that is to be looked at, each group for itself.
   * @param ways by which reminders come; by any without
   * @param only the events that are looked at; all without
   */
  groups(ways?: ReadonlySet<ReminderWay>, only?: ReadonlySet<string>): ReminderGroup[] {
    // Events that are found between the same distances are looked at together, whichever way their reminders come.
    const together = new Map<string, { low: number; high: number; sets: Pick<Set<string>, 'has'>[] }>();
    const add = ({ low, high }: { low: number; high: number }, set: Pick<Set<string>, 'has'>): void => {
      const group = together.get(`${low}:${high}`);
      if (group) group.sets.push(set);
      else together.set(`${low}:${high}`, { low, high, sets: [set] });
    };
    for (const bucket of this.buckets.values())
      if (bucket.members.size > 0 && ways?.has(bucket.by) !== false) add(bucket, bucket.members);
    for (const [calendarId, { timed, wholeDays }] of this.followers) {
      const usual = this.usual.get(calendarId);
      if (!usual) continue;
      for (const [reminders, set] of [
        [usual.timed, timed],
        [usual.wholeDays, wholeDays],
      ] as const)
        if (set.size > 0)
          for (const reminder of reminders) {
            const reach = reachOf(reminder, LONGEST_WAY);
            if (reach && ways?.has(reminder.by) !== false) add(bounds(reach), set);
          }
    }
    return [...together.values()].map(({ low, high, sets }) => ({
      low,
      high,
      has: (id) => only?.has(id) !== false && sets.some((set) => set.has(id)),
    }));
  }

  private bucketOf(reminder: Reminder, way: number): Bucket | undefined {
    const reach = reachOf(reminder, way);
    if (!reach) return undefined;
    const { low, high } = bounds(reach);
    const key = `${reminder.by}:${low}:${high}`;
    let bucket = this.buckets.get(key);
    if (!bucket) this.buckets.set(key, (bucket = new Bucket(reminder.by, low, high)));
    return bucket;
  }

  private followersOf(calendarId: string): Followers {
    let followers = this.followers.get(calendarId);
    if (!followers) this.followers.set(calendarId, (followers = { timed: new Set(), wholeDays: new Set() }));
    return followers;
  }
}
