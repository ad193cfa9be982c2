import { blankFields } from '@/core/change/eventFields';
import type { CalendarEvent } from '@/core/model/entry';
import { dateString, dayNumber } from '@/core/time/civil';
import { MADE } from '../../demo/scenario';

/** A day off of a made-up region: on one day of the year, or on a weekday of a month. */
interface DayOffRule {
  readonly title: string;
  readonly month: number;
  readonly day: number;
}

/** Regions that there are not, with days off that nobody has. */
export const REGIONS: Record<string, { readonly name: string; readonly days: readonly DayOffRule[] }> = {
  'fennick-coast': {
    name: 'Days off, Fennick coast',
    days: [
      { title: 'First day of the year', month: 1, day: 1 },
      { title: 'Lamp-lighting day', month: 2, day: 19 },
      { title: 'Spring tide day', month: 3, day: 22 },
      { title: 'Pilots’ day', month: 5, day: 7 },
      { title: 'Long light', month: 6, day: 21 },
      { title: 'Harvest of the kelp', month: 9, day: 14 },
      { title: 'Keepers’ remembrance', month: 11, day: 2 },
      { title: 'Midwinter', month: 12, day: 21 },
    ],
  },
  'skerry-isles': {
    name: 'Days off, Skerry isles',
    days: [
      { title: 'First day of the year', month: 1, day: 1 },
      { title: 'Seal day', month: 4, day: 11 },
      { title: 'Day of the boats', month: 7, day: 3 },
      { title: 'Fog day', month: 10, day: 17 },
      { title: 'Midwinter', month: 12, day: 21 },
    ],
  },
  northmark: {
    name: 'Days off, Northmark',
    days: [
      { title: 'First day of the year', month: 1, day: 1 },
      { title: 'Ice out', month: 4, day: 28 },
      { title: 'Midsummer', month: 6, day: 23 },
      { title: 'First snow', month: 11, day: 9 },
    ],
  },
};

/** The days off of a region as yearly series. */
export function daysOffOf(region: string): CalendarEvent[] {
  return (REGIONS[region]?.days ?? []).map(({ title, month, day }, index): CalendarEvent => {
    const first = dayNumber(2026, month, day);
    const id = `${region}-${index + 1}`;
    return {
      ...blankFields(
        '-',
        { kind: 'date', date: dateString(first) },
        { kind: 'date', date: dateString(first + 1) },
      ),
      kind: 'event',
      id,
      uid: `${id}@feeds.fennick.example`,
      title,
      recurrence: { rules: ['FREQ=YEARLY'], dates: [], exceptionDates: [] },
      availability: 'free',
      sequence: 0,
      created: MADE,
      modified: MADE,
    };
  });
}
