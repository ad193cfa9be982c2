import { plural } from './plural';

/** The words of saving entries to a file: they come with the sheet that does so. */
export const exportingWords = {
  title: 'Save as file',
  form: 'As',
  forms: { ics: 'Calendar file (.ics)', csv: 'Table (.csv)' },
  which: 'Entries of',
  all: 'All calendars',
  filtered: (text: string) => `Only what the filter of Plan shows (${text})`,
  range: 'Only a range of days',
  from: 'From',
  to: 'To',
  rangeHint: 'A series that touches the range is saved whole.',
  found: (count: number) => plural(count, 'entry', 'entries'),
  withFiles: 'With the attached files',
  go: 'Save',
  rangeWrong: 'The last day is before the first.',
  formHint: 'A table holds titles, times, places, notes and rules; a calendar file holds everything.',
} as const;
