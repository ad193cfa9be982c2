import { makeDemo } from '../../../demo/makeDemo';
import fc from 'fast-check';
import { date, event, FENNICK, remindedOf, series, zoned } from '../../../testing/samples';
import { dueReminders } from '../reminders/dueReminders';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { DAY, HOUR, parseDate } from '../time/civil';
import { IntervalIndex } from './intervalIndex';
import { gapsBetween, loadOfDays, minutesByCalendar } from './load';
import { takenSpans, type TakenSpan } from './occurrence';
import { dayWindow, OccurrenceIndex } from './occurrenceIndex';
import { noticeBefore } from '../model/reminder';

test('the interval index answers as a look at every interval does, also after adding and removing', () => {
  const interval = fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 0, max: 300 }));
  fc.assert(
    fc.property(
      fc.array(interval, { maxLength: 400 }),
      fc.array(fc.nat(), { maxLength: 50 }),
      interval,
      (pairs, removed, [from, length]) => {
        const intervals = pairs.map(([start, size], id) => ({ id: `i${id}`, start, end: start + size }));
        const half = intervals.length >> 1;
        const index = new IntervalIndex();
        index.load(intervals.slice(0, half));
        intervals.slice(half).forEach((each) => index.add(each));
        const gone = new Set(removed.map((position) => intervals[position % (intervals.length || 1)]?.id));
        intervals.filter(({ id }) => gone.has(id)).forEach((each) => index.remove(each));
        const expected = intervals
          .filter(({ id, start, end }) => !gone.has(id) && start < from + length && end >= from)
          .map(({ id }) => id);
        expect(index.touching(from, from + length).sort()).toEqual(expected.sort());
      },
    ),
  );
});

const day = parseDate('2027-03-09');
const indexOf = (...events: ReturnType<typeof event>[]) => {
  const index = new OccurrenceIndex();
  index.load(events);
  return index;
};
const titles = (index: OccurrenceIndex, zone = FENNICK, hiddenCalendarIds: string[] = []) =>
  index.between(dayWindow(day, day + 1, zone), zone, { hiddenCalendarIds }).map(({ title }) => title);

test('a day holds what touches it: timed, overnight, whole days, floating, and series but for changed occurrences', () => {
  const call = series('FREQ=WEEKLY', {
    id: 'call',
    title: 'call',
    start: zoned('2026-03-10T14:00'),
    end: zoned('2026-03-10T15:00'),
  });
  const index = indexOf(
    event({ title: 'night', start: zoned('2027-03-08T22:00'), end: zoned('2027-03-09T01:00') }),
    event({ title: 'ends at midnight', start: zoned('2027-03-08T22:00'), end: zoned('2027-03-09T00:00') }),
    event({ title: 'trip', start: date('2027-03-08'), end: date('2027-03-10') }),
    event({ title: 'over', start: date('2027-03-07'), end: date('2027-03-09') }),
    event({
      title: 'floating',
      start: { kind: 'floating', local: '2027-03-09T09:00:00' },
      end: { kind: 'floating', local: '2027-03-09T10:00:00' },
    }),
    call,
    event({
      title: 'moved call',
      seriesId: 'call',
      recurrenceId: zoned('2027-03-09T14:00'),
      start: zoned('2027-03-09T16:00'),
      end: zoned('2027-03-09T17:00'),
    }),
  );
  expect(titles(index)).toEqual(['trip', 'night', 'floating', 'moved call']);
});

test('changes show at once: put, replaced by a series, removed', () => {
  const index = indexOf(event({ id: 'a', title: 'a' }));
  index.put(event({ id: 'a', title: 'b', start: zoned('2027-03-09T10:00'), end: zoned('2027-03-09T11:00') }));
  index.put(series('FREQ=DAILY', { id: 's', title: 's' }));
  index.put(event({ id: 'o', title: 'o', seriesId: 's', recurrenceId: zoned('2027-03-09T14:00') }));
  expect(titles(index)).toEqual(['b', 'o']);
  index.remove('o');
  expect(titles(index)).toEqual(['b', 's']);
  index.put(event({ id: 's', title: 'single now' }));
  index.remove('a');
  expect(titles(index)).toEqual(['single now']);
  expect(titles(index, FENNICK, ['meetings'])).toEqual([]);
});

test('floating times and whole days are read in the viewer’s zone, wherever that is', () => {
  const floating = { kind: 'floating' as const, local: '2027-03-09T09:00:00' };
  const index = indexOf(
    event({ title: 'f', start: floating, end: { ...floating, local: '2027-03-09T10:00:00' } }),
  );
  for (const zone of ['Pacific/Kiritimati', 'Pacific/Niue', 'Asia/Kathmandu']) {
    const [occurrence] = index.between(dayWindow(day, day + 1, zone), zone);
    expect(occurrence!.startWall).toBe(day * DAY + 9 * HOUR);
  }
});

test('load counts busy and away time within the working hours, overlaps once', () => {
  const index = indexOf(
    event({ start: zoned('2027-03-09T08:00'), end: zoned('2027-03-09T10:00') }),
    event({
      start: zoned('2027-03-09T09:30'),
      end: zoned('2027-03-09T10:30'),
      availability: 'away',
      calendarId: 'desk',
    }),
    event({ start: zoned('2027-03-09T11:00'), end: zoned('2027-03-09T12:00'), availability: 'free' }),
    event({ start: zoned('2027-03-09T15:00'), end: zoned('2027-03-09T16:00'), status: 'cancelled' }),
  );
  const occurrences = index.between(dayWindow(day, day + 1, FENNICK), FENNICK);
  expect(loadOfDays(takenSpans(occurrences), day, day + 1, standardWorkingPattern)).toEqual([
    { day, booked: 120, working: 450, total: 150, taken: false },
  ]);
  expect(minutesByCalendar(occurrences, dayWindow(day, day + 1, FENNICK))).toEqual({
    meetings: 120,
    desk: 60,
  });
  const at = (hour: number) => Date.UTC(2027, 2, 9, hour);
  expect(
    gapsBetween(occurrences, at(9), at(13)).map(({ start, end }) => [
      new Date(start).getUTCHours() + new Date(start).getUTCMinutes() / 60,
      new Date(end).getUTCHours(),
    ]),
  ).toEqual([[10.5, 13]]);
});

test('hours of a calendar are those that pass, on the night of a clock change too', () => {
  const night = parseDate('2027-03-28');
  const index = indexOf(
    event({ id: 'watch', start: zoned('2027-03-28T00:30'), end: zoned('2027-03-28T02:30') }),
    event({ id: 'late', start: zoned('2027-03-28T23:00'), end: zoned('2027-03-29T03:00') }),
  );
  const window = dayWindow(night, night + 1, FENNICK);
  expect(minutesByCalendar(index.between(window, FENNICK), window)).toEqual({ meetings: 120 });
});

test('reminders fall due once, before their start, oldest first, and not for what is cancelled', () => {
  const reminded = remindedOf(
    event({ title: 'soon', reminders: [noticeBefore(10)] }),
    event({
      title: 'trip',
      start: zoned('2027-03-20T08:00'),
      end: zoned('2027-03-20T09:00'),
      reminders: [noticeBefore(10 * 24 * 60 + 18 * 60 + 11)],
    }),
    event({ title: 'off', status: 'cancelled', reminders: [noticeBefore(10)] }),
  );
  const due = (from: string, to: string, hiddenCalendarIds: string[] = []) =>
    dueReminders(reminded, Date.parse(from), Date.parse(to), FENNICK, {
      workingPattern: standardWorkingPattern,
      hiddenCalendarIds,
    }).map(({ occurrence }) => occurrence.title);
  expect(due('2027-03-09T13:00Z', '2027-03-09T13:50Z')).toEqual(['trip', 'soon']);
  expect(due('2027-03-09T13:50Z', '2027-03-09T14:30Z')).toEqual([]);
  expect(due('2027-03-09T13:00Z', '2027-03-09T13:50Z', ['meetings'])).toEqual([]);
});

test('a day that an all-day entry takes is told from one that is booked hour by hour', () => {
  const index = new OccurrenceIndex();
  index.load([
    event({ start: date('2027-03-10'), end: date('2027-03-12'), availability: 'away' }),
    event({ start: date('2027-03-12'), end: date('2027-03-13'), availability: 'free' }),
    event({ start: zoned('2027-03-12T08:30'), end: zoned('2027-03-12T12:30') }),
  ]);
  const first = parseDate('2027-03-09');
  const occurrences = index.between(dayWindow(first, first + 4, FENNICK), FENNICK);
  const loads = loadOfDays(takenSpans(occurrences), first, first + 4, standardWorkingPattern);
  expect(loads.map(({ booked, taken }) => [booked, taken])).toEqual([
    [0, false],
    [450, true],
    [450, true],
    [240, false],
  ]);
});

test('the time that is taken is the same, with or without occurrences being made', () => {
  const demo = makeDemo();
  const index = indexOf(...demo.entries);
  const { workingPattern } = demo.settings;
  const sorted = (spans: readonly TakenSpan[]) =>
    spans.map(({ startWall, endWall, whole }) => [startWall, endWall, Number(whole)].join(' ')).sort();
  for (const zone of [FENNICK, 'America/Halifax', 'Asia/Kolkata']) {
    const window = dayWindow(parseDate('2026-09-01'), parseDate('2027-06-01'), zone);
    const filter = { hiddenCalendarIds: ['home'], workingPattern };
    const made = takenSpans(index.between(window, zone, filter));
    const taken = index.takenBetween(window, zone, filter, () => true);
    expect(made.length).toBeGreaterThan(300);
    expect(sorted(taken)).toEqual(sorted(made));
  }
});
