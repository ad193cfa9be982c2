import fc from 'fast-check';
import {
  calendar,
  context,
  date,
  event,
  eventsIn,
  FENNICK,
  series,
  stateWith,
  zoned,
} from '../../../testing/samples';
import { moveEntry } from '../change/moveEntry';
import { applyPatch, type Patch } from '../change/patch';
import { overridesOf } from '../change/overrides';
import { daysOffFor, eventAt } from '../change/target';
import { type CalendarEvent, type DayOffHandling, isEvent } from '../model/entry';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import type { State } from '../model/state';
import { dateString, HOUR, localString, parseDate, weekdayOf } from '../time/civil';
import { DaysOff } from './daysOff';
import { OccurrenceIndex } from './occurrenceIndex';
import { exceptionsOf } from './seriesExceptions';

const off = (first: string, end: string, fields: Partial<CalendarEvent> = {}) =>
  event({
    calendarId: 'off',
    title: 'day off',
    start: date(first),
    end: date(end),
    availability: 'away',
    ...fields,
  });
const skipping = (rule: string, handling: DayOffHandling, start = '2027-03-01T10:00') =>
  series(rule, {
    id: 'round',
    title: 'round',
    start: zoned(start),
    end: zoned(start),
    recurrence: {
      rules: [rule],
      dates: [],
      exceptionDates: [],
      skipDaysOff: { calendarId: 'off', handling },
    },
  });
const indexOf = (...events: CalendarEvent[]) => {
  const index = new OccurrenceIndex();
  index.load(events);
  return index;
};
const days = (index: OccurrenceIndex, from = '2027-03-01', to = '2027-04-01') =>
  index
    .between({ start: Date.parse(from), end: Date.parse(to) }, FENNICK)
    .filter(({ title }) => title === 'round')
    .map(({ startWall }) => localString(startWall).slice(5, 10));

test('an occurrence on a day off is left out, or goes to the next or previous working day', () => {
  // Friday 12 March is off; so are Monday 22 and Tuesday 23.
  const free = [off('2027-03-12', '2027-03-13'), off('2027-03-22', '2027-03-24')];
  const mondaysAndFridays = 'FREQ=WEEKLY;BYDAY=MO,FR';
  const of = (handling: DayOffHandling) => days(indexOf(skipping(mondaysAndFridays, handling), ...free));
  expect(of('omit')).toEqual(['03-01', '03-05', '03-08', '03-15', '03-19', '03-26', '03-29']);
  // Friday the 12th would move onto Monday the 15th, which has its own; the 22nd moves to Wednesday.
  expect(of('next')).toEqual(['03-01', '03-05', '03-08', '03-15', '03-19', '03-24', '03-26', '03-29']);
  expect(of('previous')).toEqual(['03-01', '03-05', '03-08', '03-11', '03-15', '03-19', '03-26', '03-29']);
});

test('of several that would move to one day, the nearest does', () => {
  // Thursday 15 to Monday 19 April are off: Thursday and Monday both lead to Wednesday 14, or to Tuesday 20.
  const free = [off('2027-04-15', '2027-04-17'), off('2027-04-19', '2027-04-20')];
  const of = (handling: DayOffHandling) =>
    days(indexOf(skipping('FREQ=WEEKLY;BYDAY=MO,TH', handling), ...free), '2027-04-11', '2027-04-25');
  expect(of('previous')).toEqual(['04-12', '04-14', '04-22']);
  expect(of('next')).toEqual(['04-12', '04-20', '04-22']);
});

test('days off that come, change and go later count at once', () => {
  const index = indexOf(skipping('FREQ=WEEKLY', 'omit'));
  expect(days(index)).toHaveLength(5);
  index.put(off('2027-03-08', '2027-03-09', { id: 'holiday' }));
  expect(days(index)).not.toContain('03-08');
  index.put(off('2027-03-15', '2027-03-16', { id: 'holiday' }));
  expect(days(index)).toContain('03-08');
  expect(days(index)).not.toContain('03-15');
  index.remove('holiday');
  expect(days(index)).toHaveLength(5);
});

test('days off that repeat count, but for those changed, cancelled or free', () => {
  const yearly = off('2020-03-08', '2020-03-09', {
    id: 'yearly',
    recurrence: { rules: ['FREQ=YEARLY'], dates: [], exceptionDates: [] },
  });
  const moved = off('2027-03-15', '2027-03-16', {
    seriesId: 'yearly',
    recurrenceId: date('2027-03-08'),
  });
  const marked = (...events: CalendarEvent[]) => {
    const found = new DaysOff(events);
    return ['2027-03-08', '2027-03-15', '2028-03-08'].filter((day) => found.has(parseDate(day)));
  };
  expect(marked(yearly)).toEqual(['2027-03-08', '2028-03-08']);
  expect(marked(yearly, moved)).toEqual(['2027-03-15', '2028-03-08']);
  expect(marked(off('2027-03-08', '2027-03-09', { status: 'cancelled' }))).toEqual([]);
  expect(marked(off('2027-03-08', '2027-03-09', { availability: 'free' }))).toEqual([]);
  expect(marked(event({ start: zoned('2027-03-08T09:00'), end: zoned('2027-03-08T17:00') }))).toEqual([]);
});

test('whatever the days off, no occurrence falls on one, and none is lost that falls on none', () => {
  const from = parseDate('2027-03-01');
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 60 }), { maxLength: 12 }),
      fc.constantFrom<DayOffHandling>('omit', 'next', 'previous'),
      fc.constantFrom(
        'FREQ=WEEKLY;BYDAY=MO,TH',
        'FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR',
        'FREQ=MONTHLY;BYMONTHDAY=1,15',
      ),
      (offDays, handling, rule) => {
        const free = offDays.map((day) => off(dateString(from + day), dateString(from + day + 1)));
        const plain = days(indexOf(skipping(rule, handling)), '2027-03-01', '2027-04-20');
        const found = days(indexOf(skipping(rule, handling), ...free), '2027-03-01', '2027-04-20');
        const isOff = new Set(offDays.map((day) => dateString(from + day).slice(5)));
        for (const day of found) expect(isOff.has(day)).toBe(false);
        for (const day of plain) if (!isOff.has(day)) expect(found).toContain(day);
        expect(new Set(found).size).toBe(found.length);
        for (const day of found)
          if (!plain.includes(day)) expect(weekdayOf(parseDate(`2027-${day}`))).toBeLessThanOrEqual(5);
      },
    ),
  );
});

describe('of a state', () => {
  const holiday = off('2027-03-15', '2027-03-16');
  const state: State = {
    ...stateWith(skipping('FREQ=WEEKLY', 'next'), holiday),
    calendars: new Map([
      ['meetings', calendar()],
      ['off', calendar({ id: 'off', name: 'Days off', mark: 'DO' })],
    ]),
  };
  const target = { entryId: 'round', recurrenceKey: '2027-03-15T10:00:00' };

  test('a moved occurrence is changed from where it is shown', () => {
    expect(eventAt(state, target, context())?.start).toEqual(zoned('2027-03-16T10:00'));
    const move = { kind: 'shift', by: HOUR } as const;
    const after = applyPatch(state, moveEntry(state, target, move, 'this', context()) as Patch);
    const index = new OccurrenceIndex();
    index.load(eventsIn(after));
    const shown = index
      .between({ start: Date.parse('2027-03-14'), end: Date.parse('2027-03-18') }, FENNICK)
      .filter(({ title }) => title === 'round');
    expect(shown.map(({ startWall }) => localString(startWall))).toEqual(['2027-03-16T11:00:00']);
  });

  test('the exceptions of a series are listed by original start', () => {
    const round = {
      ...skipping('FREQ=WEEKLY', 'next'),
      recurrence: {
        ...skipping('FREQ=WEEKLY', 'next').recurrence!,
        dates: [zoned('2027-03-10T10:00')],
        exceptionDates: [zoned('2027-03-22T10:00'), zoned('2027-03-23T10:00')],
      },
    };
    const changed = event({
      id: 'changed',
      seriesId: 'round',
      recurrenceId: zoned('2027-03-08T10:00'),
      start: zoned('2027-03-09T10:00'),
    });
    const all = { ...state, entries: new Map([round, holiday, changed].map((entry) => [entry.id, entry])) };
    const window = { start: Date.parse('2027-03-01'), end: Date.parse('2027-04-30') };
    const found = exceptionsOf(
      round,
      overridesOf(all, 'round').filter(isEvent),
      daysOffFor(all, round),
      window,
      FENNICK,
    );
    expect(found.map(({ kind, wall }) => `${localString(wall).slice(5, 10)} ${kind}`)).toEqual([
      '03-08 changed',
      '03-10 further',
      '03-15 day-off',
      '03-22 left-out',
    ]);
  });
});

test('a lookup knows the working pattern', () => {
  const lookup = new DaysOff([off('2027-03-12', '2027-03-13')]).lookup(standardWorkingPattern);
  const working = ['2027-03-11', '2027-03-12', '2027-03-13'].map((day) =>
    lookup.isWorkingDay(parseDate(day)),
  );
  expect(working).toEqual([true, false, false]);
});
