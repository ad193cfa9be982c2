import { DAY, MINUTE } from './civil';

/** A time of day as a field holds it: `HH:MM`. */
export const CLOCK_TIME = /^([01]\d|2[0-3]):[0-5]\d$/;

/** The minute of the day that `HH:MM` says; undefined for anything else. */
export const minuteOfClock = (time: string): number | undefined =>
  CLOCK_TIME.test(time) ? Number(time.slice(0, 2)) * 60 + Number(time.slice(3)) : undefined;

/** `HH:MM` of a wall time in milliseconds, of whatever day. */
export const clockOfWall = (wall: number): string =>
  new Date(((wall % DAY) + DAY) % DAY).toISOString().slice(11, 16);

/** `HH:MM` of a minute of the day; one beyond it is of another day. */
export const clockOfMinute = (minute: number): string => clockOfWall(minute * MINUTE);
