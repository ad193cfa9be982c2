import { Calendar, isReadOnly } from '../model/calendar';
import { type Colour, HUES } from '../model/colour';
import { ownNoteId } from '../model/ownNote';
import type { Settings } from '../model/settings';
import type { Session, State } from '../model/state';
import { parseKept } from '../model/unknownFields';
import { inOrder, nextOrder, placedAt } from './order';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** The calendars in the person's order. */
export const calendarsInOrder = (state: State): Calendar[] => inOrder(state.calendars.values());

/** The calendars that entries can be put in. */
export const writableCalendars = (state: State): Calendar[] =>
  calendarsInOrder(state).filter((calendar) => !isReadOnly(calendar));

/** The calendar that a new entry goes to: the one shown alone, else the target, else the first that is not put away. */
export function targetCalendar(state: State, hidden: ReadonlySet<string>): Calendar | undefined {
  const all = writableCalendars(state);
  const shown = all.filter((calendar) => !hidden.has(calendar.id) && !calendar.unlisted);
  if (shown.length === 1) return shown[0];
  const target = state.settings.get('settings')?.targetCalendarId;
  // What would appear nowhere goes to no calendar that is put away, as long as there is another.
  const listed = all.filter(({ unlisted }) => !unlisted);
  return listed.find(({ id }) => id === target) ?? shown[0] ?? listed[0] ?? all[0];
}

/** Letters that could be a calendar's mark, best first: initials, first letters, then first with any other. */
function* marksFor(name: string): Generator<string> {
  const words = name.toUpperCase().match(/[\p{Lu}\p{N}]+/gu) ?? ['CA'];
  const letters = words.join('');
  if (words.length > 1) yield words[0]![0]! + words[1]![0]!;
  for (const other of letters.slice(1)) yield letters[0]! + other;
  for (const other of 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789') yield (letters[0] ?? 'C') + other;
  for (let number = 10; number < 100; number++) yield String(number);
}

/** A mark that fits a name and that no calendar bears yet. */
export function proposeMark(name: string, taken: Iterable<string>): string {
  const used = new Set(taken);
  for (const mark of marksFor(name)) if (mark.length === 2 && !used.has(mark)) return mark;
  return 'ZZ';
}

/** How unlike the hues look, by their order round the circle: the next free one stands far from those in use. */
const SPREAD: readonly Colour[] = [
  'pine',
  'harbour',
  'rust',
  'iris',
  'amber',
  'rose',
  'lagoon',
  'cocoa',
  'plum',
  'moss',
  'slate',
  'clay',
];

/** The colour for a new calendar: the first free hue, else the least used. */
export function proposeColour(taken: readonly Colour[]): Colour {
  const uses = (hue: Colour) => taken.filter((colour) => colour === hue).length;
  return [...SPREAD].sort((a, b) => uses(a) - uses(b) || SPREAD.indexOf(a) - SPREAD.indexOf(b))[0] ?? HUES[0];
}

/** The calendars that bear a mark or a colour already, other than one itself. */
export function clashes(state: State, calendar: { id?: string; mark: string; colour: Colour }): Calendar[] {
  return calendarsInOrder(state).filter(
    (other) => other.id !== calendar.id && (other.mark === calendar.mark || other.colour === calendar.colour),
  );
}

type FurtherFields = Pick<
  Calendar,
  | 'zone'
  | 'defaultLengthMinutes'
  | 'usualReminders'
  | 'countsAsFree'
  | 'unlisted'
  | 'readOnly'
  | 'feed'
  | 'publication'
  | 'preserved'
>;

/** The fields of a calendar that a person sets. One that is undefined is taken away, one that is not there stays. */
export type CalendarFields = Pick<Calendar, 'name' | 'description' | 'colour' | 'mark'> & {
  readonly [Name in keyof FurtherFields]?: FurtherFields[Name] | undefined;
};

/** Makes a calendar, or changes the one of that id. */
export function saveCalendar(
  state: State,
  id: string | undefined,
  fields: CalendarFields,
  context: ChangeContext,
): Patch {
  const before = id === undefined ? undefined : state.calendars.get(id);
  const calendar = parseKept(Calendar, {
    ...before,
    id: before?.id ?? context.newId(),
    order: before?.order ?? nextOrder(state.calendars.values()),
    created: before?.created ?? context.now,
    modified: context.now,
    ...fields,
  });
  const what = before ? 'calendar-changed' : 'calendar-made';
  return makePatch(context, { what, count: 1, name: calendar.name }, [put(state, 'calendars', calendar)]);
}

/** Puts a calendar at a place of the person's order, from 0; undefined where it stands there already. */
export function placeCalendar(
  state: State,
  id: string,
  place: number,
  context: ChangeContext,
): Patch | undefined {
  const changes = placedAt(calendarsInOrder(state), id, place).map((calendar) =>
    put(state, 'calendars', calendar),
  );
  if (changes.length === 0) return undefined;
  const name = state.calendars.get(id)?.name;
  return makePatch(context, { what: 'calendars-ordered', count: 1, name }, changes);
}

const ownNoteIn = (state: State, { calendarId, uid }: { calendarId: string; uid: string }) => {
  const ownNote = state.ownNotes.get(ownNoteId(calendarId, uid));
  return ownNote ? { ownNote } : {};
};

/** Deletes a calendar; its entries move to another one, or to the bin. */
export function deleteCalendar(
  state: State,
  id: string,
  entriesTo: { calendarId: string } | 'bin',
  context: ChangeContext,
): Patch {
  const calendar = state.calendars.get(id);
  // What was published is no more when it comes back.
  const { publication: _, ...kept } = calendar ?? {};
  const changes: Change[] = [];
  let count = 0;
  for (const entry of state.entries.values()) {
    if (entry.calendarId !== id) continue;
    count++;
    if (entriesTo === 'bin')
      changes.push(
        remove('entries', entry),
        put(state, 'bin', {
          id: entry.id,
          entry,
          deleted: context.now,
          ...(calendar ? { calendar: parseKept(Calendar, kept) } : {}),
          ...ownNoteIn(state, entry),
        }),
      );
    else
      changes.push(
        put(state, 'entries', { ...entry, calendarId: entriesTo.calendarId, modified: context.now }),
      );
  }
  for (const note of state.ownNotes.values())
    if (note.calendarId === id) changes.push(remove('ownNotes', note));
  if (calendar) changes.push(remove('calendars', calendar));
  return makePatch(
    context,
    { what: 'calendar-deleted', count, name: calendar?.name },
    changes,
    'closed-calendars',
  );
}

/** Sets settings. */
export function changeSettings(state: State, fields: Partial<Settings>, context: ChangeContext): Patch {
  const settings = state.settings.get('settings');
  if (!settings) throw new Error('there are no settings to change');
  return makePatch(context, { what: 'settings-changed', count: 1 }, [
    put(state, 'settings', { ...settings, ...fields }),
  ]);
}

/** Sets what is remembered between visits; committed quietly. */
export function changeSession(state: State, fields: Partial<Session>, context: ChangeContext): Patch {
  const session = state.sessions.get('session') ?? { id: 'session' as const };
  return makePatch(context, { what: 'session-changed', count: 1 }, [
    put(state, 'sessions', { ...session, ...fields }),
  ]);
}
