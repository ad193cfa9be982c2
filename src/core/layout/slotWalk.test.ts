import fc from 'fast-check';
import { walk, type WalkedCard, type WalkStop } from './slotWalk';

const hours = { from: 480, to: 1080, step: 30 };
const card = (key: string, from: number, to: number): WalkedCard => ({ key, from, to });
const said = (stop: WalkStop | undefined): string =>
  !stop
    ? 'nothing'
    : stop.kind === 'head'
      ? `head ${stop.column}`
      : stop.kind === 'card'
        ? stop.key
        : `${stop.column} at ${stop.minute}`;

/** The stops of a walk in one direction, the first one included. */
function way(columns: WalkedCard[][], from: WalkStop, direction: 'up' | 'down', most = 30): string[] {
  const stops: string[] = [];
  let stop: WalkStop | undefined = from;
  while (stop && stops.length < most) {
    stops.push(said(stop));
    stop = walk(columns, stop, direction, hours);
  }
  return stops;
}

test('down a day: cards, and the empty time between them slot by slot', () => {
  const day = [card('round', 540, 600), card('call', 690, 720)];
  const down = way([day], { column: 0, kind: 'head' }, 'down');
  expect(down.slice(0, 9)).toEqual([
    'head 0',
    '0 at 480',
    '0 at 510',
    'round',
    '0 at 600',
    '0 at 630',
    '0 at 660',
    'call',
    '0 at 720',
  ]);
  expect(down.at(-1)).toBe('0 at 1050');
  const up = way([day], { column: 0, kind: 'slot', minute: 720 }, 'up');
  expect(up).toEqual([...down.slice(0, 9)].reverse());
});

test('cards that overlap follow one another before the empty time after them', () => {
  const day = [card('long', 540, 660), card('short', 540, 570), card('next', 660, 690)];
  expect(way([day], { column: 0, kind: 'card', key: 'long' }, 'down').slice(0, 3)).toEqual([
    'long',
    'short',
    'next',
  ]);
});

test('sideways: the same time of the next day, a card if one lies there', () => {
  const columns = [[card('round', 540, 600)], [card('visit', 480, 720)], []];
  const right = (stop: WalkStop) => said(walk(columns, stop, 'right', hours));
  expect(right({ column: 0, kind: 'card', key: 'round' })).toBe('visit');
  expect(right({ column: 1, kind: 'card', key: 'visit' })).toBe('2 at 480');
  expect(right({ column: 0, kind: 'slot', minute: 900 })).toBe('1 at 900');
  expect(right({ column: 2, kind: 'slot', minute: 900 })).toBe('nothing');
  expect(said(walk(columns, { column: 1, kind: 'head' }, 'left', hours))).toBe('head 0');
});

test('whatever the day holds, a walk down meets every card and ends', () => {
  const cards = fc.array(
    fc.record({ from: fc.integer({ min: 480, max: 1050 }), length: fc.integer({ min: 5, max: 300 }) }),
    { maxLength: 8 },
  );
  fc.assert(
    fc.property(cards, (drawn) => {
      const day = drawn
        .map(({ from, length }, index) => card(`card ${index}`, from, Math.min(1080, from + length)))
        .sort((a, b) => a.from - b.from || b.to - a.to);
      const met = way([day], { column: 0, kind: 'head' }, 'down', 200);
      expect(met.length).toBeLessThan(200);
      for (const { key } of day) expect(met).toContain(key);
    }),
  );
});
