import type { ColleagueTitles } from '@/core/people/busy/colleagueOccurrences';

/** The words of colleagues in Plan: they come with what shows them. */
export const colleagueWords = {
  titles: {
    busy: 'Busy',
    tentative: 'Perhaps busy',
    away: 'Away',
    unknown: 'Not known',
  } satisfies ColleagueTitles,
  how: 'They stand',
  beside: 'Beside mine',
  over: 'Over mine',
  about:
    'Beside yours, each has a column of the day or a lane. Over yours, their times are outlines among your entries; in several days side by side they always are.',
  nobody: 'Nobody is here yet. Colleagues come from People.',
  full: (most: number) => `${most} at the most: take one out to choose another.`,
  notInThisView: 'Colleagues stand in the hours and in lanes.',
  away: 'The directory is out of reach. What was read of your colleagues before is shown.',
  gone: 'Whoever was to be shown is not among your people any more.',
};
