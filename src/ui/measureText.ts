import { fontFamilies, fontSizes } from './theme/tokens';

const widths = new Map<string, number>();
let context: CanvasRenderingContext2D | null | undefined;

/** The width of a text of the smallest size in pixels, measured once for each text and weight. */
export function measureSmallText(text: string, weight: '400' | '700'): number {
  const key = weight + text;
  const known = widths.get(key);
  if (known !== undefined) return known;
  context ??= document.createElement('canvas').getContext('2d');
  if (!context) return text.length * 7;
  context.font = `${weight} ${fontSizes.small}px '${fontFamilies.text}', ${fontFamilies.fallback}`;
  const width = context.measureText(text).width;
  widths.set(key, width);
  return width;
}

/** Forgets what was measured: with the fonts loaded, widths are others. */
export const forgetTextWidths = (): void => widths.clear();
