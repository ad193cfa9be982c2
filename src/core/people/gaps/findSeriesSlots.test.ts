import fc from 'fast-check';
import { FENNICK } from '../../../../testing/samples';
import type { BusySpan } from '../../model/busyTimes';
import { DAY, HOUR, MINUTE, parseDate } from '../../time/civil';
import { rangesOverlap } from '../../time/eventTime';
import { standardWorkingPattern } from '../../time/standardWorkingPattern';
import { workingDay } from '../../time/workingPattern';
import { instantToWall, wallToInstant } from '../../time/zones';
import { findSeriesSlots } from './findSeriesSlots';
import type { Attender, GapQuery } from './gapQuery';

// Three weeks before the clocks change in Lisbon.
const MONDAY = parseDate('2027-03-08');
const at = (day: number, hour: number): number => wallToInstant(FENNICK, (MONDAY + day) * DAY + hour * HOUR);
const taken = (day: number, from: number, to: number): BusySpan => ({
  start: at(day, from),
  end: at(day, to),
  kind: 'busy',
});
const someone = (id: string, busy: BusySpan[] = [], known = { start: 0, end: Infinity }): Attender => ({
  id,
  isRequired: true,
  zone: FENNICK,
  workingPattern: standardWorkingPattern,
  place: 'Fennick',
  busy,
  known,
});
const asking = (attenders: readonly Attender[], fields: Partial<GapQuery> = {}): GapQuery => ({
  attenders,
  rooms: [],
  range: { start: at(0, 0), end: at(70, 0) },
  zone: FENNICK,
  minutes: 60,
  way: 'online',
  overTentative: false,
  pause: 0,
  withRoom: false,
  equipment: [],
  daysOff: [],
  ...fields,
});
const WEEKLY = { everyWeeks: 1, dates: 10 };
const hourOf = (instant: number): number => (instantToWall(FENNICK, instant) % DAY) / HOUR;

test('the slot that suits most of the dates comes first, on one clock over its change; its exceptions are named', () => {
  // Only Tuesdays at ten are free, and the third of them is not.
  const full = Array.from({ length: 70 }, (_, day) => day).flatMap((day) =>
    day % 7 === 1 ? [taken(day, 0, 10), taken(day, 11, 24)] : [taken(day, 0, 24)],
  );
  const [best, ...others] = findSeriesSlots(
    asking([someone('me', full), someone('oona', [taken(15, 10, 11)])]),
    WEEKLY,
  );
  expect(best).toMatchObject({
    start: at(1, 10),
    suits: 9,
    dates: 10,
    exceptions: [{ start: at(15, 10), missing: ['oona'] }],
  });
  expect(others).toEqual([]);
});

test('a day off is an exception without anybody; what is not known of a date is counted', () => {
  const [best] = findSeriesSlots(
    asking([someone('me'), someone('marek', [], { start: 0, end: at(14, 0) })], {
      daysOff: [MONDAY],
      earliest: 10 * 60,
      latest: 11 * 60,
    }),
    { everyWeeks: 1, dates: 4 },
  );
  expect(best).toMatchObject({ suits: 4, exceptions: [], unknown: 2 });
  const monday = findSeriesSlots(asking([someone('me')], { daysOff: [MONDAY] }), {
    everyWeeks: 1,
    dates: 4,
  }).filter(({ start }) => start < at(1, 0));
  for (const { suits, exceptions } of monday) {
    expect(suits).toBe(3);
    expect(exceptions).toEqual([expect.objectContaining({ missing: [] })]);
  }
});

test('every other week looks at every other week', () => {
  const odd = Array.from({ length: 10 }, (_, week) =>
    week % 2 === 1 ? [taken(week * 7, 0, 24)] : [],
  ).flat();
  const slots = findSeriesSlots(
    asking([someone('me', odd)], { range: { start: at(0, 0), end: at(140, 0) } }),
    {
      everyWeeks: 2,
      dates: 10,
    },
  );
  expect(slots[0]).toMatchObject({ suits: 10, exceptions: [] });
});

test('whatever is taken, a slot suits as many dates as a count date by date finds', () => {
  const span = fc
    .record({ day: fc.nat(34), from: fc.integer({ min: 8, max: 18 }), hours: fc.integer({ min: 1, max: 6 }) })
    .map(({ day, from, hours }) => taken(day, from, from + hours));
  fc.assert(
    fc.property(fc.array(span, { maxLength: 40 }), fc.array(span, { maxLength: 40 }), (mine, theirs) => {
      const people = [someone('me', mine), someone('oona', theirs)];
      const slots = findSeriesSlots(asking(people, { range: { start: at(0, 0), end: at(35, 0) } }), {
        everyWeeks: 1,
        dates: 5,
      });
      const isFree = (person: Attender, start: number): boolean => {
        const range = { start, end: start + HOUR };
        const wall = instantToWall(FENNICK, start);
        const minute = (wall % DAY) / MINUTE;
        const worked = workingDay(standardWorkingPattern, Math.floor(wall / DAY)).spans;
        return (
          worked.some(({ from, to }) => from <= minute && minute + 60 <= to) &&
          !person.busy.some((busy) => rangesOverlap(busy, range))
        );
      };
      const count = (start: number): number =>
        [0, 1, 2, 3, 4].filter((week) => {
          const date = wallToInstant(FENNICK, instantToWall(FENNICK, start) + week * 7 * DAY);
          return people.every((person) => isFree(person, date));
        }).length;
      for (const slot of slots)
        expect([hourOf(slot.start), slot.suits]).toEqual([hourOf(slot.start), count(slot.start)]);
      let most = 0;
      for (let quarter = 0; quarter < 7 * 96; quarter++)
        most = Math.max(most, count(at(0, 0) + quarter * 15 * MINUTE));
      expect(slots[0]?.suits ?? 0).toBe(most);
    }),
    { numRuns: 25 },
  );
});
