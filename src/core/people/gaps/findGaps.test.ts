import fc from 'fast-check';
import { FENNICK } from '../../../../testing/samples';
import type { BusySpan } from '@/core/model/busyTimes';
import type { WorkingPattern, Workplace } from '@/core/model/settings';
import { DAY, HOUR, MINUTE, parseDate } from '@/core/time/civil';
import { workingDay } from '@/core/time/workingPattern';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import { findGaps, GapSearch } from './findGaps';
import type { Attender, GapQuery, GapReason } from './gapQuery';
import { SLOT } from './timeline';

const MONDAY = parseDate('2027-03-08') * DAY;
const at = (day: number, hours: number): number => MONDAY + day * DAY + hours * HOUR;

const pattern = (from: number, to: number, place: Workplace = 'office'): WorkingPattern => ({
  weekdays: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({
    spans: weekday <= 5 ? [{ from: from * 60, to: to * 60 }] : [],
    place,
  })),
  exceptions: {},
});
const someone = (id: string, more: Partial<Attender> = {}): Attender => ({
  id,
  isRequired: true,
  zone: FENNICK,
  workingPattern: pattern(9, 17),
  place: 'Fennick',
  busy: [],
  known: { start: 0, end: Infinity },
  ...more,
});
const taken = (day: number, from: number, to: number, kind: BusySpan['kind'] = 'busy'): BusySpan => ({
  start: at(day, from),
  end: at(day, to),
  kind,
});
const asking = (attenders: readonly Attender[], more: Partial<GapQuery> = {}): GapQuery => ({
  attenders,
  rooms: [],
  range: { start: MONDAY, end: MONDAY + 5 * DAY },
  zone: FENNICK,
  minutes: 60,
  way: 'online',
  overTentative: false,
  pause: 0,
  withRoom: false,
  equipment: [],
  daysOff: [],
  ...more,
});
const kinds = (reasons: readonly GapReason[]) => reasons.map(({ kind }) => kind);
const said = (instant: number): string => new Date(instant).toISOString().slice(5, 16);
const starts = (query: GapQuery): string[] => findGaps(query).proposals.map(({ start }) => said(start));

test('the first time that suits all comes first, and none is beside another', () => {
  const me = someone('me', { busy: [taken(0, 9, 12)] });
  const tobias = someone('tobias', { busy: [taken(0, 12, 14), taken(0, 15, 17)] });
  const { proposals } = findGaps(asking([me, tobias]));
  expect(said(proposals[0]!.start)).toBe('03-08T14:00');
  expect(kinds(proposals[0]!.reasons)).toEqual(['all-free', 'stretches-kept']);
  const order = [...proposals].sort((a, b) => a.start - b.start);
  order
    .slice(1)
    .forEach(({ start }, index) => expect(start - order[index]!.start).toBeGreaterThanOrEqual(HOUR));
});

test('who is away in the west is not asked in the night, and what their clock shows is said', () => {
  const salma = someone('salma', { zone: 'America/Halifax' });
  const { proposals } = findGaps(asking([someone('me'), salma]));
  for (const { start, end, reasons } of proposals) {
    expect(instantToWall('America/Halifax', start) % DAY).toBeGreaterThanOrEqual(9 * HOUR);
    expect(end - start).toBe(HOUR);
    expect(reasons).toContainEqual(expect.objectContaining({ kind: 'their-clock', id: 'salma', days: 0 }));
  }
  expect(proposals.length).toBeGreaterThan(4);
});

test('where nothing suits all, the one who would be missing is named', () => {
  const full = [0, 1, 2, 3, 4].map((day) => taken(day, 9, 17));
  const query = asking([someone('me'), someone('oona'), someone('marek', { busy: full })]);
  const { proposals, days } = findGaps(query);
  expect(proposals.length).toBeGreaterThan(0);
  for (const { missing, reasons } of proposals) {
    expect(missing).toEqual(['marek']);
    expect(kinds(reasons)).toContain('missing');
  }
  expect(days.map(({ share }) => share)).toEqual([0, 0, 0, 0, 0]);
  // With two there is nobody to do without.
  expect(findGaps(asking([someone('me'), someone('marek', { busy: full })])).proposals).toEqual([]);
});

test('optional guests are asked as well, but it is held without them', () => {
  const dev = someone('dev', { isRequired: false, busy: [0, 1, 2, 3].map((day) => taken(day, 9, 17)) });
  const [best] = findGaps(asking([someone('me'), dev])).proposals;
  expect(said(best!.start).slice(0, 5)).toBe('03-12');
  const never = someone('dev', { isRequired: false, busy: [0, 1, 2, 3, 4].map((day) => taken(day, 9, 17)) });
  const [first] = findGaps(asking([someone('me'), never])).proposals;
  expect(first!.missing).toEqual([]);
  expect(first!.reasons).toContainEqual({ kind: 'optional-missing', ids: ['dev'] });
});

test('tentative time is left alone, or taken at a cost where that is allowed', () => {
  const me = someone('me', { busy: [0, 1, 2, 3, 4].map((day) => taken(day, 9, 17, 'tentative')) });
  expect(findGaps(asking([me])).proposals).toEqual([]);
  const [first] = findGaps(asking([me], { overTentative: true })).proposals;
  expect(first!.reasons).toContainEqual({ kind: 'tentative', ids: ['me'] });
});

test('in person only where all are at that place that day, in the smallest room that does', () => {
  const workdays = pattern(9, 17);
  const thursdays: WorkingPattern = {
    ...workdays,
    weekdays: workdays.weekdays.map((day, index) => (index === 3 ? day : { ...day, place: 'home' })),
  };
  const rooms = [
    { id: 'shed', place: 'Fennick', seats: 20, equipment: ['screen'], busy: [] },
    { id: 'lamp', place: 'Fennick', seats: 4, equipment: [], busy: [taken(3, 9, 12)] },
    { id: 'tall', place: 'Oslo', seats: 3, equipment: [], busy: [] },
  ];
  const all = [someone('me'), someone('oona', { workingPattern: thursdays })];
  const { proposals } = findGaps(asking(all, { way: 'in-person', withRoom: true, rooms }));
  for (const { start, roomId } of proposals) {
    expect(said(start).slice(0, 5)).toBe('03-11');
    expect(roomId).toBe(start < at(3, 12) ? 'shed' : 'lamp');
  }
  expect(proposals.length).toBeGreaterThan(1);
  // Five have no seat in the room that holds four.
  const five = [...all, someone('ines'), someone('dev'), someone('marek')];
  const seated = findGaps(asking(five, { way: 'in-person', withRoom: true, rooms })).proposals;
  expect(seated.length).toBeGreaterThan(0);
  for (const { roomId, reasons } of seated) {
    expect(roomId).toBe('shed');
    expect(reasons).toContainEqual({ kind: 'room', id: 'shed', seats: 20 });
  }
  const screens = findGaps(asking(all, { way: 'in-person', withRoom: true, rooms, equipment: ['screen'] }));
  for (const { roomId } of screens.proposals) expect(roomId).toBe('shed');
  // Elsewhere it is held online, and it is said because of whom.
  const either = findGaps(asking(all, { way: 'either' })).proposals;
  const monday = either.find(({ start }) => start < at(1, 0));
  expect(monday?.reasons).toContainEqual({ kind: 'online', ids: ['oona'], place: 'Fennick' });
});

test('breaks, days off, and the hours that are asked for are kept', () => {
  const me = someone('me', { busy: [taken(0, 10, 11)] });
  const early = asking([me], { pause: 15, latest: 12 * 60, daysOff: [parseDate('2027-03-09')] });
  for (const start of starts(early)) {
    expect(start.slice(0, 5)).not.toBe('03-09');
    expect(['03-08T09:00', '03-08T09:30', '03-08T10:30']).not.toContain(start);
    expect(start.slice(6) <= '11:00').toBe(true);
  }
  const found = new GapSearch(early);
  const free = Array.from({ length: found.slots.count }, (_, slot) => slot).filter(
    (slot) => found.mayBegin(slot) && found.missingAt(slot)!.length === 0,
  );
  // With a quarter of an hour after it, it can't begin before ten on Monday.
  expect(said(found.slots.from + free[0]! * SLOT)).toBe('03-10T09:00');
});

test('a lunch is not taken where there is another hour, and who comes back is not met before', () => {
  const noLunch = someone('me', { busy: [taken(0, 9, 12), taken(0, 14, 17)] });
  const monday = { range: { start: MONDAY, end: MONDAY + DAY } };
  const { proposals } = findGaps(asking([noLunch], { ...monday, minutes: 120 }));
  expect(proposals.map(({ reasons }) => kinds(reasons))).toEqual([
    ['all-free', 'lunch-lost', 'stretches-kept'],
  ]);
  const tobias = someone('tobias', { busy: [taken(-2, 0, 57.5, 'away')] });
  const [first] = findGaps(asking([someone('me'), tobias], monday)).proposals;
  expect(first!.start).toBeGreaterThanOrEqual(at(0, 9.5));
  expect(first!.reasons).toContainEqual({ kind: 'after-away', id: 'tobias' });
});

test('what is not known of somebody is said', () => {
  const { known: _, ...nobody } = someone('ines');
  const [first] = findGaps(asking([someone('me'), nobody])).proposals;
  expect(first!.reasons).toContainEqual({ kind: 'unknown', ids: ['ines'] });
});

/**
 * Whether somebody could be there at an instant, minute by minute: within some hours of theirs, from the instant at which these
 * begin on their clock to that at which they end. An hour that comes twice lies within hours that go on over it.
 */
function whoTries({ zone, workingPattern, busy }: Attender, from: number, days: number) {
  const first = Math.floor(instantToWall(zone, from) / DAY) - 1;
  const hours = Array.from({ length: days + 3 }, (_, index) => first + index).flatMap((day) =>
    workingDay(workingPattern, day).spans.map((span) => ({
      begins: wallToInstant(zone, day * DAY + span.from * MINUTE),
      ends: wallToInstant(zone, day * DAY + span.to * MINUTE),
    })),
  );
  return (start: number, minutes: number, pause: number): boolean => {
    for (let minute = 0; minute < minutes; minute++) {
      const instant = start + minute * MINUTE;
      if (!hours.some(({ begins, ends }) => instant >= begins && instant < ends)) return false;
    }
    const end = start + minutes * MINUTE;
    return !busy.some(
      (span) =>
        span.start - pause * MINUTE < end && span.end + pause * MINUTE > start && span.end > span.start,
    );
  };
}

test('what is found is what one finds who tries every five minutes, over zones and clock changes', () => {
  const zones = ['Europe/Lisbon', 'Europe/Oslo', 'America/Halifax', 'Atlantic/Azores', 'Asia/Kathmandu'];
  const span = fc.record({ day: fc.nat(9), from: fc.nat(287), slots: fc.integer({ min: 1, max: 60 }) });
  const hours = fc.tuple(fc.integer({ min: 0, max: 120 }), fc.integer({ min: 30, max: 160 }));
  const person = fc.record({
    zone: fc.constantFrom(...zones),
    hours: fc.array(hours, { minLength: 5, maxLength: 7 }),
    busy: fc.array(span, { maxLength: 12 }),
  });
  fc.assert(
    fc.property(
      // The clocks change on 14 March in Halifax and on 28 March in Europe.
      fc.constantFrom('2027-03-08', '2027-03-12', '2027-03-25', '2027-10-29'),
      fc.array(person, { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 1, max: 18 }),
      fc.constantFrom(0, 5, 15),
      (date, people, length, pause) => {
        const from = parseDate(date) * DAY;
        const attenders = people.map(({ zone, hours: own, busy }, index) =>
          someone(String(index), {
            zone,
            workingPattern: {
              weekdays: Array.from({ length: 7 }, (_, at) => ({
                spans: own[at]
                  ? [{ from: own[at][0] * 5, to: Math.min(1440, (own[at][0] + own[at][1]) * 5) }]
                  : [],
                place: 'office' as const,
              })),
              exceptions: {},
            },
            busy: busy.map((each) => {
              const start = from + each.day * DAY + each.from * SLOT;
              return { start, end: start + each.slots * SLOT, kind: 'busy' as const };
            }),
          }),
        );
        const query = asking(attenders, {
          range: { start: from, end: from + 4 * DAY },
          minutes: length * 5,
          pause,
        });
        const search = new GapSearch(query);
        const trying = attenders.map((each) => whoTries(each, from, 4));
        const found: number[] = [];
        const tried: number[] = [];
        for (let slot = 0; slot + search.length <= search.slots.count; slot++) {
          const start = search.slots.from + slot * SLOT;
          if (search.missingAt(slot)!.length === 0) found.push(start);
          if (trying.every((couldCome) => couldCome(start, length * 5, pause))) tried.push(start);
        }
        expect(found).toEqual(tried);
        for (const { start, missing } of findGaps(query).proposals)
          if (missing.length === 0) expect(tried).toContain(start);
      },
    ),
    { numRuns: 200 },
  );
});
