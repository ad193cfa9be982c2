import { plural } from './plural';

/** The words of period sets as they are made and changed: they come with Setup. */
export const periodWords = {
  about:
    'One rule makes all periods of a year: for reports, accounts or rotas. Weeks, Agenda and Year can show one, Days a short one, and steps then go from period to period.',
  new: 'New period set',
  edit: (name: string) => `Edit ${name}`,
  delete: (name: string) => `Delete ${name}`,
  now: (name: string, range: string) => `Now: ${name}, ${range}`,
  name: 'Name',
  nameMissing: 'Give it a name.',
  kind: 'Rule',
  kinds: {
    '4-4-5': '4-4-5 weeks',
    '4-5-4': '4-5-4 weeks',
    '5-4-4': '5-4-4 weeks',
    '13x4': '13 × 4 weeks',
    weeks: 'Weeks without end',
    months: 'Months',
    quarters: 'Quarters',
    list: 'List of dates',
  },
  weeks: 'Weeks in a period',
  weeksWrong: 'From 1 to 26 weeks.',
  oneBegins: 'One of them begins on',
  yearBegins: 'A year of them begins on',
  dateMissing: 'Pick a date.',
  firstDay: 'Begins on day',
  firstMonth: 'Year begins in',
  list: 'Periods, one a line',
  listHint: 'First and last day, and a name if you like: “2027-03-01 2027-04-04 Spring”',
  listMissing: 'Write or paste at least one period.',
  listProblem: (lines: readonly number[]) =>
    `Line ${lines.slice(0, 5).join(', ')}: no first and last day could be read.`,
  preview: (year: number) => `As they fall in ${year}`,
  yearBefore: 'The year before',
  yearAfter: 'The year after',
  noneInYear: 'No period begins in this year.',
  table: 'Periods of the year',
  column: { name: 'Period', first: 'From', last: 'To', length: 'Length' },
  inWeeks: (count: number) => plural(count, 'week'),
  fault: {
    gap: (range: string, days: number) => `Gap: ${range} (${plural(days, 'day')}) is in no period.`,
    overlap: (range: string, days: number) => `Overlap: ${range} (${plural(days, 'day')}) is in two periods.`,
  },
} as const;
