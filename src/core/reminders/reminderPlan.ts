import { type Entry, isEvent } from '../model/entry';
import type { ReminderWay } from '../model/reminder';
import type { OccurrenceFilter } from '../schedule/occurrenceIndex';
import { DAY } from '../time/civil';
import { type DueReminder, dueReminders, nextDue, type Reminded } from './dueReminders';

/** How far ahead what falls due is known, in milliseconds. */
const AHEAD = DAY;

/**
 * What falls due within a day, kept ready: the next one is found without looking at all entries again, and after a change only
 * those are looked at that it touched.
 */
export class ReminderPlan {
  private span: { readonly from: number; readonly to: number } | undefined;
  /** Ascending by when they are due. */
  private list: DueReminder[] = [];
  private readonly stale = new Set<string>();

  constructor(
    private readonly reminded: Reminded,
    private readonly viewZone: string,
    private readonly filter: OccurrenceFilter,
    private readonly ways: ReadonlySet<ReminderWay>,
  ) {}

  /** Forgets everything: after what reminders of any entry may hang on. */
  drop(): void {
    this.span = undefined;
    this.stale.clear();
  }

  /** Takes note of an entry that was put, changed or taken away. */
  touch(entry: Entry): void {
    // It may be a day off, which series of any calendar skip.
    if (isEvent(entry) && entry.start.kind === 'date') return this.drop();
    this.stale.add(entry.id);
    if (entry.seriesId !== undefined) this.stale.add(entry.seriesId);
  }

  /** When the next reminder falls due after an instant, if one does. */
  next(after: number): number | undefined {
    const { reminded, viewZone, filter, ways } = this;
    if (!this.span || after < this.span.from || after >= this.span.to) {
      this.span = { from: after, to: after + AHEAD };
      this.stale.clear();
      this.list = dueReminders(reminded, after, after + AHEAD, viewZone, filter, ways);
    } else this.renew(this.span);
    const found = this.list[placeAfter(this.list, after)];
    return found?.due ?? nextDue(reminded, this.span.to, viewZone, filter, ways);
  }

  /** Looks again at what has changed. */
  private renew({ from, to }: { from: number; to: number }): void {
    if (this.stale.size === 0) return;
    const { reminded, viewZone, filter, ways } = this;
    // What hangs on a series is looked at with it.
    const stale = new Set(this.stale);
    for (const id of this.stale) for (const changed of reminded.index.changesOf(id)) stale.add(changed);
    // One at a fixed instant is told by any occurrence of its series, and known by the series.
    const others = this.list.filter(
      ({ key, occurrence }) => !stale.has(occurrence.entryId) && !stale.has(key.split('#')[0]!),
    );
    const known = new Set(others.map(({ key }) => key));
    const anew = dueReminders(reminded, from, to, viewZone, filter, ways, stale);
    this.list = [...others, ...anew.filter(({ key }) => !known.has(key))].sort((a, b) => a.due - b.due);
    this.stale.clear();
  }
}

/** The place of the first that is due after an instant. */
function placeAfter(list: readonly DueReminder[], after: number): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (list[middle]!.due <= after) low = middle + 1;
    else high = middle;
  }
  return low;
}
