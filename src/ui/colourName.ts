import { type Colour, type Hue, HUES } from '@/core/model/colour';
import { words } from '@/ui/words';

const isHue = (colour: Colour): colour is Hue => HUES.some((hue) => hue === colour);

/** What a colour is called: one of the twelve by its name. */
export const colourName = (colour: Colour): string => (isHue(colour) ? words.hues[colour] : colour);
