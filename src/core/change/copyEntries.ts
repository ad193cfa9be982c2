import { type Entry, isDated } from '../model/entry';
import type { State } from '../model/state';
import { DAY } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { type ChangeContext, makePatch, type Patch, put } from './patch';
import { shiftEvent } from './shift';
import { overridesOf } from './overrides';
import { entryAt, type Target } from './target';
import { freshCopy } from './versions';

/** An occurrence, or a changed one, as a single entry. */
export function single<Kept extends Entry>(entry: Kept): Kept {
  const { seriesId: _, recurrenceId: __, recurrenceRange: ___, recurrence: ____, ...rest } = entry;
  return rest as unknown as Kept;
}

/** Copies entries to a calendar; a series whole with its changed occurrences, an occurrence as a single entry. */
export function copyToCalendar(
  state: State,
  targets: readonly Target[],
  calendarId: string,
  context: ChangeContext,
): Patch {
  const copies = targets.flatMap((target): Entry[] => {
    const entry = entryAt(state, target, context);
    if (!entry) return [];
    if (!entry.recurrence) return [freshCopy({ ...single(entry), calendarId }, context)];
    const copy = freshCopy({ ...entry, calendarId }, context);
    const overrides = overridesOf(state, entry.id).map((override) => ({
      ...override,
      calendarId,
      id: context.newId(),
      uid: copy.uid,
      seriesId: copy.id,
    }));
    return [copy, ...overrides];
  });
  const summary = {
    what: 'entries-copied' as const,
    count: targets.length,
    name: state.calendars.get(calendarId)?.name,
  };
  return makePatch(
    context,
    summary,
    copies.map((copy) => put(state, 'entries', copy)),
  );
}

/** The same entry once more at the same time. Of a series, the occurrence. */
export function duplicateEntry(state: State, target: Target, context: ChangeContext): Patch | undefined {
  const entry = entryAt(state, target, context);
  if (!entry) return undefined;
  const copy = freshCopy(entry.recurrence ? entry : single(entry), context);
  return makePatch(context, { what: 'entry-duplicated', count: 1, name: copy.title }, [
    put(state, 'entries', copy),
  ]);
}

/** The same entry again on other days, at the same time of the day; each is an entry of its own. Day numbers. */
export function againOn(
  state: State,
  target: Target,
  days: readonly number[],
  context: ChangeContext,
): Patch | undefined {
  const entry = entryAt(state, target, context);
  if (!entry || !isDated(entry)) return undefined;
  const from = Math.floor(wallOf(entry.start) / DAY);
  const copies = [...new Set(days)].map((day) =>
    freshCopy(shiftEvent(single(entry), (day - from) * DAY, context.zone), context),
  );
  return makePatch(
    context,
    { what: 'entry-again', count: copies.length, name: entry.title },
    copies.map((copy) => put(state, 'entries', copy)),
  );
}
