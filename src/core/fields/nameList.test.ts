import fc from 'fast-check';
import { namesIn, namesText } from './nameList';

it('reads names apart by commas, semicolons and lines, each once', () => {
  expect(namesIn(' Lens, Boat;Rota\nLens ,, ')).toEqual(['Lens', 'Boat', 'Rota']);
  expect(namesIn('  ')).toEqual([]);
});

it('keeps a name with a comma whole when it is known or in quotes', () => {
  expect(namesIn('Boat, Sales, North, Lens', ['Sales, North'])).toEqual(['Boat', 'Sales, North', 'Lens']);
  expect(namesIn('"Sales, North"; Lens')).toEqual(['Sales, North', 'Lens']);
  expect(namesIn('Sales, Northern', ['Sales, North'])).toEqual(['Sales', 'Northern']);
});

it('takes a quote that is never closed as it stands', () => {
  expect(namesIn('"Lens, Boat')).toEqual(['"Lens', 'Boat']);
  expect(namesIn('12" pipe, Boat')).toEqual(['12" pipe', 'Boat']);
});

it('reads back whatever names were written', () => {
  const name = fc
    .string({ unit: fc.constantFrom(...'ab ,;"\n') })
    .map((text) => text.trim())
    .filter((text) => text !== '');
  fc.assert(
    fc.property(
      fc.uniqueArray(name, { maxLength: 6 }),
      fc.constantFrom(',' as const, ';' as const),
      (names, by) => {
        expect(namesIn(namesText(names, by))).toEqual(names);
      },
    ),
  );
});
