import type { BatchStep } from '../../model/batchStep';
import type { Colour } from '../../model/colour';
import type { WorkingPattern } from '../../model/settings';

/** What is looked for, the weightiest first: findings are listed in this order. */
export const CHECKS = [
  'same-uid',
  'double',
  'organizer-cancelled',
  'feed-failing',
  'near-double',
  'todo-double',
  'no-title',
  'empty',
  'midnight',
  'zero-length',
  'wrong-zone',
  'timed-title',
  'whole-day-title',
  'very-long',
  'endless',
  'todo-time-over',
  'todo-overdue',
  'tentative-past',
  'unanswered-past',
  'same-as-series',
  'on-day-off',
  'overlap',
  'overbooked',
  'no-break',
  'outside-hours',
  'no-reminder',
  'category-spelling',
  'place-spelling',
  'large-file',
  'series-over',
  'todo-over',
  'calendar-empty',
  'calendar-hidden',
  'calendar-alike',
  'calendar-same',
] as const;
export type CheckName = (typeof CHECKS)[number];

/** Checks of what is to come: the next is the first to look at, elsewhere the latest. */
export const COMING: ReadonlySet<CheckName> = new Set<CheckName>([
  'on-day-off',
  'overlap',
  'overbooked',
  'no-break',
  'outside-hours',
  'no-reminder',
]);

/** What is done to entries: the same steps to each of the keys. */
export interface FixPart {
  readonly keys: readonly string[];
  readonly steps: readonly BatchStep[];
}

/** Why nothing is proposed: a person has to say what is meant, or it is done elsewhere. */
export type NoFixReason = 'yours-to-say' | 'in-setup' | 'read-only';

/** What the reason of a finding says: names, counts and times, in the order that its check gives them. */
export interface FindingDetails {
  /** The title of what it is about, or the name of a calendar, a category or a place. */
  readonly name: string;
  /** The title or name of what it is compared with. */
  readonly other?: string;
  readonly count?: number;
  /** How often what it is compared with is there. */
  readonly otherCount?: number;
  readonly minutes?: number;
  readonly bytes?: number;
  /** A day number, and an instant in milliseconds. */
  readonly day?: number;
  readonly at?: number;
}

/** Something that should perhaps not be as it is. */
export interface Finding {
  /** The same at every run, for the same entries: what is fine is remembered by it. */
  readonly id: string;
  readonly check: CheckName;
  /** The `targetKey`s that it is about, the one to open first. */
  readonly keys: readonly string[];
  readonly calendarIds: readonly string[];
  readonly details: FindingDetails;
  readonly fix?: readonly FixPart[];
  /** Whether the fix loses nothing that a person could miss. */
  readonly isSafe: boolean;
  readonly noFix?: NoFixReason;
}

/** A calendar as far as checks have to know it. */
export interface CheckedCalendar {
  readonly id: string;
  readonly name: string;
  readonly mark: string;
  readonly colour: Colour;
  /** Whether its entries can't be changed here. */
  readonly isClosed: boolean;
  readonly isFeed: boolean;
  /** Whether timed entries are reminded of without saying so. */
  readonly reminds: boolean;
  /** Since when its address can't be read, an instant. */
  readonly failingSince?: number;
  /** Since when it has been hidden in Plan, an instant. */
  readonly hiddenSince?: number;
}

/** What checks are asked with. */
export interface CheckQuery {
  readonly zone: string;
  readonly now: number;
  readonly workingPattern: WorkingPattern;
  readonly calendars: readonly CheckedCalendar[];
  /** One's own address in lower letters, where it is known. */
  readonly own?: string;
  /** The ids of findings that are fine as they are. */
  readonly fine: readonly string[];
}

/** The id of a finding about some entries: in whatever order they are found. */
export const findingId = (check: CheckName, subjects: readonly string[]): string =>
  [check, ...[...subjects].sort()].join(' ');
