import { HOUR, parseDate, parseLocal } from '@/core/time/civil';
import { type EntryLineContext, parseEntryLine } from '../parseEntryLine';
import { guestCompletions } from './guests';

const people = ['Tobias Rask', 'Salma Wray', 'Oona Pell', 'Oona Marsh'].map((name) => ({ id: name, name }));
const context: EntryLineContext = {
  nowWall: parseLocal('2027-03-09T10:20'),
  zone: 'Europe/Lisbon',
  selectedDay: parseDate('2027-03-09'),
  defaultLength: HOUR,
  calendars: [],
  people,
};
const read = (line: string, more: Partial<EntryLineContext> = {}) => {
  const { title, guests, location } = parseEntryLine(line, { ...context, ...more });
  return {
    title,
    guests: guests.map(({ name, isOptional }) => (isOptional ? `(${name})` : name)),
    ...(location ? { location } : {}),
  };
};

test.each([
  ['Plans with Tobias Thu 10:00', 'Plans', ['Tobias Rask']],
  ['Plans Thu 10:00 with Tobias, Salma and Oona Pell', 'Plans', ['Tobias Rask', 'Salma Wray', 'Oona Pell']],
  ['invite tobias & salma to Plans', 'Plans', ['Tobias Rask', 'Salma Wray']],
  ['Plans optional: Salma Fri 9', 'Plans', ['(Salma Wray)']],
  ['Plans with Tobias, optional Oona Marsh, Fri 9', 'Plans', ['Tobias Rask', '(Oona Marsh)']],
  // Two are called Oona, and nobody Salman.
  ['Plans with Oona', 'Plans with Oona', []],
  ['Plans with Salman', 'Plans with Salman', []],
  ['Tobias: crane survey', 'Tobias: crane survey', []],
])('%s', (line, title, guests) => {
  expect(read(line)).toEqual({ title, guests });
});

test('beside a place and a time, and put back into the title', () => {
  expect(read('Plans with Salma Fri 9-10 at Lamp room')).toEqual({
    title: 'Plans',
    guests: ['Salma Wray'],
    location: 'Lamp room',
  });
  expect(read('Plans with Salma Fri 9', { kept: ['with Salma'] })).toEqual({
    title: 'Plans with Salma',
    guests: [],
  });
  expect(read('Plans with Salma and with Salma Wray').guests).toEqual(['Salma Wray']);
});

test.each<[string, string, string]>([
  ['Lens plans with Tobias online', 'Lens plans', 'online'],
  ['Lens plans online with Tobias Thu 15:00', 'Lens plans', 'online'],
  ['Tide talk, online', 'Tide talk', 'online'],
  ['Lens plans with Tobias in the Lamp room', 'Lens plans', 'Lamp room'],
])('held online, or in a room: %s', (line, title, location) => {
  expect(read(line)).toMatchObject({ title, location });
});
test.each(['Order rope online', 'Buy tickets online Fri', 'Online course', 'Go online with the rota'])(
  'what is done online is no place: %s',
  (line) => {
    expect(read(line)).not.toHaveProperty('location');
  },
);

test('the name that is begun is offered, and the line with it', () => {
  const names = (line: string) => guestCompletions(line, people).map(({ name }) => name);
  expect(names('Plans with to')).toEqual(['Tobias Rask']);
  expect(names('Plans with Tobias and oo')).toEqual(['Oona Pell', 'Oona Marsh']);
  expect(names('Plans with Tobias')).toEqual([]);
  expect(names('Bread and to')).toEqual([]);
  expect(guestCompletions('Plans optional sal', people)).toEqual([
    { name: 'Salma Wray', line: 'Plans optional Salma Wray ' },
  ]);
});
