import type { CheckName, Finding, NoFixReason } from '../finding';

/** What each check is called, and what it looks for. */
export const checksInEnglish: Readonly<Record<CheckName, { readonly name: string; readonly about: string }>> =
  {
    'same-uid': { name: 'There twice', about: 'The same entry, read more than once.' },
    double: { name: 'Doubles', about: 'The same title at the same time.' },
    'organizer-cancelled': {
      name: 'Cancelled by who invited',
      about: 'It is called off, and stands here still.',
    },
    'feed-failing': { name: 'Feeds that can’t be read', about: 'What they show may be old.' },
    'near-double': {
      name: 'Nearly doubles',
      about: 'Titles that are like each other, at nearly the same time.',
    },
    'todo-double': {
      name: 'To-dos there twice',
      about: 'Open, with the same title and due at the same time.',
    },
    'no-title': { name: 'Without a title', about: 'They hold something, but no word of what they are.' },
    empty: { name: 'Never filled', about: 'Put down more than a month ago, and nothing is in them.' },
    midnight: { name: 'From midnight to midnight', about: 'They likely mean whole days.' },
    'zero-length': { name: 'Without a length', about: 'They end as they start.' },
    'wrong-zone': {
      name: 'Perhaps in the wrong zone',
      about: 'At the usual time of their title, but of another zone.',
    },
    'timed-title': { name: 'Whole days with a time', about: 'Their title names a time of day.' },
    'whole-day-title': {
      name: 'Hours called a day',
      about: 'Their title says that they take the whole day.',
    },
    'very-long': { name: 'Very long', about: 'Hours that last three days or more.' },
    endless: { name: 'Series that nobody touches', about: 'Without an end, and not changed for a year.' },
    'todo-time-over': {
      name: 'To-dos whose time is over',
      about: 'All of their times have passed, and they are open still.',
    },
    'todo-overdue': { name: 'Long overdue', about: 'To-dos that were due more than two months ago.' },
    'tentative-past': { name: 'Never settled', about: 'Tentative, and over.' },
    'unanswered-past': { name: 'Never answered', about: 'You were asked, and it is over.' },
    'same-as-series': { name: 'Changed back', about: 'Changed occurrences that are as their series.' },
    'on-day-off': { name: 'On days off', about: 'Occurrences to come that fall on a day off.' },
    overlap: { name: 'At the same time', about: 'Busy time to come that is taken twice.' },
    overbooked: {
      name: 'Too much for a day',
      about: 'Days to come with more booked than there are working hours.',
    },
    'no-break': { name: 'No break', about: 'Three or more in a row over three hours or longer.' },
    'outside-hours': {
      name: 'Outside working hours',
      about: 'To come, in calendars that otherwise keep to them.',
    },
    'no-reminder': { name: 'Without a reminder', about: 'To come, with people or a way there.' },
    'category-spelling': { name: 'Categories in several ways', about: 'Written otherwise than most.' },
    'place-spelling': { name: 'Places in several ways', about: 'Written otherwise than most.' },
    'large-file': { name: 'Large files', about: 'Attached files of a megabyte and more.' },
    'series-over': { name: 'Series that are over', about: 'Nothing of them is left to come, for a year.' },
    'todo-over': { name: 'To-dos that are long over', about: 'Done or called off more than a year ago.' },
    'calendar-empty': { name: 'Empty calendars', about: 'Nothing is in them.' },
    'calendar-hidden': {
      name: 'Calendars hidden for long',
      about: 'Not shown in Plan for a quarter of a year.',
    },
    'calendar-alike': { name: 'Calendars that look alike', about: 'Of the same colour or mark.' },
    'calendar-same': { name: 'Calendars with the same in them', about: 'Most of one is in the other, too.' },
  };

/** Why nothing is proposed. */
export const noFixInEnglish: Readonly<Record<NoFixReason, string>> = {
  'yours-to-say': 'What is meant is yours to say.',
  'in-setup': 'Calendars are changed in Setup.',
  'read-only': 'Its calendar can’t be changed.',
};

/** How what a reason names is written. */
export interface ReasonFormats {
  /** An instant: its day and time. */
  readonly moment: (at: number) => string;
  readonly day: (day: number) => string;
  readonly length: (minutes: number) => string;
  readonly clock: (minute: number) => string;
  readonly size: (bytes: number) => string;
  readonly zone: (zone: string) => string;
}

const times = (count: number, one: string): string => (count === 1 ? one : `${one}s`);
const often = (count: number): string => (count === 2 ? 'twice' : `${count} times`);
const quoted = (text: string | undefined): string =>
  text?.trim() ? `“${text}”` : 'an entry without a title';

type Reason = (details: Finding['details'], formats: ReasonFormats) => string;
const when = (at: number | undefined, { moment }: ReasonFormats): string => moment(at ?? 0);

const spelling: Reason = ({ name, other, count = 1, otherCount = 1 }) =>
  `“${name}” (${count}) is written “${other}” as well (${otherCount}).`;

const REASONS: Readonly<Record<CheckName, Reason>> = {
  'same-uid': ({ name, count = 1 }) => `${quoted(name)} is there ${often(count + 1)} under one UID.`,
  double: ({ name, count = 1, at }, f) => `${quoted(name)} is there ${often(count + 1)}, ${when(at, f)}.`,
  'organizer-cancelled': ({ name, at }, f) => `${quoted(name)}, ${when(at, f)}, was called off.`,
  'feed-failing': ({ name, at }, f) => `${name} can’t be read since ${when(at, f)}.`,
  'near-double': ({ name, other, at }, f) =>
    name === other
      ? `${quoted(name)} is there twice, a little apart, ${when(at, f)}.`
      : `${quoted(name)} and ${quoted(other)} are likely one, ${when(at, f)}.`,
  'todo-double': ({ name, count = 1 }) => `${quoted(name)} is to be done, and is there ${often(count + 1)}.`,
  'no-title': ({ other, at }, f) => `No title, ${when(at, f)}${other ? `, ${other}` : ''}.`,
  empty: ({ at }, f) => `Nothing is in it, ${when(at, f)}.`,
  midnight: ({ name, count = 1 }) =>
    `${quoted(name)} takes ${count} ${times(count, 'day')} from midnight on.`,
  'zero-length': ({ name, at }, f) => `${quoted(name)} has no length, ${when(at, f)}.`,
  'wrong-zone': ({ name, other = '', count, at }, f) =>
    `${quoted(name)}, ${when(at, f)}: ${count} others are at that time of ${f.zone(other)}.`,
  'timed-title': ({ name, minutes = 0 }, f) => `${quoted(name)} takes the day and names ${f.clock(minutes)}.`,
  'whole-day-title': ({ name, at }, f) => `${quoted(name)} takes hours, ${when(at, f)}.`,
  'very-long': ({ name, minutes = 0 }, f) => `${quoted(name)} lasts ${f.length(minutes)}.`,
  endless: ({ name, at }, f) => `${quoted(name)} goes on without an end, untouched since ${when(at, f)}.`,
  'todo-time-over': ({ name, at }, f) => `${quoted(name)} is open, and its last time was ${when(at, f)}.`,
  'todo-overdue': ({ name, at }, f) => `${quoted(name)} was due ${when(at, f)}.`,
  'tentative-past': ({ name, at }, f) => `${quoted(name)} was tentative to the last, ${when(at, f)}.`,
  'unanswered-past': ({ name, at }, f) => `${quoted(name)}, ${when(at, f)}, was not answered.`,
  'same-as-series': ({ name, at }, f) => `${quoted(name)}, ${when(at, f)}, is as its series has it.`,
  'on-day-off': ({ name, other, at }, f) => `${quoted(name)}, ${when(at, f)}, falls on ${other}.`,
  overlap: ({ name, other, minutes = 0, count = 1, at }, f) =>
    `${quoted(name)} and ${quoted(other)}: ${f.length(minutes)} lost${count > 1 ? ` over ${count} times, first` : ','} ${when(at, f)}.`,
  overbooked: ({ day = 0, minutes = 0, count = 0 }, f) =>
    `${f.day(day)}: ${f.length(minutes)} more than there is, in ${count} ${count === 1 ? 'entry' : 'entries'}.`,
  'no-break': ({ name, other, count, minutes = 0, at }, f) =>
    `${count} in a row from ${quoted(name)} to ${quoted(other)}: ${f.length(minutes)}, ${when(at, f)}.`,
  'outside-hours': ({ name, count = 1, at }, f) =>
    `${quoted(name)}, ${when(at, f)}${count > 1 ? `, and ${count - 1} more` : ''}.`,
  'no-reminder': ({ name, at }, f) => `${quoted(name)}, ${when(at, f)}, comes without a word.`,
  'category-spelling': spelling,
  'place-spelling': spelling,
  'large-file': ({ name, bytes = 0, count = 1 }, f) =>
    `${quoted(name)} bears ${count} ${times(count, 'file')} of ${f.size(bytes)}.`,
  'series-over': ({ name, day = 0 }, f) => `${quoted(name)} was last on ${f.day(day)}.`,
  'todo-over': ({ name, at }, f) => `${quoted(name)} is over since ${when(at, f)}.`,
  'calendar-empty': ({ name }) => `${name} is empty.`,
  'calendar-hidden': ({ name, at }, f) => `${name} has been hidden since ${when(at, f)}.`,
  'calendar-alike': ({ name, other }) => `${name} and ${other} look alike.`,
  'calendar-same': ({ name, other, count }) => `${name} and ${other} share ${count} entries.`,
};

/** Why something is a finding, in words. */
export const reasonInEnglish = (
  { check, details }: Pick<Finding, 'check' | 'details'>,
  formats: ReasonFormats,
): string => REASONS[check](details, formats);
