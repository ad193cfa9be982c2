import { MINUTE } from '../time/civil';
import type { OccurrenceFilter, OccurrenceIndex } from '../schedule/occurrenceIndex';
import type { Occurrence } from '../schedule/occurrence';

/** A reminder at the instant when it is due. */
export interface DueReminder {
  readonly key: string;
  readonly due: number;
  readonly minutesBefore: number;
  readonly occurrence: Occurrence;
}

/**
 * The reminders that fall due after `from` and up to `to`, oldest first, however long before. Reminders for what is
 * cancelled are left out, and those of the calendars that the filter hides.
 */
export function dueReminders(
  index: OccurrenceIndex,
  from: number,
  to: number,
  viewZone: string,
  filter: OccurrenceFilter,
): DueReminder[] {
  const found: DueReminder[] = [];
  // Each lead looks at its own time: a reminder a year ahead costs no expansion of that year.
  for (const [minutesBefore, ids] of index.reminding()) {
    const lead = minutesBefore * MINUTE;
    const window = { start: from + lead, end: to + lead + 1 };
    for (const occurrence of index.between(window, viewZone, filter, ids)) {
      const due = occurrence.start - lead;
      if (occurrence.status === 'cancelled' || due <= from || due > to) continue;
      if (!index.fieldsOf(occurrence)?.reminders.some((reminder) => reminder.minutesBefore === minutesBefore))
        continue;
      found.push({ key: `${occurrence.key}#${due}`, due, minutesBefore, occurrence });
    }
  }
  return found.sort((a, b) => a.due - b.due || (a.key < b.key ? -1 : 1));
}

/** What is known of the reminders that were answered. */
export interface Answered {
  /** No reminder up to this instant waits for an answer. */
  readonly remindedUntil: number;
  readonly dismissed: readonly string[];
}

/**
 * What is known after some of the waiting reminders were dismissed: the others wait on, also those of the same minute.
 * @param waiting all that wait, oldest first
 * @param now up to when reminders were looked for
 */
export function dismissReminders(
  waiting: readonly DueReminder[],
  keys: readonly string[],
  { dismissed }: Pick<Answered, 'dismissed'>,
  now: number,
): Answered {
  const rest = waiting.filter(({ key }) => !keys.includes(key));
  const remindedUntil = rest[0] ? rest[0].due - 1 : now;
  const dueOf = (key: string) => Number(key.slice(key.lastIndexOf('#') + 1));
  return {
    remindedUntil,
    dismissed: [...new Set([...dismissed, ...keys])].filter((key) => dueOf(key) > remindedUntil),
  };
}
