import Color from 'color';
import { Colour, type Hue, HUES } from '../model/colour';
import type { JCalProperty } from '../model/jcal';

/** Our property that says a colour exactly, where COLOR knows only the names of CSS. */
export const COLOUR_PROPERTY = 'x-orderly-week-colour';

/** The name of CSS that other programs are told for each of our hues. */
const CSS_NAMES: Record<Hue, string> = {
  pine: 'seagreen',
  harbour: 'steelblue',
  iris: 'mediumslateblue',
  plum: 'purple',
  rose: 'palevioletred',
  rust: 'firebrick',
  clay: 'sienna',
  amber: 'goldenrod',
  moss: 'olivedrab',
  lagoon: 'darkcyan',
  slate: 'slategray',
  cocoa: 'saddlebrown',
};

const isHue = (colour: string): colour is Hue => (HUES as readonly string[]).includes(colour);

/** COLOR (RFC 7986 5.9) with the nearest name of CSS, and the exact colour beside it. */
export function colourProperties(colour: Colour | undefined): JCalProperty[] {
  if (colour === undefined) return [];
  const name = isHue(colour) ? CSS_NAMES[colour] : Color(colour).keyword();
  return [
    ['color', {}, 'text', name],
    [COLOUR_PROPERTY, {}, 'unknown', colour],
  ];
}

/** The colour that properties say; undefined where they say none that is known. */
export function readColour(properties: readonly JCalProperty[]): Colour | undefined {
  const valueOf = (name: string) => properties.find((property) => property[0] === name)?.[3];
  const exact = Colour.safeParse(String(valueOf(COLOUR_PROPERTY) ?? '').toLowerCase());
  if (exact.success) return exact.data;
  const name = String(valueOf('color') ?? '').trim();
  if (!/^[a-z]+$/i.test(name)) return undefined;
  try {
    return Color(name.toLowerCase()).hex().toLowerCase();
  } catch {
    return undefined;
  }
}
