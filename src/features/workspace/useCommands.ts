import { useMemo } from 'react';
import { moveToCalendar, shiftByDays } from '@/core/change/batchChanges';
import { binEntries, binLater } from '@/core/change/binEntries';
import { changeEntry, changesRule, createEntry } from '@/core/change/entryChanges';
import { type ChangeResult, type EventFields, isRefused } from '@/core/change/eventFields';
import { bringBackDate, resetOccurrence } from '@/core/change/exceptions';
import { againOn, copyToCalendar, duplicateEntry } from '@/core/change/copyEntries';
import { copyEntry, type Move, moveEntry } from '@/core/change/moveEntry';
import type { ChangeContext, Patch, Summary } from '@/core/change/patch';
import { readOnlyTouched } from '@/core/change/readOnly';
import { isRecurring, type Scope, SCOPES, type Target, targetKey, targetOfKey } from '@/core/change/target';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
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
    const refuse = (text: string): void => workspace.say({ text, tone: 'problem', undo: false });
    /** Says so, and answers true, where a calendar's entries can't be changed. */
    const isClosed = (calendar: Calendar | undefined): boolean => {
      if (!calendar || !isReadOnly(calendar)) return false;
      refuse(words.calendars.closed(calendar.name, calendar.feed !== undefined));
      return true;
    };
    const commit = (patch: Patch): void => {
      if (patch.changes.length === 0 || isClosed(readOnlyTouched(state(), patch))) return;
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
        refuse(words.refusals[result.refused]);
        return undefined;
      }
      if (isClosed(readOnlyTouched(state(), result))) return undefined;
      commit(result);
      return result;
    };
    const scopeFor = async (
      target: Target,
      about: ScopeQuestion['about'],
      scopes: readonly Scope[] = SCOPES,
    ): Promise<Scope | undefined> => {
      const calendarId = state().entries.get(target.entryId)?.calendarId ?? '';
      if (about !== 'copy' && isClosed(state().calendars.get(calendarId))) return undefined;
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
      refuse,
      /** Makes a change that names new files: all of it or nothing, and it is said. */
      async commitWithFiles(patch: Patch, files: ReadonlyMap<string, string>): Promise<boolean> {
        if (isClosed(readOnlyTouched(state(), patch))) return false;
        const failure = await store.commitWithFiles(patch, files);
        if (failure === undefined)
          workspace.say({ text: summaryText(patch.summary), tone: 'done', undo: true });
        else if (failure !== 'taken-back') refuse(words.failures[failure]);
        return failure === undefined;
      },
      copyTo(keys: readonly string[], calendarId: string): void {
        commit(copyToCalendar(state(), keys.map(targetOfKey), calendarId, context()));
      },
      duplicate(key: string): void {
        const patch = duplicateEntry(state(), targetOfKey(key), context());
        if (!patch) return;
        commit(patch);
        const put = keyOfPut(patch);
        if (put && !patch.changes.some(({ after }) => after && 'recurrence' in after)) workspace.select(put);
      },
      /** The same entry on other days, given as day numbers. */
      againOn(key: string, days: readonly number[]): void {
        const patch = againOn(state(), targetOfKey(key), days, context());
        if (patch) commit(patch);
      },
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
