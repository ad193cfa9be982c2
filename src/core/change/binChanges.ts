import { type Dated, type Entry, seriesOf } from '../model/entry';
import { type Calendar, isReadOnly } from '../model/calendar';
import type { BinItem, State } from '../model/state';
import { DAY } from '../time/civil';
import { writableCalendars } from './calendarChanges';
import { withDate } from './exceptions';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** How long a deleted entry stays in the bin. */
export const BIN_DAYS = 30;

/**
 * The changes that put an entry in the bin.
 * @param stored as it is kept now, if what is to be found in the bin is another version of it
 */
export const toBin = (
  state: State,
  entry: Entry,
  context: ChangeContext,
  stored: Entry = entry,
): Change[] => [remove('entries', stored), put(state, 'bin', { id: entry.id, entry, deleted: context.now })];

/** What the bin shows as one thing: an entry, with the changed occurrences that lie there beside their series. */
export interface BinnedEntry {
  readonly item: BinItem;
  readonly changed: readonly BinItem[];
}

/** A calendar that went to the bin with its entries, and how many of these are there. */
export interface BinnedCalendar {
  readonly calendar: Calendar;
  readonly deleted: number;
  readonly items: readonly BinItem[];
}

/** The calendars that are in the bin with their entries, the latest first. */
export function binnedCalendars(state: State): BinnedCalendar[] {
  const found = new Map<string, { calendar: Calendar; deleted: number; items: BinItem[] }>();
  for (const item of state.bin.values()) {
    const { calendar, deleted } = item;
    if (!calendar || state.calendars.has(calendar.id)) continue;
    const known = found.get(calendar.id) ?? { calendar, deleted, items: [] };
    known.items.push(item);
    found.set(calendar.id, known);
  }
  return [...found.values()].sort((a, b) => b.deleted - a.deleted);
}

/** Brings a calendar back from the bin as one: with all of its entries that are there. */
export function restoreCalendar(state: State, calendarId: string, context: ChangeContext): Patch | undefined {
  const binned = binnedCalendars(state).find(({ calendar }) => calendar.id === calendarId);
  if (!binned) return undefined;
  const { calendar, items } = binned;
  const name = calendar.name;
  const notes = new Map(items.flatMap(({ ownNote }) => (ownNote ? [[ownNote.id, ownNote] as const] : [])));
  return makePatch(
    context,
    { what: 'calendar-restored', count: items.length, name },
    [
      put(state, 'calendars', calendar),
      ...items.flatMap((item): Change[] => [put(state, 'entries', item.entry), remove('bin', item)]),
      ...[...notes.values()].map((note) => put(state, 'ownNotes', note)),
    ],
    'closed-calendars',
  );
}

/** What is in the bin by itself, the latest first: what went with its calendar is there with that. */
export function binnedEntries(state: Pick<State, 'bin' | 'calendars'>): BinnedEntry[] {
  const changed = new Map<string, BinItem[]>();
  const heads: BinItem[] = [];
  for (const item of state.bin.values()) {
    if (item.calendar && !state.calendars.has(item.calendar.id)) continue;
    const { seriesId } = item.entry;
    if (seriesId === undefined || !state.bin.has(seriesId)) heads.push(item);
    else changed.set(seriesId, [...(changed.get(seriesId) ?? []), item]);
  }
  return heads
    .sort((a, b) => b.deleted - a.deleted || (a.id < b.id ? -1 : 1))
    .map((item) => ({ item, changed: changed.get(item.id) ?? [] }));
}

/** The series that a changed occurrence belongs to, with its date let in again. */
function lettingIn({ entry }: BinItem, series: Dated, context: ChangeContext): Dated {
  return (entry.recurrenceId && withDate(series, entry.recurrenceId, context)) ?? series;
}

/**
 * Brings entries back from the bin; into a calendar that is named, or the first that takes entries, where their own is gone
 * or closed. A series comes with its changed occurrences; a changed occurrence takes its date in its series again.
 */
export function restoreFromBin(
  state: State,
  ids: readonly string[],
  context: ChangeContext,
  intoId?: string,
): Patch {
  const fallback = intoId ?? writableCalendars(state)[0]?.id;
  const asked = new Set(ids);
  const items = [...state.bin.values()].filter(
    ({ id, entry }) => asked.has(id) || (entry.seriesId !== undefined && asked.has(entry.seriesId)),
  );
  const series = new Map<string, Dated>();
  const changes = items.flatMap((item): Change[] => {
    const head =
      item.entry.seriesId === undefined ? undefined : seriesOf(state.entries.get(item.entry.seriesId));
    if (head) series.set(head.id, lettingIn(item, series.get(head.id) ?? head, context));
    const own = state.calendars.get(item.entry.calendarId);
    // What belongs to a series lies where the series does.
    const calendarId = head?.calendarId ?? (own && !isReadOnly(own) ? own.id : fallback);
    if (calendarId === undefined) return [];
    return [put(state, 'entries', { ...item.entry, calendarId }), remove('bin', item)];
  });
  const letIn = [...series.values()].filter((event) => state.entries.get(event.id) !== event);
  return makePatch(context, { what: 'entries-restored', count: items.length, name: items[0]?.entry.title }, [
    ...changes,
    ...letIn.map((event) => put(state, 'entries', event)),
  ]);
}

/** Removes for good all that is in the bin, or undefined if there is nothing. */
export const emptyBin = (state: State, context: ChangeContext): Patch | undefined =>
  removeForGood([...state.bin.values()], context);

/** Removes some entries of the bin for good, with the changed occurrences of series among them. */
export const removeFromBin = (
  state: State,
  ids: readonly string[],
  context: ChangeContext,
): Patch | undefined =>
  removeForGood(
    [...state.bin.values()].filter(
      ({ id, entry }) => ids.includes(id) || (entry.seriesId !== undefined && ids.includes(entry.seriesId)),
    ),
    context,
  );

/** Removes for good what has been in the bin for longer than it is kept, or undefined if there is nothing. */
export function clearOldBin(state: State, context: ChangeContext): Patch | undefined {
  const old = [...state.bin.values()].filter((item) => item.deleted < context.now - BIN_DAYS * DAY);
  return removeForGood(old, context);
}

const removeForGood = (items: readonly BinItem[], context: ChangeContext): Patch | undefined =>
  items.length === 0
    ? undefined
    : makePatch(
        context,
        { what: 'bin-emptied', count: items.length },
        items.map((item) => remove('bin', item)),
      );
