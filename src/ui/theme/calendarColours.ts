import Color from 'color';
import type { NeutralColours } from './tokens';

/** The twelve named hues, as the colour that each is generated from. */
const HUE_BASES: Record<string, string> = {
  pine: '#1E6B57',
  harbour: '#2B5BA8',
  iris: '#5A4FB5',
  plum: '#7A489F',
  rose: '#B03560',
  rust: '#A84B2A',
  clay: '#8F5B45',
  amber: '#8A6A00',
  moss: '#5A7328',
  lagoon: '#0F7285',
  slate: '#55657A',
  cocoa: '#6B4A3A',
};

/** The three tones of a calendar's colour. */
export interface CalendarColours {
  /** The index tab: at least 3:1 against card and page, with a text of 4.5:1 on it. */
  readonly band: string;
  readonly onBand: string;
  /** The card's fill. */
  readonly tint: string;
  /** Text on the tint: at least 4.5:1. */
  readonly ink: string;
}

/** Moves a colour towards another in small steps until a condition holds. */
function towards(colour: Color, goal: Color, isEnough: (colour: Color) => boolean): Color {
  let found = colour;
  for (let step = 1; step <= 25 && !isEnough(found); step++) found = colour.mix(goal, step / 25);
  return found;
}

const cache = new Map<string, CalendarColours>();

/** The tones of a named hue or of any other colour (`#rrggbb`), for a light or dark scheme. */
export function calendarColours(colour: string, neutrals: NeutralColours): CalendarColours {
  const key = `${colour}/${neutrals.page}`;
  const known = cache.get(key);
  if (known) return known;
  const base = Color(HUE_BASES[colour] ?? colour);
  const ink = Color(neutrals.ink);
  const card = Color(neutrals.card);
  const page = Color(neutrals.page);
  const isLight = card.isLight();
  // Whole numbers, as they are shown: a rounded tone may just miss what the exact one met.
  const band = Color(
    towards(base, ink, (tone) => tone.contrast(card) >= 3.2 && tone.contrast(page) >= 3.2).hex(),
  );
  const tint = isLight ? card.mix(base.saturate(0.4).lighten(0.5), 0.22) : card.mix(base, 0.3);
  const tones = {
    band: band.hex(),
    onBand: band.contrast(Color('#FFFFFF')) >= 4.5 ? '#FFFFFF' : '#000000',
    tint: tint.hex(),
    ink: towards(
      isLight ? base.darken(0.25) : base.lighten(0.8),
      ink,
      (tone) => tone.contrast(tint) >= 5,
    ).hex(),
  };
  cache.set(key, tones);
  return tones;
}
