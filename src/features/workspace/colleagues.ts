import { create } from 'zustand';
import { colleagueOfLane } from '@/core/people/busy/colleagueOccurrences';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import type { DaysAnswer } from '@/store';

/** Colleagues in Plan: each is like a calendar of their own, whose times are only looked at. */
export interface Colleagues {
  readonly calendars: readonly Calendar[];
  readonly occurrences: readonly Occurrence[];
  /** How much of the shown days they are taken, by their lanes. */
  readonly minutes: Readonly<Record<string, number>>;
}

export const NO_COLLEAGUES: Colleagues = { calendars: [], occurrences: [], minutes: {} };

/** What of colleagues is shown: who fetches their times says it here. */
export const useColleagues = create<Colleagues>()(() => NO_COLLEAGUES);
export const showColleagues = (colleagues: Colleagues): void => useColleagues.setState(colleagues);

/** One's own answer with what colleagues are at, without those who are hidden. */
export const withColleagues = (
  answer: DaysAnswer | undefined,
  { occurrences, minutes, calendars }: Colleagues,
  hidden: readonly string[],
): DaysAnswer | undefined =>
  answer &&
  (calendars.length === 0
    ? answer
    : {
        ...answer,
        occurrences: [
          ...answer.occurrences,
          ...occurrences.filter(({ calendarId }) => !hidden.includes(calendarId)),
        ],
        calendarMinutes: { ...answer.calendarMinutes, ...minutes },
      });

/** Whether something is a colleague's, and no calendar. */
export const isColleagueLane = ({ id }: Pick<Calendar, 'id'>): boolean => colleagueOfLane(id) !== undefined;
