import type { CalendarEvent } from '../model/entry';
import type { State } from '../model/state';
import { DAY } from '../time/civil';
import { calendarsInOrder } from './calendarChanges';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** How long a deleted entry stays in the bin. */
export const BIN_DAYS = 30;

/** The changes that put an entry in the bin. */
export const toBin = (state: State, entry: CalendarEvent, context: ChangeContext): Change[] => [
  remove('entries', entry),
  put(state, 'bin', { id: entry.id, entry, deleted: context.now }),
];

/** Brings entries back from the bin; into the first calendar, where their own is gone. */
export function restoreFromBin(state: State, ids: readonly string[], context: ChangeContext): Patch {
  const fallback = calendarsInOrder(state)[0]?.id;
  const items = ids.flatMap((id) => state.bin.get(id) ?? []);
  const changes = items.flatMap((item) => {
    const calendarId = state.calendars.has(item.entry.calendarId) ? item.entry.calendarId : fallback;
    if (calendarId === undefined) return [];
    return [put(state, 'entries', { ...item.entry, calendarId }), remove('bin', item)];
  });
  return makePatch(
    context,
    { what: 'entries-restored', count: items.length, name: items[0]?.entry.title },
    changes,
  );
}

/** Removes for good what has been in the bin for longer than it is kept, or undefined if there is nothing. */
export function clearOldBin(state: State, context: ChangeContext): Patch | undefined {
  const old = [...state.bin.values()].filter((item) => item.deleted < context.now - BIN_DAYS * DAY);
  if (old.length === 0) return undefined;
  return makePatch(
    context,
    { what: 'bin-emptied', count: old.length },
    old.map((item) => remove('bin', item)),
  );
}
