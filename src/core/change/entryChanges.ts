import { type CalendarEvent, Entry } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import type { State } from '../model/state';
import { DAY, parseLocal } from '../time/civil';
import { atInstant, atWall, instantOf, recurrenceKey, wallOf } from '../time/eventTime';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';
import { type Refusal, shiftEvent, shiftSeries, stretchEvent, toHours, toWholeDays } from './shift';
import { eventAt, isRecurring, masterOf, overridesOf, type Scope, type Target } from './target';

/** The fields of an event that a person sets. */
export type EventFields = Omit<
  CalendarEvent,
  'kind' | 'id' | 'uid' | 'created' | 'modified' | 'sequence' | 'seriesId' | 'recurrenceId' | 'preserved'
>;

export type ChangeResult = Patch | { refused: Refusal };

export const isRefused = (result: ChangeResult): result is { refused: Refusal } => 'refused' in result;

/** An event with nothing but its time and calendar. */
export const blankFields = (calendarId: string, start: EventTime, end: EventTime): EventFields => ({
  calendarId,
  title: '',
  start,
  end,
  availability: 'busy',
  classification: 'public',
  status: 'confirmed',
  categories: [],
  notes: '',
  url: '',
  location: '',
  reminders: [],
});

/** A new event. */
export function createEvent(fields: EventFields, context: ChangeContext): CalendarEvent {
  const id = context.newId();
  return {
    ...fields,
    kind: 'event',
    id,
    uid: `${id}@orderly-week`,
    sequence: 0,
    created: context.now,
    modified: context.now,
  };
}

/** An event with other fields. What it is (its ids, its series, what a file held beyond the model) stays. */
function withFields(event: CalendarEvent, fields: Partial<EventFields>): CalendarEvent {
  const { kind, id, uid, created, sequence, seriesId, recurrenceId, preserved, modified } = event;
  const identity = { kind, id, uid, created, modified, sequence, seriesId, recurrenceId, preserved };
  return { ...event, ...fields, ...identity };
}

/** Makes an event. */
export function createEntry(state: State, fields: EventFields, context: ChangeContext): ChangeResult {
  if (!state.calendars.has(fields.calendarId)) return { refused: 'calendar-missing' };
  const event = Entry.parse(createEvent(fields, context));
  return makePatch(context, { what: 'entry-made', count: 1, name: event.title }, [
    put(state, 'entries', event),
  ]);
}

const touched = (event: CalendarEvent, context: ChangeContext): CalendarEvent => ({
  ...event,
  sequence: event.sequence + 1,
  modified: context.now,
});

type Edit = (event: CalendarEvent) => CalendarEvent | Refusal;

const isRefusal = (value: CalendarEvent | Refusal): value is Refusal => typeof value === 'string';

/** Carries the changed occurrences of a series along when its start moves: they name their original start. */
function carryOverrides(state: State, before: CalendarEvent, after: CalendarEvent): Change[] {
  const by = wallOf(after.start) - wallOf(before.start);
  const kindChanged = before.start.kind !== after.start.kind;
  return overridesOf(state, before.id).flatMap((override): Change[] => {
    const carried = {
      ...override,
      calendarId: override.calendarId === before.calendarId ? after.calendarId : override.calendarId,
    };
    if (!override.recurrenceId || (by === 0 && carried.calendarId === override.calendarId)) return [];
    const recurrenceId = kindChanged
      ? override.recurrenceId
      : atWall(override.recurrenceId, wallOf(override.recurrenceId) + by);
    return [put(state, 'entries', { ...carried, recurrenceId })];
  });
}

/** The changes that edit a target: the entry, one occurrence (as an override), or the whole series. */
function editTarget(
  state: State,
  target: Target,
  scope: Scope,
  edit: Edit,
  editSeries: Edit,
  context: ChangeContext,
): Change[] | Refusal {
  const master = masterOf(state, target);
  if (!master) return [];
  if (scope === 'every' && master.recurrence) {
    const edited = editSeries(master);
    if (isRefusal(edited)) return edited;
    return [
      put(state, 'entries', Entry.parse(touched(edited, context))),
      ...carryOverrides(state, master, edited),
    ];
  }
  const event = eventAt(state, target, context);
  if (!event) return [];
  const edited = edit(event);
  if (isRefusal(edited)) return edited;
  return [put(state, 'entries', Entry.parse(touched(edited, context)))];
}

/**
 * Sets fields of an entry, of one occurrence, or of every one. For *every*, start and end are read as those
 * of the target: the series moves by as much as the target does.
 */
export function changeEntry(
  state: State,
  target: Target,
  fields: EventFields,
  scope: Scope,
  context: ChangeContext,
): ChangeResult {
  if (!state.calendars.has(fields.calendarId)) return { refused: 'calendar-missing' };
  const shown = eventAt(state, target, context);
  const changes = editTarget(
    state,
    target,
    scope,
    (event) => {
      const { recurrence, ...rest } = fields;
      return withFields(event, event.seriesId === undefined ? { ...rest, recurrence } : rest);
    },
    (series) => {
      if (!shown) return series;
      const sameKind = shown.start.kind === fields.start.kind;
      const by = wallOf(fields.start) - wallOf(shown.start);
      const moved = by === 0 || !sameKind ? series : shiftSeries(series, by, context.zone);
      if (isRefusal(moved)) return moved;
      // A rule that was edited is taken as it stands; one that was not has moved with the start.
      const ruleEdited =
        JSON.stringify(fields.recurrence?.rules) !== JSON.stringify(series.recurrence?.rules);
      const start = atWall(fields.start, sameKind ? wallOf(moved.start) : wallOf(series.start));
      const length = instantOf(fields.end, context.zone) - instantOf(fields.start, context.zone);
      const end =
        fields.start.kind === 'zoned'
          ? atInstant(fields.end, instantOf(start, context.zone) + length, context.zone)
          : atWall(fields.end, wallOf(start) + wallOf(fields.end) - wallOf(fields.start));
      const recurrence =
        ruleEdited && fields.recurrence && moved.recurrence
          ? { ...moved.recurrence, rules: fields.recurrence.rules }
          : fields.recurrence && moved.recurrence;
      return withFields(moved, { ...fields, start, end, recurrence });
    },
    context,
  );
  if (typeof changes === 'string') return { refused: changes };
  return makePatch(context, { what: 'entry-changed', count: 1, name: fields.title }, changes);
}

/** How a drag or a key changes when an entry is. */
export type Move =
  /** Moved on its wall clock by milliseconds. */
  | { kind: 'shift'; by: number }
  /** One edge moved by exact milliseconds. */
  | { kind: 'stretch'; edge: 'start' | 'end'; by: number }
  /** Made an all-day entry that begins on a day. */
  | { kind: 'to-days'; day: number }
  /** Made a timed entry that begins at a wall time in the viewer's zone. */
  | { kind: 'to-hours'; wall: number };

function applyMove(event: CalendarEvent, move: Move, zone: string): CalendarEvent | Refusal {
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

function moveSeries(series: CalendarEvent, move: Move, zone: string): CalendarEvent | Refusal {
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

/** Moves or stretches an entry, one occurrence, or every one. */
export function moveEntry(
  state: State,
  target: Target,
  move: Move,
  scope: Scope,
  context: ChangeContext,
): ChangeResult {
  const changes = editTarget(
    state,
    target,
    scope,
    (event) => applyMove(event, move, context.zone),
    (series) => moveSeries(series, move, context.zone),
    context,
  );
  if (typeof changes === 'string') return { refused: changes };
  const name = state.entries.get(target.entryId)?.title;
  return makePatch(context, { what: 'entry-moved', count: 1, name }, changes);
}

/** Makes a single copy of an entry or occurrence, moved. */
export function copyEntry(state: State, target: Target, move: Move, context: ChangeContext): ChangeResult {
  const event = eventAt(state, target, context);
  const moved = event && applyMove(event, move, context.zone);
  if (!moved) return { refused: 'calendar-missing' };
  if (isRefusal(moved)) return { refused: moved };
  const { seriesId, recurrenceId, recurrence, ...single } = moved;
  const copy = createEvent(single, context);
  return makePatch(context, { what: 'entry-copied', count: 1, name: copy.title }, [
    put(state, 'entries', { ...copy, ...(single.preserved ? { preserved: single.preserved } : {}) }),
  ]);
}

const toBin = (state: State, entry: CalendarEvent, context: ChangeContext): Change[] => [
  remove('entries', entry),
  put(state, 'bin', { id: entry.id, entry, deleted: context.now }),
];

/** The changes that leave one occurrence of a series out. */
function leaveOut(series: CalendarEvent, wall: number): CalendarEvent {
  const recurrence = series.recurrence!;
  const exception = atWall(series.start, wall);
  const key = recurrenceKey(wall, series.start.kind === 'date');
  const dates = recurrence.exceptionDates.filter(
    (time) => recurrenceKey(wallOf(time), time.kind === 'date') !== key,
  );
  return { ...series, recurrence: { ...recurrence, exceptionDates: [...dates, exception] } };
}

/**
 * Puts entries in the bin. One occurrence of a series is left out of it (EXDATE); with *every*, the series
 * goes with its changed occurrences.
 */
export function binEntries(
  state: State,
  targets: readonly Target[],
  scope: Scope,
  context: ChangeContext,
): Patch {
  const series = new Map<string, CalendarEvent>();
  const binned = new Map<string, CalendarEvent>();
  for (const target of targets) {
    const entry = state.entries.get(target.entryId);
    const master = masterOf(state, target);
    if (!entry || !master) continue;
    if (scope === 'every' || !isRecurring(state, target) || (entry.recurrence && !target.recurrenceKey)) {
      binned.set(master.id, master);
      for (const override of overridesOf(state, master.id)) binned.set(override.id, override);
      continue;
    }
    const wall = target.recurrenceKey
      ? parseLocal(target.recurrenceKey)
      : wallOf(entry.recurrenceId ?? entry.start);
    series.set(master.id, leaveOut(series.get(master.id) ?? master, wall));
    if (entry.id !== master.id) binned.set(entry.id, entry);
  }
  const changes = [
    ...[...series.values()]
      .filter((event) => !binned.has(event.id))
      .map((event) => put(state, 'entries', touched(event, context))),
    ...[...binned.values()].flatMap((entry) => toBin(state, entry, context)),
  ];
  const first = targets[0] && state.entries.get(targets[0].entryId);
  return makePatch(context, { what: 'entries-binned', count: targets.length, name: first?.title }, changes);
}

/** Days to wall-clock milliseconds, for moves by whole days. */
export const daysBy = (days: number): Move => ({ kind: 'shift', by: days * DAY });
