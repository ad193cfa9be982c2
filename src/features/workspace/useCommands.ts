import { useMemo } from 'react';
import { moveToCalendar, shiftByDays } from '@/core/change/batchChanges';
import { binEntries, binLater } from '@/core/change/binEntries';
import { changeEntry, changesRule, createEntry } from '@/core/change/entryChanges';
import { type ChangeResult, type EventFields, isRefused } from '@/core/change/eventFields';
import { bringBackDate, resetOccurrence } from '@/core/change/exceptions';
import { copyEntry, type Move, moveEntry } from '@/core/change/moveEntry';
import type { ChangeContext, Patch, Summary } from '@/core/change/patch';
import { isRecurring, type Scope, SCOPES, type Target, targetKey, targetOfKey } from '@/core/change/target';
import type { EventTime } from '@/core/model/eventTime';
import { DAY } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { useOpenStore } from '@/store';
import { words } from '@/ui/words';
import { type Notice, type ScopeQuestion, workspace } from './workspace';

/** What a patch did, in words. */
export function summaryText({ what, count, name, dropped }: Summary): string {
  const said = words.summaries[what](count, name || words.entry.noTitle);
  return dropped ? `${said}. ${words.droppedChanges(dropped)}` : said;
}

const SEVERAL: readonly Scope[] = ['later', 'every'];

/** The key under which the view shows the first entry that a patch put. */
function keyOfPut(patch: Patch): string | undefined {
  return patch.changes.find((change) => change.collection === 'entries' && change.after)?.id;
}

/** What a change put, and the day that it lies on in a zone; undefined for changes that put nothing in one place. */
function placeOf({ summary, changes }: Patch, zone: string): Notice['where'] {
  if (!PLACED.some((what) => what === summary.what)) return undefined;
  const put = changes.findLast((change) => change.collection === 'entries' && change.after !== null);
  if (put?.collection !== 'entries' || !put.after) return undefined;
  const day = Math.floor(instantToWall(zone, instantOf(put.after.start, zone)) / DAY);
  return { day, key: put.after.recurrence ? undefined : put.id };
}

/** Changes after which one wants to see where the entry is. */
const PLACED = ['entry-made', 'entry-moved', 'entry-changed', 'entry-copied', 'series-copied'] as const;

/**
 * Everything that the person can do to entries: makes the patch, asks about series where needed, commits, and says
 * what happened.
 * @param viewZone the zone of the view that the person acts in, if it is not the home zone
 */
export function useCommands(viewZone?: string) {
  const { store, clock } = useOpenStore();
  return useMemo(() => {
    const state = () => store.getSnapshot().state;
    const context = (): ChangeContext => ({
      now: clock(),
      newId: () => crypto.randomUUID(),
      zone: viewZone ?? state().settings.get('settings')?.homeZone ?? 'UTC',
    });
    const commit = (patch: Patch): void => {
      if (patch.changes.length === 0) return;
      void store.commit(patch);
      const where = placeOf(patch, context().zone);
      workspace.say({
        text: summaryText(patch.summary),
        tone: 'done',
        undo: true,
        ...(where ? { where } : {}),
      });
    };
    const take = (result: ChangeResult): Patch | undefined => {
      if (isRefused(result)) {
        workspace.say({ text: words.refusals[result.refused], tone: 'problem', undo: false });
        return undefined;
      }
      commit(result);
      return result;
    };
    const scopeFor = async (
      target: Target,
      about: ScopeQuestion['about'],
      scopes: readonly Scope[] = SCOPES,
    ): Promise<Scope | undefined> => {
      if (!isRecurring(state(), target)) return 'this';
      // The series itself is meant, where no occurrence is named.
      if (target.recurrenceKey === undefined && state().entries.get(target.entryId)?.recurrence)
        return 'every';
      const title = state().entries.get(target.entryId)?.title || words.entry.noTitle;
      return workspace.askScope(about, title, scopes);
    };
    /** Keeps the selection on what the change put in place of what was selected. */
    const follow = (target: Target, scope: Scope, patch: Patch | undefined): void => {
      const put = patch && keyOfPut(patch);
      if (!put) return;
      if (scope !== 'this') workspace.clearSelection();
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
        // A rule belongs to more than one: who edits it is not asked for just this one.
        const scopes = changesRule(state(), target, fields) ? SEVERAL : SCOPES;
        const scope = await scopeFor(target, 'change', scopes);
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
      async copy(target: Target, move: Move): Promise<void> {
        const scope = await scopeFor(target, 'copy');
        if (!scope) return;
        const patch = take(copyEntry(state(), target, move, scope, context()));
        const key = patch && scope === 'this' ? keyOfPut(patch) : undefined;
        if (key) workspace.select(key);
      },
      async bin(keys: readonly string[]): Promise<void> {
        const targets = keys.map(targetOfKey);
        const [only] = targets;
        const scope = only && targets.length === 1 ? await scopeFor(only, 'bin') : 'this';
        if (!scope) return;
        const result =
          scope === 'later'
            ? binLater(state(), only!, context())
            : binEntries(state(), targets, scope, context());
        if (take(result)) workspace.clearSelection();
      },
      /** Sets a changed occurrence back to its series. */
      reset(overrideId: string): void {
        const patch = resetOccurrence(state(), overrideId, context());
        if (!patch) return;
        commit(patch);
        workspace.clearSelection();
      },
      /** Brings a date back that a series leaves out. */
      bringBack(seriesId: string, date: EventTime): void {
        const patch = bringBackDate(state(), seriesId, date, context());
        if (patch) commit(patch);
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
  }, [store, clock, viewZone]);
}

export type Commands = ReturnType<typeof useCommands>;
