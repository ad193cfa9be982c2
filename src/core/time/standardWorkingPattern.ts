import type { WorkingDay, WorkingPattern } from '../model/settings';

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
