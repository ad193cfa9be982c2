import { anyOf, asWord } from './candidate';
import { ENGLISH } from './language';

// The sources of expressions for the words of the language, and what each word means.

export const WEEKDAY = anyOf(ENGLISH.weekdays.flat());
export const MONTH = String.raw`${anyOf(ENGLISH.months.flat())}\.?`;
export const NUMBER = String.raw`(?:\d{1,3}|${anyOf(Object.keys(ENGLISH.numbers))})`;
export const ORDINAL = anyOf(Object.keys(ENGLISH.ordinals));
export const NTH_SUFFIX = '(?:st|nd|rd|th)';
export const NEAR = anyOf(Object.keys(ENGLISH.near));
export const DAY_PART = anyOf(Object.keys(ENGLISH.dayParts));

const placeIn = (names: readonly (readonly string[])[], word: string): number =>
  names.findIndex((forms) => forms.includes(asWord(word).replace(/\.$/, ''))) + 1;

/** The ISO weekday of a word; 0 for none. */
export const weekdayNamed = (word: string): number => placeIn(ENGLISH.weekdays, word);
/** The month of a word, from 1; 0 for none. */
export const monthNamed = (word: string): number => placeIn(ENGLISH.months, word);
export const numberNamed = (word: string): number => ENGLISH.numbers[asWord(word)] ?? Number(word);
export const ordinalNamed = (word: string): number =>
  ENGLISH.ordinals[asWord(word)] ?? Number.parseInt(word, 10);

/** All weekdays that a text names, ascending, each once. */
export const weekdaysNamed = (text: string): number[] =>
  [...new Set([...text.matchAll(/\p{L}+/gu)].map(([word]) => weekdayNamed(word)).filter(Boolean))].sort(
    (a, b) => a - b,
  );
/** All months that a text names, ascending, each once. */
export const monthsNamed = (text: string): number[] =>
  [...new Set([...text.matchAll(/\p{L}+/gu)].map(([word]) => monthNamed(word)).filter(Boolean))].sort(
    (a, b) => a - b,
  );

export const AND = String.raw`(?:\s*,\s*(?:and\s+)?|\s+and\s+|\s*&\s*|\s*\+\s*|\s*/\s*)`;
export const WEEKDAYS = String.raw`${WEEKDAY}(?:${AND}(?:on\s+)?${WEEKDAY}){0,6}`;
export const MONTHS = String.raw`${MONTH}(?:${AND}${MONTH}){0,11}`;
export const DAYS_OF_MONTH = String.raw`\d{1,2}${NTH_SUFFIX}(?:${AND}(?:the\s+)?\d{1,2}${NTH_SUFFIX}){0,9}`;
