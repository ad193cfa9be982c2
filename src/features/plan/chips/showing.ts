import type { Calendar } from '@/core/model/calendar';

/** Which calendars there are, and which of them are hidden. */
export interface Showing {
  readonly calendars: readonly Calendar[];
  readonly hidden: readonly string[];
  readonly onHiddenChange: (hidden: readonly string[]) => void;
}

/** The hidden calendars when one is shown that was hidden, or hidden that was shown. */
export const toggled = (hidden: readonly string[], id: string): readonly string[] =>
  hidden.includes(id) ? hidden.filter((other) => other !== id) : [...hidden, id];
