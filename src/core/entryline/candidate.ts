import type { Availability, Classification } from '../model/entry';
import type { Reminder } from '../model/reminder';
import type { RepeatSaid } from './repeatSaid';

/** What can be said once; no two parts of a reading say the same. */
export const SLOTS = [
  'day',
  'time',
  'length',
  'lastDay',
  'dayPart',
  'repeat',
  'repeatEnd',
  'except',
  'zone',
  'place',
  'calendar',
  'availability',
  'visibility',
  'link',
] as const;
export type Slot = (typeof SLOTS)[number];

/** A time of day: minutes since midnight, and whether the half of the day is said too. */
export interface TimeSaid {
  readonly minute: number;
  readonly isSure: boolean;
}

/** One way to understand what can be understood in two ways: the habit that it follows, and the choices by name. */
export interface Doubt {
  readonly pattern: string;
  /** The one that is taken first stands first. */
  readonly choices: readonly string[];
}

/** Somebody who is invited: by whose name, and whether they need not come. */
export interface GuestSaid {
  readonly personId: string;
  readonly name: string;
  readonly isOptional: boolean;
}

/** What parts say; a reading is the sum of its parts. Days are day numbers, lengths milliseconds. */
export interface Said {
  readonly day?: number;
  /** The last day of a range of days. */
  readonly lastDay?: number;
  /** Whether it goes on through the days to the last one, rather than happening on each. */
  readonly isThrough?: boolean;
  /** A weekday alone: today counts, unless its time is over. */
  readonly isWeekday?: boolean;
  readonly time?: TimeSaid;
  readonly endTime?: TimeSaid;
  readonly length?: number;
  readonly hasWholeDays?: boolean;
  readonly isAllDay?: boolean;
  readonly half?: 'am' | 'pm';
  /** Where a part of the day begins, in minutes. */
  readonly partFrom?: number;
  readonly repeat?: RepeatSaid;
  readonly until?: number;
  readonly count?: number;
  /** How long a repeat goes on, in days; for months and years, in months. */
  readonly goesOn?: { readonly days: number } | { readonly months: number };
  readonly exceptWeekdays?: readonly number[];
  readonly exceptMonths?: readonly number[];
  readonly exceptDays?: readonly number[];
  readonly zone?: string;
  /** Where the words of a place stand in the line that is read, half-open. */
  readonly placeAt?: readonly [number, number];
  readonly calendarId?: string;
  readonly category?: string;
  readonly availability?: Availability;
  readonly classification?: Classification;
  readonly reminder?: Reminder;
  readonly hasNoReminder?: boolean;
  readonly url?: string;
  readonly guests?: readonly GuestSaid[];
}

/** What is wrong with a part as it is written; it stays in the title. */
export type LineProblem =
  | { readonly code: 'no-such-date'; readonly text: string }
  | { readonly code: 'no-such-time'; readonly text: string }
  | { readonly code: 'weekday-differs'; readonly text: string; readonly weekday: number };

/** A part that the text may say, half-open; nothing is decided by it. */
export interface Candidate {
  readonly from: number;
  readonly to: number;
  /** How likely it is meant, the higher the more. */
  readonly score: number;
  readonly slots: readonly Slot[];
  readonly said: Said;
  readonly doubt?: Doubt;
  readonly problem?: LineProblem;
  /** Whether it stays in the title: it only says what is wrong with it. */
  readonly isTitle?: boolean;
}

/** A regular expression for whole words. */
export const wholeWords = (source: string): RegExp =>
  new RegExp(String.raw`(?<![\p{L}\p{N}_])(?:${source})(?![\p{L}\p{N}_])`, 'giu');

/** A source without its capturing groups, to stand within another. */
export const uncaptured = (source: string): string =>
  source.replaceAll(/(?<!\\)\((?!\?)/g, '(?:').replaceAll(/\(\?<(?![=!])\w+>/g, '(?:');

/** A source for any of some words, the longest first. */
export const anyOf = (words: readonly string[]): string =>
  `(?:${[...words]
    .sort((a, b) => b.length - a.length)
    .map((word) => word.replaceAll(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`).replaceAll(' ', String.raw`\s+`))
    .join('|')})`;

/** All matches of an expression, those that overlap too. */
export function* allMatches(expression: RegExp, text: string): Generator<RegExpExecArray> {
  expression.lastIndex = 0;
  for (let match = expression.exec(text); match; match = expression.exec(text)) {
    yield match;
    expression.lastIndex = match.index + 1;
  }
}

/** Spaces of a text folded, small letters: a word as the table has it. */
export const asWord = (text: string): string => text.toLowerCase().replaceAll(/\s+/g, ' ').trim();
