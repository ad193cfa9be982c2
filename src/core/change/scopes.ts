import { type CalendarEvent, Entry } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import type { State } from '../model/state';
import { Series } from '../recurrence/series';
import { DAY, dateString, localString, parseLocal } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { toBin } from './binChanges';
import { touched } from './eventFields';
import { type Change, type ChangeContext, put } from './patch';
import { isRefusal, type Refusal } from './shift';
import { type SplitSeries, splitSeries } from './splitSeries';
import { eventAt, masterOf, overridesOf, type Scope, type Target } from './target';

/** Makes another event of an event, or says why it can't. */
export type Edit = (event: CalendarEvent) => CalendarEvent | Refusal;

/** The changes of an edit, and how many changed occurrences found no place in their series any more. */
export interface Edited {
  readonly changes: readonly Change[];
  readonly dropped: number;
}

/** The fields in which a changed occurrence follows its series as long as it says the same. */
const FOLLOWED = [
  'calendarId',
  'title',
  'availability',
  'classification',
  'status',
  'categories',
  'notes',
  'url',
  'location',
  'reminders',
] as const;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

function followed(override: CalendarEvent, before: CalendarEvent, after: CalendarEvent): CalendarEvent {
  const taken = FOLLOWED.filter(
    (field) => !same(before[field], after[field]) && same(override[field], before[field]),
  );
  return { ...override, ...Object.fromEntries(taken.map((field) => [field, after[field]])) };
}

/** The original start of a changed occurrence in its series after that moved. */
function movedId(id: EventTime, before: CalendarEvent, after: CalendarEvent, zone: string): EventTime {
  const wall = new Series(before).wallOfRecurrenceId(id, zone);
  const moved = wall + wallOf(after.start) - wallOf(before.start);
  if (after.start.kind === 'date') return { kind: 'date', date: dateString(Math.floor(moved / DAY)) };
  const timeOfDay = wallOf(after.start) - Math.floor(wallOf(after.start) / DAY) * DAY;
  const local = before.start.kind === 'date' ? Math.floor(moved / DAY) * DAY + timeOfDay : moved;
  return { ...after.start, local: localString(local) };
}

/**
 * Carries the changed occurrences of a series along when the series changes: they name their original start, and follow
 * it in what they share with it. One whose original start the series makes no more goes to the bin.
 */
export function carryOverrides(
  state: State,
  overrides: readonly CalendarEvent[],
  before: CalendarEvent,
  after: CalendarEvent,
  context: ChangeContext,
): Edited {
  const changes: Change[] = [];
  let dropped = 0;
  const series = after.recurrence && new Series(after);
  for (const override of overrides) {
    if (!override.recurrenceId) continue;
    const recurrenceId = movedId(override.recurrenceId, before, after, context.zone);
    if (!series?.makes(wallOf(recurrenceId), context.zone)) {
      const stored = state.entries.get(override.id);
      if (stored) changes.push(...toBin(state, stored, context));
      dropped++;
      continue;
    }
    const carried = { ...followed(override, before, after), recurrenceId };
    if (!same(carried, state.entries.get(override.id)))
      changes.push(put(state, 'entries', Entry.parse(carried)));
  }
  return { changes, dropped };
}

/** The original start of a target's occurrence on its series' clock; undefined for what is in no series. */
export function originalWall(state: State, target: Target, zone: string): number | undefined {
  if (target.recurrenceKey !== undefined) return parseLocal(target.recurrenceKey);
  const entry = state.entries.get(target.entryId);
  const master = masterOf(state, target);
  if (!entry?.recurrenceId || !master?.recurrence) return undefined;
  return new Series(master).wallOfRecurrenceId(entry.recurrenceId, zone);
}

/** The series of a target cut before its occurrence, the later half under fresh ids. */
export function splitAt(
  state: State,
  target: Target,
  context: ChangeContext,
): SplitSeries | { refused: Refusal } {
  const master = masterOf(state, target);
  const wall = originalWall(state, target, context.zone);
  if (!master?.recurrence || wall === undefined) return { refused: 'rule-not-divisible' };
  const id = context.newId();
  const ids = { id, uid: `${id}@orderly-week` };
  return splitSeries(master, overridesOf(state, master.id), wall, ids, context.zone);
}

const parsed = (event: CalendarEvent): CalendarEvent | Refusal => {
  const result = Entry.safeParse(event);
  return result.success ? result.data : 'beyond-calendar';
};

/**
 * The changes that edit a target: the entry or one occurrence (as a record of its own), the later half of its series
 * (which becomes a series of its own), or the whole series.
 * @param edit for a single entry or occurrence
 * @param editSeries for a series
 */
export function editTarget(
  state: State,
  target: Target,
  scope: Scope,
  edit: Edit,
  editSeries: Edit,
  context: ChangeContext,
): Edited | Refusal {
  const master = masterOf(state, target);
  if (!master) return { changes: [], dropped: 0 };
  if (scope === 'this' || !master.recurrence) {
    const event = eventAt(state, target, context);
    const edited = event ? edit(event) : 'calendar-missing';
    const kept = isRefusal(edited) ? edited : parsed(touched(edited, context));
    return isRefusal(kept) ? kept : { changes: [put(state, 'entries', kept)], dropped: 0 };
  }
  const split = scope === 'later' ? splitAt(state, target, context) : undefined;
  if (split && 'refused' in split) return split.refused;
  if (split?.earlier) {
    const edited = editSeries(split.later);
    const kept = isRefusal(edited) ? edited : parsed(touched(edited, context));
    if (isRefusal(kept)) return kept;
    const carried = carryOverrides(state, split.laterOverrides, split.later, kept, context);
    return {
      changes: [
        put(state, 'entries', touched(split.earlier, context)),
        put(state, 'entries', kept),
        ...carried.changes,
      ],
      dropped: carried.dropped,
    };
  }
  const edited = editSeries(master);
  const kept = isRefusal(edited) ? edited : parsed(touched(edited, context));
  if (isRefusal(kept)) return kept;
  const carried = carryOverrides(state, overridesOf(state, master.id), master, kept, context);
  return { changes: [put(state, 'entries', kept), ...carried.changes], dropped: carried.dropped };
}
