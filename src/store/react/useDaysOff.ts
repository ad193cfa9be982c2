import { useMemo } from 'react';
import type { State } from '@/core/model/state';
import { daysOf } from '@/core/schedule/occurrence';
import { useSnapshot } from './StoreContext';
import { useDays } from './useDays';

const NO_DAYS: readonly number[] = [];

/** The days off of a range, half-open day numbers, by the calendar that series skip days off of, where one does. */
export function useDaysOff(first: number, end: number): readonly number[] {
  const calendarId = useSnapshot(({ state }) => daysOffCalendar(state.entries));
  const { answer } = useDays(first, end);
  return useMemo(() => {
    if (calendarId === undefined || !answer) return NO_DAYS;
    return answer.occurrences.flatMap((occurrence) => {
      if (occurrence.calendarId !== calendarId || !occurrence.allDay) return [];
      const { first: day, end: after } = daysOf(occurrence);
      return Array.from({ length: after - day }, (_, index) => day + index);
    });
  }, [calendarId, answer]);
}

let known: { entries: State['entries']; id: string | undefined } | undefined;
/** The calendar whose days off are skipped, found once for each state of the entries. */
function daysOffCalendar(entries: State['entries']): string | undefined {
  if (known?.entries !== entries) {
    let id: string | undefined;
    for (const { recurrence } of entries.values()) id ??= recurrence?.skipDaysOff?.calendarId;
    known = { entries, id };
  }
  return known.id;
}
