import { z } from 'zod';
import { DAY } from '@/core/time/civil';
import { clockFrom } from '@/core/time/clock';
import { instantToWall } from '@/core/time/zones';

/** Where a day at a glance is kept for the moment before the data is open, so that the small window shows it at once. */
const KEY = 'orderly-week/glance';
/** So many entries of a day are kept. */
export const MOST = 40;

const Row = z.object({
  title: z.string(),
  /** As it is written: "14:00", or that it is the whole day. */
  time: z.string(),
  /** Instants, half-open. */
  start: z.number(),
  end: z.number(),
  mark: z.string(),
  colour: z.string(),
  isStruck: z.boolean(),
});

/** A day as the small window lists it. */
export const Glance = z.object({
  /** A day number in the zone. */
  day: z.number().int(),
  zone: z.string(),
  /** The wall time at which the demo's clock stands, where it is that. */
  demoNow: z.string().optional(),
  rows: z.array(Row).max(MOST),
});
export type Glance = z.infer<typeof Glance>;

/** Keeps a day at a glance; where the page has no storage, nothing is kept. */
export function keepGlance(glance: Glance): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(glance));
  } catch {
    // It is only there to be quick: without it the small window opens as everything else.
  }
}

/** The day that was kept, if it is today at an instant of the system's clock. */
export function keptGlance(search: string, system: () => number): Glance | undefined {
  try {
    const kept = Glance.safeParse(JSON.parse(localStorage.getItem(KEY) ?? 'null')).data;
    if (!kept) return undefined;
    const asked = new URLSearchParams(search).get('now') ?? undefined;
    const now = clockFrom(asked ?? kept.demoNow, kept.zone, system)();
    return Math.floor(instantToWall(kept.zone, now) / DAY) === kept.day ? kept : undefined;
  } catch {
    return undefined;
  }
}
