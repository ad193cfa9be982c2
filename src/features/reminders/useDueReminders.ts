import { useCallback, useEffect, useRef, useState } from 'react';
import { changeSession } from '@/core/change/calendarChanges';
import type { DueReminder } from '@/core/reminders/dueReminders';
import { useCalendarKinds, useOpenStore, useSettings } from '@/store';

/** How often the page looks for reminders that have fallen due. */
const LOOK_EVERY = 5_000;

/**
 * The reminders that have fallen due and were not dismissed, oldest first: since the last look, also of an earlier
 * visit. Each newly due one is handed to `onDue` once.
 */
export function useDueReminders(onDue: (reminder: DueReminder) => void) {
  const { store, clock } = useOpenStore();
  const { homeZone, workingPattern } = useSettings();
  const { unlisted } = useCalendarKinds();
  const [due, setDue] = useState<readonly DueReminder[]>([]);
  const looked = useRef<number | null>(null);
  const notify = useRef(onDue);
  useEffect(() => {
    notify.current = onDue;
  }, [onDue]);

  const remember = useCallback(
    (until: number) => {
      const context = { now: clock(), newId: () => crypto.randomUUID(), zone: homeZone };
      void store.commit(changeSession(store.getSnapshot().state, { remindedUntil: until }, context), 'quiet');
    },
    [store, clock, homeZone],
  );

  useEffect(() => {
    looked.current = null;
    const look = async () => {
      const now = clock();
      const known = store.getSnapshot().state.sessions.get('session')?.remindedUntil;
      // A clock that was set back (the demo's) begins anew.
      const from = looked.current ?? (known !== undefined && known <= now ? known : now);
      looked.current = now;
      if (from >= now) return;
      const found = await store.engine.reminders(from, now, homeZone, workingPattern, unlisted);
      if (found.length === 0) return;
      setDue((before) => [
        ...before,
        ...found.filter(({ key }) => !before.some((other) => other.key === key)),
      ]);
      found.forEach((reminder) => notify.current(reminder));
    };
    void look();
    const timer = setInterval(() => void look(), LOOK_EVERY);
    return () => clearInterval(timer);
  }, [store, clock, homeZone, workingPattern, unlisted]);

  const dismiss = useCallback(
    (keys: readonly string[]) => {
      const rest = due.filter(({ key }) => !keys.includes(key));
      setDue(rest);
      remember(rest[0] ? rest[0].due - 1 : (looked.current ?? clock()));
    },
    [due, remember, clock],
  );
  return { due, dismiss };
}
