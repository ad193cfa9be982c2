import fc from 'fast-check';
import { clockFrom } from './clock';
import {
  civilDate,
  dateString,
  DAY,
  dayNumber,
  HOUR,
  isRealDate,
  localString,
  MINUTE,
  parseDate,
  parseLocal,
  startOfWeek,
  weekdayOf,
} from './civil';
import { instantToWall, isKnownZone, offsetAt, offsetString, wallToInstant } from './zones';
import { patternHours, workingDay, workingMinutes } from './workingPattern';
import { standardWorkingPattern } from '../time/standardWorkingPattern';

const days = fc.integer({ min: parseDate('1900-01-01'), max: parseDate('2199-12-31') });
const zones = fc.constantFrom(
  'Europe/Lisbon',
  'America/Halifax',
  'Atlantic/Azores',
  'Australia/Lord_Howe',
  'Asia/Kathmandu',
  'America/St_Johns',
  'Pacific/Apia',
  'UTC',
);
const walls = fc
  .integer({ min: parseDate('1971-01-02') / 1, max: parseDate('2040-12-30') })
  .chain((day) => fc.integer({ min: 0, max: 1439 }).map((minute) => day * DAY + minute * MINUTE));

test('civil dates agree with Temporal in every part', () => {
  fc.assert(
    fc.property(days, (day) => {
      const expected = new Temporal.PlainDate(1970, 1, 1).add({ days: day });
      expect(dateString(day)).toBe(expected.toString());
      expect(civilDate(day)).toEqual({ year: expected.year, month: expected.month, day: expected.day });
      expect(dayNumber(expected.year, expected.month, expected.day)).toBe(day);
      expect(weekdayOf(day)).toBe(expected.dayOfWeek);
      expect(weekdayOf(startOfWeek(day))).toBe(1);
    }),
  );
});

test('wall times are read back as they were written', () => {
  fc.assert(
    fc.property(walls, (wall) => {
      expect(parseLocal(localString(wall))).toBe(wall);
    }),
  );
});

test('a date that does not exist is recognised', () => {
  expect(isRealDate('2028-02-29')).toBe(true);
  expect(isRealDate('2027-02-29')).toBe(false);
  expect(isRealDate('2027-04-31T10:00')).toBe(false);
});

test('every wall time in every zone becomes the instant that Temporal gives, also in gaps and doubled hours', () => {
  fc.assert(
    fc.property(zones, walls, (zone, wall) => {
      const expected = Temporal.PlainDateTime.from(localString(wall)).toZonedDateTime(zone, {
        disambiguation: 'compatible',
      });
      expect(wallToInstant(zone, wall)).toBe(expected.epochMilliseconds);
      expect(offsetAt(zone, wall)).toBe(
        Temporal.Instant.fromEpochMilliseconds(wall).toZonedDateTimeISO(zone).offsetNanoseconds / 1e6,
      );
    }),
    { numRuns: 400 },
  );
});

test('the clock change of 28 March 2027 in Lisbon: the skipped hour moves on, the doubled one in October is the first', () => {
  const skipped = wallToInstant('Europe/Lisbon', parseLocal('2027-03-28T01:30'));
  expect(localString(instantToWall('Europe/Lisbon', skipped))).toBe('2027-03-28T02:30:00');
  const doubled = wallToInstant('Europe/Lisbon', parseLocal('2027-10-31T01:30'));
  expect(new Date(doubled).toISOString()).toBe('2027-10-31T00:30:00.000Z');
});

test('unknown zones are known as such', () => {
  expect(isKnownZone('Europe/Nowhere')).toBe(false);
  expect(isKnownZone('')).toBe(false);
  expect(() => offsetAt('Europe/Nowhere', 0)).toThrow(RangeError);
  expect(offsetString(-3.5 * HOUR)).toBe('-03:30');
  expect(offsetString(HOUR, '')).toBe('+0100');
});

test('the demo clock stands at the wall time it is given and runs on', () => {
  let system = 1000;
  const clock = clockFrom('2027-03-09T10:20', 'Europe/Lisbon', () => system);
  expect(new Date(clock()).toISOString()).toBe('2027-03-09T10:20:00.000Z');
  system += 5000;
  expect(new Date(clock()).toISOString()).toBe('2027-03-09T10:20:05.000Z');
  expect(clockFrom('2027-02-31T10:20', 'UTC', () => 7)()).toBe(7);
  expect(clockFrom('nonsense', 'UTC', () => 7)()).toBe(7);
});

test('an exception by date replaces the working hours of its weekday', () => {
  const pattern = {
    ...standardWorkingPattern,
    exceptions: { '2027-03-10': { spans: [{ from: 600, to: 720 }], place: 'home' as const } },
  };
  expect(workingMinutes(workingDay(pattern, parseDate('2027-03-09')))).toBe(450);
  expect(workingDay(pattern, parseDate('2027-03-10')).place).toBe('home');
  expect(workingMinutes(workingDay(pattern, parseDate('2027-03-10')))).toBe(120);
  expect(patternHours(pattern)).toEqual({ from: 480, to: 1020 });
});
