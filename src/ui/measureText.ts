import { fontFamilies, fontSizes } from './theme/tokens';

const widths = new Map<string, number>();
let context: CanvasRenderingContext2D | null | undefined;

type TextWeight = '400' | '500' | '700';

/** The width of a text of the smallest size in pixels, measured once for each text and weight. */
export const measureSmallText = (text: string, weight: TextWeight): number =>
  measureText(text, weight, fontSizes.small);

/** The width of a text in pixels, measured once for each text, weight and size. */
export function measureText(text: string, weight: TextWeight, size: number): number {
  const key = `${weight} ${size} ${text}`;
  const known = widths.get(key);
  if (known !== undefined) return known;
  context ??= document.createElement('canvas').getContext('2d');
  if (!context) return text.length * 7;
  context.font = `${weight} ${size}px '${fontFamilies.text}', ${fontFamilies.fallback}`;
  const width = context.measureText(text).width;
  widths.set(key, width);
  return width;
}

/** Forgets what was measured: with the fonts loaded, widths are others. */
export const forgetTextWidths = (): void => widths.clear();
