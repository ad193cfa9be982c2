import { type Dated, Entry, isDated, seriesOf } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { parseKept, withUnknown } from '../model/unknownFields';
import type { State } from '../model/state';
import { type EntryFieldName, valueOf, withValues } from '../fields/fieldsOf';
import { endAfter } from '../recurrence/occurrenceShape';
import { Series } from '../recurrence/series';
import { parseLocal } from '../time/civil';
import { atWall, wallOf } from '../time/eventTime';
import { toBin } from './binChanges';
import type { Edit } from './edits';
import { timeAlong, wallAlong } from './carrySeries';
import { overridesOf } from './overrides';
import { type Change, type ChangeContext, put, remove } from './patch';
import {
  differingFields,
  type OccurrenceEdit,
  type Repeat,
  sameValue,
  seriesLike,
  timesLike,
} from './seriesLike';
import { isRefusal, type Refusal } from './shift';
import { type SplitSeries, splitSeries } from './splitSeries';
import { entryAt, masterOf, type Scope, type Target } from './target';
import { touched, uidOf } from './versions';

/** The changes of an edit, and how many changed occurrences found no place in their series any more. */
export interface Edited {
  readonly changes: readonly Change[];
  readonly dropped: number;
  /** Where the occurrence that was edited is found now. */
  readonly landed?: Target;
}

/** The fields that a changed occurrence takes over from its series: those in which it said the same as the series before. */
function followed(override: Dated, before: Dated, after: Dated): Dated {
  const changes = Object.entries(differingFields(after, before)) as [EntryFieldName, unknown][];
  const taken = changes.filter(([name]) => sameValue(valueOf(override, name), valueOf(before, name)));
  return withValues(override, Object.fromEntries(taken));
}

/** The times of a changed occurrence: those that were its series' still are, those of its own stay. */
function followedTimes(
  override: Dated,
  before: Dated,
  after: Dated,
  recurrenceId: EventTime,
  zone: string,
): Pick<Dated, 'start' | 'end'> {
  const original = atWall(before.start, new Series(before).wallOfRecurrenceId(override.recurrenceId!, zone));
  if (!sameValue(override.start, original)) return { start: override.start, end: override.end };
  if (sameValue(override.end, endAfter(before, original, zone)))
    return { start: recurrenceId, end: endAfter(after, recurrenceId, zone) };
  const isSameKind = (recurrenceId.kind === 'date') === (original.kind === 'date');
  // A length of its own means nothing between hours and whole days.
  return isSameKind
    ? { start: recurrenceId, end: endAfter(override, recurrenceId, zone) }
    : { start: recurrenceId, end: endAfter(after, recurrenceId, zone) };
}

/**
 * Carries the changed occurrences of a series along when the series changes: they name their original start, and follow
 * it in what they share with it. One whose original start the series makes no more goes to the bin.
 *
 * @param moved where the start of the series went with its dates; its new start may be a later one of them
 * @param held the changed occurrence that was edited itself, and what it is now
 */
function carryOverrides(
  state: State,
  overrides: readonly Dated[],
  before: Dated,
  after: Dated,
  moved: EventTime,
  context: ChangeContext,
  held?: Dated,
): Edited {
  const changes: Change[] = [];
  let dropped = 0;
  const { zone } = context;
  const compiled = new Series(before);
  const series = after.recurrence && new Series(after);
  for (const override of overrides) {
    if (!override.recurrenceId) continue;
    const isHeld = override.id === held?.id;
    const stored = state.entries.get(override.id);
    // What repeats no more is the occurrence that was looked at: it needs no record of its own.
    if (!series && isHeld) {
      if (stored) changes.push(remove('entries', stored));
      continue;
    }
    const recurrenceId = timeAlong(override.recurrenceId, compiled, moved, zone);
    if (!series?.makes(series.wallOfRecurrenceId(recurrenceId, zone), zone)) {
      if (stored) changes.push(...toBin(state, isHeld ? held : stored, context, stored));
      dropped++;
      continue;
    }
    const carried: Dated = isHeld
      ? { ...held, seriesId: after.id, uid: after.uid, recurrenceId }
      : {
          ...followed(override, before, after),
          ...followedTimes(override, before, after, recurrenceId, zone),
          recurrenceId,
        };
    if (!sameValue(carried, stored)) changes.push(put(state, 'entries', parseKept(Entry, carried)));
  }
  return { changes, dropped };
}

/** The original start of a target's occurrence on its series' clock; undefined for what is in no series. */
export function originalWall(state: State, target: Target, zone: string): number | undefined {
  if (target.recurrenceKey !== undefined) return parseLocal(target.recurrenceKey);
  const entry = state.entries.get(target.entryId);
  const master = seriesOf(masterOf(state, target));
  if (!entry?.recurrenceId || !master) return undefined;
  return new Series(master).wallOfRecurrenceId(entry.recurrenceId, zone);
}

/** The series of a target cut before its occurrence, the later half under fresh ids. */
export function splitAt(
  state: State,
  target: Target,
  context: ChangeContext,
): SplitSeries | { refused: Refusal } {
  const master = seriesOf(masterOf(state, target));
  const wall = originalWall(state, target, context.zone);
  if (!master || wall === undefined) return { refused: 'rule-not-divisible' };
  const id = context.newId();
  const ids = { id, uid: uidOf(id) };
  return splitSeries(master, overridesOf(state, master.id), wall, ids, context.zone);
}

/** An entry as it can be kept, or why it can't. */
export function checked<Kept extends Entry>(entry: Kept): Kept | Refusal {
  const result = Entry.safeParse(entry);
  if (result.success) return withUnknown(entry, result.data as Kept);
  return result.error.issues.some(({ path }) => path[0] === 'title') ? 'title-too-long' : 'beyond-calendar';
}

/** The series of an edit as it is kept after it. */
function editedSeries(
  series: Dated,
  edit: OccurrenceEdit,
  context: ChangeContext,
  whole?: Dated,
): Dated | Refusal {
  const like = seriesLike(series, edit, context.zone, whole);
  return isRefusal(like) ? like : checked(touched(like, context));
}

/** The target of an entry as it is seen: itself, or the first occurrence of its series. */
export function firstOf(entry: Entry): Target {
  const series = seriesOf(entry);
  return series
    ? { entryId: entry.id, recurrenceKey: new Series(series).keyOf(wallOf(series.start)) }
    : { entryId: entry.id };
}

/** The occurrence that an edit was made at, in its series as it is now. */
function landed(
  series: Dated,
  after: Dated,
  moved: EventTime,
  wall: number | undefined,
  held: Dated | undefined,
): Target {
  if (held) return { entryId: held.id };
  if (!after.recurrence || wall === undefined) return { entryId: after.id };
  return { entryId: after.id, recurrenceKey: new Series(after).keyOf(wallAlong(wall, series.start, moved)) };
}

/**
 * The changes that edit a target: the entry or one occurrence (as a record of its own), the later half of its series
 * (which becomes a series of its own), or the whole series. For more than one occurrence the series takes what the edit
 * changed of the one that it was made at; a changed occurrence that was edited itself becomes what was made of it.
 *
 * @param edit for the entry or occurrence itself
 * @param repeat how a series is to repeat from now on, if that was edited
 */
export function editTarget(
  state: State,
  target: Target,
  scope: Scope,
  edit: Edit,
  context: ChangeContext,
  repeat?: Repeat,
): Edited | Refusal {
  const head = masterOf(state, target);
  const master = seriesOf(head);
  const shown = entryAt(state, target, context);
  if (!head || !shown) return 'entry-missing';
  const edited = edit(shown);
  if (isRefusal(edited)) return edited;
  // Each occurrence of a series has a span.
  if (master && !(isDated(shown) && isDated(edited))) return 'no-date';
  if (scope === 'this' || !master || !isDated(shown) || !isDated(edited)) {
    const kept = checked(touched(edited, context));
    if (isRefusal(kept)) return kept;
    return { changes: [put(state, 'entries', kept)], dropped: 0, landed: firstOf(kept) };
  }
  const split = scope === 'later' ? splitAt(state, target, context) : undefined;
  if (split && 'refused' in split) return split.refused;
  const { later: series, laterOverrides: overrides } = split?.earlier
    ? split
    : { later: master, laterOverrides: overridesOf(state, master.id) };
  const occurrenceEdit = { shown, edited, repeat };
  const whole = split?.earlier ? seriesLike(master, occurrenceEdit, context.zone) : undefined;
  const kept = editedSeries(series, occurrenceEdit, context, isRefusal(whole) ? undefined : whole);
  if (isRefusal(kept)) return kept;
  const isChanged = shown.id === target.entryId && shown.seriesId !== undefined;
  const held = isChanged ? checked(touched(edited, context)) : undefined;
  if (isRefusal(held)) return held;
  const { start: moved } = timesLike(series, occurrenceEdit, context.zone);
  const carried = carryOverrides(state, overrides, series, kept, moved, context, held);
  const wall = originalWall(state, target, context.zone);
  return {
    changes: [
      ...(split?.earlier ? [put(state, 'entries', touched(split.earlier, context))] : []),
      put(state, 'entries', kept),
      ...carried.changes,
    ],
    dropped: carried.dropped,
    landed: landed(series, kept, moved, wall, kept.recurrence ? held : undefined),
  };
}
