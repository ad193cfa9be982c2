import fc from 'fast-check';
import type { BusySpan } from '../../model/busyTimes';
import { DAY, dayNumber, HOUR, MINUTE } from '../../time/civil';
import { standardWorkingPattern } from '../../time/standardWorkingPattern';
import { workingDay } from '../../time/workingPattern';
import { instantToWall, wallToInstant } from '../../time/zones';
import { freeTimes, type FreeTimesQuery } from './freeTimes';

const ZONE = 'Europe/Lisbon';
const TUESDAY = dayNumber(2027, 3, 9);
const at = (hour: number, day = TUESDAY): number => wallToInstant(ZONE, day * DAY + hour * HOUR);
const busy = (from: number, to: number, kind: BusySpan['kind'] = 'busy'): BusySpan => ({
  start: at(from),
  end: at(to),
  kind,
});
const query = (fields: Partial<FreeTimesQuery> = {}): FreeTimesQuery => ({
  first: TUESDAY,
  end: TUESDAY + 1,
  zone: ZONE,
  workingPattern: standardWorkingPattern,
  minutes: 30,
  busy: [],
  overTentative: false,
  daysOff: [],
  now: 0,
  ...fields,
});
const hours = (fields: Partial<FreeTimesQuery>) =>
  freeTimes(query(fields)).map(({ start, end }) =>
    [start, end].map((instant) => (instantToWall(ZONE, instant) - TUESDAY * DAY) / HOUR),
  );
const worked = workingDay(standardWorkingPattern, TUESDAY).spans.map(({ from, to }) => [from / 60, to / 60]);

test('without anything taken, it is the working hours; within the hours that are wished', () => {
  expect(hours({})).toEqual(worked);
  expect(hours({ earliest: 10 * 60, latest: 12 * 60 })).toEqual([[10, 12]]);
  expect(hours({ daysOff: [TUESDAY] })).toEqual([]);
});

test('what is taken is left out, what is tentative as wished, and what is too short', () => {
  expect(hours({ busy: [busy(10, 11)], earliest: 9 * 60, latest: 12 * 60 })).toEqual([
    [9, 10],
    [11, 12],
  ]);
  expect(hours({ busy: [busy(9.25, 12)], earliest: 9 * 60, latest: 12 * 60 })).toEqual([]);
  const tentative = { busy: [busy(10, 11, 'tentative')], earliest: 9 * 60, latest: 12 * 60 };
  expect(hours({ ...tentative, overTentative: true })).toEqual([[9, 12]]);
  expect(hours({ now: at(10) + 2 * MINUTE, earliest: 9 * 60, latest: 12 * 60 })).toEqual([[10 + 5 / 60, 12]]);
});

test('whatever is taken, each minute of the working hours is free or taken, over clock changes too', () => {
  const first = dayNumber(2027, 3, 25);
  const span = fc
    .tuple(fc.integer({ min: 0, max: 7 * 24 * 4 }), fc.integer({ min: 1, max: 40 }))
    .map(([from, length]): BusySpan => {
      const start = wallToInstant(ZONE, first * DAY) + from * 15 * MINUTE;
      return { start, end: start + length * 15 * MINUTE, kind: 'busy' };
    });
  fc.assert(
    fc.property(fc.array(span, { maxLength: 12 }), (spans) => {
      const free = freeTimes(query({ first, end: first + 7, busy: spans, minutes: 1 }));
      for (let day = first; day < first + 7; day++)
        for (const { from, to } of workingDay(standardWorkingPattern, day).spans)
          for (let minute = from; minute < to; minute += 15) {
            const instant = wallToInstant(ZONE, day * DAY + minute * MINUTE);
            const isTaken = spans.some(({ start, end }) => instant >= start && instant < end);
            expect(free.some(({ start, end }) => instant >= start && instant < end)).toBe(!isTaken);
          }
    }),
    { numRuns: 60 },
  );
});
