import type { CalendarEvent } from '../model/entry';
import { expandRule } from '../recurrence/expandRule';
import { parseRule } from '../recurrence/rule';
import { problemsOfRule } from '../recurrence/ruleProblems';
import { DAY, MINUTE, parseDate, parseLocal } from '../time/civil';
import { series, event, FENNICK, zoned } from '../../../testing/samples';
import { dayWindow, OccurrenceIndex } from './occurrenceIndex';

const week = dayWindow(parseDate('2027-03-08'), parseDate('2027-03-15'), FENNICK);
const year = dayWindow(parseDate('2027-01-01'), parseDate('2028-01-01'), FENNICK);
const numbers = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index).join();

/** Asks for a week and a year, and how long that took in milliseconds. */
function asked(...events: CalendarEvent[]) {
  const index = new OccurrenceIndex();
  const begun = performance.now();
  index.load([event({ id: 'plain', title: 'Plain' }), ...events]);
  const found = index.between(week, FENNICK);
  index.takenBetween(year, FENNICK, {}, () => true);
  return { index, found, took: performance.now() - begun };
}

/** Far beyond what any of these take, and far below what they took: a minute and more. */
const SOON = 8_000;

test('a rule by the hour or second that picks a position that there is not makes no dates, and says so', () => {
  for (const rule of ['FREQ=HOURLY;BYSETPOS=2', 'FREQ=SECONDLY;BYSETPOS=-3', 'FREQ=MINUTELY;BYSETPOS=9']) {
    const start = parseLocal('2027-03-09T10:00:00');
    const window = { start: start + 1, end: start + 5 * 366 * DAY };
    expect(expandRule(parseRule(rule), start, window)).toEqual([]);
    expect(problemsOfRule(parseRule(rule), start)).toContain('no-dates');
  }
  // One that there is makes them.
  const two = parseRule('FREQ=HOURLY;BYMINUTE=0,20,40;BYSETPOS=2');
  const [first, second] = expandRule(two, 0, { start: 0, end: DAY });
  expect([first, second]).toEqual([0, 20 * MINUTE]);
});

test('a rule of every part with a large count is answered at once', () => {
  const rule = `FREQ=YEARLY;COUNT=99999;BYMONTH=${numbers(1, 12)};BYMONTHDAY=${numbers(1, 31)};BYHOUR=${numbers(0, 23)};BYMINUTE=${numbers(0, 59)};BYSECOND=${numbers(0, 59)};BYSETPOS=${numbers(1, 366)}`;
  const { found, took } = asked(series(rule, { id: 'every' }));
  expect(found.map(({ key }) => key)).toContain('plain');
  expect(took).toBeLessThan(SOON);
});

test('fifty long overlapping hourly series are held back and named, and what is else is there', () => {
  const long = Array.from({ length: 50 }, (_, number) =>
    series('FREQ=HOURLY', {
      id: `fog ${number}`,
      start: zoned('2015-03-09T14:00:00'),
      end: zoned('2026-03-09T14:00:00'),
    }),
  );
  const { index, found, took } = asked(...long);
  expect(found.map(({ key }) => key)).toContain('plain');
  expect(took).toBeLessThan(SOON);
  expect(index.troubled().size).toBeGreaterThan(40);
  expect([...index.troubled().values()]).toContain('too-many-dates');
  expect(index.troubled().has('plain')).toBe(false);
  // What is mended is asked about again.
  index.put(series('FREQ=WEEKLY', { id: 'fog 49' }));
  expect(index.troubled().has('fog 49')).toBe(false);
  expect(index.between(week, FENNICK).map(({ entryId }) => entryId)).toContain('fog 49');
});

test('a series of a few dates is never held back for what others make', () => {
  const dense = Array.from({ length: 60 }, (_, number) =>
    series('FREQ=MINUTELY;INTERVAL=6', { id: `often ${number}`, start: zoned('2020-03-09T14:00:00') }),
  );
  const { index, found } = asked(...dense, series('FREQ=WEEKLY', { id: 'weekly' }));
  expect(found.map(({ entryId }) => entryId)).toContain('weekly');
  expect(index.troubled().has('weekly')).toBe(false);
});

test('100,000 further dates and exceptions cost little', () => {
  const dates = Array.from({ length: 100_000 }, (_, number) =>
    zoned(new Date(Date.UTC(2000, 0, 1) + number * DAY).toISOString().slice(0, 19)),
  );
  const { found, took } = asked(
    event({ id: 'dates', recurrence: { rules: [], dates, exceptionDates: [] } }),
    event({ id: 'without', recurrence: { rules: ['FREQ=DAILY'], dates: [], exceptionDates: dates } }),
  );
  // Each day of the week, and its own start.
  expect(found.filter(({ entryId }) => entryId === 'dates')).toHaveLength(8);
  expect(took).toBeLessThan(SOON);
});

test('an entry that can’t be read is left out and named, and the rest is there', () => {
  const broken = event({ id: 'broken', start: { kind: 'zoned', local: 'no time', zone: FENNICK } });
  const strange = { ...series('FREQ=DAILY', { id: 'strange' }), recurrence: 7 } as unknown as CalendarEvent;
  const { index, found } = asked(broken, strange);
  expect(found.map(({ key }) => key)).toContain('plain');
  expect([...index.troubled().keys()].sort()).toEqual(['broken', 'strange']);
  index.remove('broken');
  index.remove('strange');
  expect(index.troubled().size).toBe(0);
});

test('an unknown zone falls to the zone of the view, in every question', () => {
  const lost = event({
    id: 'lost',
    start: zoned('2027-03-09T14:00:00', 'Nowhere/Atlantis'),
    end: zoned('2027-03-09T15:00:00', 'Nowhere/Atlantis'),
  });
  const weekly = {
    ...series('FREQ=DAILY;UNTIL=20270311T235959Z', { id: 'weekly' }),
    start: lost.start,
    end: lost.end,
  };
  const changed = event({
    id: 'changed',
    seriesId: 'weekly',
    recurrenceId: zoned('2027-03-10T14:00:00', 'Nowhere/Atlantis'),
    start: zoned('2027-03-10T16:00:00', 'Nowhere/Atlantis'),
    end: zoned('2027-03-10T17:00:00', 'Nowhere/Atlantis'),
  });
  const { index, found } = asked(lost, weekly, changed);
  expect(index.troubled().size).toBe(0);
  const at = (id: string) => found.filter(({ key }) => key === id).map(({ startWall }) => startWall);
  expect(at('lost')).toEqual([parseLocal('2027-03-09T14:00:00')]);
  expect(at('changed')).toEqual([parseLocal('2027-03-10T16:00:00')]);
  expect(found.filter(({ entryId }) => entryId === 'weekly')).toHaveLength(2);
  expect(found.find(({ key }) => key === 'lost')?.zone).toBeUndefined();
});
