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

/** The longest lead that is looked for: four weeks. */
const LONGEST_LEAD = 28 * 24 * 60 * MINUTE;

/**
 * The reminders that fall due after `from` and up to `to`, oldest first. Reminders for what is cancelled are
 * left out, and those of the calendars that the filter hides.
 */
export function dueReminders(
  index: OccurrenceIndex,
  from: number,
  to: number,
  viewZone: string,
  filter: OccurrenceFilter,
): DueReminder[] {
  const found: DueReminder[] = [];
  for (const occurrence of index.between({ start: from, end: to + LONGEST_LEAD }, viewZone, filter)) {
    if (!occurrence.reminds || occurrence.status === 'cancelled') continue;
    for (const { minutesBefore } of index.fieldsOf(occurrence)?.reminders ?? []) {
      const due = occurrence.start - minutesBefore * MINUTE;
      if (due > from && due <= to)
        found.push({ key: `${occurrence.key}#${due}`, due, minutesBefore, occurrence });
    }
  }
  return found.sort((a, b) => a.due - b.due || (a.key < b.key ? -1 : 1));
}
