import { useMemo } from 'react';
import { moveToCalendar, shiftByDays } from '@/core/change/batchChanges';
import { binEntries, binLater } from '@/core/change/binEntries';
import { changeEntry, changesRule, createEntry, fieldsSeenAt, writtenUpon } from '@/core/change/entryChanges';
import { type ChangeResult, type EventFields, isRefused } from '@/core/change/eventFields';
import { bringBackDate, resetOccurrence } from '@/core/change/exceptions';
import { againOn, copyToCalendar, duplicateEntry } from '@/core/change/copyEntries';
import { copyEntry, type Move, moveEntries, moveEntry } from '@/core/change/moveEntry';
import type { ChangeContext, Patch, Summary } from '@/core/change/patch';
import { readOnlyTouched } from '@/core/change/readOnly';
import {
  eventAt,
  isRecurring,
  type Scope,
  SCOPES,
  type Target,
  targetKey,
  targetOfKey,
} from '@/core/change/target';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import type { EventTime } from '@/core/model/eventTime';
import type { State } from '@/core/model/state';
import { DAY } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { type FilesFailure, type Turn, useOpenStore } from '@/store';
import { words } from '@/ui/words';
import { type Notice, type ScopeQuestion, useWorkspace, workspace } from './workspace';

/** What a patch did, in words. */
export function summaryText({ what, count, name, dropped, left, into }: Summary): string {
  const said = words.summaries[what](count, name || words.entry.noTitle, into ?? '');
  const further = [dropped ? words.droppedChanges(dropped) : '', left ? words.leftOut(left) : ''];
  return [said, ...further.filter(Boolean)].join('. ');
}

/** Why files or a change were not kept, in words. */
export const failureText = (failure: FilesFailure): string =>
  failure === 'no-room' ? words.failures['no-room'] : words.failures['storage-failed'](1);

const SEVERAL: readonly Scope[] = ['later', 'every'];

/** Whether a target is one occurrence of a series, not the series itself. */
const isOccurrence = (state: State, target: Target): boolean =>
  isRecurring(state, target) &&
  (target.recurrenceKey !== undefined || !state.entries.get(target.entryId)?.recurrence);

/** The key under which the view shows the first entry that a patch put. */
function keyOfPut(patch: Patch): string | undefined {
  return patch.changes.find((change) => change.collection === 'entries' && change.after)?.id;
}

/** Where what a change put is found: the day in a zone, and the key; undefined for changes that put nothing in one place. */
function placeOf(state: State, { summary, changes, landed }: Patch, context: ChangeContext): Notice['where'] {
  if (!PLACED.some((what) => what === summary.what)) return undefined;
  const put = changes.findLast((change) => change.collection === 'entries' && change.after !== null);
  const event = landed === undefined ? undefined : eventAt(state, targetOfKey(landed), context);
  const start = event?.start ?? (put?.collection === 'entries' ? put.after?.start : undefined);
  if (!start) return undefined;
  return { day: Math.floor(instantToWall(context.zone, instantOf(start, context.zone)) / DAY), key: landed };
}

/** Changes after which one wants to see where the entry is. */
const PLACED = [
  'entry-made',
  'entry-moved',
  'entry-stretched',
  'entry-changed',
  'entry-copied',
  'series-copied',
] as const;

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
    /** Makes a change and says so; answers whether it was made. */
    const commit = (patch: Patch): boolean => {
      if (patch.changes.length === 0 || isClosed(readOnlyTouched(state(), patch))) return false;
      // It is said when it is kept: what was said is never lost.
      void store.commit(patch).then((isKept) => {
        const where = placeOf(state(), patch, context());
        if (isKept) workspace.say({ text: summaryText(patch.summary), tone: 'done', undo: true, where });
      });
      return true;
    };
    /** Makes a change if it was not refused; answers the patch if it was made. */
    const take = (result: ChangeResult): Patch | undefined => {
      if (isRefused(result)) {
        refuse(words.refusals[result.refused]);
        return undefined;
      }
      return commit(result) ? result : undefined;
    };
    const scopeFor = async (
      target: Target,
      about: ScopeQuestion['about'],
      scopes: readonly Scope[] = SCOPES,
    ): Promise<Scope | undefined> => {
      const calendarId = state().entries.get(target.entryId)?.calendarId ?? '';
      if (about !== 'copy' && isClosed(state().calendars.get(calendarId))) return undefined;
      // The series itself is meant, where no occurrence is named.
      if (!isOccurrence(state(), target)) return isRecurring(state(), target) ? 'every' : 'this';
      const title = state().entries.get(target.entryId)?.title || words.entry.noTitle;
      return workspace.askScope(about, title, scopes);
    };
    /** Keeps the selection on a target that is found elsewhere after a change; answers where. */
    const follow = (target: Target, patch: Patch | undefined): string | undefined => {
      if (patch?.landed !== undefined) workspace.replaceSelected(targetKey(target), patch.landed);
      return patch?.landed;
    };
    /** The selected entries, if the one that is acted on is among several. */
    const severalWith = (key: string): readonly string[] | undefined => {
      const { selected } = useWorkspace.getState();
      return selected.length > 1 && selected.includes(key) ? selected : undefined;
    };

    /** Undoes or does again so many changes, and says it. */
    const turnBack = async (count: unknown, step: () => Turn | undefined, isRedo: boolean): Promise<void> => {
      const most = typeof count === 'number' ? count : 1;
      const turns: Turn[] = [];
      while (turns.length < most) {
        const turn = step();
        if (!turn) break;
        turns.push(turn);
      }
      const isKept = await Promise.all(turns.map(({ kept }) => kept));
      if (isKept.includes(false)) return;
      const said = isRedo
        ? { one: words.redone, several: words.redoneSeveral, none: words.nothingToRedo }
        : { one: words.undone, several: words.undoneSeveral, none: words.nothingToUndo };
      const [first] = turns;
      const text = !first
        ? said.none
        : turns.length === 1
          ? said.one(summaryText(first.patch.summary))
          : said.several(turns.length);
      workspace.say({ text, tone: 'done', undo: isRedo && first !== undefined });
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
        else if (failure !== 'taken-back') refuse(failureText(failure));
        return failure === undefined;
      },
      copyTo(keys: readonly string[], calendarId: string): void {
        commit(copyToCalendar(state(), keys.map(targetOfKey), calendarId, context()));
      },
      duplicate(key: string): void {
        const patch = duplicateEntry(state(), targetOfKey(key), context());
        if (!patch || !commit(patch)) return;
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
        if (patch?.landed !== undefined) workspace.reveal(patch.landed);
        return patch;
      },
      /** Sets what was written upon the fields that it began with. Answers whether the change was made. */
      async change(target: Target, written: EventFields, before: EventFields): Promise<boolean> {
        const upon = () => {
          const now = fieldsSeenAt(state(), target, context());
          return now ? writtenUpon(now, before, written) : written;
        };
        const fields = upon();
        // A rule belongs to more than one: who edits it is not asked for just this one.
        const scopes = changesRule(state(), target, fields, context()) ? SEVERAL : SCOPES;
        const scope = await scopeFor(target, 'change', scopes);
        if (!scope) return false;
        const patch = take(changeEntry(state(), target, upon(), scope, context()));
        follow(target, patch);
        return patch !== undefined;
      },
      /**
       * Moves or stretches an entry; with several selected and it among them, all of them by as much. Answers where it is
       * found then, by key; undefined if it was not moved.
       */
      async move(key: string, move: Move): Promise<string | undefined> {
        const several = severalWith(key);
        if (several && (move.kind === 'shift' || move.kind === 'stretch')) {
          const patch = take(moveEntries(state(), several.map(targetOfKey), move, context()));
          return patch && (useWorkspace.getState().selected.at(-1) ?? key);
        }
        const target = targetOfKey(key);
        const scope = await scopeFor(target, 'change');
        if (!scope) return undefined;
        const patch = take(moveEntry(state(), target, move, scope, context()));
        return patch && (follow(target, patch) ?? key);
      },
      /** Answers whether the copy was made. */
      async copy(target: Target, move: Move): Promise<boolean> {
        const scope = await scopeFor(target, 'copy');
        if (!scope) return false;
        const patch = take(copyEntry(state(), target, move, scope, context()));
        if (patch?.landed !== undefined) workspace.select(patch.landed);
        return patch !== undefined;
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
      },
      /** Brings a date back that a series leaves out. */
      bringBack(seriesId: string, date: EventTime): void {
        const patch = bringBackDate(state(), seriesId, date, context());
        if (patch) commit(patch);
      },
      /** Moves entries to another calendar; of series it is asked which occurrences. */
      async toCalendar(keys: readonly string[], calendarId: string): Promise<void> {
        const targets = keys.map(targetOfKey);
        const [only] = targets;
        if (only && targets.length === 1) {
          const scope = await scopeFor(only, 'change');
          if (!scope) return;
          const move: Move = { kind: 'shift', by: 0, calendarId };
          follow(only, take(moveEntry(state(), only, move, scope, context())));
          return;
        }
        const asked = targets.some((target) => isOccurrence(state(), target))
          ? await workspace.askScope('change', words.desk.several(targets.length), ['this', 'every'])
          : 'every';
        if (asked && asked !== 'later')
          take(moveToCalendar(state(), targets, calendarId, asked, context()));
      },
      shiftDays(keys: readonly string[], days: number): void {
        take(shiftByDays(state(), keys.map(targetOfKey), days, context()));
      },
      /** Takes back the latest change, or several. */
      undo: (count?: unknown): Promise<void> => turnBack(count, () => store.undo(), false),
      /** Does again what was undone last, or several. */
      redo: (count?: unknown): Promise<void> => turnBack(count, () => store.redo(), true),
    };
  }, [store, clock, viewZone]);
}

export type Commands = ReturnType<typeof useCommands>;
