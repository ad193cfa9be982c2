import fc from 'fast-check';
import { LANE_MODES } from '../model/look';
import type { Occurrence } from '../schedule/occurrence';
import { DAY, HOUR, parseDate } from '../time/civil';
import { type LaneCard, laneHours, layoutLane, minuteToX, stackLanes } from './lanes';
import { timedOccurrence } from '../../../testing/samples';

const day = parseDate('2027-03-09');
const occurrence = (key: string, fromMinute: number, minutes: number, calendarId = 'meetings'): Occurrence =>
  timedOccurrence(day, key, fromMinute, minutes, { calendarId });
const meetings = { id: 'meetings', holds: ({ calendarId }: Occurrence) => calendarId === 'meetings' };
const sizes = { hourWidth: 80, cardHeight: 40, gap: 6, least: 26, leastHeight: 20, wholeHeight: 20 };
const occurrences = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 1380 }), fc.integer({ min: 0, max: 300 })), { maxLength: 20 })
  .map((all) =>
    all.map(([from, length], index) => occurrence(`entry ${index}`, from, Math.min(length, 1440 - from))),
  );

const overlapAcross = (a: LaneCard, b: LaneCard) =>
  a.left < b.left + b.width - 1e-6 && b.left < a.left + a.width - 1e-6;
const overlapDown = (a: LaneCard, b: LaneCard) =>
  a.top < b.top + b.height - 1e-6 && b.top < a.top + a.height - 1e-6;

test('stacked or side by side, no card lies over another, none leaves its lane, and none is lost', () => {
  fc.assert(
    fc.property(occurrences, fc.constantFrom('stacked' as const, 'side-by-side' as const), (all, mode) => {
      const hours = laneHours(all, day, { from: 480, to: 1080 });
      const lane = layoutLane(meetings, all, day, hours, mode, sizes);
      expect(lane.cards).toHaveLength(all.length);
      const end = minuteToX(hours, sizes.hourWidth, hours.to);
      for (const card of lane.cards) {
        expect(card.left).toBeGreaterThanOrEqual(0);
        expect(card.left + card.width).toBeLessThanOrEqual(end + 1e-6);
        expect(card.top + card.height).toBeLessThanOrEqual(lane.height + 1e-6);
        for (const other of lane.cards)
          if (card !== other) expect(overlapAcross(card, other) && overlapDown(card, other)).toBe(false);
      }
    }),
  );
});

test('laid over, each card is set down from the one that it covers, so that no tab is hidden', () => {
  fc.assert(
    fc.property(occurrences, (all) => {
      const hours = laneHours(all, day, { from: 480, to: 1080 });
      const lane = layoutLane(meetings, all, day, hours, 'laid-over', sizes);
      for (const card of lane.cards)
        for (const other of lane.cards)
          if (card !== other && overlapAcross(card, other))
            expect(Math.abs(card.top - other.top)).toBeGreaterThanOrEqual(sizes.cardHeight * 0.3 - 1e-6);
    }),
  );
});

test('lanes are the same in whatever order their entries come', () => {
  fc.assert(
    fc.property(occurrences, fc.constantFrom(...LANE_MODES), (all, mode) => {
      const hours = laneHours(all, day, { from: 480, to: 1080 });
      const places = (list: Occurrence[]) =>
        new Map(
          layoutLane(meetings, list, day, hours, mode, sizes).cards.map(({ occurrence: of, ...place }) => [
            of.key,
            place,
          ]),
        );
      expect(places([...all].reverse())).toEqual(places(all));
    }),
  );
});

test('the hours hold the working day and every entry, in whole hours', () => {
  const pattern = { from: 480, to: 1080 };
  expect(laneHours([], day, pattern)).toEqual(pattern);
  expect(laneHours([occurrence('boat', 370, 60), occurrence('talk', 1100, 45)], day, pattern)).toEqual({
    from: 360,
    to: 1200,
  });
  const overnight = { ...occurrence('watch', 1380, 180) };
  expect(laneHours([overnight], day, pattern).to).toBe(1440);
});

test('entries of the whole day take no place across, and other calendars none at all', () => {
  const whole = { ...occurrence('trip', 0, 1440), allDay: true };
  const lane = layoutLane(
    meetings,
    [whole, occurrence('call', 600, 30), occurrence('paint', 600, 60, 'home')],
    day,
    { from: 480, to: 1080 },
    'stacked',
    sizes,
  );
  expect(lane.whole.map(({ key }) => key)).toEqual(['trip']);
  expect(lane.cards.map((card) => card.occurrence.key)).toEqual(['call']);
  expect(lane.cards[0]).toMatchObject({ left: 160, width: 40 });
  expect(stackLanes([lane, lane]).map(({ top }) => top)).toEqual([0, lane.height]);
  expect(whole.end - whole.start).toBe(24 * HOUR);
});

test('of an entry over several days, the first and the last have their hours; a day between is whole', () => {
  const trip = {
    ...occurrence('trip', 0, 0),
    startWall: day * DAY + 15 * HOUR,
    endWall: (day + 3) * DAY + 11 * HOUR,
    start: day * DAY + 15 * HOUR,
    end: (day + 3) * DAY + 11 * HOUR,
  };
  const hours = { from: 480, to: 1080 };
  const on = (shown: number) => layoutLane(meetings, [trip], shown, hours, 'stacked', sizes);
  const [first] = on(day).cards;
  expect(on(day).whole).toEqual([]);
  expect(first!.left).toBe(minuteToX(hours, sizes.hourWidth, 900));
  expect(first!.left + first!.width).toBe(minuteToX(hours, sizes.hourWidth, 1080));
  const [last] = on(day + 3).cards;
  expect(last!.left).toBe(0);
  expect(last!.width).toBe(minuteToX(hours, sizes.hourWidth, 660));
  expect(on(day + 1).whole).toEqual([trip]);
  expect(on(day + 1).cards).toEqual([]);
});

test('side by side, no card is lower than a line of text, however many there are', () => {
  const many = Array.from({ length: 8 }, (_, index) => occurrence(`entry ${index}`, 600, 60));
  const lane = layoutLane(meetings, many, day, { from: 480, to: 1080 }, 'side-by-side', sizes);
  for (const card of lane.cards) expect(card.height).toBeGreaterThanOrEqual(sizes.leastHeight - 1e-6);
});

test('a lane holds what its subject says, whatever that goes by', () => {
  const all = [occurrence('a', 540, 60), occurrence('b', 600, 60, 'desk'), occurrence('c', 660, 30)];
  const early = { id: 'early', holds: ({ startWall }: Occurrence) => startWall < day * DAY + 11 * HOUR };
  const lane = layoutLane(early, all, day, { from: 480, to: 1080 }, 'stacked', sizes);
  expect([lane.id, ...lane.cards.map((card) => card.occurrence.key)]).toEqual(['early', 'a', 'b']);
});
