import { z } from 'zod';
import { Availability, Classification } from './entry';

/** The views of Plan, in the order of the switch. */
export const VIEWS = ['day', 'days', 'workdays', 'week', 'weeks', 'year', 'agenda', 'lanes'] as const;
export type ViewName = (typeof VIEWS)[number];

/** Minutes that a drag snaps to, and that the hours are ruled by. */
export const GRID_STEPS = [60, 30, 20, 15, 10, 6, 5] as const;

export const ROW_HEIGHTS = ['compact', 'regular', 'roomy'] as const;
export type RowHeight = (typeof ROW_HEIGHTS)[number];

/** How much a day of *Weeks* shows: its hours as a bar, titles beside it, or times and places too. */
export const DETAILS = ['bars', 'titles', 'full'] as const;
export type Detail = (typeof DETAILS)[number];

/** How overlapping entries of one lane lie: under each other, sharing its height, or over each other. */
export const LANE_MODES = ['stacked', 'side-by-side', 'laid-over'] as const;
export type LaneMode = (typeof LANE_MODES)[number];

export const RECURRING_KINDS = ['series', 'single'] as const;
export const PEOPLE_KINDS = ['with', 'without'] as const;
export const MEETING_KINDS = ['online', 'in-person'] as const;
export const ANSWER_KINDS = ['answered', 'unanswered'] as const;

/** Which entries are looked at: what is empty or absent lets all through. */
export const EntryFilter = z.object({
  categories: z.array(z.string()),
  availabilities: z.array(Availability),
  classifications: z.array(Classification),
  recurring: z.enum(RECURRING_KINDS).optional(),
  people: z.enum(PEOPLE_KINDS).optional(),
  meeting: z.enum(MEETING_KINDS).optional(),
  /** Whether everyone invited has answered. */
  answer: z.enum(ANSWER_KINDS).optional(),
  /** Words that title, place, notes or people hold. */
  text: z.string(),
});
export type EntryFilter = z.infer<typeof EntryFilter>;

/** The filter that lets everything through. */
export const NO_FILTER: EntryFilter = { categories: [], availabilities: [], classifications: [], text: '' };

/** So many colleagues stand in Plan at the most. */
export const MOST_COLLEAGUES = 12;

/** How Plan looks at the calendar, whatever the day. */
export const Look = z.object({
  view: z.enum(VIEWS),
  /** How many days *Days* shows. */
  dayCount: z.number().int().min(2).max(14),
  /** How many weeks *Weeks* shows; 0 for those of the calendar month. */
  weekCount: z.union([z.literal(0), z.number().int().min(2).max(8)]),
  gridStep: z.union(GRID_STEPS.map((step) => z.literal(step))),
  rowHeight: z.enum(ROW_HEIGHTS),
  weekends: z.boolean(),
  weekNumbers: z.boolean(),
  detail: z.enum(DETAILS),
  laneMode: z.enum(LANE_MODES),
  /** Whether *Day* has a column for each calendar. */
  calendarColumns: z.boolean(),
  fadePast: z.boolean(),
  showCancelled: z.boolean(),
  hidden: z.array(z.string()),
  /** Colleagues whose times are shown, by their ids, and whether over one's own rather than beside it. */
  colleagues: z.array(z.string()).max(MOST_COLLEAGUES).default([]),
  colleaguesOver: z.boolean().default(false),
  filter: EntryFilter,
  /** The zone that the hours are shown in, where it is not the home zone. */
  zone: z.string().optional(),
  /** The period set whose periods are shown. */
  periodSetId: z.string().optional(),
});
export type Look = z.infer<typeof Look>;

/** How Plan looks before anything is chosen. */
export const initialLook: Omit<Look, 'view'> = {
  dayCount: 3,
  weekCount: 0,
  gridStep: 15,
  rowHeight: 'regular',
  weekends: true,
  weekNumbers: true,
  detail: 'titles',
  laneMode: 'stacked',
  calendarColumns: false,
  fadePast: false,
  showCancelled: true,
  hidden: [],
  colleagues: [],
  colleaguesOver: false,
  filter: NO_FILTER,
};
