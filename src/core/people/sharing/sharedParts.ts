import { type PublishedPart, seenUid } from '../../interchange/published/publishedEvents';
import { type CalendarEvent, eventsOf } from '../../model/entry';
import type { State } from '../../model/state';
import type { SeenCalendars } from './access';

/** Entries by a text that they have in common. */
function gathered(
  entries: Iterable<CalendarEvent>,
  keyOf: (entry: CalendarEvent) => string | undefined,
): ReadonlyMap<string, readonly CalendarEvent[]> {
  const found = new Map<string, CalendarEvent[]>();
  for (const entry of entries) {
    const key = keyOf(entry);
    if (key === undefined) continue;
    const others = found.get(key);
    if (others) others.push(entry);
    else found.set(key, [entry]);
  }
  return found;
}

/** What somebody sees, calendar by calendar: each at its depth, without the dates that went from it to another calendar. */
export function sharedParts(
  { entries }: Pick<State, 'entries'>,
  { calendars, withPrivate }: SeenCalendars,
): PublishedPart[] {
  const all = eventsOf(entries.values());
  const byCalendar = gathered(all, ({ calendarId }) => calendarId);
  const changed = gathered(all, ({ seriesId }) => seriesId);
  return [...calendars].map(([calendarId, { depth }]) => {
    const events = byCalendar.get(calendarId) ?? [];
    const elsewhere = events
      .flatMap(({ id }) => changed.get(id) ?? [])
      .filter((entry) => entry.calendarId !== calendarId);
    return { events, elsewhere, level: depth, withPrivate };
  });
}

/** What somebody may add to and change: calendars by name, entries by the UIDs that they see. */
export interface Allowed {
  readonly calendars: readonly { readonly id: string; readonly name: string }[];
  readonly changeable: readonly string[];
}

/** Undefined for who only reads. */
export function allowedIn(
  state: Pick<State, 'calendars' | 'entries'>,
  { calendars, withPrivate }: SeenCalendars,
): Allowed | undefined {
  const allowed = [...calendars].flatMap(([id, { mayChange }]) => {
    const calendar = state.calendars.get(id);
    return mayChange && calendar ? { id, name: calendar.name } : [];
  });
  if (allowed.length === 0) return undefined;
  const uids = new Set<string>();
  for (const entry of eventsOf(state.entries.values())) {
    const access = calendars.get(entry.calendarId);
    const isOpen = withPrivate || entry.classification === 'public';
    if (access?.mayChange && entry.seriesId === undefined && isOpen) uids.add(seenUid(entry, access.depth));
  }
  return { calendars: allowed, changeable: [...uids] };
}
