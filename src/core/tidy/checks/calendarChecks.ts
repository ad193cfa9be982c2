import { DAY, dateString } from '../../time/civil';
import { wallOf } from '../../time/eventTime';
import { type Checked, finding, gathered } from './check';
import type { CheckedCalendar, Finding } from './finding';
import { plainTitle } from './likeTitles';

/** So long an address fails before it is told, in milliseconds. */
const FAILS_FOR = 2 * DAY;
/** So much of the smaller of two calendars is in the other, too, before they are nearly the same. */
const NEARLY = 0.8;
const ENOUGH = 5;

/** Calendars that are empty, alike, nearly the same as another, or whose address can't be read. */
export function* ofCalendars(checked: Checked): Iterable<Finding> {
  const { query, index } = checked;
  const byCalendar = gathered(index.all(), ({ calendarId }) => calendarId);
  for (const calendar of query.calendars) {
    const details = { name: calendar.name };
    if (!byCalendar.has(calendar.id))
      yield finding('calendar-empty', {
        keys: [],
        calendarIds: [calendar.id],
        details,
        noFix: 'in-setup',
      });
    if (calendar.failingSince !== undefined && query.now - calendar.failingSince > FAILS_FOR)
      yield finding('feed-failing', {
        keys: [],
        calendarIds: [calendar.id],
        details: { ...details, at: calendar.failingSince },
        noFix: 'in-setup',
      });
  }
  const pairs = query.calendars.flatMap((one, at) =>
    query.calendars.slice(at + 1).map((other): [CheckedCalendar, CheckedCalendar] => [one, other]),
  );
  const titles = new Map(
    query.calendars.map(({ id }) => [
      id,
      new Set(
        (byCalendar.get(id) ?? []).flatMap(({ title, start, seriesId }) =>
          seriesId === undefined && title.trim() !== ''
            ? [`${plainTitle(title)} ${dateString(Math.floor(wallOf(start) / DAY))}`]
            : [],
        ),
      ),
    ]),
  );
  for (const [one, other] of pairs) {
    const found = { keys: [], calendarIds: [one.id, other.id], noFix: 'in-setup' } as const;
    const details = { name: one.name, other: other.name };
    if (one.mark === other.mark || one.colour === other.colour)
      yield finding('calendar-alike', { ...found, details });
    const [small, large] = [titles.get(one.id)!, titles.get(other.id)!].sort((a, b) => a.size - b.size);
    if (small!.size < ENOUGH) continue;
    const shared = [...small!].filter((title) => large!.has(title)).length;
    if (shared / small!.size >= NEARLY)
      yield finding('calendar-same', { ...found, details: { ...details, count: shared } });
  }
}
