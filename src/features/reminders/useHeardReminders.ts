import { useEffect, useMemo, useState } from 'react';
import { heardAt } from '@/core/reminders/quietHours';
import { type Waiting, waitingReminders } from '@/core/reminders/cameReminders';
import { useNow, useOpenStore, useSettings, useSnapshot } from '@/store';
import { MINUTE } from '@/core/time/civil';

/** A reminder that waits and may be heard, since when it may. */
export interface Heard extends Waiting {
  readonly heard: number;
}

/** The reminders that wait for an answer and are not held back by quiet hours, oldest first. */
export function useHeardReminders(): readonly Heard[] {
  const { store, clock } = useOpenStore();
  const { homeZone, quiet, workingPattern } = useSettings();
  const reminded = useSnapshot(({ state }) => state.reminded);
  const entries = useSnapshot(({ state }) => state.entries);
  const minute = useNow();
  const [, setLate] = useState(0);
  const all = useMemo(
    () =>
      waitingReminders(store.getSnapshot().state, homeZone).map((waiting): Heard => {
        const { calendarId } = waiting.entry;
        return {
          ...waiting,
          heard: heardAt(waiting.came.due, calendarId, quiet, workingPattern, homeZone),
        };
      }),
    // They hang on these collections of the state alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [store, reminded, entries, homeZone, quiet, workingPattern],
  );
  const now = Math.max(minute, clock());
  const next = all.reduce((least, { heard }) => (heard > now ? Math.min(least, heard) : least), Infinity);
  // What is held back longer than a timer runs is looked at again by the minute.
  useEffect(() => {
    if (next === Infinity) return;
    const timer = setTimeout(() => setLate((count) => count + 1), Math.min(next - now, MINUTE) + 20);
    return () => clearTimeout(timer);
  }, [next, now]);
  return all.filter(({ heard }) => heard <= now);
}
