import {
  type Dated,
  type Entry,
  type EntryFields,
  type EventFields,
  isDated,
  isEvent,
  isTodo,
  type Recurrence,
  seriesOf,
  type TodoFields,
} from '../model/entry';
import type { EventTime } from '../model/eventTime';
import type { State } from '../model/state';
import { readRule } from '../recurrence/choices';
import { explicitRule, formatRule } from '../recurrence/rule';
import { wallOf } from '../time/eventTime';
import { type ChangeResult, createEvent, isRefused, withFields } from './eventFields';
import { type Change, type ChangeContext, makePatch, put, type Summary } from './patch';
import { checked, type Edited, editTarget, firstOf } from './scopes';
import { type Repeat, sameValue, seriesLike } from './seriesLike';
import { isRefusal, type Refusal } from './shift';
import { entryAt, masterOf, type Scope, type Target, targetKey } from './target';

/** Makes an event. */
export function createEntry(state: State, fields: EventFields, context: ChangeContext): ChangeResult {
  if (!state.calendars.has(fields.calendarId)) return { refused: 'calendar-missing' };
  const event = checked(createEvent(fields, context));
  if (isRefusal(event)) return { refused: event };
  return {
    ...makePatch(context, { what: 'entry-made', count: 1, name: event.title }, [
      put(state, 'entries', event),
    ]),
    landed: targetKey(firstOf(event)),
  };
}

/** Makes several events at once, all of them or none. */
export function createEntries(
  state: State,
  all: readonly EventFields[],
  context: ChangeContext,
): ChangeResult | undefined {
  const changes: Change[] = [];
  for (const fields of all) {
    const made = createEntry(state, fields, context);
    if (isRefused(made)) return made;
    changes.push(...made.changes);
  }
  return changes.length === 0
    ? undefined
    : makePatch(context, { what: 'entries-made', count: changes.length }, changes);
}

const sameRules = (a: Recurrence | undefined, b: Recurrence | undefined): boolean =>
  sameValue(a?.rules, b?.rules);

/**
 * How the series of a target repeats, as it is said for the start that is shown: where a rule takes its weekday, day or
 * month from the series' start and the shown one has another, they are written out.
 */
export function recurrenceSeenAt(state: State, target: Target, shown: EventTime): Recurrence | undefined {
  const master = seriesOf(masterOf(state, target));
  if (!master?.recurrence) return undefined;
  const rules = master.recurrence.rules.map((text) => {
    const rule = readRule(text);
    if (!rule) return text;
    const explicit = explicitRule(rule, wallOf(master.start), wallOf(shown));
    return explicit === rule ? text : formatRule(explicit);
  });
  return { ...master.recurrence, rules };
}

/** An entry as it stands at a target, with its repeats as they are said there. */
function seenAt(state: State, target: Target, context: ChangeContext): Entry | undefined {
  const entry = entryAt(state, target, context);
  if (!entry?.start) return entry;
  const recurrence = recurrenceSeenAt(state, target, entry.start);
  const { recurrence: _, ...fields } = entry;
  return recurrence ? { ...fields, recurrence } : fields;
}

/** The fields of an event as they are shown to be edited; undefined if it is not there any more. */
export function fieldsSeenAt(state: State, target: Target, context: ChangeContext): EventFields | undefined {
  const entry = seenAt(state, target, context);
  return entry && isEvent(entry) ? entry : undefined;
}

/** The fields of a to-do as they are shown to be edited; undefined if it is not there any more. */
export function todoFieldsSeenAt(
  state: State,
  target: Target,
  context: ChangeContext,
): TodoFields | undefined {
  const entry = seenAt(state, target, context);
  return entry && isTodo(entry) ? entry : undefined;
}

/**
 * What was written in fields, upon what they are meanwhile: another page may have changed what was not touched here. Start
 * and end are one field, and so is how it repeats with them: a rule is meant for the start that it was written for.
 */
export function writtenUpon<Fields extends EntryFields>(
  now: Fields,
  before: Fields,
  written: Fields,
): Fields {
  const valuesOf = (fields: Fields) => fields as Readonly<Record<string, unknown>>;
  const isTouched = (names: readonly string[]) =>
    names.some((name) => !sameValue(valuesOf(written)[name], valuesOf(before)[name]));
  const together: readonly (readonly string[])[] = [['start', 'end', 'hasStart', 'isNeverDue', 'recurrence']];
  const single = Object.keys({ ...now, ...written })
    .filter((name) => !together.flat().includes(name))
    .map((name) => [name] as const);
  const taken = [...together, ...single].filter(isTouched).flat();
  return { ...now, ...Object.fromEntries(taken.map((name) => [name, valuesOf(written)[name]])) };
}

/** How fields change how the series of a target repeats; undefined if they do not. */
function repeatOf(
  state: State,
  target: Target,
  fields: EntryFields,
  shown: EventTime | undefined,
): Repeat | undefined {
  if (!shown) return undefined;
  const before = recurrenceSeenAt(state, target, shown);
  const { recurrence } = fields;
  const isRuleKept =
    sameRules(before, recurrence) || sameRules(masterOf(state, target)?.recurrence, recurrence);
  const changesRules = !isRuleKept || !before !== !recurrence;
  return changesRules || !sameValue(before?.skipDaysOff, recurrence?.skipDaysOff)
    ? { recurrence, changesRules }
    : undefined;
}

/** Whether fields change how the series of a target repeats. */
export function changesRule(
  state: State,
  target: Target,
  fields: EntryFields,
  context: ChangeContext,
): boolean {
  const shown = entryAt(state, target, context);
  return shown !== undefined && repeatOf(state, target, fields, shown.start) !== undefined;
}

/** The series of a target as fields that were written for its occurrence would make it, were they for every one. */
export function seriesAsEdited(
  state: State,
  target: Target,
  fields: EntryFields,
  context: ChangeContext,
): Dated | Refusal {
  const master = seriesOf(masterOf(state, target));
  const shown = entryAt(state, target, context);
  const edited = shown && withFields(shown, fields);
  if (!master || !shown || !edited || !isDated(shown)) return 'entry-missing';
  if (!isDated(edited)) return 'no-date';
  const repeat = repeatOf(state, target, fields, shown.start);
  return seriesLike(master, { shown, edited, repeat }, context.zone);
}

/**
 * Sets fields of an entry, of one occurrence, of this and later ones, or of every one. For more than one, the others take
 * what the fields change of the target: the series moves by as much as the target does. A rule that was edited is meant
 * as it is said for the target; one that was not moves with the start.
 */
export function changeEntry(
  state: State,
  target: Target,
  fields: EntryFields,
  scope: Scope,
  context: ChangeContext,
): ChangeResult {
  if (!state.calendars.has(fields.calendarId)) return { refused: 'calendar-missing' };
  const shown = entryAt(state, target, context);
  const edited = editTarget(
    state,
    target,
    scope,
    (entry) => {
      const { recurrence, ...rest } = fields;
      const isOccurrence = entry.seriesId !== undefined;
      return withFields(entry, isOccurrence ? rest : { ...rest, recurrence });
    },
    context,
    shown && repeatOf(state, target, fields, shown.start),
  );
  return madeOf(edited, { what: 'entry-changed', count: 1, name: fields.title }, context);
}

/** The patch of an edit, or why there is none. */
export function madeOf(edited: Edited | Refusal, summary: Summary, context: ChangeContext): ChangeResult {
  if (isRefusal(edited)) return { refused: edited };
  const { changes, dropped, landed } = edited;
  return {
    ...makePatch(context, { ...summary, ...(dropped > 0 ? { dropped } : {}) }, changes),
    ...(landed ? { landed: targetKey(landed) } : {}),
  };
}
