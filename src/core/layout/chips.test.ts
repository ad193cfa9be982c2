import fc from 'fast-check';
import { type ChipWidths, fitChips } from './chips';

const chip: ChipWidths = { full: 160, hours: 90, mark: 40 };
const seven = Array<ChipWidths>(7).fill(chip);

test('chips shrink to mark and hours, then to marks, and what is left over stands in the list', () => {
  const at = (room: number) => fitChips(seven, room, 4, 44);
  expect(at(7 * 164 - 4)).toEqual({ level: 'full', shown: 7, hasList: false });
  expect(at(7 * 164 - 5)).toEqual({ level: 'hours', shown: 7, hasList: true });
  expect(at(7 * 94 + 44 - 1)).toEqual({ level: 'mark', shown: 7, hasList: true });
  expect(at(290)).toEqual({ level: 'mark', shown: 5, hasList: true });
  expect(at(0)).toEqual({ level: 'mark', shown: 0, hasList: true });
  expect(fitChips([], 0, 4, 44).hasList).toBe(false);
});

test('what is shown fits, and nothing is left out that would', () => {
  const widths = fc
    .tuple(fc.integer({ min: 20, max: 44 }), fc.nat(60), fc.nat(120))
    .map(([mark, hours, name]): ChipWidths => ({ mark, hours: mark + hours, full: mark + hours + name }));
  fc.assert(
    fc.property(fc.array(widths, { maxLength: 20 }), fc.integer({ min: 60, max: 2000 }), (chips, room) => {
      const { level, shown, hasList } = fitChips(chips, room, 4, 44);
      const used = (count: number) =>
        chips.slice(0, count).reduce((sum, one) => sum + one[level], 4 * Math.max(0, count - 1));
      const list = hasList ? 44 + (shown > 0 ? 4 : 0) : 0;
      expect(used(shown) + list).toBeLessThanOrEqual(room);
      expect(hasList || shown === chips.length).toBe(true);
      if (shown < chips.length) expect(used(shown + 1) + 4 + 44).toBeGreaterThan(room);
    }),
  );
});
