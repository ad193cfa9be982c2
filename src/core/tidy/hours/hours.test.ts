import fc from 'fast-check';
import { event, FENNICK, series, zoned, date } from '../../../../testing/samples';
import type { CalendarEvent } from '@/core/model/entry';
import { initialSettings } from '@/core/model/initialSettings';
import { NO_FILTER } from '@/core/model/look';
import { OccurrenceIndex } from '@/core/schedule/occurrenceIndex';
import { DAY, localString, MINUTE, parseDate, parseLocal } from '@/core/time/civil';
import { columnsOf, hoursOf } from './hours';
import { HOURS_BY, HOURS_STEPS, type HoursAnswer, type HoursQuery } from './hoursQuery';

const day = parseDate;
const march = { first: day('2027-03-01'), end: day('2027-04-01') };
const asked = (more: Partial<HoursQuery> = {}): HoursQuery => ({
  range: march,
  zone: FENNICK,
  weekStart: 1,
  by: 'calendar',
  step: 'week',
  counted: ['busy', 'away'],
  filter: NO_FILTER,
  hiddenCalendarIds: [],
  workingPattern: initialSettings(FENNICK).workingPattern,
  ...more,
});
function hours(events: readonly CalendarEvent[], more: Partial<HoursQuery> = {}): HoursAnswer {
  const index = new OccurrenceIndex();
  index.load(events);
  return hoursOf(index, asked(more));
}
const at = (start: string, end: string, more: Partial<CalendarEvent> = {}) =>
  event({ start: zoned(start), end: zoned(end), ...more });
const minutes = ({ rows }: HoursAnswer) =>
  Object.fromEntries(rows.map(({ key, minutes: own }) => [key, Math.round(own)]));

test('hours are told apart by calendar; what overlaps is divided, and each is known in full', () => {
  const answer = hours([
    at('2027-03-09T09:00', '2027-03-09T11:00'),
    at('2027-03-09T10:00', '2027-03-09T12:00', { calendarId: 'desk' }),
    at('2027-03-10T09:00', '2027-03-10T09:30', { availability: 'free' }),
    at('2027-03-10T09:00', '2027-03-10T09:30', { status: 'cancelled' }),
  ]);
  expect(minutes(answer)).toEqual({ meetings: 90, desk: 90 });
  expect(answer).toMatchObject({ minutes: 180, each: 240 });
  expect(answer.rows.map(({ each }) => each)).toEqual([120, 120]);
});

test('by category, place, person and weekday; what has none is by itself', () => {
  const person = (name: string) => ({ address: `mailto:${name}@fennick.example`, parameters: { cn: name } });
  const events = [
    at('2027-03-09T09:00', '2027-03-09T10:00', {
      categories: ['travel', 'report'],
      location: ' Lamp room ',
      attendees: [person('Oona'), person('Marek')],
    }),
    // Over midnight into Thursday.
    at('2027-03-10T23:00', '2027-03-11T02:00'),
  ];
  expect(minutes(hours(events, { by: 'category' }))).toEqual({ '': 180, report: 30, travel: 30 });
  expect(minutes(hours(events, { by: 'place' }))).toEqual({ '': 180, 'Lamp room': 60 });
  expect(minutes(hours(events, { by: 'person' }))).toEqual({ '': 180, Oona: 60, Marek: 60 });
  expect(hours(events, { by: 'weekday' }).rows.map(({ key, minutes: own }) => [key, own])).toEqual([
    ['2', 60],
    ['3', 60],
    ['4', 120],
  ]);
});

test('a day of the clock change has the hours that it has, and whole days count none', () => {
  const events = [
    at('2027-03-28T00:00', '2027-03-28T06:00'),
    event({ start: date('2027-03-08'), end: date('2027-03-11') }),
  ];
  const answer = hours(events);
  expect(answer.minutes).toBe(300);
  expect(answer.rows).toMatchObject([{ wholeDays: 3 }]);
});

test('columns are weeks from the first weekday on, months or days, cut to the range', () => {
  const texts = (step: (typeof HOURS_STEPS)[number], weekStart = 1) =>
    columnsOf({ first: day('2027-02-25'), end: day('2027-03-10') }, step, weekStart).map(({ first, end }) =>
      [first, end].map((each) => new Date(each * DAY).toISOString().slice(5, 10)).join(' '),
    );
  expect(texts('week')).toEqual(['02-25 03-01', '03-01 03-08', '03-08 03-10']);
  expect(texts('week', 7)).toEqual(['02-25 02-28', '02-28 03-07', '03-07 03-10']);
  expect(texts('month')).toEqual(['02-25 03-01', '03-01 03-10']);
  expect(texts('day')).toHaveLength(13);
});

test('the working hours are booked or free, and free in one piece from an hour on', () => {
  const workingPattern = {
    ...asked().workingPattern,
    weekdays: asked().workingPattern.weekdays.map((each, index) =>
      index === 1
        ? {
            ...each,
            spans: [
              { from: 540, to: 720 },
              { from: 780, to: 1020 },
            ],
          }
        : { ...each, spans: [] },
    ),
  };
  const range = { first: day('2027-03-09'), end: day('2027-03-10') };
  const people = { attendees: [{ address: 'mailto:oona@fennick.example', parameters: {} }] };
  const answer = hours(
    [
      // 9 to 10:30 with others, twice over the same half hour; then 45 minutes are free before noon.
      at('2027-03-09T08:30', '2027-03-09T10:00', people),
      at('2027-03-09T09:30', '2027-03-09T10:30', people),
      at('2027-03-09T10:30', '2027-03-09T11:15'),
      // The way home takes from 15:00 to 15:30.
      at('2027-03-09T14:00', '2027-03-09T15:00', { travel: { there: 0, back: 30 } }),
    ],
    { workingPattern, range, step: 'day' },
  );
  expect(answer.columns).toEqual([
    {
      ...range,
      minutes: 255,
      working: 420,
      booked: 135 + 90,
      meetings: 90,
      unbroken: 60 + 90,
    },
  ]);
});

test('the range before stands beside each row, also where there is nothing now', () => {
  const before = { first: day('2027-02-01'), end: day('2027-03-01') };
  const answer = hours(
    [
      at('2027-02-09T09:00', '2027-02-09T10:00'),
      at('2027-02-09T13:00', '2027-02-09T13:30', { calendarId: 'desk' }),
      at('2027-03-09T09:00', '2027-03-09T11:00'),
    ],
    { before },
  );
  expect(answer.rows.map(({ key, minutes: own, before: then }) => [key, own, then])).toEqual([
    ['meetings', 120, 60],
    ['desk', 0, 30],
  ]);
  expect(answer.before).toBe(90);
});

test('the series that take the most are named, with how often', () => {
  const answer = hours([
    series('FREQ=WEEKLY', {
      id: 'round',
      title: 'Works round',
      start: zoned('2027-03-01T09:00'),
      end: zoned('2027-03-01T09:30'),
    }),
    series('FREQ=MONTHLY', {
      id: 'board',
      title: 'Trust board',
      start: zoned('2027-03-02T09:00'),
      end: zoned('2027-03-02T13:00'),
    }),
    at('2027-03-09T14:00', '2027-03-09T20:00'),
  ]);
  expect(answer.series).toMatchObject([
    { entryId: 'board', minutes: 240, count: 1 },
    { entryId: 'round', minutes: 150, count: 5 },
  ]);
});

const BEGINNING = parseLocal('2027-02-20T00:00');
const anEvent = fc
  .record({
    start: fc.integer({ min: 0, max: 50 * 1440 }),
    length: fc.integer({ min: 0, max: 2000 }),
    zone: fc.constantFrom(FENNICK, 'Europe/Oslo', 'America/Halifax', 'Atlantic/Azores'),
    calendarId: fc.constantFrom('meetings', 'desk', 'visits'),
    categories: fc.subarray(['travel', 'report', 'deadline']),
    location: fc.constantFrom('', 'Lamp room', 'Boat shed'),
    rule: fc.option(fc.constantFrom('FREQ=WEEKLY', 'FREQ=DAILY;COUNT=9'), { nil: undefined }),
    travel: fc.option(fc.constant({ there: 20, back: 35 }), { nil: undefined }),
  })
  .map(({ start, length, zone, rule, travel, ...fields }): CalendarEvent => {
    const from = BEGINNING + start * MINUTE;
    return event({
      ...fields,
      start: zoned(localString(from), zone),
      end: zoned(localString(from + length * MINUTE), zone),
      ...(travel ? { travel } : {}),
      ...(rule ? { recurrence: { rules: [rule], dates: [], exceptionDates: [] } } : {}),
    });
  });

test('over zones and clock changes, the parts sum to the whole, however they are told apart', () => {
  fc.assert(
    fc.property(
      fc.array(anEvent, { maxLength: 12 }),
      fc.constantFrom(...HOURS_STEPS),
      fc.constantFrom(FENNICK, 'America/Halifax'),
      (events, step, zone) => {
        const answers = HOURS_BY.map((by) => ({ by, ...hours(events, { by, step, zone }) }));
        for (const { by, rows, columns, minutes: whole, each } of answers) {
          const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
          expect(sum(columns.map((column) => column.minutes))).toBeCloseTo(whole, 5);
          if (by !== 'person') expect(sum(rows.map((row) => row.minutes))).toBeCloseTo(whole, 5);
          if (by === 'calendar' || by === 'place' || by === 'weekday')
            expect(sum(rows.map((row) => row.each))).toBeCloseTo(each, 5);
          for (const row of rows) expect(sum(row.columns)).toBeCloseTo(row.minutes, 5);
          for (const { working, booked, meetings, unbroken } of columns) {
            expect(booked + unbroken).toBeLessThanOrEqual(working);
            expect(Math.min(booked, meetings, unbroken)).toBeGreaterThanOrEqual(0);
          }
          expect(whole).toBeLessThanOrEqual(each + 1e-6);
        }
        expect(new Set(answers.map((answer) => answer.minutes.toFixed(5))).size).toBe(1);
      },
    ),
    { numRuns: 150 },
  );
});

test('each instant counts once: the same as counted minute by minute', () => {
  fc.assert(
    fc.property(fc.array(anEvent, { maxLength: 8 }), (events) => {
      const range = { first: day('2027-03-26'), end: day('2027-03-30') };
      const index = new OccurrenceIndex();
      index.load(events);
      const from = Date.UTC(2027, 2, 26);
      // The clock goes forward on the 28th.
      const to = Date.UTC(2027, 2, 29, 23);
      const occurrences = index.between({ start: from - DAY, end: to + DAY }, FENNICK);
      let counted = 0;
      for (let minute = from; minute < to; minute += MINUTE)
        if (
          occurrences.some(
            ({ start, end, ways }) => (ways?.leave ?? start) <= minute && minute < (ways?.home ?? end),
          )
        )
          counted++;
      expect(Math.round(hours(events, { range }).minutes)).toBe(counted);
    }),
    { numRuns: 40 },
  );
});
