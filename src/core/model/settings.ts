import { z } from 'zod';

/** Where a working day is spent. */
export const WORKPLACES = ['office', 'home', 'travel'] as const;
export type Workplace = (typeof WORKPLACES)[number];

const WorkingSpan = z.object({
  /** Minutes of the wall clock, half-open. */
  from: z.number().int().min(0).max(1440),
  to: z.number().int().min(0).max(1440),
});

/** One weekday of the working pattern. No spans: a day off. */
export const WorkingDay = z.object({ spans: z.array(WorkingSpan), place: z.enum(WORKPLACES) });
export type WorkingDay = z.infer<typeof WorkingDay>;

/** Hours and place for each weekday, Monday first, with exceptions by date. */
export const WorkingPattern = z.object({
  weekdays: z.array(WorkingDay).length(7),
  exceptions: z.record(z.string(), WorkingDay),
});
export type WorkingPattern = z.infer<typeof WorkingPattern>;

export const Settings = z.object({
  id: z.literal('settings'),
  homeZone: z.string().min(1),
  /** The calendar that new entries go to. */
  targetCalendarId: z.string().optional(),
  workingPattern: WorkingPattern,
  defaultLengthMinutes: z.number().int().min(5).max(1440),
  /** The wall time that the demo's clock starts from, while the demo data is used. */
  demoNow: z.string().optional(),
});
export type Settings = z.infer<typeof Settings>;

const office = (...spans: [number, number][]): WorkingDay => ({
  spans: spans.map(([from, to]) => ({ from, to })),
  place: 'office',
});

/** A five-day week of seven and a half hours, in the office. */
export const standardWorkingPattern: WorkingPattern = {
  weekdays: [
    ...Array.from({ length: 5 }, () => office([8 * 60 + 30, 12 * 60 + 30], [13 * 60 + 30, 17 * 60])),
    office(),
    office(),
  ],
  exceptions: {},
};

/** Settings of someone who begins with nothing. */
export function initialSettings(homeZone: string): Settings {
  return {
    id: 'settings',
    homeZone,
    workingPattern: standardWorkingPattern,
    defaultLengthMinutes: 60,
  };
}
