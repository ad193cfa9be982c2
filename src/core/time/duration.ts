import { DAY, HOUR, MINUTE } from './civil';

/** A duration as the standard writes it (RFC 5545 3.3.6): days of the calendar, then exact milliseconds, of one sign. */
export interface Duration {
  readonly days: number;
  readonly exact: number;
}

const DURATION = /^([+-]?)P(?:(\d+)W|(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:(\d+)S)?)?)$/i;

/** A duration, or undefined if the text is none. */
export function parseDuration(text: string): Duration | undefined {
  const match = DURATION.exec(text.trim());
  if (!match || !/\d/.test(text) || /T$/i.test(text.trim())) return undefined;
  const [, sign, ...numbers] = match;
  const [weeks = 0, days = 0, hours = 0, minutes = 0, seconds = 0] = numbers.map((digits) =>
    digits === undefined ? 0 : Number(digits),
  );
  const way = sign === '-' ? -1 : 1;
  const exact = hours * HOUR + minutes * MINUTE + seconds * 1000;
  // Plus nought, not minus.
  return { days: way * (weeks * 7 + days) + 0, exact: way * exact + 0 };
}

/** A duration of days and minutes, which have one sign, as text. */
export function formatDuration(days: number, minutes: number): string {
  const sign = days < 0 || minutes < 0 ? '-' : '';
  const [wholeDays, rest] = [Math.abs(days), Math.abs(minutes)];
  const time = rest > 0 || wholeDays === 0 ? `T${rest}M` : '';
  return `${sign}P${wholeDays > 0 ? `${wholeDays}D` : ''}${time}`;
}

/** The minutes of a duration in which a day has 24 hours. */
export const minutesOfDuration = ({ days, exact }: Duration): number => (days * DAY + exact) / MINUTE;
