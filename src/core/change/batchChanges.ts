import { Entry } from '../model/entry';
import type { State } from '../model/state';
import { DAY } from '../time/civil';
import { type Change, type ChangeContext, makePatch, type Patch, put } from './patch';
import { shiftEvent } from './shift';
import { eventAt, masterOf, overridesOf, targetKey, type Target } from './target';

/** Moves entries to a calendar. A series moves whole, with its changed occurrences. */
export function moveToCalendar(
  state: State,
  targets: readonly Target[],
  calendarId: string,
  context: ChangeContext,
): Patch {
  const moved = new Map<string, Change>();
  const move = (entry: Entry) => {
    if (entry.calendarId !== calendarId)
      moved.set(entry.id, put(state, 'entries', { ...entry, calendarId, modified: context.now }));
  };
  for (const target of targets) {
    const master = masterOf(state, target);
    if (!master) continue;
    move(master);
    if (master.recurrence) overridesOf(state, master.id).forEach(move);
  }
  return makePatch(
    context,
    { what: 'entries-to-calendar', count: targets.length, name: state.calendars.get(calendarId)?.name },
    [...moved.values()],
  );
}

/** Moves entries by whole days on their own clocks. Of a series, only the chosen occurrences move. */
export function shiftByDays(
  state: State,
  targets: readonly Target[],
  days: number,
  context: ChangeContext,
): Patch {
  const changes = new Map<string, Change>();
  for (const target of targets) {
    const event = eventAt(state, target, context);
    if (!event) continue;
    const moved = shiftEvent(event, days * DAY, context.zone);
    const record = Entry.parse({ ...moved, sequence: event.sequence + 1, modified: context.now });
    changes.set(targetKey(target), put(state, 'entries', record));
  }
  return makePatch(context, { what: 'entries-moved', count: changes.size }, [...changes.values()]);
}
