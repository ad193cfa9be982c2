/** Pixels of the lanes' heads, wide and on a phone; of an hour at the least; of a card and what is between. */
export const HEAD_WIDTH = 150;
export const NARROW_HEAD_WIDTH = 64;
export const LEAST_HOUR = 72;
export const CARD = 44;
export const GAP = 7;
export const LEAST_CARD = 26;
/** Of a card among others that share the lane's height, and of an entry of the whole day under them. */
export const LEAST_HEIGHT = 22;
export const WHOLE = 21;
