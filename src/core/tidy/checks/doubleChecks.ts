import type { CalendarEvent } from '../../model/entry';
import { CONTENT_FIELDS, contentLength, FIELD_NAMES } from '../../fields/eventFields';
import { sameValue } from '../../change/seriesLike';
import { DAY, MINUTE } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import { type Check, type Checked, finding } from './check';
import type { Finding } from './finding';
import { Groups } from './groups';
import { isLikeTitle } from './likeTitles';
import { isOff } from '../../schedule/standing';

/** So far apart near doubles begin and end at most, in milliseconds. */
const NEAR_START = 30 * MINUTE;
const NEAR_END = 45 * MINUTE;

const rulesOf = ({ recurrence }: CalendarEvent): string =>
  recurrence ? JSON.stringify([...recurrence.rules].sort()) : '';

/** How much is kept in an entry: of two, the one that holds less gives way. */
const holds = (event: CalendarEvent): number =>
  CONTENT_FIELDS.reduce(
    (sum, name) =>
      sum + (name === 'title' ? 0 : (typeof event[name] === 'string' ? 1 : 10) * contentLength(event[name])),
    5 * (event.reminders?.length ?? 0),
  );

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

type DoubleCheck = 'same-uid' | 'double' | 'near-double';

function doubled(check: DoubleCheck, checked: Checked, all: readonly CalendarEvent[]): Finding | undefined {
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
          [...checked.index.changesOf(event.id)].length === 0 &&
          addsNothing(kept, event),
      ),
  });
}

/** Entries that are there more than once, and what is told of them. */
interface Doubled {
  readonly events: readonly CalendarEvent[];
  readonly found: Finding;
}

/** Entries that are there more than once: by their UID (RFC 5545 3.8.4.7), by title and time, or nearly so. */
export const doubles: Check = (checked) => {
  const counts = (event: CalendarEvent): boolean => !isOff(event) && checked.isOwn(event);
  const groupsOf = (check: 'same-uid' | 'double', keyOf: (event: CalendarEvent) => string | undefined) =>
    new Groups<CalendarEvent, Doubled>(
      (event) => (counts(event) ? [keyOf(event) ?? []].flat() : []),
      (events) => {
        const found = events.length > 1 ? doubled(check, checked, events) : undefined;
        return found && { events, found };
      },
    );
  const sameUid = groupsOf('same-uid', ({ uid, recurrenceId }) =>
    recurrenceId ? JSON.stringify([uid, recurrenceId]) : uid,
  );
  const sameTime = groupsOf('double', (event) => {
    const title = checked.titleOf(event);
    return title === '' ? undefined : JSON.stringify([title, event.start, event.end, rulesOf(event)]);
  });
  const near = new Groups<Placed, Doubled[]>(bucketsOf, (placed, key) =>
    pairsIn(placed, key).flatMap((events) => {
      const found = doubled('near-double', checked, events);
      return found ? [{ events, found }] : [];
    }),
  );
  return (touched) => {
    const placed = new Map<string, Placed | undefined>();
    for (const [id, event] of touched)
      placed.set(id, event && counts(event) ? placedOf(event, checked) : undefined);
    const pairs = [...near.follow(placed)].flat().sort(byFirst);
    const named = new Set<string>();
    const toldOf = function* (check: DoubleCheck, groups: Iterable<Doubled>): Iterable<Finding> {
      for (const { events, found } of groups) {
        const left = events.filter(({ id }) => !named.has(id));
        if (left.length < 2) continue;
        const told = left.length === events.length ? found : doubled(check, checked, left);
        if (!told) continue;
        for (const { id } of left) named.add(id);
        yield told;
      }
    };
    return [
      ...toldOf('same-uid', sameUid.follow(touched)),
      ...toldOf('double', sameTime.follow(touched)),
      ...toldOf('near-double', pairs),
    ];
  };
};

/** By when they are; what is told of one is not told of it again. */
const byFirst = ({ found: a }: Doubled, { found: b }: Doubled): number =>
  a.details.at! - b.details.at! || (a.id < b.id ? -1 : 1);

/** An entry with what tells whether another is nearly the same. */
interface Placed {
  readonly id: string;
  readonly event: CalendarEvent;
  readonly title: string;
  /** Instants. */
  readonly start: number;
  readonly end: number;
  readonly isWhole: boolean;
  readonly rules: string;
}

function placedOf(event: CalendarEvent, checked: Checked): Placed | undefined {
  const title = checked.titleOf(event);
  if (title === '') return undefined;
  const { zone } = checked.query;
  return {
    id: event.id,
    event,
    title,
    start: instantOf(event.start, zone),
    end: instantOf(event.end, zone),
    isWhole: event.start.kind === 'date',
    rules: rulesOf(event),
  };
}

const nearness = ({ isWhole }: Placed): number => (isWhole ? DAY / 2 : NEAR_START);
const bucketOf = (placed: Placed): number => Math.floor(placed.start / nearness(placed));
const bucketKey = (bucket: number, { isWhole, rules }: Placed): string => `${bucket} ${isWhole} ${rules}`;

/** What begins at most so far apart is in the same bucket, or in the one after. */
const bucketsOf = (placed: Placed): string[] =>
  [0, 1].map((after) => bucketKey(bucketOf(placed) + after, placed));

/** The pairs of which the later is at home in a bucket: that begin and end nearly together, under titles that are like. */
function pairsIn(bucket: readonly Placed[], key: string): (readonly [CalendarEvent, CalendarEvent])[] {
  if (bucket.length < 2) return [];
  const placed = [...bucket].sort((a, b) => a.start - b.start || (a.id < b.id ? -1 : 1));
  return placed.flatMap((other, at) =>
    bucketKey(bucketOf(other), other) !== key
      ? []
      : placed.slice(0, at).flatMap((one): (readonly [CalendarEvent, CalendarEvent])[] => {
          const isNear =
            other.start - one.start <= nearness(one) && Math.abs(other.end - one.end) <= NEAR_END;
          return isNear && isLikeTitle(one.title, other.title) ? [[one.event, other.event]] : [];
        }),
  );
}
