import type { Patch } from '@/core/change/patch';
import type { Entry } from '@/core/model/entry';
import type { WorkingPattern } from '@/core/model/settings';
import { dueReminders, type DueReminder } from '@/core/reminders/dueReminders';
import { type DayLoad, loadOfDays, minutesByCalendar } from '@/core/schedule/load';
import type { Occurrence } from '@/core/schedule/occurrence';
import { dayWindow, OccurrenceIndex } from '@/core/schedule/occurrenceIndex';

/** What a view of days asks for. Days as day numbers, half-open. */
export interface DaysQuery {
  readonly firstDay: number;
  readonly endDay: number;
  readonly zone: string;
  readonly hiddenCalendarIds: readonly string[];
  readonly workingPattern: WorkingPattern;
}

export interface DaysAnswer {
  readonly firstDay: number;
  readonly endDay: number;
  readonly occurrences: readonly Occurrence[];
  readonly loads: readonly DayLoad[];
  /** Minutes that each calendar takes, hidden ones too. */
  readonly calendarMinutes: Readonly<Record<string, number>>;
}

/** Holds the entries and their index, and answers questions about them; it never changes data itself. */
export class Engine {
  private readonly index = new OccurrenceIndex();

  /** Replaces all entries. Each chunk is a JSON list of entries that the store has checked already. */
  load(chunks: readonly string[]): void {
    this.index.load(chunks.flatMap((chunk) => JSON.parse(chunk) as Entry[]));
  }

  /** Follows a change. */
  apply(patch: Pick<Patch, 'changes'>): void {
    for (const change of patch.changes) {
      if (change.collection !== 'entries') continue;
      if (change.after) this.index.put(change.after);
      else this.index.remove(change.id);
    }
  }

  /** What occurs on days, how booked each is, and what each calendar takes of them. */
  days(query: DaysQuery): DaysAnswer {
    const { firstDay, endDay, zone } = query;
    const { workingPattern } = query;
    const all = this.index.between(dayWindow(firstDay, endDay, zone), zone, { workingPattern });
    const hidden = new Set(query.hiddenCalendarIds);
    const occurrences = all.filter((occurrence) => !hidden.has(occurrence.calendarId));
    return {
      firstDay,
      endDay,
      occurrences,
      loads: loadOfDays(occurrences, firstDay, endDay, workingPattern),
      calendarMinutes: minutesByCalendar(all, firstDay, endDay),
    };
  }

  /** How booked each day of a range is. */
  loads(query: DaysQuery): readonly DayLoad[] {
    const { firstDay, endDay, zone, hiddenCalendarIds, workingPattern } = query;
    const window = dayWindow(firstDay, endDay, zone);
    const occurrences = this.index.between(window, zone, { hiddenCalendarIds, workingPattern });
    return loadOfDays(occurrences, firstDay, endDay, workingPattern);
  }

  /** Reminders due after `from`, up to `to`. */
  reminders(from: number, to: number, zone: string, workingPattern: WorkingPattern): DueReminder[] {
    return dueReminders(this.index, from, to, zone, workingPattern);
  }
}
