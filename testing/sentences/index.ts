import { DAY_RANGES } from './dayRanges';
import { DAYS } from './days';
import { LENGTHS } from './lengths';
import { MISREAD } from './misread';
import { MIXED } from './mixed';
import { REPEATS } from './repeats';
import { SIGNS } from './signs';
import { TIME_RANGES } from './timeRanges';
import { TIMES } from './times';
import { TITLES } from './titles';

/** Sentences and their readings by kind, a line each: the sentence, `=>`, and the whole reading. */
export const SENTENCES: Readonly<Record<string, string>> = {
  days: DAYS,
  'ranges of days': DAY_RANGES,
  times: TIMES,
  'ranges of times': TIME_RANGES,
  lengths: LENGTHS,
  repeats: REPEATS,
  signs: SIGNS,
  titles: TITLES,
  mixed: MIXED,
  misread: MISREAD,
};
