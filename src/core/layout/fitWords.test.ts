import fc from 'fast-check';
import { fitWords } from './fitWords';

/** Ten pixels a letter. */
const measure = (text: string) => text.length * 10;

test('whole words, and none of a word that does not fit', () => {
  expect(fitWords('Gull Point inspection', [60, 120], measure)).toEqual(['Gull', 'Point']);
  expect(fitWords('Gull Point inspection', [110, 120], measure)).toEqual(['Gull Point', 'inspection']);
  expect(fitWords('Crane test, boat shed', [60, 60], measure)).toEqual(['Crane', 'test']);
});

test('a first line too narrow for the first word stays empty; a word wider than every line is cut', () => {
  expect(fitWords('Report periods', [40, 80], measure)).toEqual(['', 'Report']);
  expect(fitWords('Inspection', [60], measure)).toEqual(['Inspe…']);
  expect(fitWords('Inspection', [30], measure)).toEqual(['']);
  expect(fitWords('Inspection', [60], measure, 'whole-only')).toEqual(['']);
});

test('no line is wider than its room', () => {
  fc.assert(
    fc.property(
      fc.lorem({ maxCount: 8 }),
      fc.array(fc.integer({ min: 10, max: 300 }), { minLength: 1, maxLength: 4 }),
      (text, widths) => {
        const lines = fitWords(text, widths, measure);
        lines.forEach((line, index) => expect(measure(line)).toBeLessThanOrEqual(widths[index]!));
        expect(lines.length).toBeLessThanOrEqual(widths.length);
      },
    ),
  );
});
