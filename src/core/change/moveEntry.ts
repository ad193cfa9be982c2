import { type Dated, isDated, seriesOf } from '../model/entry';
import type { State } from '../model/state';
import { Series } from '../recurrence/series';
import { DAY } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { timeAlong } from './carrySeries';
import { editEach, isWholeSeries, madeOfEach } from './editEach';
import { madeOf } from './entryChanges';
import { editDated } from './edits';
import { type ChangeResult, isRefused } from './eventFields';
import { single } from './copyEntries';
import { type ChangeContext, makePatch, put, type SummaryKind } from './patch';
import { overridesOf } from './overrides';
import { editTarget, splitAt } from './scopes';
import { seriesLike, timesLike } from './seriesLike';
import { isRefusal, type Refusal, shiftEvent, stretchEvent, toHours, toWholeDays } from './shift';
import { entryAt, masterOf, type Scope, type Target, targetKey } from './target';
import { UnitOfWork } from './unitOfWork';
import { freshCopy, freshVersion } from './versions';

/** How a drag or a key changes when an entry is, and in which calendar, if that changes too. */
export type Move = TimeMove & { readonly calendarId?: string | undefined };

type TimeMove =
  /** Moved on its wall clock by milliseconds. */
  | { kind: 'shift'; by: number }
  /** One edge moved by exact milliseconds. */
  | { kind: 'stretch'; edge: 'start' | 'end'; by: number }
  /** Made an all-day entry that begins on a day. */
  | { kind: 'to-days'; day: number }
  /** Made a timed entry that begins at a wall time in the viewer's zone, so many milliseconds long. */
  | { kind: 'to-hours'; wall: number; length: number };

/** Days to wall-clock milliseconds, for moves by whole days. */
export const daysBy = (days: number): Move => ({ kind: 'shift', by: days * DAY });

function timeMoved(event: Dated, move: TimeMove, zone: string): Dated | Refusal {
  switch (move.kind) {
    case 'shift':
      return shiftEvent(event, move.by, zone);
    case 'stretch':
      return stretchEvent(event, move.edge, move.by, zone);
    case 'to-days':
      return toWholeDays(event, move.day);
    case 'to-hours':
      return toHours(event, move.wall, zone, move.length);
  }
}

function moved(event: Dated, move: Move, zone: string): Dated | Refusal {
  const timed = timeMoved(event, move, zone);
  return isRefusal(timed) || move.calendarId === undefined
    ? timed
    : { ...timed, calendarId: move.calendarId };
}

const isMissing = (state: State, { calendarId }: Move): boolean =>
  calendarId !== undefined && !state.calendars.has(calendarId);

/** What a move is called when it is said. */
const kindOf = (move: Move): SummaryKind =>
  move.kind === 'stretch'
    ? 'entry-stretched'
    : move.kind === 'shift' && move.by === 0 && move.calendarId !== undefined
      ? 'entry-to-calendar'
      : 'entry-moved';

/** Moves or stretches an entry, one occurrence, this and later ones, or every one. */
export function moveEntry(
  state: State,
  target: Target,
  move: Move,
  scope: Scope,
  context: ChangeContext,
): ChangeResult {
  if (isMissing(state, move)) return { refused: 'calendar-missing' };
  const edited = editTarget(
    state,
    target,
    scope,
    editDated((entry) => moved(entry, move, context.zone)),
    context,
  );
  const name = state.entries.get(target.entryId)?.title;
  const into = move.calendarId === undefined ? undefined : state.calendars.get(move.calendarId)?.name;
  const what = kindOf(move);
  return madeOf(edited, { what, count: 1, name, ...(what === 'entry-to-calendar' ? { into } : {}) }, context);
}

/**
 * Moves or stretches several entries by as much, as one change. Of a series, only the chosen occurrences; a series that is
 * chosen as such, whole. Those that can't are counted.
 */
export function moveEntries(
  state: State,
  targets: readonly Target[],
  move: Move,
  context: ChangeContext,
): ChangeResult {
  if (isMissing(state, move)) return { refused: 'calendar-missing' };
  const what = move.kind === 'stretch' ? 'entries-stretched' : 'entries-moved';
  const edited = editEach(
    state,
    targets,
    'this',
    editDated((entry) => moved(entry, move, context.zone)),
    context,
  );
  return madeOfEach(edited, { what });
}

/**
 * Copies an entry or occurrence, moved: just this one as a single entry; this and later ones, or every one, as a series
 * with its changed occurrences. The original stays as it is.
 */
export function copyEntry(
  state: State,
  target: Target,
  move: Move,
  scope: Scope,
  context: ChangeContext,
): ChangeResult {
  if (isMissing(state, move)) return { refused: 'calendar-missing' };
  const master = seriesOf(masterOf(state, target));
  if (scope === 'this' || !master) return copyOne(state, target, move, context);
  const split = scope === 'later' ? splitAt(state, target, context) : undefined;
  if (split && 'refused' in split) return split;
  const source = split?.later ?? master;
  const overrides = split?.laterOverrides ?? overridesOf(state, master.id);
  const shown = entryAt(state, target, context);
  if (!shown) return { refused: 'entry-missing' };
  const edited = isDated(shown) ? moved(shown, move, context.zone) : 'no-date';
  if (!isDated(shown) || isRefusal(edited)) return { refused: isRefusal(edited) ? edited : 'no-date' };
  const copied = seriesLike(source, { shown, edited }, context.zone);
  if (isRefusal(copied)) return { refused: copied };
  const { start } = timesLike(source, { shown, edited }, context.zone);
  const fresh = freshVersion(context);
  const by = wallOf(start) - wallOf(source.start);
  const compiled = new Series(source);
  const copies = overrides.flatMap((override) => {
    if (!override.recurrenceId) return [];
    const { calendarId = override.calendarId } = move;
    const along = { ...shiftEvent(override, by, context.zone), calendarId };
    const recurrenceId = timeAlong(override.recurrenceId, compiled, start, context.zone);
    return [{ ...along, ...fresh, id: context.newId(), seriesId: fresh.id, recurrenceId }];
  });
  return makePatch(context, { what: 'series-copied', count: 1, name: master.title }, [
    put(state, 'entries', { ...copied, ...fresh }),
    ...copies.map((copy) => put(state, 'entries', copy)),
  ]);
}

/**
 * Copies several entries, moved by as much, as one change: of a series that is chosen as such the whole, else the chosen
 * occurrence as an entry of its own. Those that can't are counted.
 */
export function copyEntries(
  state: State,
  targets: readonly Target[],
  move: Move,
  context: ChangeContext,
): ChangeResult {
  const work = new UnitOfWork(state, context);
  let count = 0;
  let left = 0;
  let refusal: Refusal | undefined;
  for (const target of targets) {
    const scope = isWholeSeries(state, target) ? 'every' : 'this';
    const copied = copyEntry(work.state, target, move, scope, context);
    if (isRefused(copied)) {
      refusal = copied.refused;
      left++;
      continue;
    }
    count++;
    work.add(copied.changes);
  }
  return madeOfEach({ work, count, left, refusal, dropped: 0 }, { what: 'entries-copied-there' });
}

function copyOne(state: State, target: Target, move: Move, context: ChangeContext): ChangeResult {
  const entry = entryAt(state, target, context);
  const copied = !entry ? 'entry-missing' : isDated(entry) ? moved(entry, move, context.zone) : 'no-date';
  if (isRefusal(copied)) return { refused: copied };
  const { importedFrom: _, ...copy } = freshCopy(single(copied), context);
  return {
    ...makePatch(context, { what: 'entry-copied', count: 1, name: copy.title }, [
      put(state, 'entries', copy),
    ]),
    landed: targetKey({ entryId: copy.id }),
  };
}
