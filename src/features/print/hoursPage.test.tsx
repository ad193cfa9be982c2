import fc from 'fast-check';
import { hoursHeight } from '@/core/layout/hours';
import { sheetSize } from '@/core/layout/paper';
import type { Occurrence } from '@/core/schedule/occurrence';
import { parseDate } from '@/core/time/civil';
import { DAY_HEAD, layoutHoursPage } from './hoursPage';
import { timedOccurrence } from '../../../testing/samples';

// Letters of one width: what has room does not hang on the fonts of the machine.
jest.mock('@/ui/measureText', () => ({ measureSmallText: (text: string) => text.length * 7 }));

const day = parseDate('2027-03-09');
const occurrence = (key: string, title: string, from: number, minutes: number): Occurrence =>
  timedOccurrence(day, key, from, minutes, { title });
const page = (occurrences: readonly Occurrence[], days = [day], notes = '') =>
  layoutHoursPage({
    days,
    occurrences,
    hours: { from: 420, to: 1140 },
    sheet: sheetSize('A4', true),
    smallMonths: false,
    notesOf: () => notes,
  });
const week = Array.from({ length: 7 }, (_, at) => day + at);
const keys = (of: readonly Occurrence[]) => of.map(({ key }) => key);

test('eight entries of one hour: as many cards as have room for words, and all of the others in full', () => {
  const boats = Array.from({ length: 8 }, (_, at) => occurrence(`boat ${at}`, `Boat survey ${at}`, 600, 60));
  const { columns, listed } = page(boats, week);
  const [{ cards, crowds, inFull }] = columns as [(typeof columns)[number]];
  expect(cards.length).toBeLessThan(8);
  expect(crowds[0]!.count).toBe(8 - cards.length);
  const said = new Set([...keys(inFull), ...keys(listed)]);
  const shown = new Set(cards.map(({ occurrence: { key } }) => key));
  for (const { key } of boats) expect(shown.has(key) || said.has(key)).toBe(true);
  expect(said.size).toBeGreaterThanOrEqual(8 - cards.length);
});

test('a title that its card has room for is not said twice; one that it cuts is said in full', () => {
  const { columns } = page(
    [
      occurrence('call', 'Rota call', 600, 120),
      occurrence('long', `${'Survey of the lantern and the tower '.repeat(2)}`, 840, 30),
    ],
    week,
  );
  expect(keys(columns[0]!.inFull)).toEqual(['long']);
});

test('notes that have no room are listed on a page of their own', () => {
  const { columns, listed } = page([occurrence('call', 'Rota call', 600, 30)], week, 'line\n'.repeat(40));
  expect(keys(listed)).toEqual(['call']);
  expect(columns[0]!.inFull).toEqual([]);
});

test('whatever a day holds, no entry of the printed hours is lost, and the hours keep within the sheet', () => {
  const entries = fc
    .array(
      fc.record({
        from: fc.integer({ min: 420, max: 1100 }),
        minutes: fc.integer({ min: 5, max: 240 }),
        words: fc.integer({ min: 1, max: 12 }),
      }),
      { maxLength: 30 },
    )
    .map((all) =>
      all.map(({ from, minutes, words }, at) =>
        occurrence(`entry ${at}`, Array.from({ length: words }, () => 'survey').join(' '), from, minutes),
      ),
    );
  fc.assert(
    fc.property(entries, fc.constantFrom(1, 5, 7), (all, count) => {
      const { columns, listed, area, above, scale } = page(all, week.slice(0, count));
      const [first] = columns;
      const shown = first!.cards.map(({ occurrence: { key } }) => key);
      const said = [...keys(first!.inFull), ...keys(listed)];
      expect(new Set([...shown, ...said, ...keys(first!.after), ...keys(first!.before)]).size).toBe(
        all.length,
      );
      const left = first!.crowds.reduce((sum, crowd) => sum + crowd.count, 0);
      expect(said.length).toBeGreaterThanOrEqual(left);
      // None is said in both places.
      expect(new Set(said).size).toBe(said.length);
      if (first!.before.length + first!.after.length === 0)
        expect(DAY_HEAD + above + hoursHeight(scale)).toBeLessThanOrEqual(area.height + 1);
    }),
    { numRuns: 60 },
  );
});
