import fc from 'fast-check';
import { date, event, zoned } from '../../../testing/samples';
import type { CalendarEvent, Entry } from '../model/entry';
import { distanceBetween, travelProposals } from './travelMinutes';

const mapOf = (...entries: Entry[]) => new Map(entries.map((entry) => [entry.id, entry]));
let made = 0;
const visit = (day: string, location: string, there = 0, back = 0, more: Partial<CalendarEvent> = {}) =>
  event({
    id: `visit-${++made}`,
    location,
    start: zoned(`${day}T14:00`),
    end: zoned(`${day}T15:00`),
    ...(there + back > 0 ? { travel: { there, back } } : {}),
    ...more,
  });
const morning = (day: string, location: string) =>
  visit(day, location, 0, 0, { start: zoned(`${day}T09:00`), end: zoned(`${day}T10:00`) });
const at = (latitude: number, longitude: number, place: string) => ({ geo: { latitude, longitude, place } });

test('a way is proposed as it was written before at the same place: the middle of all, with how many there are', () => {
  const entries = mapOf(
    visit('2027-01-05', 'Gull Point', 40, 30),
    visit('2027-01-12', 'gull point', 55, 30),
    visit('2027-01-19', 'Gull Point, Pier 2', 45, 60),
    visit('2027-01-26', 'Gull Point'),
    visit('2027-01-27', 'Gull Pointing', 5, 5),
  );
  expect(travelProposals(entries, 'Gull Point', undefined)).toEqual([
    { there: 45, back: 30, reason: { kind: 'before', count: 3 } },
  ]);
  expect(travelProposals(entries, 'Skerry', undefined)).toEqual([]);
  expect(travelProposals(entries, ' ', undefined)).toEqual([]);
});

test('where one was before on such days comes first', () => {
  const entries = mapOf(
    morning('2027-01-05', 'Chart room'),
    visit('2027-01-05', 'Gull Point', 20, 20),
    morning('2027-01-12', 'Skerry'),
    visit('2027-01-12', 'Gull Point', 60, 20),
    visit('2027-01-19', 'Gull Point', 70, 20),
    // Whole days say nothing of where one was.
    event({ id: 'trip', location: 'Halifax', start: date('2027-01-19'), end: date('2027-01-20') }),
  );
  expect(travelProposals(entries, 'Gull Point', 'Chart room')).toEqual([
    { there: 20, back: 20, reason: { kind: 'before', from: 'Chart room', count: 1 } },
    { there: 60, back: 20, reason: { kind: 'before', count: 3 } },
  ]);
});

test('between places that are on the map the straight distance is a guess that says so; none over an ocean', () => {
  const entries = mapOf(
    visit('2027-01-05', 'Boat shed', 0, 0, at(39.36, -9.4, 'Boat shed')),
    visit('2027-01-06', 'Gull Point', 0, 0, at(39.6, -9.07, 'Gull Point')),
    visit('2027-01-07', 'Halifax', 0, 0, at(44.65, -63.57, 'Halifax')),
  );
  const [guess] = travelProposals(entries, 'Gull Point', 'Boat shed');
  expect(guess).toMatchObject({ there: 60, back: 60, reason: { kind: 'distance', from: 'Boat shed' } });
  expect(guess!.reason.kind === 'distance' && guess!.reason.kilometres).toBeCloseTo(38.9, 1);
  expect(travelProposals(entries, 'Halifax', 'Boat shed')).toEqual([]);
  expect(travelProposals(entries, 'Boat shed', 'Boat shed')).toEqual([]);
});

test('a distance is the same both ways, none to oneself, and never more than half about the earth', () => {
  const point = fc.record({
    latitude: fc.double({ min: -90, max: 90, noNaN: true }),
    longitude: fc.double({ min: -180, max: 180, noNaN: true }),
  });
  fc.assert(
    fc.property(point, point, (a, b) => {
      expect(distanceBetween(a, b)).toBeCloseTo(distanceBetween(b, a), 6);
      expect(distanceBetween(a, a)).toBeCloseTo(0, 6);
      expect(distanceBetween(a, b)).toBeLessThanOrEqual(20_016);
    }),
  );
});
