import type { CalendarEvent } from '../model/entry';
import type { State } from '../model/state';
import { DAY } from '../time/civil';
import { atWall, wallOf } from '../time/eventTime';
import { type ChangeResult, createEvent } from './eventFields';
import { type ChangeContext, makePatch, put } from './patch';
import { editTarget, splitAt } from './scopes';
import {
  isRefusal,
  type Refusal,
  shiftEvent,
  shiftSeries,
  stretchEvent,
  toHours,
  toWholeDays,
} from './shift';
import { eventAt, masterOf, overridesOf, type Scope, type Target } from './target';

/** How a drag or a key changes when an entry is, and in which calendar, if that changes too. */
export type Move = TimeMove & { readonly calendarId?: string | undefined };

type TimeMove =
  /** Moved on its wall clock by milliseconds. */
  | { kind: 'shift'; by: number }
  /** One edge moved by exact milliseconds. */
  | { kind: 'stretch'; edge: 'start' | 'end'; by: number }
  /** Made an all-day entry that begins on a day. */
  | { kind: 'to-days'; day: number }
  /** Made a timed entry that begins at a wall time in the viewer's zone. */
  | { kind: 'to-hours'; wall: number };

/** Days to wall-clock milliseconds, for moves by whole days. */
export const daysBy = (days: number): Move => ({ kind: 'shift', by: days * DAY });

const toCalendar = (
  event: CalendarEvent | Refusal,
  calendarId: string | undefined,
): CalendarEvent | Refusal =>
  isRefusal(event) || calendarId === undefined ? event : { ...event, calendarId };

const applyMove = (event: CalendarEvent, move: Move, zone: string): CalendarEvent | Refusal =>
  toCalendar(movedEvent(event, move, zone), move.calendarId);

const moveSeries = (series: CalendarEvent, move: Move, zone: string): CalendarEvent | Refusal =>
  toCalendar(movedSeries(series, move, zone), move.calendarId);

function movedEvent(event: CalendarEvent, move: TimeMove, zone: string): CalendarEvent | Refusal {
  switch (move.kind) {
    case 'shift':
      return shiftEvent(event, move.by, zone);
    case 'stretch':
      return stretchEvent(event, move.edge, move.by, zone);
    case 'to-days':
      return toWholeDays(event, move.day);
    case 'to-hours':
      return toHours(event, move.wall, zone);
  }
}

function movedSeries(series: CalendarEvent, move: TimeMove, zone: string): CalendarEvent | Refusal {
  switch (move.kind) {
    case 'shift':
      return shiftSeries(series, move.by, zone);
    case 'stretch': {
      if (move.edge === 'end') return stretchEvent(series, 'end', move.by, zone);
      const stretched = stretchEvent(series, 'start', move.by, zone);
      if (isRefusal(stretched)) return stretched;
      const moved = shiftSeries(series, move.by, zone);
      return isRefusal(moved) ? moved : { ...moved, end: series.end };
    }
    case 'to-days':
    case 'to-hours':
      // Whole days and hours have other rules; a series changes between them in the editor.
      return 'rule-fixes-days';
  }
}

const isMissing = (state: State, { calendarId }: Move): boolean =>
  calendarId !== undefined && !state.calendars.has(calendarId);

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
    (event) => applyMove(event, move, context.zone),
    (series) => moveSeries(series, move, context.zone),
    context,
  );
  if (isRefusal(edited)) return { refused: edited };
  const name = state.entries.get(target.entryId)?.title;
  const dropped = edited.dropped > 0 ? { dropped: edited.dropped } : {};
  return makePatch(context, { what: 'entry-moved', count: 1, name, ...dropped }, edited.changes);
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
  const master = masterOf(state, target);
  if (scope === 'this' || !master?.recurrence) return copyOne(state, target, move, context);
  const split = scope === 'later' ? splitAt(state, target, context) : undefined;
  if (split && 'refused' in split) return split;
  const source = split?.later ?? master;
  const overrides = split?.laterOverrides ?? overridesOf(state, master.id);
  const moved = source.recurrence
    ? moveSeries(source, move, context.zone)
    : applyMove(source, move, context.zone);
  if (isRefusal(moved)) return { refused: moved };
  const id = context.newId();
  const fresh = {
    id,
    uid: `${id}@orderly-week`,
    created: context.now,
    modified: context.now,
    sequence: 0,
  };
  const by = wallOf(moved.start) - wallOf(source.start);
  const copies = overrides.flatMap((override) => {
    if (!override.recurrenceId) return [];
    const { calendarId = override.calendarId } = move;
    const along = { ...shiftEvent(override, by, context.zone), calendarId };
    const recurrenceId = atWall(override.recurrenceId, wallOf(override.recurrenceId) + by);
    return [{ ...along, ...fresh, id: context.newId(), seriesId: id, recurrenceId }];
  });
  return makePatch(context, { what: 'series-copied', count: 1, name: master.title }, [
    put(state, 'entries', { ...moved, ...fresh }),
    ...copies.map((copy) => put(state, 'entries', copy)),
  ]);
}

function copyOne(state: State, target: Target, move: Move, context: ChangeContext): ChangeResult {
  const event = eventAt(state, target, context);
  const moved = event ? applyMove(event, move, context.zone) : 'calendar-missing';
  if (isRefusal(moved)) return { refused: moved };
  const { seriesId, recurrenceId, recurrenceRange, recurrence, ...single } = moved;
  const copy = createEvent(single, context);
  return makePatch(context, { what: 'entry-copied', count: 1, name: copy.title }, [
    put(state, 'entries', { ...copy, ...(single.preserved ? { preserved: single.preserved } : {}) }),
  ]);
}
