import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { SearchAnswer, SearchField } from '@/core/search/entrySearch';
import { useCalendars, useOpenStore, useSettings, useSnapshot } from './StoreContext';

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
  const { store, clock } = useOpenStore();
  const version = useSnapshot((snapshot) => snapshot.version);
  const { workingPattern } = useSettings();
  const calendars = useCalendars();
  const result = useQuery({
    queryKey: ['search', version, text, field, zone, limit],
    queryFn: () =>
      store.engine.find({
        text,
        ...(field ? { field } : {}),
        zone,
        now: clock(),
        workingPattern,
        calendars: calendars.map(({ id, name, mark }) => ({ id, name, mark })),
        limit,
      }),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    staleTime: Infinity,
  });
  return { answer: result.data, isLoading: result.isPending, failed: result.isError };
}
