import { useMemo } from 'react';
import type { Patch } from '@/core/change/patch';
import { readOnlyTouched } from '@/core/change/readOnly';
import { useOpenStore } from '@/store';
import { commandPipeline } from './commandPipeline';
import { entryCommands } from './entryCommands';
import { severalCommands } from './severalCommands';
import { failureText, summaryText } from './summaryText';
import { todoCommands } from './todoCommands';
import { turnCommands } from './turnCommands';
import { workspace } from './workspace';

/**
 * Everything that the person can do to entries: makes the patch, asks about series where needed, commits, and says
 * what happened.
 * @param viewZone the zone of the view that the person acts in, if it is not the home zone
 */
export function useCommands(viewZone?: string) {
  const { store, clock } = useOpenStore();
  return useMemo(() => {
    const pipeline = commandPipeline(store, (state) => ({
      now: clock(),
      newId: () => crypto.randomUUID(),
      zone: viewZone ?? state.settings.get('settings')?.homeZone ?? 'UTC',
    }));
    const { context, refuse, state, isClosed, perform } = pipeline;
    return {
      context,
      refuse,
      commit: (patch: Patch): boolean => perform(patch) !== undefined,
      /** Makes a change that names new files: all of it or nothing, and it is said. */
      async commitWithFiles(patch: Patch, files: ReadonlyMap<string, string>): Promise<boolean> {
        if (isClosed(readOnlyTouched(state(), patch))) return false;
        const failure = await store.commitWithFiles(patch, files);
        if (failure === undefined)
          workspace.say({ text: summaryText(patch.summary), tone: 'done', undo: true });
        else if (failure !== 'taken-back') refuse(failureText(failure));
        return failure === undefined;
      },
      ...entryCommands(pipeline),
      ...severalCommands(pipeline),
      ...todoCommands(pipeline),
      ...turnCommands(store),
    };
  }, [store, clock, viewZone]);
}

export type Commands = ReturnType<typeof useCommands>;
