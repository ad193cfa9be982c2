import { type Entry, eventsOf } from '../model/entry';
import type { State } from '../model/state';
import { type Double, findDoubles } from '../tidy/doubles';
import { toBin } from './binChanges';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** What merging one calendar into another would do. */
export interface MergePreview {
  /** Entries of the calendar that goes, with changed occurrences. */
  readonly entries: readonly Entry[];
  /** Those (`one`) that look like an entry (`other`) of the calendar that stays. */
  readonly doubles: readonly Double[];
}

const entriesOf = (state: State, calendarId: string): Entry[] =>
  [...state.entries.values()].filter((entry) => entry.calendarId === calendarId);

/** What merging a calendar into another one would do. */
export function previewMerge(state: State, fromId: string, intoId: string): MergePreview {
  const entries = entriesOf(state, fromId);
  return { entries, doubles: findDoubles(eventsOf(entries), eventsOf(entriesOf(state, intoId))) };
}

/**
 * Merges a calendar into another one and deletes it. Of doubles, the entry that is there stays and the other goes to the
 * bin, unless its id is among those to keep beside. Series whose days off were marked by the calendar follow the other.
 */
export function mergeCalendars(
  state: State,
  fromId: string,
  intoId: string,
  keepBoth: ReadonlySet<string>,
  context: ChangeContext,
): Patch {
  const from = state.calendars.get(fromId);
  if (!from || !state.calendars.has(intoId) || fromId === intoId)
    throw new Error('a calendar merges into another one');
  const { entries, doubles } = previewMerge(state, fromId, intoId);
  const dropped = new Set(doubles.flatMap(({ one }) => (keepBoth.has(one.id) ? [] : [one.id])));
  const changes = new Map<string, Change[]>();
  for (const entry of entries)
    changes.set(
      entry.id,
      dropped.has(entry.seriesId ?? entry.id)
        ? toBin(state, entry, context)
        : [put(state, 'entries', { ...entry, calendarId: intoId, modified: context.now })],
    );
  for (const entry of state.entries.values()) {
    if (entry.recurrence?.skipDaysOff?.calendarId !== fromId) continue;
    const [change] = changes.get(entry.id) ?? [];
    const record = change?.collection === 'entries' ? change.after : entry;
    if (!record?.recurrence?.skipDaysOff) continue;
    const skipDaysOff = { ...record.recurrence.skipDaysOff, calendarId: intoId };
    changes.set(entry.id, [
      put(state, 'entries', { ...record, recurrence: { ...record.recurrence, skipDaysOff } }),
    ]);
  }
  const settings = state.settings.get('settings');
  return makePatch(
    context,
    { what: 'calendars-merged', count: entries.length - dropped.size, name: from.name },
    [
      ...[...changes.values()].flat(),
      ...(settings?.targetCalendarId === fromId
        ? [put(state, 'settings', { ...settings, targetCalendarId: intoId })]
        : []),
      remove('calendars', from),
    ],
    'closed-calendars',
  );
}
