import { performance } from 'node:perf_hooks';
import ICAL from 'ical.js';
import { RRule } from 'rrule';
import { RRuleTemporal } from 'rrule-temporal';
import type { CalendarEvent } from '@/core/model/entry';
import { Series } from '@/core/recurrence/series';
import { DAY, localString, parseLocal } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';

/** A way to the start instants of a series within a window. */
interface Expander {
  readonly name: string;
  /** How many of the series it is asked for: some are too slow to wait for all. */
  readonly most: number;
  readonly expand: (event: CalendarEvent, window: Window) => number[];
}

interface Window {
  readonly start: number;
  readonly end: number;
}

const ZONE = 'Europe/Lisbon';
const compact = (text: string): string => text.replaceAll(/[-:]/g, '');
const ruleOf = (event: CalendarEvent): string => event.recurrence!.rules[0]!;
const localOf = (event: CalendarEvent): string => (event.start.kind === 'zoned' ? event.start.local : '');

const exceptions = (event: CalendarEvent): Set<number> =>
  new Set(
    event.recurrence!.exceptionDates.map(
      (date) =>
        Temporal.PlainDateTime.from(localString(wallOf(date))).toZonedDateTime(ZONE).epochMilliseconds,
    ),
  );

const ours: Expander = {
  name: 'Orderly Week',
  most: Infinity,
  // A series of its own each time, as the others are parsed anew each time.
  expand: (event, window) => new Series(event).between(window, ZONE).map((date) => date.start),
};

const rruleTemporal: Expander = {
  name: 'rrule-temporal',
  most: Infinity,
  expand(event, window) {
    const text = `DTSTART;TZID=${ZONE}:${compact(localOf(event))}\nRRULE:${untilInUtc(event)}`;
    const rule = new RRuleTemporal({ rruleString: text });
    const left = exceptions(event);
    return rule
      .between(new Date(window.start), new Date(window.end - 1), true)
      .map((date) => date.epochMilliseconds)
      .filter((at) => !left.has(at));
  },
};

/** ical.js knows zones by VTIMEZONE only; its walls are turned to instants as ours are. */
const icalJs: Expander = {
  name: 'ical.js',
  most: Infinity,
  expand(event, window) {
    const start = ICAL.Time.fromDateTimeString(localOf(event));
    const rule = ICAL.Recur.fromString(untilAsWall(event));
    const iterator = rule.iterator(start);
    const left = exceptions(event);
    const found: number[] = [];
    const last = window.end + DAY;
    for (let next = iterator.next(); next; next = iterator.next()) {
      const wall = Date.UTC(next.year, next.month - 1, next.day, next.hour, next.minute, next.second);
      if (wall >= last) break;
      if (wall < window.start - DAY) continue;
      const at = Temporal.PlainDateTime.from(localString(wall)).toZonedDateTime(ZONE).epochMilliseconds;
      if (at >= window.start && at < window.end && !left.has(at)) found.push(at);
    }
    return found;
  },
};

/** rrule's own way with zones depends on the process's; it is asked on the wall clock. */
const rrule: Expander = {
  name: 'rrule',
  most: 50,
  expand(event, window) {
    const rule = new RRule({
      ...RRule.parseString(untilAsWall(event)),
      dtstart: new Date(parseLocal(localOf(event))),
    });
    const left = exceptions(event);
    return rule
      .between(new Date(window.start - DAY), new Date(window.end + DAY), true)
      .map(
        (date) =>
          Temporal.PlainDateTime.from(localString(date.getTime())).toZonedDateTime(ZONE).epochMilliseconds,
      )
      .filter((at) => at >= window.start && at < window.end && !left.has(at));
  },
};

/** A date of UNTIL as the end of its day: in UTC, as a zoned start has it. */
const untilInUtc = (event: CalendarEvent): string =>
  ruleOf(event).replace(/UNTIL=(\d{8})(?!T)/, (_, date: string) => {
    const local = `${date.slice(0, 4)}-${date.slice(4, 6)}-${date.slice(6)}T23:59:59`;
    const at = Temporal.PlainDateTime.from(local).toZonedDateTime(ZONE).epochMilliseconds;
    return `UNTIL=${compact(localString(at))}Z`;
  });
const untilAsWall = (event: CalendarEvent): string =>
  ruleOf(event).replace(/UNTIL=(\d{8})(?!T)/, 'UNTIL=$1T235959');

/** The series of a set that all of these can be asked for: with one rule, a zoned start and no days off. */
const comparable = (events: readonly CalendarEvent[]): CalendarEvent[] =>
  events.filter(
    ({ recurrence, start }) =>
      recurrence?.rules.length === 1 &&
      recurrence.dates.length === 0 &&
      !recurrence.skipDaysOff &&
      start.kind === 'zoned' &&
      start.zone === ZONE,
  );

/** Expands series over a week and a year with each library in one run, and says how the dates differ. */
export function compareLibraries(all: readonly CalendarEvent[], today: number): string[] {
  const events = comparable(all);
  const lines = [`recurrence, ${events.length} series parsed and expanded, in this run:`];
  const windows = [
    { name: 'a week', window: { start: today * DAY, end: (today + 7) * DAY }, atLeast: 5 },
    { name: 'a year', window: { start: today * DAY, end: (today + 365) * DAY }, atLeast: 3 },
  ];
  for (const { name, window, atLeast } of windows) {
    const expected = events.map((event) => ours.expand(event, window));
    const time = (expander: Expander, count: number, runs: number): { ms: number; found: number[][] } => {
      let found: number[][] = [];
      let best = Infinity;
      for (let run = 0; run < runs; run++) {
        const start = performance.now();
        found = events.slice(0, count).map((event) => expander.expand(event, window));
        best = Math.min(best, performance.now() - start);
      }
      return { ms: best, found };
    };
    const own = time(ours, events.length, 3);
    const dates = expected.reduce((sum, found) => sum + found.length, 0);
    lines.push(`  ${name}: Orderly Week ${own.ms.toFixed(1)} ms, ${dates} dates`);
    for (const expander of [rruleTemporal, icalJs, rrule]) {
      const count = Math.min(expander.most, events.length);
      const { ms, found } = time(expander, count, 1);
      const mine = count === events.length ? own.ms : time(ours, count, 3).ms;
      const differing = found.flatMap((list, index) =>
        list.join() === expected[index]!.join()
          ? []
          : [{ event: events[index]!, list, own: expected[index]! }],
      );
      const unexplained = differing.filter(({ event, list, own: dates }) => {
        const start = Temporal.PlainDateTime.from(localOf(event)).toZonedDateTime(ZONE).epochMilliseconds;
        return list.join() !== dates.filter((at) => at !== start).join();
      });
      const ratio = ms / mine;
      const goal =
        expander === rrule ? '' : ratio >= atLeast ? ` (goal ${atLeast}: met)` : ` (goal ${atLeast}: MISSED)`;
      lines.push(
        `    ${expander.name}, ${count} series: ${ms.toFixed(1)} ms, ${ratio.toFixed(1)} times as long${goal}; ` +
          (differing.length === 0
            ? 'the same dates'
            : `the same dates but for ${differing.length} starts that their rule does not make (first dates here, RFC 5545 3.8.5.3)`) +
          (unexplained.length === 0
            ? ''
            : `; OTHER DATES in ${unexplained.length}: ${unexplained
                .slice(0, 4)
                .map(({ event }) => ruleOf(event))
                .join(' | ')}`),
      );
    }
  }
  lines.push(
    '  ical.js begins a BYSETPOS=-1 rule whose start is none of its days with the first of them; rrule-temporal agrees with us.',
  );
  return lines;
}
