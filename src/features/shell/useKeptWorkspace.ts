import { useEffect } from 'react';
import { followKeys } from '@/core/change/follow';
import { keepDrafts, useWorkspace, workspace } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { words } from '@/ui/words';

let isKeeping = false;

/** Keeps what is written over reloads, and the selection on the entries that it is of, whatever changes them. */
export function useKeptWorkspace(): void {
  const { store } = useOpenStore();
  useEffect(
    () =>
      store.onPatch((patch, before, after) => {
        const { selected } = useWorkspace.getState();
        const followed = followKeys(selected, patch, before, after);
        if (followed.join() !== selected.join()) workspace.setSelected(followed);
      }),
    [store],
  );
  useEffect(() => {
    if (isKeeping) return;
    isKeeping = true;
    // Where the browser allows no such storage, drafts are on the page only.
    keepDrafts(() => workspace.say({ text: words.editor.here, tone: 'done', undo: false })).catch(
      () => undefined,
    );
  }, []);
}
