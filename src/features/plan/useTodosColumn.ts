import { useCallback } from 'react';
import { changeSession } from '@/core/change/calendarChanges';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSnapshot } from '@/store';

/** Whether the to-dos stand beside the calendar, kept between visits, and what changes that. */
export function useTodosColumn(): [boolean, (isOpen: boolean) => void] {
  const { store } = useOpenStore();
  const { context } = useCommands();
  const isOpen = useSnapshot(({ state }) => !!state.sessions.get('session')?.todosBeside);
  const open = useCallback(
    (next: boolean) => {
      const { state } = store.getSnapshot();
      // How Plan looks is no change of the data: nothing to undo.
      void store.commit(changeSession(state, { todosBeside: next }, context()), 'quiet');
    },
    [store, context],
  );
  return [isOpen, open];
}
