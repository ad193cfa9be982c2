import type { ChangeResult } from '@/core/change/eventFields';
import { isRefused } from '@/core/change/eventFields';
import type { ChangeContext, Patch } from '@/core/change/patch';
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
import type { State } from '@/core/model/state';
import { DAY } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import type { Store } from '@/store';
import { words } from '@/ui/words';
import { summaryText } from './summaryText';
import { type Notice, type ScopeQuestion, workspace } from './workspace';

/** Whether a target is one occurrence of a series, not the series itself. */
export const isOccurrence = (state: State, target: Target): boolean =>
  isRecurring(state, target) &&
  (target.recurrenceKey !== undefined || !state.entries.get(target.entryId)?.recurrence);

/** Where what a change put is found: the day in a zone, and the key; undefined for changes that put nothing in one place. */
function placeOf(state: State, { summary, changes, landed }: Patch, context: ChangeContext): Notice['where'] {
  if (!PLACED.some((what) => what === summary.what)) return undefined;
  const put = changes.findLast((change) => change.collection === 'entries' && change.after !== null);
  const event = landed === undefined ? undefined : eventAt(state, targetOfKey(landed), context);
  const made = put?.collection === 'entries' ? put.after : undefined;
  // A to-do stands in no place of Plan.
  const start = made?.kind === 'todo' ? undefined : (event?.start ?? made?.start);
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

/** What every command goes through. */
export interface CommandPipeline {
  readonly state: () => State;
  readonly context: () => ChangeContext;
  readonly refuse: (text: string) => void;
  /** Says so, and answers true, where a calendar's entries can't be changed. */
  readonly isClosed: (calendar: Calendar | undefined) => boolean;
  /**
   * The one way of a change: is there one, may it be, is it kept, is it said, and what follows from it. Answers the patch
   * if it happened; `then` says what is selected or shown of it.
   */
  readonly perform: (result: ChangeResult | undefined, then?: (patch: Patch) => void) => Patch | undefined;
  /** The way of a change of one target: which occurrences are meant is asked first, where there are others. */
  readonly performAt: (
    target: Target,
    asked: { about: ScopeQuestion['about']; scopes?: readonly Scope[] },
    draft: (scope: Scope) => ChangeResult | undefined,
    then?: (patch: Patch) => void,
  ) => Promise<Patch | undefined>;
}

/** Keeps the selection on a target that is found elsewhere after a change. */
export const following = (target: Target) => (patch: Patch) => {
  if (patch.landed !== undefined) workspace.replaceSelected(targetKey(target), patch.landed);
};

/** Selects what a change put somewhere. */
export const selectLanded = ({ landed }: Patch): void => {
  if (landed !== undefined) workspace.select(landed);
};

/** The pipeline of a store, with the context of changes as it is now. */
export function commandPipeline(store: Store, contextOf: (state: State) => ChangeContext): CommandPipeline {
  const state = () => store.getSnapshot().state;
  const context = () => contextOf(state());
  const refuse = (text: string): void => workspace.say({ text, tone: 'problem', undo: false });
  const isClosed = (calendar: Calendar | undefined): boolean => {
    if (!calendar || !isReadOnly(calendar)) return false;
    refuse(words.calendars.closed(calendar.name, calendar.feed !== undefined));
    return true;
  };
  const perform: CommandPipeline['perform'] = (result, then) => {
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
  const performAt: CommandPipeline['performAt'] = async (target, { about, scopes }, draft, then) => {
    const scope = await scopeFor(target, about, scopes);
    return scope && perform(draft(scope), then);
  };
  return { state, context, refuse, isClosed, perform, performAt };
}
