/** Calendar systems that can stand in the day heads beside the Gregorian one, by their Unicode CLDR names. */
export const SECOND_CALENDAR_SYSTEMS = [
  'hebrew',
  'islamic-umalqura',
  'islamic-civil',
  'chinese',
  'dangi',
  'persian',
  'indian',
  'coptic',
  'ethiopic',
  'buddhist',
  'japanese',
  'roc',
] as const;
