import fc from 'fast-check';
import type { CalendarUser } from './calendarUser';
import { attachmentNamesOf, attendeesOf, isOnline } from './attendees';
import { AVAILABILITIES, CLASSIFICATIONS } from './entry';
import {
  ANSWER_KINDS,
  DETAILS,
  type EntryFilter,
  GRID_STEPS,
  initialLook,
  LANE_MODES,
  Look,
  MEETING_KINDS,
  PEOPLE_KINDS,
  RECURRING_KINDS,
  ROW_HEIGHTS,
  VIEWS,
} from './look';
import { readLook, sameLook, writeLook } from './lookParameters';

const optional = <Value>(values: readonly Value[]) =>
  fc.option(fc.constantFrom(...values), { nil: undefined });
const names = fc.uniqueArray(fc.string({ minLength: 1, maxLength: 8 }), { maxLength: 4 });
const filter: fc.Arbitrary<EntryFilter> = fc
  .record({
    categories: names,
    availabilities: fc.subarray([...AVAILABILITIES]),
    classifications: fc.subarray([...CLASSIFICATIONS]),
    recurring: optional(RECURRING_KINDS),
    people: optional(PEOPLE_KINDS),
    meeting: optional(MEETING_KINDS),
    answer: optional(ANSWER_KINDS),
    text: fc.string({ maxLength: 20 }),
  })
  .map(
    (fields) =>
      Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as EntryFilter,
  );
const looks: fc.Arbitrary<Look> = fc.record({
  view: fc.constantFrom(...VIEWS),
  dayCount: fc.integer({ min: 2, max: 14 }),
  weekCount: fc.constantFrom(0 as const, 2, 3, 8),
  gridStep: fc.constantFrom(...GRID_STEPS),
  rowHeight: fc.constantFrom(...ROW_HEIGHTS),
  weekends: fc.boolean(),
  weekNumbers: fc.boolean(),
  detail: fc.constantFrom(...DETAILS),
  laneMode: fc.constantFrom(...LANE_MODES),
  calendarColumns: fc.boolean(),
  fadePast: fc.boolean(),
  showCancelled: fc.boolean(),
  hidden: names,
  colleagues: names,
  colleaguesOver: fc.boolean(),
  filter,
});

test('an address says a look, whatever it is, so that it is read as it was', () => {
  fc.assert(
    fc.property(looks, (look) => {
      const written = writeLook(look);
      // As a browser keeps it.
      const search = new URLSearchParams(
        Object.entries(written).filter((entry): entry is [string, string] => entry[1] !== undefined),
      );
      const read = readLook(Object.fromEntries(new URLSearchParams(search.toString())), 'workdays');
      expect(read).toEqual(look);
      expect(sameLook(read, look)).toBe(true);
    }),
  );
});

test('what is as at first needs no saying, and what is said wrongly is as at first', () => {
  const plain: Look = { ...initialLook, view: 'weeks' };
  const said = Object.entries(writeLook(plain)).filter(([, value]) => value !== undefined);
  expect(said).toEqual([['view', 'weeks']]);
  expect(
    readLook({ view: 'wheel', days: '90', step: '7', detail: 'most', availability: 'busy,lost' }, 'days'),
  ).toEqual({ ...initialLook, view: 'days', filter: { ...initialLook.filter, availabilities: ['busy'] } });
  expect(Look.safeParse(plain).success).toBe(true);
});

test('looks differ by what they show, not by the order in which calendars were hidden', () => {
  const look: Look = { ...initialLook, view: 'week', hidden: ['home', 'off'] };
  expect(sameLook(look, { ...look, hidden: ['off', 'home'] })).toBe(true);
  expect(sameLook(look, { ...look, hidden: ['off'] })).toBe(false);
  expect(sameLook(look, { ...look, filter: { ...look.filter, people: 'with' } })).toBe(false);
});

test('people, attachments and conferences are told in words', () => {
  const attendees: CalendarUser[] = [
    {
      address: 'mailto:tobias@fennick.example',
      parameters: { cn: 'Tobias Rask', partstat: 'ACCEPTED' },
    },
    { address: 'MAILTO:oona@fennick.example', parameters: {} },
  ];
  const conferences = [{ uri: 'https://meet.fennick.example/round', parameters: {} }];
  const preserved = {
    properties: [
      ['attach', { filename: 'tower plan.pdf' }, 'uri', 'https://files.fennick.example/1'],
      ['attach', {}, 'uri', 'https://files.fennick.example/lamp/bill.txt?v=2'],
    ],
    components: [],
  };
  expect(attendeesOf({ attendees })).toEqual([
    { name: 'Tobias Rask', address: 'tobias@fennick.example', hasAnswered: true },
    { name: 'oona@fennick.example', address: 'oona@fennick.example', hasAnswered: false },
  ]);
  expect(attachmentNamesOf({ preserved })).toEqual(['tower plan.pdf', 'bill.txt']);
  expect(isOnline({ conferences, location: '' })).toBe(true);
  expect(isOnline({ location: 'Online' })).toBe(true);
  expect(isOnline({ location: 'Chart room' })).toBe(false);
  expect(attendeesOf({})).toEqual([]);
});
