import type { LineProblem } from '@/core/entryline/parseEntryLine';
import { weekdayText } from '@/ui/dates';
import { words } from '@/ui/words';

/** The first Monday of the calendar's count of days is day 4: weekdays by their ISO number. */
const MONDAY = 4;

/** What is wrong with words of a line, said to the person. */
export const problemText = (problem: LineProblem): string =>
  problem.code === 'weekday-differs'
    ? words.line.problems[problem.code](problem.text, weekdayText(MONDAY + problem.weekday - 1, 'long'))
    : words.line.problems[problem.code](problem.text);
