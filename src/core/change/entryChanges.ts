import { type CalendarEvent, Entry, type Recurrence } from '../model/entry';
import type { State } from '../model/state';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import { type ChangeResult, createEvent, type EventFields, withFields } from './eventFields';
import { type ChangeContext, makePatch, put } from './patch';
import { editTarget } from './scopes';
import { isRefusal, type Refusal, shiftSeries } from './shift';
import { eventAt, masterOf, type Scope, type Target } from './target';

/** Makes an event. */
export function createEntry(state: State, fields: EventFields, context: ChangeContext): ChangeResult {
  if (!state.calendars.has(fields.calendarId)) return { refused: 'calendar-missing' };
  const event = Entry.safeParse(createEvent(fields, context));
  if (!event.success) return { refused: 'beyond-calendar' };
  return makePatch(context, { what: 'entry-made', count: 1, name: event.data.title }, [
    put(state, 'entries', event.data),
  ]);
}

const sameRules = (a: Recurrence | undefined, b: Recurrence | undefined): boolean =>
  JSON.stringify(a?.rules) === JSON.stringify(b?.rules);

/** Whether fields change how the series of a target repeats. */
export function changesRule(state: State, target: Target, fields: EventFields): boolean {
  const before = masterOf(state, target)?.recurrence;
  const skips = (recurrence: Recurrence | undefined) => JSON.stringify(recurrence?.skipDaysOff);
  return !sameRules(before, fields.recurrence) || skips(before) !== skips(fields.recurrence);
}

/** A series with fields that were written for one of its occurrences: it moves by as much as that did. */
function editSeries(
  series: CalendarEvent,
  shown: CalendarEvent,
  fields: EventFields,
  ruleEdited: boolean,
  zone: string,
): CalendarEvent | Refusal {
  // What does not repeat any more is the entry that was looked at.
  if (!fields.recurrence) return withFields(series, { ...fields, recurrence: undefined });
  const sameKind = shown.start.kind === fields.start.kind;
  const by = sameKind ? wallOf(fields.start) - wallOf(shown.start) : 0;
  const rules = ruleEdited ? fields.recurrence.rules : undefined;
  const from =
    rules && series.recurrence ? { ...series, recurrence: { ...series.recurrence, rules: [] } } : series;
  const moved = by === 0 ? from : shiftSeries(from, by, zone);
  if (isRefusal(moved)) return moved;
  const wall = sameKind
    ? wallOf(moved.start)
    : wallOf(fields.start) + dayDistance(wallOf(shown.start), wallOf(series.start));
  const start = atWall(fields.start, wall);
  const length = instantOf(fields.end, zone) - instantOf(fields.start, zone);
  const end =
    fields.start.kind === 'zoned'
      ? atInstant(fields.end, instantOf(start, zone) + length, zone)
      : atWall(fields.end, wall + wallOf(fields.end) - wallOf(fields.start));
  const recurrence = { ...moved.recurrence!, ...(rules ? { rules } : {}) };
  const { skipDaysOff: _, ...others } = recurrence;
  const skip = fields.recurrence.skipDaysOff;
  return withFields(moved, {
    ...fields,
    start,
    end,
    recurrence: { ...others, ...(skip ? { skipDaysOff: skip } : {}) },
  });
}

/** Whole days, in milliseconds, from the day of one wall time to that of another. */
const dayDistance = (from: number, to: number): number =>
  (Math.floor(to / 86_400_000) - Math.floor(from / 86_400_000)) * 86_400_000;

/**
 * Sets fields of an entry, of one occurrence, of this and later ones, or of every one. For more than one, start and end
 * are read as those of the target: the series moves by as much as the target does. A rule that was edited is taken as
 * it stands; one that was not moves with the start.
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
  const ruleEdited = !sameRules(masterOf(state, target)?.recurrence, fields.recurrence);
  const edited = editTarget(
    state,
    target,
    scope,
    (event) => {
      const { recurrence, ...rest } = fields;
      return withFields(event, event.seriesId === undefined ? { ...rest, recurrence } : rest);
    },
    (series) => (shown ? editSeries(series, shown, fields, ruleEdited, context.zone) : series),
    context,
  );
  if (isRefusal(edited)) return { refused: edited };
  const dropped = edited.dropped > 0 ? { dropped: edited.dropped } : {};
  return makePatch(
    context,
    { what: 'entry-changed', count: 1, name: fields.title, ...dropped },
    edited.changes,
  );
}
