import { occurrenceOf } from '../schedule/occurrence';
import { event, FENNICK, zoned } from '../../../testing/samples';
import { DAY, parseDate } from '../time/civil';
import { clockChangeOn } from '../time/clockChange';
import { instantOf } from '../time/eventTime';
import {
  dayMinutes,
  type HoursScale,
  hoursHeight,
  layoutDay,
  minuteToY,
  missingMinutes,
  scaleMinute,
  wallMinute,
  yToMinute,
} from './hours';
import { laneHours, layoutLane, minuteToX } from './lanes';

const SPRING = parseDate('2027-03-28');
const AUTUMN = parseDate('2027-10-31');
const HOUR_HEIGHT = 60;
const open = (repeated?: HoursScale['repeated']): HoursScale => ({
  from: 480,
  to: 1080,
  foldedBefore: false,
  foldedAfter: false,
  hourHeight: HOUR_HEIGHT,
  foldHeight: 28,
  ...(repeated ? { repeated } : {}),
});
/** An occurrence between instants, as it is seen in Fennick. */
const at = (start: string, end: string) => {
  const made = event({ id: start, start: zoned(start, 'Etc/UTC'), end: zoned(end, 'Etc/UTC') });
  return occurrenceOf(
    made,
    { start: instantOf(made.start, FENNICK), end: instantOf(made.end, FENNICK), key: made.id },
    FENNICK,
  );
};

test('a zone says when its clock changes, and by how much', () => {
  expect(clockChangeOn(FENNICK, SPRING)).toMatchObject({ kind: 'skipped', at: 60, length: 60 });
  expect(clockChangeOn(FENNICK, AUTUMN)).toMatchObject({ kind: 'repeated', at: 120, length: 60 });
  expect(clockChangeOn(FENNICK, SPRING + 1)).toBeUndefined();
  expect(clockChangeOn('Australia/Lord_Howe', parseDate('2027-04-04'))).toMatchObject({
    kind: 'repeated',
    at: 120,
    length: 30,
  });
  expect(clockChangeOn('Etc/UTC', SPRING)).toBeUndefined();
});

test('the day on which the clock goes back has 25 hours, each with a place of its own', () => {
  const change = clockChangeOn(FENNICK, AUTUMN)!;
  const scale = open({ at: change.at, length: change.length });
  expect(dayMinutes(scale)).toBe(25 * 60);
  expect(hoursHeight(scale)).toBe(25 * HOUR_HEIGHT);
  // The first pass of 1:30, the second, and 3:00: instants an hour and an hour and a half apart.
  const early = at('2027-10-31T00:30', '2027-10-31T00:45');
  const late = at('2027-10-31T01:30', '2027-10-31T01:45');
  const after = at('2027-10-31T03:00', '2027-10-31T03:30');
  expect([early.startWall, late.startWall].map((wall) => wall - AUTUMN * DAY)).toEqual([
    5_400_000, 5_400_000,
  ]);
  const { cards } = layoutDay([early, late, after], AUTUMN, scale, change);
  expect(cards.map(({ top }) => top)).toEqual([90, 150, 240]);
  expect(cards.map(({ across }) => across.width)).toEqual([1, 1, 1]);
});

test('an entry over the change back is as long as it lasts', () => {
  const change = clockChangeOn(FENNICK, AUTUMN)!;
  const scale = open({ at: change.at, length: change.length });
  const [watch] = layoutDay([at('2027-10-31T00:00', '2027-10-31T04:00')], AUTUMN, scale, change).cards;
  expect(watch!.height).toBe(4 * HOUR_HEIGHT);
});

test('the day on which the clock goes forward has 23: the skipped hour is marked, and nothing lies in it', () => {
  const change = clockChangeOn(FENNICK, SPRING)!;
  const scale = open();
  expect(missingMinutes(scale, change)).toEqual({ from: 60, to: 120 });
  const before = at('2027-03-28T00:30', '2027-03-28T01:00');
  const after = at('2027-03-28T01:00', '2027-03-28T02:00');
  const { cards } = layoutDay([before, after], SPRING, scale, change);
  // Half an hour up to 1:00, where the clock shows 2:00 already; the next begins at 2:00.
  expect(cards.map(({ from, top }) => [from, top])).toEqual([
    [30, 30],
    [120, 120],
  ]);
});

test('other days beside a day of 25 hours leave its further hour out', () => {
  const scale = open({ at: 120, length: 60 });
  expect(missingMinutes(scale, undefined)).toEqual({ from: 120, to: 180 });
  const nine = at('2027-11-01T09:00', '2027-11-01T10:00');
  const [card] = layoutDay([nine], AUTUMN + 1, scale).cards;
  expect(card!.top).toBe(10 * HOUR_HEIGHT);
  expect(yToMinute(scale, minuteToY(scale, scaleMinute(scale, 540)))).toBe(600);
  expect(wallMinute(scale, 600)).toBe(540);
  expect(wallMinute(scale, 60)).toBe(60);
});

describe('lanes', () => {
  const sizes = { hourWidth: 60, cardHeight: 40, gap: 6, least: 26, leastHeight: 20, wholeHeight: 20 };
  const laneOn = (day: number, occurrences: ReturnType<typeof at>[]) => {
    const change = clockChangeOn(FENNICK, day)!;
    const hours = laneHours(occurrences, day, { from: 480, to: 1080 }, change);
    const calendarId = occurrences[0]!.calendarId;
    const lane = layoutLane(
      { id: calendarId, holds: (one) => one.calendarId === calendarId },
      occurrences,
      day,
      hours,
      'stacked',
      sizes,
      change,
    );
    return { hours, cards: lane.cards, change };
  };

  test('of a day with 25 hours draw both passes of the repeated hour, an hour apart', () => {
    const first = at('2027-10-31T00:15', '2027-10-31T00:45');
    const second = at('2027-10-31T01:15', '2027-10-31T01:45');
    const noon = at('2027-10-31T12:00', '2027-10-31T13:00');
    expect(first.startWall).toBe(second.startWall);
    const { hours, cards } = laneOn(AUTUMN, [first, second, noon]);
    expect(hours).toEqual({ from: 60, to: 1140, repeated: { at: 120, length: 60 } });
    expect(cards.map(({ left, width, top }) => ({ left, width, top }))).toEqual([
      { left: 15, width: 30, top: 6 },
      { left: 75, width: 30, top: 6 },
      { left: 720, width: 60, top: 6 },
    ]);
  });

  test('of a day with 23 hours leave out the skipped hour', () => {
    const before = at('2027-03-28T00:00', '2027-03-28T01:00');
    const after = at('2027-03-28T01:00', '2027-03-28T02:00');
    const { hours, cards, change } = laneOn(SPRING, [before, after]);
    const missing = missingMinutes(hours, change)!;
    const x = (minute: number) => minuteToX(hours, sizes.hourWidth, minute);
    expect(x(missing.to) - x(missing.from)).toBe(60);
    for (const { left, width } of cards)
      expect(left + width <= x(missing.from) || left >= x(missing.to)).toBe(true);
  });
});
