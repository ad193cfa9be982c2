import { z } from 'zod';

const DateText = z.string().regex(/^\d{4}-\d{2}-\d{2}$/);

/** The weeks of the three periods of a quarter, or thirteen periods of four weeks. */
export const WEEK_PATTERNS = {
  '4-4-5': [4, 4, 5, 4, 4, 5, 4, 4, 5, 4, 4, 5],
  '4-5-4': [4, 5, 4, 4, 5, 4, 4, 5, 4, 4, 5, 4],
  '5-4-4': [5, 4, 4, 5, 4, 4, 5, 4, 4, 5, 4, 4],
  '13x4': [4, 4, 4, 4, 4, 4, 4, 4, 4, 4, 4, 4, 4],
} as const;
export const WEEK_PATTERN_NAMES = ['4-4-5', '4-5-4', '5-4-4', '13x4'] as const;

/** How the periods of a set are made. */
export const PeriodRule = z.discriminatedUnion('kind', [
  /** Years of 52 weeks that begin on the weekday of `start`, nearest to its date; a 53rd week goes to the last period. */
  z.object({ kind: z.literal('pattern'), pattern: z.enum(WEEK_PATTERN_NAMES), start: DateText }),
  /** Periods of so many weeks, one after the other without end, of which one begins on `start`. */
  z.object({ kind: z.literal('weeks'), weeks: z.number().int().min(1).max(26), start: DateText }),
  /** Months or quarters that begin on another day than the first. The year begins in `firstMonth`. */
  z.object({
    kind: z.literal('months'),
    months: z.union([z.literal(1), z.literal(3)]),
    firstDay: z.number().int().min(1).max(28),
    firstMonth: z.number().int().min(1).max(12),
  }),
  /** Dates that were pasted or typed; `last` is the last day. */
  z.object({
    kind: z.literal('list'),
    periods: z
      .array(z.object({ name: z.string().max(60), first: DateText, last: DateText }))
      .min(1)
      .max(500),
  }),
]);
export type PeriodRule = z.infer<typeof PeriodRule>;

/** A named rule that makes periods: what every view can show in place of weeks or months. */
export const PeriodSet = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1).max(40),
  order: z.number(),
  rule: PeriodRule,
});
export type PeriodSet = z.infer<typeof PeriodSet>;
