import { type Glance, keepGlance, keptGlance } from './keptGlance';
import { DAY } from '@/core/time/civil';

const NOON = Date.UTC(2027, 2, 9, 12);
const glance: Glance = {
  day: Math.floor(NOON / DAY),
  zone: 'Europe/Lisbon',
  rows: [
    {
      title: 'Keeper rota call',
      time: '14:00',
      start: NOON + 7_200_000,
      end: NOON + 10_800_000,
      mark: 'ME',
      colour: 'harbour',
      isStruck: false,
    },
  ],
};
const at = (now: number, search = '') => keptGlance(search, () => now);

beforeEach(() => localStorage.clear());

test('what was kept is shown on its day alone, on the clock of its zone', () => {
  keepGlance(glance);
  expect(at(NOON)).toEqual(glance);
  expect(at(NOON + DAY)).toBeUndefined();
  expect(at(NOON - DAY)).toBeUndefined();
});

test('a demo whose clock stands has its own today, and so has an address that says a time', () => {
  keepGlance({ ...glance, demoNow: '2027-03-09T10:20' });
  expect(at(Date.UTC(2031, 0, 1))).toMatchObject({ day: glance.day });
  expect(at(Date.UTC(2031, 0, 1), '?now=2027-03-10T08:00')).toBeUndefined();
});

test('what can’t be read is as if nothing had been kept', () => {
  expect(at(NOON)).toBeUndefined();
  localStorage.setItem('orderly-week/glance', '{"day":');
  expect(at(NOON)).toBeUndefined();
  localStorage.setItem('orderly-week/glance', JSON.stringify({ ...glance, zone: 'Nowhere/Else' }));
  expect(at(NOON)).toBeUndefined();
  localStorage.setItem('orderly-week/glance', JSON.stringify({ ...glance, rows: 'all' }));
  expect(at(NOON)).toBeUndefined();
});
