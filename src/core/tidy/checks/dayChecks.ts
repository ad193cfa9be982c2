import { daysOf, type Occurrence, takesTime } from '../../schedule/occurrence';
import { DAY, MINUTE } from '../../time/civil';
import { isDayOff, workingDay, workingMinutes } from '../../time/workingPattern';
import { type Checked, finding, gathered } from './check';
import type { Finding } from './finding';

/** A chain without a break is told from so long on, and from so many entries on. */
const LONG_CHAIN = 180 * MINUTE;
const MANY_IN_CHAIN = 3;
/** What follows within so long follows without a break. */
const BREAK = MINUTE;
/** What trims leave between one and the next, in minutes. */
const TRIM = 5;
/** A calendar whose entries lie mostly within the working pattern is one of work. */
const MOSTLY = 0.7;
/** So many entries tell what a calendar is for. */
const ENOUGH = 5;

const isTimed = ({ allDay, start, end }: Occurrence): boolean => !allDay && end - start < DAY;

/** What takes timed hours of the person, by their starts. */
const taking = (occurrences: readonly Occurrence[]): Occurrence[] =>
  occurrences.filter(
    (occurrence) => isTimed(occurrence) && takesTime(occurrence) && occurrence.end > occurrence.start,
  );

/** Busy time that is taken twice from now on: once for each two entries, with the hours lost. */
export function* overlaps(checked: Checked): Iterable<Finding> {
  const pairs = new Map<string, { one: Occurrence; other: Occurrence; minutes: number; count: number }>();
  let open: Occurrence[] = [];
  for (const each of taking(checked.coming)) {
    open = open.filter(({ end }) => end > each.start);
    for (const before of open) {
      if (before.entryId === each.entryId) continue;
      const minutes = (Math.min(before.end, each.end) - each.start) / MINUTE;
      const id = [before.entryId, each.entryId].sort().join(' ');
      const known = pairs.get(id);
      if (known) {
        known.minutes += minutes;
        known.count++;
      } else pairs.set(id, { one: before, other: each, minutes, count: 1 });
    }
    open.push(each);
  }
  for (const { one, other, minutes, count } of pairs.values())
    yield finding('overlap', {
      keys: [one.key, other.key],
      details: { name: one.title, other: other.title, minutes, count, at: other.start },
    });
}

/** Days to come on which more is booked than there is: what takes time, each counted. */
export function* overbooked(checked: Checked): Iterable<Finding> {
  const { query } = checked;
  const byDay = gathered(taking(checked.coming), ({ startWall }) => Math.floor(startWall / DAY));
  for (const [day, all] of byDay) {
    const working = workingMinutes(workingDay(query.workingPattern, day));
    const minutes = all.reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0);
    if (working === 0 || minutes <= working) continue;
    const found = finding('overbooked', {
      keys: all.map(({ key }) => key),
      details: { name: '', day, minutes: minutes - working, count: all.length },
    });
    yield { ...found, id: `overbooked ${day}` };
  }
}

/** Entries to come that follow each other for hours without a break. */
export function* chains(checked: Checked): Iterable<Finding> {
  let chain: Occurrence[] = [];
  const told = function* (): Iterable<Finding> {
    const [first] = chain;
    const last = chain.at(-1);
    if (!first || !last || chain.length < MANY_IN_CHAIN || last.end - first.start < LONG_CHAIN) return;
    const trimmed = chain
      .slice(0, -1)
      .filter((each) => !checked.isClosed(each) && each.end - each.start > 2 * TRIM * MINUTE);
    yield finding('no-break', {
      keys: chain.map(({ key }) => key),
      details: {
        name: first.title,
        other: last.title,
        count: chain.length,
        minutes: (last.end - first.start) / MINUTE,
        at: first.start,
      },
      ...(trimmed.length > 0
        ? { fix: [{ keys: trimmed.map(({ key }) => key), steps: [{ kind: 'trim', minutes: TRIM }] }] }
        : {}),
    });
  };
  for (const each of taking(checked.coming)) {
    const last = chain.at(-1);
    // What lies beside another is an overlap, and no chain.
    if (last && each.start >= last.end && each.start - last.end <= BREAK) chain.push(each);
    else {
      yield* told();
      chain = [each];
    }
  }
  yield* told();
}

/** Calendars whose whole days are days off: those that a series skips. */
function daysOffCalendars({ own }: Checked): ReadonlySet<string> {
  return new Set(own.flatMap(({ recurrence }) => recurrence?.skipDaysOff?.calendarId ?? []));
}

/** Occurrences of series that fall on a day off to come. */
export function* onDaysOff(checked: Checked): Iterable<Finding> {
  const { query } = checked;
  const calendars = daysOffCalendars(checked);
  const off = new Map<number, string>();
  for (const occurrence of checked.coming) {
    if (!calendars.has(occurrence.calendarId) || !occurrence.allDay) continue;
    const { first, end } = daysOf(occurrence);
    for (let day = first; day < end; day++) off.set(day, occurrence.title);
  }
  if (off.size === 0) return;
  for (const occurrence of checked.coming) {
    const day = Math.floor(occurrence.startWall / DAY);
    const name = off.get(day);
    if (name === undefined || !occurrence.recurring || !takesTime(occurrence)) continue;
    if (checked.isClosed(occurrence) || calendars.has(occurrence.calendarId)) continue;
    if (isDayOff(query.workingPattern, day)) continue;
    yield finding('on-day-off', {
      keys: [occurrence.key],
      details: { name: occurrence.title, other: name, at: occurrence.start },
      fix: [{ keys: [occurrence.key], steps: [{ kind: 'delete' }] }],
    });
  }
}

/** Entries of a calendar of work that lie outside the working hours to come: once for each. */
export function* outsideHours(checked: Checked): Iterable<Finding> {
  const { workingPattern } = checked.query;
  const isInside = ({ startWall, endWall }: Occurrence): boolean => {
    const day = Math.floor(startWall / DAY);
    const [from, to] = [(startWall - day * DAY) / MINUTE, (endWall - day * DAY) / MINUTE];
    const { spans } = workingDay(workingPattern, day);
    const [first] = spans;
    const last = spans.at(-1);
    return !!first && !!last && from >= first.from && to <= last.to;
  };
  const byCalendar = gathered(taking(checked.around), ({ calendarId }) => calendarId);
  for (const all of byCalendar.values()) {
    const inside = all.filter(isInside).length;
    if (all.length < ENOUGH || inside / all.length < MOSTLY) continue;
    const outside = all.filter(
      (each) => each.start >= checked.query.now && !each.ways && !isInside(each) && !checked.isClosed(each),
    );
    for (const [, own] of gathered(outside, ({ entryId }) => entryId))
      yield finding('outside-hours', {
        keys: [own[0]!.key],
        details: { name: own[0]!.title, at: own[0]!.start, count: own.length },
      });
  }
}
