import type { BusySpan } from '@/core/model/busyTimes';
import { findGaps } from '@/core/people/gaps/findGaps';
import type { Attender } from '@/core/people/gaps/gapQuery';
import { DAY, HOUR, MINUTE } from '@/core/time/civil';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { Chance } from '../demo/random';

const ZONES = ['Europe/Lisbon', 'Europe/Oslo', 'America/Halifax', 'Europe/Warsaw', 'Atlantic/Azores'];

/** Common gaps of twelve people over four weeks: each has some six taken times a working day. */
export function measurePeople(
  today: number,
  zone: string,
  measure: (what: string, runs: number, task: () => unknown) => void,
): void {
  const chance = new Chance(17);
  const range = { start: today * DAY, end: (today + 28) * DAY };
  const attenders = Array.from({ length: 12 }, (_, index): Attender => {
    const busy = Array.from({ length: 28 * 6 }, (__, at): BusySpan => {
      const start = range.start + Math.floor(at / 6) * DAY + 8 * HOUR + chance.between(0, 99) * 5 * MINUTE;
      return {
        start,
        end: start + (1 + chance.between(0, 5)) * 15 * MINUTE,
        kind: chance.between(0, 4) === 0 ? 'tentative' : 'busy',
      };
    });
    return {
      id: String(index),
      isRequired: index < 8,
      zone: ZONES[index % ZONES.length]!,
      workingPattern: standardWorkingPattern,
      place: 'Fennick',
      busy,
      known: range,
    };
  });
  measure('common gaps of twelve people over four weeks', 30, () =>
    findGaps({
      attenders,
      rooms: [],
      range,
      zone,
      minutes: 30,
      way: 'either',
      overTentative: true,
      pause: 5,
      withRoom: false,
      equipment: [],
      daysOff: [],
    }),
  );
}
