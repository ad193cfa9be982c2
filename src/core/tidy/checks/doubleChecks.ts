import type { CalendarEvent } from '../../model/entry';
import { FIELD_NAMES } from '../../fields/eventFields';
import { sameValue } from '../../change/seriesLike';
import { DAY, MINUTE } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import { type Checked, finding, gathered } from './check';
import type { Finding } from './finding';
import { isLikeTitle, plainTitle } from './likeTitles';

/** So far apart near doubles begin and end at most, in milliseconds. */
const NEAR_START = 30 * MINUTE;
const NEAR_END = 45 * MINUTE;

const rulesOf = (event: CalendarEvent): string => JSON.stringify([...(event.recurrence?.rules ?? [])].sort());

/** How much is kept in an entry: of two, the one that holds less gives way. */
const holds = (event: CalendarEvent): number =>
  event.notes.length +
  event.location.length +
  event.url.length +
  10 * (event.categories.length + (event.attendees?.length ?? 0) + (event.attachments?.length ?? 0)) +
  5 * (event.reminders?.length ?? 0);

/** Which of some doubles stays: one that can't be changed, else what holds most, else what was there first. */
function staying(checked: Checked, doubles: readonly CalendarEvent[]): CalendarEvent {
  return [...doubles].sort(
    (a, b) =>
      Number(checked.isClosed(b)) - Number(checked.isClosed(a)) ||
      holds(b) - holds(a) ||
      a.created - b.created ||
      (a.id < b.id ? -1 : 1),
  )[0]!;
}

/** Whether an entry says nothing that the other does not say, too. */
const addsNothing = (to: CalendarEvent, from: CalendarEvent): boolean =>
  FIELD_NAMES.every((field) => {
    const value = from[field];
    const isEmpty = value === undefined || value === '' || (Array.isArray(value) && value.length === 0);
    return isEmpty || sameValue(value, to[field]);
  });

function doubled(
  check: 'same-uid' | 'double' | 'near-double',
  checked: Checked,
  all: readonly CalendarEvent[],
): Finding | undefined {
  if (all.every((event) => checked.isClosed(event))) return undefined;
  const kept = staying(checked, all);
  const going = all.filter((event) => event !== kept && !checked.isClosed(event));
  if (going.length === 0) return undefined;
  return finding(check, {
    keys: [kept, ...going].map(({ id }) => id),
    details: {
      name: kept.title,
      other: going[0]!.title,
      count: going.length,
      at: instantOf(kept.start, checked.query.zone),
    },
    fix: [{ keys: going.map(({ id }) => id), steps: [{ kind: 'delete' }] }],
    isSafe:
      check !== 'near-double' &&
      going.every(
        (event) =>
          event.calendarId === kept.calendarId &&
          !checked.withChanged.has(event.id) &&
          addsNothing(kept, event),
      ),
  });
}

/** Entries that are there more than once: by their UID (RFC 5545 3.8.4.7), by title and time, or nearly so. */
export function* doubles(checked: Checked): Iterable<Finding> {
  const named = new Set<string>();
  const told = function* (
    check: 'same-uid' | 'double' | 'near-double',
    groups: Iterable<readonly CalendarEvent[]>,
  ) {
    for (const group of groups) {
      const left = group.filter(({ id }) => !named.has(id));
      const found = left.length > 1 ? doubled(check, checked, left) : undefined;
      if (!found) continue;
      for (const { id } of left) named.add(id);
      yield found;
    }
  };
  const single = checked.own.filter(({ status }) => status !== 'cancelled');
  yield* told(
    'same-uid',
    gathered(single, ({ uid, recurrenceId }) => JSON.stringify([uid, recurrenceId])).values(),
  );
  const timeKey = (event: CalendarEvent): string | undefined => {
    const title = plainTitle(event.title);
    return title === '' ? undefined : JSON.stringify([title, event.start, event.end, rulesOf(event)]);
  };
  yield* told('double', gathered(single, timeKey).values());
  yield* told(
    'near-double',
    nearDoubles(
      checked,
      single.filter(({ id }) => !named.has(id)),
    ),
  );
}

/** Pairs that begin and end nearly together, on the same rules, under titles that are like. */
function* nearDoubles(
  checked: Checked,
  events: readonly CalendarEvent[],
): Iterable<readonly CalendarEvent[]> {
  const { zone } = checked.query;
  const placed = events
    .map((event) => ({
      event,
      title: plainTitle(event.title),
      start: instantOf(event.start, zone),
      end: instantOf(event.end, zone),
      isWhole: event.start.kind === 'date',
      rules: rulesOf(event),
    }))
    .filter(({ title }) => title !== '')
    .sort((a, b) => a.start - b.start);
  for (const [index, one] of placed.entries())
    for (let next = index + 1; next < placed.length; next++) {
      const other = placed[next]!;
      if (other.start - one.start > (one.isWhole ? DAY / 2 : NEAR_START)) break;
      const isNear = Math.abs(other.end - one.end) <= NEAR_END && one.isWhole === other.isWhole;
      if (isNear && one.rules === other.rules && isLikeTitle(one.title, other.title))
        yield [one.event, other.event];
    }
}
