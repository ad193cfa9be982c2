import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { changeSession } from '@/core/change/calendarChanges';
import { type DueReminder, dismissReminders } from '@/core/reminders/dueReminders';
import { useCalendarKinds, useOpenStore, useSettings, useSnapshot } from '@/store';

/** How often the page looks for reminders that have fallen due. */
const LOOK_EVERY = 5_000;
const NONE: readonly string[] = [];

interface Looked {
  readonly due: readonly DueReminder[];
  readonly until: number;
}

/** Hands on each newly due reminder once. */
function useTold(due: readonly DueReminder[], onDue: (reminder: DueReminder) => void): void {
  const told = useRef(new Set<string>());
  const notify = useRef(onDue);
  useEffect(() => {
    notify.current = onDue;
  }, [onDue]);
  useEffect(() => {
    for (const reminder of due) {
      if (told.current.has(reminder.key)) continue;
      told.current.add(reminder.key);
      notify.current(reminder);
    }
  }, [due]);
}

/**
 * The reminders that have fallen due and were not dismissed, oldest first: also of an earlier visit. What was answered is
 * kept, so that a reload and another open page know it. Each newly due one is handed to `onDue` once.
 */
export function useDueReminders(onDue: (reminder: DueReminder) => void) {
  const { store, clock } = useOpenStore();
  const { homeZone, workingPattern } = useSettings();
  const { unlisted } = useCalendarKinds();
  const entries = useSnapshot(({ state }) => state.entries);
  const dismissed = useSnapshot(({ state }) => state.sessions.get('session')?.dismissed ?? NONE);
  const [{ due: found, until }, setLooked] = useState<Looked>({ due: [], until: 0 });

  useEffect(() => {
    let isCurrent = true;
    const look = async () => {
      const now = clock();
      const { state } = store.getSnapshot();
      const known = state.sessions.get('session')?.remindedUntil;
      // At the first visit nothing waits yet; a clock that was set back (the demo's) begins anew.
      if (known === undefined || known > now) {
        const context = { now, newId: () => crypto.randomUUID(), zone: homeZone };
        await store.commit(changeSession(state, { remindedUntil: now, dismissed: [] }, context), 'quiet');
        return;
      }
      const due = await store.engine.reminders(known, now, homeZone, workingPattern, unlisted);
      if (!isCurrent) return;
      setLooked({ due, until: now });
    };
    void look();
    const timer = setInterval(() => void look(), LOOK_EVERY);
    return () => {
      isCurrent = false;
      clearInterval(timer);
    };
  }, [store, clock, homeZone, workingPattern, unlisted, entries]);

  const due = useMemo(() => found.filter(({ key }) => !dismissed.includes(key)), [found, dismissed]);
  useTold(due, onDue);

  const dismiss = useCallback(
    (keys: readonly string[]) => {
      const { state } = store.getSnapshot();
      const answered = dismissReminders(due, keys, { dismissed }, until);
      const context = { now: clock(), newId: () => crypto.randomUUID(), zone: homeZone };
      setLooked({ due: due.filter(({ key }) => !keys.includes(key)), until });
      void store.commit(
        changeSession(
          state,
          { remindedUntil: answered.remindedUntil, dismissed: [...answered.dismissed] },
          context,
        ),
        'quiet',
      );
    },
    [store, clock, homeZone, due, dismissed, until],
  );
  return { due, dismiss };
}
