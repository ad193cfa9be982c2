import fc from 'fast-check';
import { HOUR, MINUTE } from '../time/civil';
import { placeTodos, type Piece, type PlacingOptions, type Work } from './placeTodos';

const at = (hours: number): number => hours * HOUR;
const free = (...spans: [number, number][]) =>
  spans.map(([start, end]) => ({ start: at(start), end: at(end) }));
const options = (spans: [number, number][], more: Partial<PlacingOptions> = {}): PlacingOptions => ({
  free: free(...spans),
  shortest: 30,
  withLate: false,
  ...more,
});
const work = (key: string, minutes: number, fields: Partial<Work> = {}): Work => ({
  key,
  minutes,
  from: -Infinity,
  due: Infinity,
  rank: 0,
  ...fields,
});
const said = ({ key, start, end, isLate }: Piece): string =>
  `${key} ${start / HOUR}–${end / HOUR}${isLate ? ' late' : ''}`;

test('what is due first comes first, then what is more important', () => {
  const { pieces, left } = placeTodos(
    [
      work('low', 60, { due: at(20), rank: 2 }),
      work('high', 60, { due: at(20), rank: 0 }),
      work('soon', 60, { due: at(12), rank: 3 }),
    ],
    options([
      [9, 11],
      [13, 15],
    ]),
  );
  expect(pieces.map(said)).toEqual(['soon 9–10', 'high 10–11', 'low 13–14']);
  expect(left).toEqual([]);
});

test('one that is long stands whole where a gap holds it, and is parted only where nothing else helps', () => {
  const gaps: [number, number][] = [
    [9, 10],
    [11, 14],
  ];
  expect(placeTodos([work('report', 150)], options(gaps)).pieces.map(said)).toEqual(['report 11–13.5']);
  expect(placeTodos([work('report', 225)], options(gaps)).pieces.map(said)).toEqual([
    'report 9–10',
    'report 11–13.75',
  ]);
  // No part is shorter than the shortest: ten minutes are not left over for the second gap.
  expect(
    placeTodos(
      [work('report', 70)],
      options([
        [9, 10],
        [11, 11.5],
      ]),
    ).pieces.map(said),
  ).toEqual(['report 9–9.666666666666666', 'report 11–11.5']);
});

test('nothing comes after it is due unless that is said, and what finds no time is told with its reason', () => {
  const works = [work('claim', 60, { due: at(9.5) }), work('endless', 600, { due: at(30) })];
  const { pieces, left } = placeTodos(works, options([[9, 12]]));
  expect(pieces.map(said)).toEqual(['claim 9–9.5', 'endless 9.5–12']);
  expect(left).toEqual([
    { key: 'claim', minutes: 30, why: 'only-late' },
    { key: 'endless', minutes: 450, why: 'no-room' },
  ]);
  expect(placeTodos([work('claim', 60, { due: at(9) })], options([[9, 12]], { withLate: true }))).toEqual({
    pieces: [{ key: 'claim', start: at(9), end: at(10), isLate: true }],
    left: [],
  });
});

const gaps = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 24 })), { maxLength: 12 })
  .map((lengths) => {
    let end = 0;
    return lengths.map(([pause, length]) => {
      const start = end + pause * 5 * MINUTE + 5 * MINUTE;
      end = start + length * 15 * MINUTE;
      return { start, end };
    });
  });
const works = fc.array(
  fc.record({
    minutes: fc.integer({ min: 1, max: 40 }).map((quarters) => quarters * 15),
    from: fc.option(fc.integer({ min: 0, max: 30 }).map(at), { nil: -Infinity }),
    due: fc.option(fc.integer({ min: 0, max: 40 }).map(at), { nil: Infinity }),
    rank: fc.integer({ min: 0, max: 3 }),
  }),
  { maxLength: 10 },
);

test('whatever the gaps and the to-dos: nothing lies over anything, and every minute is placed or told', () => {
  fc.assert(
    fc.property(gaps, works, fc.boolean(), fc.constantFrom(15, 30, 60), (spans, all, withLate, shortest) => {
      const named = all.map((each, index) => ({ ...each, key: `${index}` }));
      const { pieces, left } = placeTodos(named, { free: spans, withLate, shortest });
      pieces.forEach((piece, index) => {
        expect(spans.some(({ start, end }) => start <= piece.start && piece.end <= end)).toBe(true);
        if (index > 0) expect(piece.start).toBeGreaterThanOrEqual(pieces[index - 1]!.end);
        const own = named.find(({ key }) => key === piece.key)!;
        expect(piece.start).toBeGreaterThanOrEqual(own.from);
        expect(piece.isLate).toBe(piece.end > own.due);
        if (!withLate) expect(piece.isLate).toBe(false);
        expect(piece.end - piece.start).toBeGreaterThanOrEqual(Math.min(shortest, own.minutes) * MINUTE);
      });
      for (const { key, minutes } of named) {
        const placed = pieces.filter((piece) => piece.key === key);
        const sum = placed.reduce((total, { start, end }) => total + (end - start) / MINUTE, 0);
        expect(sum + (left.find((each) => each.key === key)?.minutes ?? 0)).toBeCloseTo(minutes, 6);
      }
    }),
  );
});

test('one to-do finds all its time wherever gaps before its due time hold so much', () => {
  fc.assert(
    fc.property(gaps, fc.integer({ min: 2, max: 60 }), (spans, quarters) => {
      const minutes = quarters * 15;
      // In parts as long as the shortest any gap of quarters can be filled.
      const room = spans.reduce((sum, { start, end }) => sum + (end - start) / MINUTE, 0);
      const { left } = placeTodos([work('one', minutes)], { free: spans, withLate: false, shortest: 15 });
      expect(left.length === 0).toBe(room >= minutes);
    }),
  );
});
