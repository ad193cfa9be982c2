/** The months in English, January first, in small letters. */
export const MONTH_NAMES = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
] as const;

/** The first three letters of each. */
export const SHORT_MONTH_NAMES: readonly string[] = MONTH_NAMES.map((name) => name.slice(0, 3));
