import { type CalendarEvent, isEvent } from '../../model/entry';
import type { State } from '../../model/state';

const made = new WeakMap<State['entries'], ReadonlyMap<string, readonly CalendarEvent[]>>();

/** All events by their UIDs, gathered once for each state of them. */
function byUid(entries: State['entries']): ReadonlyMap<string, readonly CalendarEvent[]> {
  const known = made.get(entries);
  if (known) return known;
  const found = new Map<string, CalendarEvent[]>();
  for (const entry of entries.values()) {
    if (!isEvent(entry)) continue;
    const others = found.get(entry.uid);
    if (others) others.push(entry);
    else found.set(entry.uid, [entry]);
  }
  made.set(entries, found);
  return found;
}

/**
 * The event of a UID and its changed dates. Where a UID is here twice, as after an import, the first counts; dates whose series is
 * not here stand by themselves.
 */
export function entriesOfUid({ entries }: Pick<State, 'entries'>, uid: string): CalendarEvent[] {
  const all = byUid(entries).get(uid) ?? [];
  const master = all.find(({ recurrenceId }) => recurrenceId === undefined);
  return master
    ? [master, ...all.filter(({ seriesId }) => seriesId === master.id)]
    : all.filter(({ recurrenceId }) => recurrenceId !== undefined);
}
