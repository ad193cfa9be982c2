import { useMemo } from 'react';
import type { SearchAnswer, SearchField, SearchRequest } from '@/core/search/entrySearch';
import { useEngineAnswer } from './engineQuestions';
import { useCalendars, useSettings } from './StoreContext';
import { useNow } from './useNow';

/** What a search line is put to, with those words and that zone. */
function useSearchRequest(text: string, zone: string): Omit<SearchRequest, 'limit' | 'field'> {
  const now = useNow();
  const { workingPattern } = useSettings();
  const calendars = useCalendars();
  return {
    text,
    zone,
    now,
    workingPattern,
    calendars: calendars.map(({ id, name, mark }) => ({ id, name, mark })),
  };
}

/** The ids of the to-dos that a search line finds, and what of it is not understood; undefined where it asks for nothing, or while it is looked for. */
export function useFoundTodos(
  text: string,
  zone: string,
): { readonly ids: ReadonlySet<string>; readonly problems: readonly string[] } | undefined {
  const request = useSearchRequest(text, zone);
  const isAsked = text.trim() !== '';
  const { data } = useEngineAnswer(['foundTodos', { ...request, limit: 0 }], { enabled: isAsked });
  return useMemo(
    () => (isAsked && data ? { ids: new Set(data.ids), problems: data.problems } : undefined),
    [isAsked, data],
  );
}

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
  const request = useSearchRequest(text, zone);
  const { data, isPending, isError } = useEngineAnswer([
    'find',
    { ...request, ...(field ? { field } : {}), limit },
  ]);
  return { answer: data, isLoading: isPending, failed: isError };
}
