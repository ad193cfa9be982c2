import fc from 'fast-check';
import { DAY, HOUR, MINUTE, parseDate } from '@/core/time/civil';
import {
  calendarOf,
  draftTimes,
  type Held,
  landingAlong,
  moveOf,
  moveTimes,
  type Pickup,
  type Point,
  startOfPress,
} from './drop';

const TUESDAY = parseDate('2027-03-09');
const at = (day: number, hour: number, more: Partial<Point> = {}): Point => ({
  day,
  minute: hour * 60,
  overRibbons: false,
  ...more,
});
const ribbon = (day: number): Point => at(day, 0, { overRibbons: true });
const call: Held = {
  startWall: TUESDAY * DAY + 14 * HOUR,
  endWall: TUESDAY * DAY + 15 * HOUR,
  allDay: false,
  calendarId: 'meetings',
};
const trip: Held = {
  startWall: TUESDAY * DAY,
  endWall: (TUESDAY + 2) * DAY,
  allDay: true,
  calendarId: 'visits',
};
const held = (occurrence: Held, from: Point, kind: Pickup['kind'] = 'move'): Pickup => ({
  kind,
  occurrence,
  at: from,
});
const USUAL = HOUR;
const landing = (picked: Pickup, occurrence: Held, point: Point, step = 15) =>
  moveTimes(picked, occurrence, point, step, USUAL);
const change = (picked: Pickup, occurrence: Held, point: Point) => {
  const where = landing(picked, occurrence, point);
  return moveOf(picked, occurrence, { ...where, calendarId: calendarOf(picked, point) });
};

test('a press means the half hour that it falls into, or the coarser step of the grid', () => {
  expect(startOfPress(at(TUESDAY, 9.9), 15)).toBe(TUESDAY * DAY + 9.5 * HOUR);
  expect(startOfPress(at(TUESDAY, 9.9), 60)).toBe(TUESDAY * DAY + 9 * HOUR);
});

test('a drag over empty time takes it, whichever way it goes, on the day where it began', () => {
  const there = draftTimes(at(TUESDAY, 9), at(TUESDAY + 1, 10.4), 15);
  expect(there).toEqual({
    startWall: TUESDAY * DAY + 9 * HOUR,
    endWall: TUESDAY * DAY + 10.5 * HOUR,
    allDay: false,
  });
  expect(draftTimes(at(TUESDAY, 10.4), at(TUESDAY, 9), 15)).toEqual(there);
  expect(draftTimes(ribbon(TUESDAY + 2), ribbon(TUESDAY), 15)).toEqual({
    startWall: TUESDAY * DAY,
    endWall: (TUESDAY + 3) * DAY,
    allDay: true,
  });
});

test('a moved entry keeps its length and where it was taken hold of', () => {
  const picked = held(call, at(TUESDAY, 14.5));
  expect(change(picked, call, at(TUESDAY + 2, 9.5))).toEqual({ kind: 'shift', by: 2 * DAY - 5 * HOUR });
  expect(change(picked, call, at(TUESDAY, 14.5))).toBeUndefined();
});

test('over another calendar’s column it goes to that calendar, at its time or another', () => {
  const picked = held(call, at(TUESDAY, 14.5, { calendarId: 'meetings' }));
  expect(change(picked, call, at(TUESDAY, 14.5, { calendarId: 'desk' }))).toEqual({
    kind: 'shift',
    by: 0,
    calendarId: 'desk',
  });
});

test('hours become whole days over the ribbons, and whole days hours of the usual length below them', () => {
  expect(change(held(call, at(TUESDAY, 14.5)), call, ribbon(TUESDAY + 1))).toEqual({
    kind: 'to-days',
    day: TUESDAY + 1,
  });
  expect(change(held(trip, ribbon(TUESDAY)), trip, at(TUESDAY + 1, 10))).toEqual({
    kind: 'to-hours',
    wall: (TUESDAY + 1) * DAY + 10 * HOUR,
    length: USUAL,
  });
});

test('a ribbon moves by whole days and stretches by them, and is never shorter than one', () => {
  expect(change(held(trip, ribbon(TUESDAY + 1)), trip, ribbon(TUESDAY + 4))).toEqual({
    kind: 'shift',
    by: 3 * DAY,
  });
  expect(change(held(trip, ribbon(TUESDAY + 1), 'end'), trip, ribbon(TUESDAY + 3))).toEqual({
    kind: 'stretch',
    edge: 'end',
    by: 2 * DAY,
  });
  expect(landing(held(trip, ribbon(TUESDAY), 'start'), trip, ribbon(TUESDAY + 9)).startWall).toBe(
    (TUESDAY + 1) * DAY,
  );
});

test('where a place says a day alone, an entry keeps its time', () => {
  const picked = held(call, at(TUESDAY, 0, { dayOnly: true }));
  expect(change(picked, call, at(TUESDAY + 3, 0, { dayOnly: true }))).toEqual({ kind: 'shift', by: 3 * DAY });
});

test('whatever is dropped where, it lies on the grid, is never empty, and what it shows is what is changed', () => {
  const point = fc.record({
    day: fc.integer({ min: TUESDAY - 3, max: TUESDAY + 3 }),
    minute: fc.integer({ min: 0, max: 1439 }),
    overRibbons: fc.boolean(),
  });
  fc.assert(
    fc.property(
      fc.constantFrom(call, trip),
      fc.constantFrom('move', 'start', 'end' as const),
      point,
      point,
      fc.constantFrom(5, 15, 30, 60),
      (occurrence, kind, from, to, step) => {
        const picked = held(occurrence, { ...from, overRibbons: occurrence.allDay }, kind as Pickup['kind']);
        const where = moveTimes(picked, occurrence, to, step, USUAL);
        expect(where.endWall).toBeGreaterThan(where.startWall);
        if (where.allDay) expect([where.startWall % DAY, where.endWall % DAY]).toEqual([0, 0]);
        else if (kind !== 'end')
          expect(where.startWall % (step * MINUTE) === 0 || where.startWall === occurrence.startWall).toBe(
            true,
          );
        const move = moveOf(picked, occurrence, { ...where, calendarId: occurrence.calendarId });
        if (move?.kind === 'shift') expect(occurrence.startWall + move.by).toBe(where.startWall);
        if (move?.kind === 'stretch')
          expect((move.edge === 'end' ? occurrence.endWall : occurrence.startWall) + move.by).toBe(
            move.edge === 'end' ? where.endWall : where.startWall,
          );
        if (!move)
          expect([where.startWall, where.endWall]).toEqual([occurrence.startWall, occurrence.endWall]);
      },
    ),
    { numRuns: 500 },
  );
});

test('what is selected with the dragged one moves and stretches by as much, and into the same calendar', () => {
  const round: Held = { ...call, startWall: call.startWall - DAY, endWall: call.endWall - DAY + HOUR };
  const moved = {
    ...landing(held(call, at(TUESDAY, 14.5)), call, at(TUESDAY + 2, 16)),
    calendarId: 'meetings',
  };
  expect(landingAlong(call, moved, round)).toEqual({
    startWall: round.startWall + 2 * DAY + 1.5 * HOUR,
    endWall: round.endWall + 2 * DAY + 1.5 * HOUR,
    allDay: false,
    calendarId: 'meetings',
  });
  expect(
    landingAlong(call, { ...moved, calendarId: 'desk' }, { ...round, calendarId: 'visits' }),
  ).toMatchObject({
    calendarId: 'desk',
  });
  expect(landingAlong(call, moved, { ...round, calendarId: 'visits' })).toMatchObject({
    calendarId: 'visits',
  });
  const longer = { ...call, endWall: call.endWall + HOUR };
  expect(landingAlong(call, longer, round)).toMatchObject({
    startWall: round.startWall,
    endWall: round.endWall + HOUR,
  });
});

test('none lies where it would have no time, nor where hours become whole days', () => {
  const short: Held = { ...call, endWall: call.startWall + 30 * MINUTE };
  expect(landingAlong(call, { ...call, endWall: call.endWall - 30 * MINUTE }, short)).toBeUndefined();
  expect(
    landingAlong(call, landing(held(call, at(TUESDAY, 14)), call, ribbon(TUESDAY)), short),
  ).toBeUndefined();
});
