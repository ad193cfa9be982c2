import {
  changeEntry,
  changesRule,
  createEntries,
  createEntry,
  fieldsSeenAt,
  writtenUpon,
} from '@/core/change/entryChanges';
import { copyEntries, copyEntry, type Move, moveEntries, moveEntry } from '@/core/change/moveEntry';
import type { Patch } from '@/core/change/patch';
import { type Scope, SCOPES, type Target, targetKey, targetOfKey } from '@/core/change/target';
import type { EventFields } from '@/core/model/entry';
import { type CommandPipeline, following, selectLanded } from './commandPipeline';
import { useWorkspace, workspace } from './workspace';

/** A rule belongs to more than one: who edits it is not asked for just this one. */
const SEVERAL: readonly Scope[] = ['later', 'every'];

/** The selected entries, if the one that is acted on is among several. */
function severalWith(key: string): readonly string[] | undefined {
  const { selected } = useWorkspace.getState();
  return selected.length > 1 && selected.includes(key) ? selected : undefined;
}

/** What is done to one entry: made, changed, moved, copied. */
export const entryCommands = ({ state, context, perform, performAt }: CommandPipeline) => ({
  create: (fields: EventFields): Patch | undefined =>
    perform(createEntry(state(), fields, context()), ({ landed }) => {
      if (landed !== undefined) workspace.reveal(landed);
    }),
  /** Makes several entries at once, undone in one step. */
  createAll: (all: readonly EventFields[]): boolean =>
    perform(createEntries(state(), all, context())) !== undefined,
  /** Sets what was written upon the fields that it began with. */
  async change(target: Target, written: EventFields, before: EventFields): Promise<boolean> {
    const upon = () => {
      const now = fieldsSeenAt(state(), target, context());
      return now ? writtenUpon(now, before, written) : written;
    };
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
  /** Copies an entry, moved; with several selected and it among them, all of them by as much. */
  async copy(target: Target, move: Move): Promise<boolean> {
    const several = severalWith(targetKey(target));
    if (several && move.kind === 'shift')
      return perform(copyEntries(state(), several.map(targetOfKey), move, context())) !== undefined;
    const draft = (scope: Scope) => copyEntry(state(), target, move, scope, context());
    return (await performAt(target, { about: 'copy' }, draft, selectLanded)) !== undefined;
  },
  /** Puts a copy of an entry, or of one occurrence, elsewhere. */
  paste: (target: Target, move: Move): boolean =>
    perform(copyEntry(state(), target, move, 'this', context()), selectLanded) !== undefined,
});
