import type { CalendarEvent } from '../../model/entry';
import { DAY, dateString } from '../../time/civil';
import { wallOf } from '../../time/eventTime';
import { type Check, type Checked, finding } from './check';
import type { Finding } from './finding';
import { Groups } from './groups';

/** So long an address fails, and a calendar is hidden, before it is told, in milliseconds. */
const FAILS_FOR = 2 * DAY;
const HIDDEN_FOR = 90 * DAY;
/** So much of the smaller of two calendars is in the other, too, before they are nearly the same. */
const NEARLY = 0.8;
const ENOUGH = 5;

/** Calendars that are empty, hidden for long, alike, nearly the same as another, or whose address can't be read. */
export const ofCalendars: Check = (checked) => {
  // What is on which day under which title, and in which calendars.
  const days = new Groups<CalendarEvent, readonly string[]>(
    (event) =>
      event.seriesId === undefined && event.title.trim() !== ''
        ? [`${checked.titleOf(event)} ${dateString(Math.floor(wallOf(event.start) / DAY))}`]
        : [],
    (events) => [...new Set(events.map(({ calendarId }) => calendarId))],
  );
  return (touched) => [...ofOne(checked), ...ofTwo(checked, days.follow(touched))];
};

/** What is told of a calendar by itself. */
function* ofOne({ query, entries }: Checked): Iterable<Finding> {
  const used = new Set<string>();
  for (const { calendarId } of entries.all()) used.add(calendarId);
  for (const { id, name, failingSince, hiddenSince } of query.calendars) {
    const found = { keys: [], calendarIds: [id], noFix: 'in-setup' } as const;
    if (!used.has(id)) yield finding('calendar-empty', { ...found, details: { name } });
    if (failingSince !== undefined && query.now - failingSince > FAILS_FOR)
      yield finding('feed-failing', { ...found, details: { name, at: failingSince } });
    if (hiddenSince !== undefined && query.now - hiddenSince > HIDDEN_FOR)
      yield finding('calendar-hidden', { ...found, details: { name, at: hiddenSince } });
  }
}

const pairOf = (one: string, other: string): string => JSON.stringify([one, other].sort());

/** What is told of two calendars beside each other. */
function* ofTwo({ query }: Checked, days: Iterable<readonly string[]>): Iterable<Finding> {
  const sizes = new Map<string, number>();
  const shared = new Map<string, number>();
  const add = (counts: Map<string, number>, key: string) => counts.set(key, (counts.get(key) ?? 0) + 1);
  for (const ids of days)
    for (const [at, id] of ids.entries()) {
      add(sizes, id);
      for (const other of ids.slice(at + 1)) add(shared, pairOf(id, other));
    }
  for (const [at, one] of query.calendars.entries())
    for (const other of query.calendars.slice(at + 1)) {
      const found = { keys: [], calendarIds: [one.id, other.id], noFix: 'in-setup' } as const;
      const details = { name: one.name, other: other.name };
      if (one.mark === other.mark || one.colour === other.colour)
        yield finding('calendar-alike', { ...found, details });
      const size = Math.min(sizes.get(one.id) ?? 0, sizes.get(other.id) ?? 0);
      const count = shared.get(pairOf(one.id, other.id)) ?? 0;
      if (size >= ENOUGH && count / size >= NEARLY)
        yield finding('calendar-same', { ...found, details: { ...details, count } });
    }
}
