import type { BusySpan } from '../../model/busyTimes';
import type { WorkingPattern } from '../../model/settings';
import type { InstantRange } from '../../time/eventTime';

/** Somebody who is to be there. */
export interface Attender {
  readonly id: string;
  /** Whether it can't be without them. */
  readonly isRequired: boolean;
  readonly zone: string;
  /** When they work; at any time of a usual working week where nobody knows. */
  readonly workingPattern: WorkingPattern;
  /** The town or building of their office. */
  readonly place: string;
  /** What takes their time, with the ways there and back where they are known. */
  readonly busy: readonly BusySpan[];
  /** The time that `busy` is known for; nothing is known without. */
  readonly known?: InstantRange;
}

/** A room that it can be held in. */
export interface GapRoom {
  readonly id: string;
  readonly place: string;
  readonly seats: number;
  readonly equipment: readonly string[];
  readonly busy: readonly BusySpan[];
}

/** How people meet: in one place, from where they are, or either, in one place where that can be. */
export const MEETING_WAYS = ['either', 'in-person', 'online'] as const;
export type MeetingWay = (typeof MEETING_WAYS)[number];

/** What a time that suits all is looked for with. */
export interface GapQuery {
  /** The person whose calendar it is comes first. */
  readonly attenders: readonly Attender[];
  readonly rooms: readonly GapRoom[];
  /** Where it is looked for: instants, half-open. */
  readonly range: InstantRange;
  /** The zone whose days and clock are meant. */
  readonly zone: string;
  /** How long it lasts, in minutes: taken as a multiple of five, the next longer one. */
  readonly minutes: number;
  /** Minutes of the day that it begins and ends within. */
  readonly earliest?: number;
  readonly latest?: number;
  readonly way: MeetingWay;
  /** Whether it may lie over what is tentative. */
  readonly overTentative: boolean;
  /** So many minutes are kept free between it and what lies before and after. */
  readonly pause: number;
  /** Whether a room is looked for, and what has to be in it. */
  readonly withRoom: boolean;
  readonly equipment: readonly string[];
  /** Days, as day numbers, on which nothing is held. */
  readonly daysOff: readonly number[];
}

/** How often something is held, and for how many dates it is looked at. */
export interface SeriesWish {
  readonly everyWeeks: number;
  readonly dates: number;
}

/** What a time that suits all is asked with, where one's own time is known from one's entries. */
export interface GapsQuestion extends Omit<GapQuery, 'attenders'> {
  /** The person whose calendar it is. */
  readonly own: Omit<Attender, 'busy' | 'known'>;
  readonly others: readonly Attender[];
  /** Calendars whose entries take no time, and entries that don't: the one that a time is looked for. */
  readonly freeCalendarIds: readonly string[];
  readonly exceptEntryIds: readonly string[];
  /** How often it is to be held, and how many dates are looked at; once without it. */
  readonly series?: SeriesWish;
}

/** Why a proposal is a good one, or what speaks against it. */
export type GapReason =
  | { readonly kind: 'all-free'; readonly count: number }
  | {
      readonly kind: 'missing' | 'optional-missing' | 'tentative' | 'unknown' | 'lunch-lost';
      readonly ids: readonly string[];
    }
  | { readonly kind: 'their-clock'; readonly id: string; readonly minute: number; readonly days: number }
  | { readonly kind: 'after-away'; readonly id: string }
  | { readonly kind: 'in-person'; readonly place: string }
  | { readonly kind: 'online'; readonly ids: readonly string[]; readonly place: string }
  | { readonly kind: 'room'; readonly id: string; readonly seats: number }
  | { readonly kind: 'no-room' | 'lunch-kept' | 'stretches-kept' };

/** A time that is proposed: instants in milliseconds. */
export interface Proposal {
  readonly start: number;
  readonly end: number;
  /** Who of those that are required can't be there. */
  readonly missing: readonly string[];
  readonly roomId?: string;
  /** The less, the better. */
  readonly cost: number;
  readonly reasons: readonly GapReason[];
}

/** How well a day suits: nothing fits on one of no share. */
export interface DayFit {
  readonly day: number;
  /** The part of the working hours of the person whose calendar it is in which it could begin, of 0 to 1. */
  readonly share: number;
}

export interface Gaps {
  /** The best first, none beside another. */
  readonly proposals: readonly Proposal[];
  readonly days: readonly DayFit[];
}
