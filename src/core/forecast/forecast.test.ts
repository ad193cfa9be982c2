import { timedOccurrence } from '../../../testing/samples';
import type { WorkingDay } from '../model/settings';
import { DAY, dayNumber } from '../time/civil';
import { inDegrees, isRough, WEATHERS } from './forecast';
import { placeOfDay } from './placeOfDay';

const TODAY = dayNumber(2027, 3, 9);
const names = { home: 'Cove Lane', office: 'Fennick' };
const works = (place: WorkingDay['place']): WorkingDay => ({ place, spans: [{ from: 540, to: 1020 }] });
const trip = {
  ...timedOccurrence(TODAY, 'Inspection', 0, 1440, { location: 'Gull Point', availability: 'away' }),
  allDay: true,
  endWall: (TODAY + 2) * DAY,
};

test('degrees are whole numbers of either scale', () => {
  expect([-40, 0, 11.4, 37].map((each) => inDegrees(each, 'celsius'))).toEqual([-40, 0, 11, 37]);
  expect([-40, 0, 11.4, 37].map((each) => inDegrees(each, 'fahrenheit'))).toEqual([-40, 32, 53, 99]);
  expect(Object.is(inDegrees(-0.2, 'celsius'), 0)).toBe(true);
});

test('rain, snow, wind and storm are rough, the others are not', () => {
  expect(WEATHERS.filter(isRough)).toEqual(['rain', 'snow', 'wind', 'storm']);
});

test('the place of a day is the office, home, or wherever a trip leads', () => {
  expect(placeOfDay(TODAY, [], works('office'), names)).toBe('Fennick');
  expect(placeOfDay(TODAY, [], works('home'), names)).toBe('Cove Lane');
  expect(placeOfDay(TODAY, [], { place: 'office', spans: [] }, names)).toBe('Cove Lane');
  expect(placeOfDay(TODAY, [trip], works('office'), names)).toBe('Gull Point');
  expect(placeOfDay(TODAY + 1, [trip], works('office'), names)).toBe('Gull Point');
  expect(placeOfDay(TODAY + 2, [trip], works('office'), names)).toBe('Fennick');
});

test('what is free, called off, or without a place is no trip, and a meeting in a room is none either', () => {
  const others = [
    { ...trip, availability: 'free' as const },
    { ...trip, status: 'cancelled' as const },
    { ...trip, ownAnswer: 'declined' as const },
    { ...trip, location: ' ' },
    timedOccurrence(TODAY, 'Round', 600, 60, { location: 'Chart room' }),
  ];
  expect(placeOfDay(TODAY, others, works('office'), names)).toBe('Fennick');
});

test('on the road it is the first place that one travels to', () => {
  const ways = { leave: 0, leaveWall: 0, home: 0, homeWall: 0 };
  const visits = [
    timedOccurrence(TODAY, 'Second', 800, 60, { location: 'Skerry', ways }),
    timedOccurrence(TODAY, 'First', 600, 60, { location: 'Gull Point', ways }),
    timedOccurrence(TODAY, 'Call', 500, 30, { location: 'Chart room' }),
  ];
  expect(placeOfDay(TODAY, visits, works('travel'), names)).toBe('Gull Point');
  expect(placeOfDay(TODAY, visits, works('office'), names)).toBe('Fennick');
  expect(placeOfDay(TODAY, [], works('travel'), { home: '', office: '' })).toBeUndefined();
});
