import type { CalendarEvent } from '@/core/model/entry';
import { localString, MINUTE, parseLocal } from '@/core/time/civil';
import { Chance } from '../demo/random';
import { event, zoned } from './samples';

/** Entries of which it is known which are doubles of each other. */
export interface LabelledDoubles {
  readonly events: readonly CalendarEvent[];
  /** Pairs of ids that mean one entry. */
  readonly pairs: ReadonlySet<string>;
}

export const pairOf = (a: string, b: string): string => [a, b].sort().join(' ');

const WHAT = [
  'Lens',
  'Tower',
  'Lantern',
  'Crane',
  'Boat',
  'Store',
  'Grant',
  'Keeper',
  'Winch',
  'Cable',
  'Paint',
  'Wick',
];
const DONE = [
  'inspection',
  'round',
  'survey',
  'order',
  'figures',
  'review',
  'repair',
  'call',
  'handover',
  'planning',
];
const PLACE = ['Gull Point', 'Skerry', 'Tern Rock', 'Low Head', 'Old Mole', 'North Ness', 'Fennick'];
const BEGINNING = parseLocal('2027-01-04T08:00');

/** A title with one letter left out, or two that changed places. */
function misspelt(title: string, chance: Chance): string {
  const at = chance.between(2, title.length - 3);
  return chance.between(0, 1) === 0
    ? title.slice(0, at) + title.slice(at + 1)
    : title.slice(0, at) + title[at + 1]! + title[at]! + title.slice(at + 2);
}

/**
 * So many entries with doubles among them as they come about: imported twice, entered in two calendars, misspelt and a
 * little apart; and with look-alikes that are none: numbered rounds at one time, the same title on the next day or an hour
 * later, two lights inspected at once.
 */
export function labelledDoubles(count: number, seed = 5): LabelledDoubles {
  const chance = new Chance(seed);
  const events: CalendarEvent[] = [];
  const pairs = new Set<string>();
  let number = 0;
  const make = (
    title: string,
    start: number,
    minutes: number,
    more: Partial<CalendarEvent> = {},
  ): CalendarEvent => {
    const one = event({
      id: `entry-${++number}`,
      title,
      start: zoned(localString(start)),
      end: zoned(localString(start + minutes * MINUTE)),
      ...more,
    });
    events.push(one);
    return one;
  };
  while (events.length < count) {
    const light = chance.one(PLACE);
    const title = `${chance.one(WHAT)} ${chance.one(DONE)}, ${light}`;
    // Each group lies on a day of its own, two days from the next.
    const start = BEGINNING + number * 2 * 1440 * MINUTE + chance.between(0, 32) * 15 * MINUTE;
    const minutes = chance.one([30, 45, 60, 90, 120]);
    const one = make(title, start, minutes);
    const double = (other: CalendarEvent) => pairs.add(pairOf(one.id, other.id));
    switch (chance.between(0, 11)) {
      case 0:
        double(make(title, start, minutes, { uid: one.uid, modified: 1 }));
        break;
      case 1:
        double(make(title, start, minutes, { calendarId: 'desk' }));
        break;
      case 2:
        double(make(`  ${title.toUpperCase()}`, start, minutes));
        break;
      case 3:
        double(make(misspelt(title, chance), start + chance.one([-15, 0, 10]) * MINUTE, minutes));
        break;
      case 4:
        double(make(`${light}: ${title.split(',')[0]}`, start, minutes + 15));
        break;
      case 5:
        make(title, start + 1440 * MINUTE, minutes);
        break;
      case 6:
        make(title, start + 60 * MINUTE, minutes);
        break;
      case 7:
        make(`${title} 2`, start, minutes);
        break;
      case 8:
        make(
          `${title.split(',')[0]}, ${chance.one(PLACE.filter((other) => other !== light))}`,
          start,
          minutes,
        );
        break;
      default:
        break;
    }
  }
  return { events, pairs };
}

/** How many of the pairs were found, and how many of those that were found are some. */
export function scoreOf(
  found: Iterable<string>,
  pairs: ReadonlySet<string>,
): { recall: number; precision: number } {
  const all = [...new Set(found)];
  const right = all.filter((pair) => pairs.has(pair)).length;
  return { recall: right / pairs.size, precision: all.length === 0 ? 1 : right / all.length };
}
