import { parseLocal, isRealDate } from './civil';
import { wallToInstant } from './zones';

/** Says what instant it is, in milliseconds. */
export type Clock = () => number;

const WALL = /^\d{4}-\d{2}-\d{2}T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d)?$/;

/**
 * A clock that stands at a given wall time now and runs on from there; without a wall time, the system's.
 * @param wall `YYYY-MM-DDTHH:MM`, in the zone; anything else is ignored
 */
export function clockFrom(wall: string | undefined, zone: string, system: Clock): Clock {
  if (!wall || !WALL.test(wall) || !isRealDate(wall)) return system;
  const shift = wallToInstant(zone, parseLocal(wall)) - system();
  return () => system() + shift;
}
