import fc from 'fast-check';
import { DAY, HOUR, MINUTE, parseDate } from '../time/civil';
import type { Occurrence } from '../schedule/occurrence';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { type Extent, layoutColumns } from './columns';
import {
  hoursHeight,
  layoutDay,
  minuteToY,
  snapMinute,
  yToMinute,
  type HoursScale,
  foldsOver,
} from './hours';
import { layoutRibbons } from './ribbons';
import { shownDays, stepRange } from './viewDescriptors';

const extents = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 1, max: 25 })), { maxLength: 24 })
  .map((pairs) =>
    pairs.map(([start, length], index): Extent => ({ key: `k${index}`, start, end: start + length })),
  );

const overlaps = (a: Extent, b: Extent) => a.start < b.end && b.start < a.end;

describe('overlapping entries', () => {
  test('never lie over one another, stay inside, and none is lost', () => {
    fc.assert(
      fc.property(extents, (items) => {
        const placed = layoutColumns(items);
        expect(placed.size).toBe(items.length);
        for (const a of items) {
          const at = placed.get(a.key)!;
          expect(at.width).toBeGreaterThan(0.0001);
          expect(at.left).toBeGreaterThanOrEqual(-1e-9);
          expect(at.left + at.width).toBeLessThanOrEqual(1 + 1e-9);
          for (const b of items) {
            if (a.key >= b.key || !overlaps(a, b)) continue;
            const other = placed.get(b.key)!;
            const apart =
              at.left + at.width <= other.left + 1e-9 || other.left + other.width <= at.left + 1e-9;
            expect({ apart, a, b }).toEqual({ apart: true, a, b });
          }
        }
      }),
    );
  });

  test('lie the same whatever order they come in', () => {
    fc.assert(
      fc.property(extents, (items) => {
        const again = layoutColumns([...items].reverse());
        for (const [key, placement] of layoutColumns(items)) expect(again.get(key)).toEqual(placement);
      }),
    );
  });

  test('fill the width: whatever moment is looked at, no one could be wider without another being narrower', () => {
    fc.assert(
      fc.property(extents, (items) => {
        const placed = layoutColumns(items);
        for (const item of items) {
          const at = placed.get(item.key)!;
          const beside = items
            .filter((other) => other.key !== item.key && overlaps(item, other))
            .map((other) => placed.get(other.key)!);
          const leftEdge = Math.max(
            0,
            ...beside.filter((other) => other.left < at.left).map((other) => other.left + other.width),
          );
          const rightEdge = Math.min(
            1,
            ...beside.filter((other) => other.left > at.left).map((other) => other.left),
          );
          expect(at.left - leftEdge).toBeCloseTo(0, 6);
          expect(rightEdge - at.left - at.width).toBeCloseTo(0, 6);
        }
      }),
    );
  });

  test('share evenly: two over a third of three get half of what is left each', () => {
    const widths = layoutColumns([
      { key: 'a', start: 0, end: 10 },
      { key: 'b', start: 0, end: 4 },
      { key: 'c', start: 0, end: 4 },
      { key: 'd', start: 6, end: 10 },
    ]);
    expect(widths.get('a')!.width).toBeCloseTo(1 / 3);
    expect(widths.get('b')!.width).toBeCloseTo(1 / 3);
    expect(widths.get('d')!).toEqual({ left: expect.closeTo(1 / 3), width: expect.closeTo(2 / 3) });
  });

  test('hundreds at once are still placed side by side', () => {
    const many = Array.from({ length: 300 }, (_, index) => ({ key: `k${index}`, start: 0, end: 10 }));
    expect(new Set([...layoutColumns(many).values()].map(({ left }) => left)).size).toBe(300);
  });
});

const day = parseDate('2027-03-09');
function occurrence(fields: Partial<Occurrence> & { from: number; to: number }): Occurrence {
  const { from, to, ...rest } = fields;
  const startWall = day * DAY + from * MINUTE;
  const endWall = day * DAY + to * MINUTE;
  return {
    key: `${from}-${to}`,
    entryId: 'e',
    calendarId: 'meetings',
    title: 'Lens invoices',
    location: '',
    start: startWall,
    end: endWall,
    startWall,
    endWall,
    allDay: false,
    availability: 'busy',
    classification: 'public',
    status: 'confirmed',
    recurring: false,
    changed: false,
    reminds: false,
    ...rest,
  };
}

const scale: HoursScale = {
  from: 480,
  to: 1080,
  foldedBefore: true,
  foldedAfter: true,
  hourHeight: 48,
  foldHeight: 28,
};

describe('the hours of a day', () => {
  test('a minute and its pixel agree over the open hours', () => {
    fc.assert(
      fc.property(fc.integer({ min: 480, max: 1080 }), (minute) => {
        expect(yToMinute(scale, minuteToY(scale, minute))).toBeCloseTo(minute);
      }),
    );
    expect(hoursHeight(scale)).toBe(28 + 10 * 48 + 28);
    expect(snapMinute(607, 15)).toBe(600);
  });

  test('folds count what they hide and cut what reaches into them', () => {
    const layout = layoutDay(
      [
        occurrence({ from: 300, to: 360 }),
        occurrence({ from: 420, to: 540 }),
        occurrence({ from: 1200, to: 1260 }),
        occurrence({ from: 1020, to: 1140 }),
      ],
      day,
      scale,
    );
    expect(layout.hiddenBefore).toBe(1);
    expect(layout.hiddenAfter).toBe(1);
    expect(layout.cards.map(({ top, height }) => [top, height])).toEqual([
      [28, 48],
      [28 + 9 * 48, 48],
    ]);
  });

  test('a time is hidden by the fold that it lies in whole, and by none where it reaches out of it', () => {
    const hidden = (from: number, to: number) =>
      foldsOver(scale, { startWall: from * HOUR, endWall: to * HOUR, allDay: false });
    expect(hidden(6, 7)).toEqual({ before: true, after: false });
    expect(hidden(6, scale.from / 60)).toEqual({ before: true, after: false });
    expect(hidden(6, scale.from / 60 + 1)).toEqual({ before: false, after: false });
    expect(hidden(scale.to / 60, 23)).toEqual({ before: false, after: true });
    expect(hidden(scale.to / 60 - 1, 23)).toEqual({ before: false, after: false });
    // Over midnight it begins in the evening's.
    expect(hidden(23, 25)).toEqual({ before: false, after: true });
    expect(foldsOver(scale, { startWall: 0, endWall: DAY, allDay: true })).toEqual({
      before: false,
      after: false,
    });
  });
  test('an entry over midnight has a card on both days', () => {
    const night = occurrence({ from: 22 * 60, to: 26 * 60 });
    const open = { ...scale, foldedBefore: false, foldedAfter: false };
    expect(layoutDay([night], day, open).cards[0]).toMatchObject({
      from: 1320,
      to: 1440,
      continuesAfter: true,
    });
    expect(layoutDay([night], day + 1, open).cards[0]).toMatchObject({
      from: 0,
      to: 120,
      continuesBefore: true,
    });
    expect(layoutDay([night], day + 2, open).cards).toEqual([]);
  });

  test('a five-minute entry keeps a readable height and is not drawn over', () => {
    const { cards } = layoutDay(
      [occurrence({ from: 540, to: 545 }), occurrence({ from: 550, to: 600 })],
      day,
      scale,
    );
    expect(cards[0]!.height).toBe(20);
    expect(cards[0]!.across.width + cards[1]!.across.width).toBeCloseTo(1);
  });
});

describe('ribbons', () => {
  const allDay = (key: string, first: number, count: number) =>
    occurrence({
      key,
      allDay: true,
      from: first * 1440,
      to: (first + count) * 1440,
      start: (day + first) * DAY,
      end: (day + first + count) * DAY,
    });
  test('share rows only where they do not meet, and say that they go on', () => {
    const ribbons = layoutRibbons(
      [allDay('trip', -1, 3), allDay('claim', 1, 1), allDay('feast', 2, 9)],
      [day, day + 1, day + 2],
    );
    expect(
      ribbons.map(({ occurrence: { key }, row, from, to, continuesBefore, continuesAfter }) => [
        key,
        row,
        from,
        to,
        continuesBefore,
        continuesAfter,
      ]),
    ).toEqual([
      ['trip', 0, 0, 2, true, false],
      ['claim', 1, 1, 2, false, false],
      ['feast', 0, 2, 3, false, true],
    ]);
  });
  test('end on the day before when the view leaves the weekend out', () => {
    const friday = parseDate('2027-03-12');
    const [ribbon] = layoutRibbons([allDay('trip', 3, 2)], [friday - 1, friday]);
    expect(ribbon).toMatchObject({ from: 1, to: 2, continuesAfter: true });
  });
});

test('views show their days, and steps keep the weekday', () => {
  const tuesday = { view: 'workdays' as const, day, dayCount: 3, weekCount: 4 as const, weekends: true };
  const habits = { workingPattern: standardWorkingPattern, weekStart: 1 };
  expect(shownDays(tuesday, habits).map((shown) => shown - day)).toEqual([-1, 0, 1, 2, 3]);
  expect(shownDays({ ...tuesday, view: 'week' }, habits)).toHaveLength(7);
  expect(shownDays({ ...tuesday, view: 'week' }, { ...habits, weekStart: 7 })[0]).toBe(day - 2);
  expect(stepRange(tuesday, 1, habits).day).toBe(day + 7);
  expect(stepRange({ ...tuesday, view: 'days' }, -1, habits).day).toBe(day - 3);
  expect(stepRange({ ...tuesday, view: 'day' }, 1, habits).day * DAY).toBe(day * DAY + DAY);
});
