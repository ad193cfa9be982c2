import { type Entry, isDated, isTodo } from '../model/entry';
import type { Reminder, ReminderWay } from '../model/reminder';
import type { Occurrence } from '../schedule/occurrence';
import type { EntryIndex } from '../schedule/entryIndex';
import type { OccurrenceFilter } from '../schedule/occurrenceIndex';
import { isOff, isSettled } from '../schedule/standing';
import { DAY, HOUR } from '../time/civil';
import { type RemindedSpan, remindedSpan, remindersOf, reminderTimes } from './dueTimes';
import type { ReminderIndex } from './reminderIndex';

/** A reminder at the instant when it is due. */
export interface DueReminder {
  /** Known by it: what it reminds of, when, and by which way. */
  readonly key: string;
  readonly due: number;
  readonly by: ReminderWay;
  readonly occurrence: Occurrence;
  /** When one leaves for it, where there is a way. */
  readonly leave?: number;
  /** Of a to-do that is due: the day, as a day number, and the wall time where it is a moment. */
  readonly todoDue?: { readonly day: number; readonly wall?: number };
  /** What it says, where that is not the title. */
  readonly description?: string;
}

/** What a question about reminders is put to. */
export interface Reminded {
  readonly index: EntryIndex;
  readonly reminders: ReminderIndex;
}

/** A wide question in milliseconds, each as far again: what comes soon is found without looking at what comes late. */
const HORIZONS = [HOUR, DAY, 8 * DAY, 40 * DAY, 400 * DAY, 1800 * DAY];

/** The key of a due reminder. One at a fixed instant comes once for a series, whatever was changed in it. */
const keyOf = ({ key }: Pick<Occurrence, 'key'>, entry: Entry, reminder: Reminder, due: number): string => {
  const isFixed = reminder.trigger.kind === 'fixed';
  return `${isFixed ? (entry.seriesId ?? entry.id) : key}#${due}#${reminder.by}`;
};

function dueOf(
  occurrence: Occurrence,
  entry: Entry,
  reminder: Reminder,
  due: number,
  { leave, day }: RemindedSpan,
): DueReminder {
  return {
    key: keyOf(occurrence, entry, reminder, due),
    due,
    by: reminder.by,
    occurrence,
    ...(leave === occurrence.start ? {} : { leave }),
    ...(isTodo(entry) && !entry.isNeverDue
      ? { todoDue: { day, ...(occurrence.allDay ? {} : { wall: occurrence.endWall }) } }
      : {}),
    ...(reminder.description === undefined ? {} : { description: reminder.description }),
  };
}

/**
 * The reminders that fall due after `from` and up to `to`, oldest first, however far from what they remind of. Those of what
 * is off or done are left out, and those of the calendars that the filter hides; two that come at the same time by the same
 * way are one.
 * @param ways by which they come; by any without
 * @param only the entries that are looked at; all without
 */
export function dueReminders(
  { index, reminders }: Reminded,
  from: number,
  to: number,
  viewZone: string,
  filter: OccurrenceFilter,
  ways?: ReadonlySet<ReminderWay>,
  only?: ReadonlySet<string>,
): DueReminder[] {
  const found = new Map<string, DueReminder>();
  const look = (occurrence: Occurrence, entry: Entry | undefined, isFixed = false): void => {
    if (!entry || !isDated(entry) || isOff(occurrence) || isSettled(entry)) return;
    const span = remindedSpan(entry, occurrence, viewZone);
    for (const reminder of remindersOf(entry, reminders.usualOf(entry.calendarId))) {
      if ((reminder.trigger.kind === 'fixed') !== isFixed || (ways && !ways.has(reminder.by))) continue;
      for (const due of reminderTimes(reminder, span, viewZone)) {
        if (due <= from || due > to) continue;
        const one = dueOf(occurrence, entry, reminder, due, span);
        if (!found.has(one.key)) found.set(one.key, one);
      }
    }
  };
  for (const { low, high, has } of reminders.groups(ways, only)) {
    const window = { start: from - high, end: to - low + 1 };
    for (const occurrence of index.between(window, viewZone, filter, { has }))
      look(occurrence, index.fieldsOf(occurrence));
  }
  for (const id of reminders.fixedIds()) {
    if (only && !only.has(id)) continue;
    const entry = index.get(id);
    if (!entry || filter.hiddenCalendarIds?.includes(entry.calendarId)) continue;
    const isDue = entry.reminders?.some(
      (reminder) =>
        reminder.trigger.kind === 'fixed' &&
        reminderTimes(reminder, { start: 0, end: 0, leave: 0, day: 0 }, viewZone).some(
          (due) => due > from && due <= to,
        ),
    );
    const occurrence = isDue ? index.representative(id, from, viewZone, filter) : undefined;
    if (occurrence) look(occurrence, entry, true);
  }
  return [...found.values()].sort((a, b) => a.due - b.due || (a.key < b.key ? -1 : 1));
}

/**
 * When the next reminder falls due after an instant, or undefined if none does within five years.
 * @param ways by which it comes; by any without
 */
export function nextDue(
  reminded: Reminded,
  after: number,
  viewZone: string,
  filter: OccurrenceFilter,
  ways?: ReadonlySet<ReminderWay>,
): number | undefined {
  let from = after;
  for (const horizon of HORIZONS) {
    const [first] = dueReminders(reminded, from, after + horizon, viewZone, filter, ways);
    if (first) return first.due;
    from = after + horizon;
  }
  return undefined;
}
