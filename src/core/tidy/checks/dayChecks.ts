import type { CalendarEvent } from '../../model/entry';
import { daysOf, type Occurrence } from '../../schedule/occurrence';
import { takesTime } from '../../schedule/standing';
import { DAY, MINUTE } from '../../time/civil';
import { isDayOff, workingMinutes } from '../../time/workingPattern';
import { type Check, type Checked, finding, gathered } from './check';
import type { Finding } from './finding';
import { Groups } from './groups';

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

/** Days to come on which more is booked than there is: what takes time, each counted. */
export const overbooked: Check = (checked) => () => tooMuch(checked);

function* tooMuch(checked: Checked): Iterable<Finding> {
  const byDay = gathered(checked.comingTaking, ({ startWall }) => Math.floor(startWall / DAY));
  for (const [day, all] of byDay) {
    const working = workingMinutes(checked.workingDay(day));
    const minutes = all.reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0);
    if (working === 0 || minutes <= working) continue;
    yield finding('overbooked', {
      // Told by the day, so that one more entry does not bring it back.
      id: `overbooked ${day}`,
      keys: all.map(({ key }) => key),
      details: { name: '', day, minutes: minutes - working, count: all.length },
    });
  }
}

/** Entries to come that follow each other for hours without a break. */
export const chains: Check = (checked) => () => unbroken(checked);

function* unbroken(checked: Checked): Iterable<Finding> {
  let chain: Occurrence[] = [];
  for (const each of checked.comingTaking) {
    const last = chain.at(-1);
    // What lies beside another is an overlap, and no chain.
    if (last && each.start >= last.end && each.start - last.end <= BREAK) chain.push(each);
    else {
      if (isLong(chain)) yield chainTold(chain, checked);
      chain = [each];
    }
  }
  if (isLong(chain)) yield chainTold(chain, checked);
}

const isLong = (chain: readonly Occurrence[]): boolean =>
  chain.length >= MANY_IN_CHAIN && chain.at(-1)!.end - chain[0]!.start >= LONG_CHAIN;

function chainTold(chain: readonly Occurrence[], checked: Checked): Finding {
  const first = chain[0]!;
  const last = chain.at(-1)!;
  const trimmed = chain
    .slice(0, -1)
    .filter((each) => !checked.isClosed(each) && each.end - each.start > 2 * TRIM * MINUTE);
  return finding('no-break', {
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
}

/** Occurrences of series that fall on a day off to come: days off are those that a series skips. */
export const onDaysOff: Check = (checked) => {
  const skipped = new Groups<CalendarEvent, string>(
    ({ recurrence }) => (recurrence?.skipDaysOff ? [recurrence.skipDaysOff.calendarId] : []),
    (_, calendarId) => calendarId,
  );
  return (touched) => onFree(checked, new Set(skipped.follow(touched)));
};

function* onFree(checked: Checked, calendars: ReadonlySet<string>): Iterable<Finding> {
  if (calendars.size === 0) return;
  const { query, coming } = checked;
  const off = new Map<number, string>();
  for (const occurrence of coming) {
    if (!occurrence.allDay || !calendars.has(occurrence.calendarId)) continue;
    const { first, end } = daysOf(occurrence);
    for (let day = first; day < end; day++) off.set(day, occurrence.title);
  }
  if (off.size === 0) return;
  for (const occurrence of coming) {
    if (!occurrence.recurring) continue;
    const day = Math.floor(occurrence.startWall / DAY);
    const name = off.get(day);
    if (name === undefined || !takesTime(occurrence) || isDayOff(query.workingPattern, day)) continue;
    if (checked.isClosed(occurrence) || calendars.has(occurrence.calendarId)) continue;
    yield finding('on-day-off', {
      keys: [occurrence.key],
      details: { name: occurrence.title, other: name, at: occurrence.start },
      fix: [{ keys: [occurrence.key], steps: [{ kind: 'delete' }] }],
    });
  }
}

/** Entries of a calendar of work that lie outside the working hours to come: once for each. */
export const outsideHours: Check = (checked) => () => outside(checked);

function* outside(checked: Checked): Iterable<Finding> {
  const isInside = ({ startWall, endWall }: Occurrence): boolean => {
    const day = Math.floor(startWall / DAY);
    const { spans } = checked.workingDay(day);
    const first = spans[0];
    const last = spans.at(-1);
    if (!first || !last) return false;
    return startWall >= day * DAY + first.from * MINUTE && endWall <= day * DAY + last.to * MINUTE;
  };
  const counts = new Map<string, { all: number; inside: number }>();
  const odd: Occurrence[] = [];
  for (const each of checked.taking) {
    let count = counts.get(each.calendarId);
    if (!count) counts.set(each.calendarId, (count = { all: 0, inside: 0 }));
    count.all++;
    if (isInside(each)) count.inside++;
    else if (each.start >= checked.query.now && !each.ways) odd.push(each);
  }
  const isOfWork = ({ calendarId }: Occurrence): boolean => {
    const { all, inside } = counts.get(calendarId)!;
    return all >= ENOUGH && inside / all >= MOSTLY;
  };
  const told = odd.filter((each) => isOfWork(each) && !checked.isClosed(each));
  for (const own of gathered(told, ({ entryId }) => entryId).values())
    yield finding('outside-hours', {
      keys: [own[0]!.key],
      details: { name: own[0]!.title, at: own[0]!.start, count: own.length },
    });
}
