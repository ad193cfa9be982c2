import type { Calendar } from '../model/calendar';
import { type Entry, isTodo, type Todo } from '../model/entry';
import type { Preserved } from '../model/preserved';
import type { State } from '../model/state';
import type { Double } from '../tidy/doubles';
import { type CalendarFields, saveCalendar } from './calendarChanges';
import { todosOf } from '../todos/currentTodo';
import { overridesOf } from './overrides';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';
import { uidOf } from './versions';

/** Where imported entries go; to a calendar that is here, with what its file held beyond events. */
export type ImportInto =
  { calendarId: string; preserved?: Preserved | undefined } | { newCalendar: CalendarFields };

/** Properties of a file that are about its sending, not about the calendar (RFC 5545 3.7.2). */
const OF_THE_SENDING = new Set<unknown>(['method']);

/** What of a file's calendar is kept with ours. */
export function keptOfCalendar(preserved: Preserved | undefined): Preserved | undefined {
  const properties = preserved?.properties.filter(([name]) => !OF_THE_SENDING.has(name)) ?? [];
  const components = preserved?.components ?? [];
  return properties.length + components.length > 0 ? { properties, components } : undefined;
}

/** The calendar with components that it does not have yet. */
function withComponents(calendar: Calendar, more: Preserved | undefined): Calendar | undefined {
  const known = new Set(calendar.preserved?.components.map((component) => JSON.stringify(component)));
  const further = (more?.components ?? []).filter((component) => !known.has(JSON.stringify(component)));
  if (further.length === 0) return undefined;
  const { properties = [], components = [] } = calendar.preserved ?? {};
  return { ...calendar, preserved: { properties, components: [...components, ...further] } };
}

/** What becomes of an entry that is there already. */
export const DOUBLE_CHOICES = ['skip', 'replace', 'both'] as const;
export type DoubleChoice = (typeof DOUBLE_CHOICES)[number];

/** The doubles among what is imported (`one`) and what is there (`other`), with the choice for each by the id of `one`. */
export interface ImportDoubles {
  readonly doubles: readonly Double[];
  readonly choiceOf: (id: string) => DoubleChoice;
}

/** The longest name of a file that is noted. */
const LONGEST_NAME = 255;

/**
 * Puts entries read from a file into a calendar, as one patch. Of to-dos, those of a UID that is here are here already.
 * @param file what the file is called, noted with each
 */
export function importEntries(
  state: State,
  entries: readonly Entry[],
  into: ImportInto,
  context: ChangeContext,
  { doubles, choiceOf }: ImportDoubles = { doubles: [], choiceOf: () => 'both' },
  file?: string,
): Patch {
  const from = file === undefined ? {} : { importedFrom: file.slice(0, LONGEST_NAME) };
  const calendar = 'calendarId' in into ? state.calendars.get(into.calendarId) : undefined;
  const extended = calendar && 'calendarId' in into ? withComponents(calendar, into.preserved) : undefined;
  const made: Change[] =
    'newCalendar' in into
      ? [...saveCalendar(state, undefined, into.newCalendar, context).changes]
      : extended
        ? [put(state, 'calendars', extended)]
        : [];
  const calendarId = 'calendarId' in into ? into.calendarId : made[0]!.id;
  const name = 'calendarId' in into ? state.calendars.get(calendarId)?.name : into.newCalendar.name;
  const found = new Map(doubles.map((double) => [double.one.id, double]));
  const freshUids = new Map<string, string>();
  const removed = new Map<string, Change>();
  const todos = todoHeads(state);
  const imported = entries.flatMap((entry): Change[] => {
    const head = entry.seriesId ?? entry.id;
    const double = found.get(head);
    const other = double?.other ?? (isTodo(entry) ? todos.get(entry.uid) : undefined);
    const choice = other ? choiceOf(head) : undefined;
    if (choice === 'skip') return [];
    if (other && choice === 'replace')
      for (const old of [other, ...overridesOf(state, other.id)]) removed.set(old.id, remove('entries', old));
    // Two that are kept side by side can't share a UID.
    if (other && double?.by !== 'title-and-time' && choice === 'both' && !freshUids.has(head))
      freshUids.set(head, uidOf(context.newId()));
    const uid = freshUids.get(head) ?? entry.uid;
    return [put(state, 'entries', { ...entry, uid, calendarId, ...from })];
  });
  return makePatch(
    context,
    { what: 'imported', count: imported.length, name },
    [...made, ...removed.values(), ...imported],
    'closed-calendars',
  );
}

/** The to-dos that stand for themselves, by their UIDs. */
const todoHeads = (state: State): ReadonlyMap<string, Todo> =>
  new Map(todosOf(state).flatMap((todo) => (todo.seriesId === undefined ? [[todo.uid, todo] as const] : [])));

/** What is imported from one file of several. */
export interface ImportPart {
  readonly entries: readonly Entry[];
  readonly into: ImportInto;
  /** What the file is called. */
  readonly file?: string;
}

/** Puts the entries of several files into calendars, as one patch. */
export function importParts(
  state: State,
  parts: readonly ImportPart[],
  context: ChangeContext,
  doubles?: ImportDoubles,
): Patch {
  const patches = parts.map(({ entries, into, file }) =>
    importEntries(state, entries, into, context, doubles, file),
  );
  const changes = new Map<string, Change>();
  for (const patch of patches)
    for (const change of patch.changes) changes.set(`${change.collection} ${change.id}`, change);
  const count = patches.reduce((sum, { summary }) => sum + summary.count, 0);
  const names = patches.flatMap(({ summary }) => summary.name ?? []);
  return makePatch(
    context,
    { what: 'imported', count, name: [...new Set(names)].join(', ') },
    [...changes.values()],
    'closed-calendars',
  );
}
