import { useMemo } from 'react';
import { moveToCalendar, shiftByDays } from '@/core/change/batchChanges';
import {
  binEntries,
  changeEntry,
  type ChangeResult,
  copyEntry,
  createEntry,
  type EventFields,
  isRefused,
  type Move,
  moveEntry,
} from '@/core/change/entryChanges';
import type { ChangeContext, Patch, Summary } from '@/core/change/patch';
import { isRecurring, type Scope, type Target, targetKey, targetOfKey } from '@/core/change/target';
import { useOpenStore } from '@/store';
import { words } from '@/ui/words';
import { workspace } from './workspace';

/** What a patch did, in words. */
export function summaryText({ what, count, name }: Summary): string {
  return words.summaries[what](count, name || words.entry.noTitle);
}

/** The key under which the view shows the first entry that a patch put. */
function keyOfPut(patch: Patch): string | undefined {
  return patch.changes.find((change) => change.collection === 'entries' && change.after)?.id;
}

/**
 * Everything that the person can do to entries: makes the patch, asks about series where needed, commits, and says
 * what happened.
 */
export function useCommands() {
  const { store, clock } = useOpenStore();
  return useMemo(() => {
    const state = () => store.getSnapshot().state;
    const context = (): ChangeContext => ({
      now: clock(),
      newId: () => crypto.randomUUID(),
      zone: state().settings.get('settings')?.homeZone ?? 'UTC',
    });
    const commit = (patch: Patch): void => {
      if (patch.changes.length === 0) return;
      void store.commit(patch);
      workspace.say({ text: summaryText(patch.summary), tone: 'done', undo: true });
    };
    const take = (result: ChangeResult): Patch | undefined => {
      if (isRefused(result)) {
        workspace.say({ text: words.refusals[result.refused], tone: 'problem', undo: false });
        return undefined;
      }
      commit(result);
      return result;
    };
    const scopeFor = async (target: Target, about: 'change' | 'bin'): Promise<Scope | undefined> => {
      if (!isRecurring(state(), target)) return 'this';
      return workspace.askScope(about, state().entries.get(target.entryId)?.title || words.entry.noTitle);
    };
    /** Keeps the selection on what the change put in place of what was selected. */
    const follow = (target: Target, scope: Scope, patch: Patch | undefined): void => {
      const put = patch && keyOfPut(patch);
      if (!put) return;
      if (scope === 'every') workspace.clearSelection();
      else if (put !== targetKey(target)) workspace.replaceSelected(targetKey(target), put);
    };

    return {
      context,
      commit,
      entry: (id: string) => state().entries.get(id),
      create(fields: EventFields): Patch | undefined {
        const patch = take(createEntry(state(), fields, context()));
        const key = patch && !fields.recurrence ? keyOfPut(patch) : undefined;
        if (key) workspace.select(key);
        return patch;
      },
      /** Returns whether the change was made. */
      async change(target: Target, fields: EventFields): Promise<boolean> {
        const entry = state().entries.get(target.entryId);
        // A rule belongs to the series: who edits it means every one.
        const ruleEdited =
          entry?.recurrence &&
          JSON.stringify(entry.recurrence.rules) !== JSON.stringify(fields.recurrence?.rules);
        const scope = ruleEdited ? 'every' : await scopeFor(target, 'change');
        if (!scope) return false;
        const patch = take(changeEntry(state(), target, fields, scope, context()));
        follow(target, scope, patch);
        return patch !== undefined;
      },
      async move(target: Target, move: Move): Promise<boolean> {
        const scope = await scopeFor(target, 'change');
        if (!scope) return false;
        const patch = take(moveEntry(state(), target, move, scope, context()));
        follow(target, scope, patch);
        return patch !== undefined;
      },
      copy(target: Target, move: Move): void {
        const patch = take(copyEntry(state(), target, move, context()));
        const key = patch && keyOfPut(patch);
        if (key) workspace.select(key);
      },
      async bin(keys: readonly string[]): Promise<void> {
        const targets = keys.map(targetOfKey);
        const [only] = targets;
        const scope = only && targets.length === 1 ? await scopeFor(only, 'bin') : 'this';
        if (!scope) return;
        commit(binEntries(state(), targets, scope, context()));
        workspace.clearSelection();
      },
      toCalendar(keys: readonly string[], calendarId: string): void {
        commit(moveToCalendar(state(), keys.map(targetOfKey), calendarId, context()));
      },
      shiftDays(keys: readonly string[], days: number): void {
        const targets = keys.map(targetOfKey);
        const patch = shiftByDays(state(), targets, days, context());
        commit(patch);
        // Occurrences that moved are records of their own now.
        patch.changes.forEach((change, index) => {
          const target = targets[index];
          if (target) workspace.replaceSelected(targetKey(target), change.id);
        });
      },
      undo(): void {
        const patch = store.undo();
        workspace.say(
          patch
            ? { text: words.undone(summaryText(patch.summary)), tone: 'done', undo: false }
            : { text: words.nothingToUndo, tone: 'done', undo: false },
        );
      },
      redo(): void {
        const patch = store.redo();
        workspace.say(
          patch
            ? { text: words.redone(summaryText(patch.summary)), tone: 'done', undo: true }
            : { text: words.nothingToRedo, tone: 'done', undo: false },
        );
      },
    };
  }, [store, clock]);
}

export type Commands = ReturnType<typeof useCommands>;
