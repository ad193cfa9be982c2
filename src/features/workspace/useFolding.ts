import { useCallback } from 'react';
import { changeSession } from '@/core/change/calendarChanges';
import { FOLDABLE, type Foldable } from '@/core/model/state';
import { useOpenStore } from '@/store';
import { useCommands } from './useCommands';
import { workspace } from './workspace';

/** Folds a part of Plan away or shows it again; the choice is kept between visits. */
export function useFolding(): (part: Foldable, isFolded: boolean) => void {
  const { store } = useOpenStore();
  const { context } = useCommands();
  return useCallback(
    (part, isFolded) => {
      const { state } = store.getSnapshot();
      const before = state.sessions.get('session')?.folded ?? [];
      if (part === 'desk') workspace.setDesk(!isFolded);
      if (before.includes(part) === isFolded) return;
      const folded = FOLDABLE.filter((each) => (each === part ? isFolded : before.includes(each)));
      // How Plan looks is no change of the data: nothing to undo.
      void store.commit(changeSession(state, { folded }, context()), 'quiet');
    },
    [store, context],
  );
}
