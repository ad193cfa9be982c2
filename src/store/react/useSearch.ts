import type { SearchAnswer, SearchField } from '@/core/search/entrySearch';
import { useEngineAnswer } from './engineQuestions';
import { useCalendars, useSettings } from './StoreContext';
import { useNow } from './useNow';

/**
 * What a search line finds, among all entries.
 * @param limit how many of the found entries are listed
 */
export function useSearch(
  text: string,
  field: SearchField | undefined,
  zone: string,
  limit: number,
): { answer: SearchAnswer | undefined; isLoading: boolean; failed: boolean } {
  const now = useNow();
  const { workingPattern } = useSettings();
  const calendars = useCalendars();
  const { data, isPending, isError } = useEngineAnswer([
    'find',
    {
      text,
      ...(field ? { field } : {}),
      zone,
      now,
      workingPattern,
      calendars: calendars.map(({ id, name, mark }) => ({ id, name, mark })),
      limit,
    },
  ]);
  return { answer: data, isLoading: isPending, failed: isError };
}
