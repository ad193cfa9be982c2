import { z } from 'zod';
import './withoutCodeMaking';

/** How taken a time is (FBTYPE, RFC 5545 3.2.9): BUSY, BUSY-TENTATIVE, BUSY-UNAVAILABLE. */
export const BUSY_KINDS = ['busy', 'tentative', 'away'] as const;
export type BusyKind = (typeof BUSY_KINDS)[number];

/** A taken time of somebody: half-open, instants in milliseconds. */
export const BusySpan = z.object({
  start: z.number(),
  end: z.number(),
  kind: z.enum(BUSY_KINDS),
  /** What it is and where, as far as they let it be seen. */
  title: z.string().max(1000).optional(),
  place: z.string().max(1000).optional(),
});
export type BusySpan = z.infer<typeof BusySpan>;

/** How much of their time somebody lets others see. */
export const BUSY_DEPTHS = ['busy', 'titles', 'everything'] as const;
export type BusyDepth = (typeof BUSY_DEPTHS)[number];

/** The busy times of somebody, as they were read. */
export const BusyTimes = z.object({
  /** That of the person. */
  id: z.string().min(1),
  /** When they were read, and the range that they are known for, half-open: instants. */
  readAt: z.number(),
  from: z.number(),
  until: z.number(),
  depth: z.enum(BUSY_DEPTHS),
  spans: z.array(BusySpan),
});
export type BusyTimes = z.infer<typeof BusyTimes>;
