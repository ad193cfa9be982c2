import { useMemo } from 'react';
import { isReadOnly } from '@/core/model/calendar';
import type { CheckQuery, Finding } from '@/core/tidy/checks/finding';
import type { TableQuery } from '@/core/tidy/table/tableQuery';
import { useCalendars, useChecks, useNow, useSettings, useSnapshot } from '@/store';
import { HOUR } from '@/core/time/civil';

/** What is past moves so often, in milliseconds: the checks need not run with every minute. */
const MOVES_EVERY = HOUR;
const NONE: readonly Finding[] = [];

/**
 * What the checks find in all entries, those that are fine left out; asked anew when an entry changes.
 * @param within only what is about the entries of this table
 */
export function useFindings(within?: TableQuery) {
  const { homeZone, workingPattern, addresses } = useSettings();
  const calendars = useCalendars();
  const fineFindings = useSnapshot(({ state }) => state.fineFindings);
  const hiddenSince = useSnapshot(({ state }) => state.sessions.get('session')?.hiddenSince);
  const now = Math.floor(useNow() / MOVES_EVERY) * MOVES_EVERY;
  const own = addresses?.email.trim().toLowerCase() ?? '';
  const query = useMemo(
    (): CheckQuery => ({
      zone: homeZone,
      now,
      workingPattern,
      ...(own === '' ? {} : { own }),
      fine: [...fineFindings.keys()],
      calendars: calendars.map((calendar) => ({
        id: calendar.id,
        name: calendar.name,
        mark: calendar.mark,
        colour: calendar.colour,
        isClosed: isReadOnly(calendar),
        isFeed: calendar.feed !== undefined,
        reminds: (calendar.usualReminders?.timed.length ?? 0) > 0,
        ...(hiddenSince?.[calendar.id] === undefined ? {} : { hiddenSince: hiddenSince[calendar.id] }),
        ...(calendar.feed?.problem ? { failingSince: calendar.feed.problem.since } : {}),
      })),
    }),
    [homeZone, now, workingPattern, own, fineFindings, calendars, hiddenSince],
  );
  const { data, isError, isFetching, isStopped, progress, stop, refetch } = useChecks(query, within);
  // What was just said to be fine goes at once, before the checks have run again.
  const findings = useMemo(
    () => data?.findings.filter(({ id }) => !fineFindings.has(id)) ?? NONE,
    [data, fineFindings],
  );
  return {
    findings,
    counts: data?.counts ?? {},
    /** Of all checks, also what is not listed. */
    total: Object.values(data?.counts ?? {}).reduce((sum, count) => sum + count, 0),
    fine: fineFindings.size,
    isKnown: data !== undefined,
    isLooking: isFetching,
    isStopped,
    progress,
    stop,
    failed: isError,
    retry: () => void refetch(),
  };
}
