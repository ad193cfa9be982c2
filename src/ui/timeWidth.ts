import { writesTwelveHours } from './dates';

/** The width of a column of times in body text, in pixels. */
export const timeWidth = (): number => (writesTwelveHours() ? 76 : 52);
