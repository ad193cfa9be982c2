import { NO_FILTER } from '@/core/model/look';
import type { TableQuery } from '@/core/tidy/table/tableQuery';
import { DAY } from '@/core/time/civil';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';

/** All entries of all time, as the table begins. */
export const wholeTable = (today: number, zone: string): TableQuery => ({
  zone,
  now: today * DAY,
  workingPattern: standardWorkingPattern,
  as: 'entries',
  text: '',
  filter: NO_FILTER,
  withoutCancelled: false,
  hiddenCalendarIds: [],
  calendars: [],
  sort: [{ column: 'start', descending: false }],
  periods: [],
  folded: [],
  unfolded: [],
});
