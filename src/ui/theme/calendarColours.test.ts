import Color from 'color';
import fc from 'fast-check';
import { HUES } from '@/core/model/colour';
import { calendarColours } from './calendarColours';
import { darkColours, lightColours } from './tokens';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const anyColour = fc.oneof(fc.constantFrom(...HUES), hex);

test.each([
  ['light', lightColours],
  ['dark', darkColours],
])(
  'every colour can be read, %s: band 3:1 on card and page, its letters and the ink 4.5:1',
  (_, neutrals) => {
    fc.assert(
      fc.property(anyColour, (colour) => {
        const { band, onBand, tint, ink } = calendarColours(colour, neutrals);
        expect(Color(band).contrast(Color(neutrals.card))).toBeGreaterThanOrEqual(3);
        expect(Color(band).contrast(Color(neutrals.page))).toBeGreaterThanOrEqual(3);
        expect(Color(onBand).contrast(Color(band))).toBeGreaterThanOrEqual(4.5);
        expect(Color(ink).contrast(Color(tint))).toBeGreaterThanOrEqual(4.5);
      }),
    );
  },
);
