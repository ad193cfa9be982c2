import { useEffect } from 'react';
import { changeSession } from '@/core/change/calendarChanges';
import { useCommands } from '@/features/workspace';
import { useOpenStore } from '@/store';

/**
 * Notes the first visit at once. Who keeps the reminders begins a good while after the page: without this, one that was set
 * in between, on a page that was closed soon, would never come.
 */
export function useFirstVisit(): void {
  const { store, clock } = useOpenStore();
  const { context } = useCommands();
  useEffect(() => {
    const { state } = store.getSnapshot();
    if (state.sessions.get('session')?.remindedUntil !== undefined) return;
    void store.commit(changeSession(state, { remindedUntil: clock() }, context()), 'quiet');
  }, [store, clock, context]);
}
