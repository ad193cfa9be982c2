import type { EventFields } from '@/core/model/entry';
import { useMemo } from 'react';
import { moveToCalendar, shiftByDays } from '@/core/change/batchChanges';
import { binEntries, binLater } from '@/core/change/binEntries';
import { changeEntry, changesRule, createEntry, fieldsSeenAt, writtenUpon } from '@/core/change/entryChanges';
import { type ChangeResult, isRefused } from '@/core/change/eventFields';
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
    /**
     * The one way of a change: is there one, may it be, is it kept, is it said, and what follows from it. Answers the patch
     * if it happened.
     * @param then what is selected or shown of it
     */
    const perform = (result: ChangeResult | undefined, then?: (patch: Patch) => void): Patch | undefined => {
      if (!result) return undefined;
      if (isRefused(result)) {
        refuse(words.refusals[result.refused]);
        return undefined;
      }
      if (result.changes.length === 0 || isClosed(readOnlyTouched(state(), result))) return undefined;
      // It is said when it is kept: what was said is never lost.
      void store.commit(result).then((isKept) => {
        const where = placeOf(state(), result, context());
        if (isKept) workspace.say({ text: summaryText(result.summary), tone: 'done', undo: true, where });
      });
      then?.(result);
      return result;
    };
    const commit = (patch: Patch): boolean => perform(patch) !== undefined;
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
    /** The way of a change of one target: which occurrences are meant is asked first, where there are others. */
    const performAt = async (
      target: Target,
      { about, scopes }: { about: ScopeQuestion['about']; scopes?: readonly Scope[] },
      draft: (scope: Scope) => ChangeResult | undefined,
      then?: (patch: Patch) => void,
    ): Promise<Patch | undefined> => {
      const scope = await scopeFor(target, about, scopes);
      return scope && perform(draft(scope), then);
    };
    /** Keeps the selection on a target that is found elsewhere after a change. */
    const following = (target: Target) => (patch: Patch) => {
      if (patch.landed !== undefined) workspace.replaceSelected(targetKey(target), patch.landed);
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
      copyTo: (keys: readonly string[], calendarId: string): boolean =>
        commit(copyToCalendar(state(), keys.map(targetOfKey), calendarId, context())),
      duplicate: (key: string): boolean =>
        perform(duplicateEntry(state(), targetOfKey(key), context()), (patch) => {
          const put = keyOfPut(patch);
          const isSeries = patch.changes.some(({ after }) => after && 'recurrence' in after);
          if (put && !isSeries) workspace.select(put);
        }) !== undefined,
      /** The same entry on other days, given as day numbers. */
      againOn: (key: string, days: readonly number[]): boolean =>
        perform(againOn(state(), targetOfKey(key), days, context())) !== undefined,
      create: (fields: EventFields): Patch | undefined =>
        perform(createEntry(state(), fields, context()), ({ landed }) => {
          if (landed !== undefined) workspace.reveal(landed);
        }),
      /** Sets what was written upon the fields that it began with. */
      async change(target: Target, written: EventFields, before: EventFields): Promise<boolean> {
        const upon = () => {
          const now = fieldsSeenAt(state(), target, context());
          return now ? writtenUpon(now, before, written) : written;
        };
        // A rule belongs to more than one: who edits it is not asked for just this one.
        const scopes = changesRule(state(), target, upon(), context()) ? SEVERAL : SCOPES;
        const draft = (scope: Scope) => changeEntry(state(), target, upon(), scope, context());
        return (await performAt(target, { about: 'change', scopes }, draft, following(target))) !== undefined;
      },
      /** Sets some fields of an entry as it is now. */
      async setFields(key: string, fields: Partial<EventFields>): Promise<boolean> {
        const target = targetOfKey(key);
        const draft = (scope: Scope) => {
          const now = fieldsSeenAt(state(), target, context());
          return now && changeEntry(state(), target, { ...now, ...fields }, scope, context());
        };
        return (await performAt(target, { about: 'change' }, draft, following(target))) !== undefined;
      },
      /**
       * Moves or stretches an entry; with several selected and it among them, all of them by as much. Answers where it is
       * found then, by key; undefined if it was not moved.
       */
      async move(key: string, move: Move): Promise<string | undefined> {
        const several = severalWith(key);
        if (several && (move.kind === 'shift' || move.kind === 'stretch')) {
          const patch = perform(moveEntries(state(), several.map(targetOfKey), move, context()));
          return patch && (useWorkspace.getState().selected.at(-1) ?? key);
        }
        const target = targetOfKey(key);
        const draft = (scope: Scope) => moveEntry(state(), target, move, scope, context());
        const patch = await performAt(target, { about: 'change' }, draft, following(target));
        return patch && (patch.landed ?? key);
      },
      async copy(target: Target, move: Move): Promise<boolean> {
        const draft = (scope: Scope) => copyEntry(state(), target, move, scope, context());
        const patch = await performAt(target, { about: 'copy' }, draft, ({ landed }) => {
          if (landed !== undefined) workspace.select(landed);
        });
        return patch !== undefined;
      },
      /** Puts a copy of an entry, or of one occurrence, elsewhere. */
      paste: (target: Target, move: Move): boolean =>
        perform(copyEntry(state(), target, move, 'this', context()), ({ landed }) => {
          if (landed !== undefined) workspace.select(landed);
        }) !== undefined,
      async bin(keys: readonly string[]): Promise<boolean> {
        const targets = keys.map(targetOfKey);
        const [only] = targets;
        const draft = (scope: Scope) =>
          scope === 'later'
            ? binLater(state(), only!, context())
            : binEntries(state(), targets, scope, context());
        const then = () => workspace.clearSelection();
        const patch =
          only && targets.length === 1
            ? await performAt(only, { about: 'bin' }, draft, then)
            : perform(draft('this'), then);
        return patch !== undefined;
      },
      /** Sets a changed occurrence back to its series. */
      reset: (overrideId: string): boolean =>
        perform(resetOccurrence(state(), overrideId, context())) !== undefined,
      /** Brings a date back that a series leaves out. */
      bringBack: (seriesId: string, date: EventTime): boolean =>
        perform(bringBackDate(state(), seriesId, date, context())) !== undefined,
      /** Moves entries to another calendar; of series it is asked which occurrences. */
      async toCalendar(keys: readonly string[], calendarId: string): Promise<boolean> {
        const targets = keys.map(targetOfKey);
        const [only] = targets;
        if (only && targets.length === 1) {
          const move: Move = { kind: 'shift', by: 0, calendarId };
          const draft = (scope: Scope) => moveEntry(state(), only, move, scope, context());
          return (await performAt(only, { about: 'change' }, draft, following(only))) !== undefined;
        }
        const asked = targets.some((target) => isOccurrence(state(), target))
          ? await workspace.askScope('change', words.desk.several(targets.length), ['this', 'every'])
          : 'every';
        if (!asked || asked === 'later') return false;
        return perform(moveToCalendar(state(), targets, calendarId, asked, context())) !== undefined;
      },
      shiftDays: (keys: readonly string[], days: number): boolean =>
        perform(shiftByDays(state(), keys.map(targetOfKey), days, context())) !== undefined,
      /** Takes back the latest change, or several. */
      undo: (count?: unknown): Promise<void> => turnBack(count, () => store.undo(), false),
      /** Does again what was undone last, or several. */
      redo: (count?: unknown): Promise<void> => turnBack(count, () => store.redo(), true),
    };
  }, [store, clock, viewZone]);
}

export type Commands = ReturnType<typeof useCommands>;
