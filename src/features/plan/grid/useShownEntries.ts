import { useEffect, useMemo } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import type { DaysAnswer } from '@/store';
import { setGhost, useGhost } from './ghost';

/** The entries that a view shows, and the calendars and the selection, ready to be looked up. */
export interface ShownEntries {
  readonly byKey: ReadonlyMap<string, Occurrence>;
  readonly calendarsById: ReadonlyMap<string, Calendar>;
  readonly selected: ReadonlySet<string>;
}

/** What every view with cards needs of its answer. A dropped card keeps its place until the answer shows it there. */
export function useShownEntries(
  answer: DaysAnswer | undefined,
  calendars: readonly Calendar[],
  selectedKeys: readonly string[],
): ShownEntries {
  const byKey = useMemo(
    () => new Map((answer?.occurrences ?? []).map((occurrence) => [occurrence.key, occurrence])),
    [answer],
  );
  const calendarsById = useMemo(
    () => new Map(calendars.map((calendar) => [calendar.id, calendar])),
    [calendars],
  );
  const selected = useMemo(() => new Set(selectedKeys), [selectedKeys]);
  useEffect(() => {
    if (useGhost.getState().ghost?.settling) setGhost(null);
  }, [answer]);
  return { byKey, calendarsById, selected };
}
