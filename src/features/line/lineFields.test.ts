import { calendar, person } from '../../../testing/samples';
import { parseEntryLine } from '@/core/entryline/parseEntryLine';
import { initialSettings } from '@/core/model/initialSettings';
import { blankFields } from '@/core/change/eventFields';
import { parseDate, parseLocal } from '@/core/time/civil';
import { fieldsOver, type LineLook, readLine } from './lineFields';
import { noticeBefore } from '@/core/model/reminder';

const meetings = calendar();
const rota = calendar({ id: 'rota', name: 'Keeper rota', mark: 'KR', defaultLengthMinutes: 30 });
const look: LineLook = {
  settings: initialSettings('Europe/Lisbon'),
  nowWall: parseLocal('2027-03-09T10:20'),
  zone: 'Europe/Lisbon',
  selectedDay: parseDate('2027-03-11'),
  dayFirst: true,
  calendars: [meetings, rota],
  target: meetings,
  categories: ['Inspection'],
  people: [],
  kept: [],
};
const read = (line: string, more: Partial<LineLook> = {}) =>
  readLine(parseEntryLine, line, { ...look, ...more });
const zoned = (local: string) => ({ kind: 'zoned' as const, local, zone: 'Europe/Lisbon' });
const slot = blankFields('meetings', zoned('2027-03-11T14:00:00'), zoned('2027-03-11T15:00:00'));

test('a line is an entry of the selected day, with all that it says', () => {
  const { fields } = read('Lens board 10:00 at Lamp room private #Inspection remind me 10 min before');
  expect(fields).toMatchObject({
    title: 'Lens board',
    start: zoned('2027-03-11T10:00:00'),
    end: zoned('2027-03-11T11:00:00'),
    location: 'Lamp room',
    classification: 'private',
    categories: ['Inspection'],
    reminders: [noticeBefore(10)],
    calendarId: 'meetings',
  });
});

test('the calendar that is named says how long it is', () => {
  expect(read('Rota 10:00 #KR').fields).toMatchObject({
    calendarId: 'rota',
    end: zoned('2027-03-11T10:30:00'),
  });
});

test('habits and words that stay in the title are heard', () => {
  const settings = { ...look.settings, lineHabits: { 'hour-7': 'am', 'number-order': 'month-day' } };
  expect(read('Dinner at 7', { settings }).fields?.start).toEqual(zoned('2027-03-11T07:00:00'));
  expect(read('Claim 12/04', { settings }).fields?.start).toEqual({ kind: 'date', date: '2027-12-04' });
  expect(read('Friday review', { kept: ['Friday'] }).fields?.title).toBe('Friday review');
});

test('without a calendar to go to there are no fields, and the words are read all the same', () => {
  const { fields, draft } = read('Lens board 10:00', { calendars: [], target: undefined });
  expect([fields, draft.title]).toEqual([undefined, 'Lens board']);
});

test.each<[string, string, string]>([
  ['Lens board', '2027-03-11T14:00:00', '2027-03-11T15:00:00'],
  ['Lens board 9:00', '2027-03-11T09:00:00', '2027-03-11T10:00:00'],
  ['Lens board 9:00 30 min', '2027-03-11T09:00:00', '2027-03-11T09:30:00'],
  ['Lens board 45 min', '2027-03-11T14:00:00', '2027-03-11T14:45:00'],
  ['Lens board fri', '2027-03-12T14:00:00', '2027-03-12T15:00:00'],
  ['Lens board fri 9-10:30', '2027-03-12T09:00:00', '2027-03-12T10:30:00'],
  ['Lens board every tue', '2027-03-16T14:00:00', '2027-03-16T15:00:00'],
])('over a pressed time “%s” keeps what it does not say', (line, start, end) => {
  const fields = fieldsOver(slot, read(line));
  expect([fields.title, fields.start, fields.end]).toEqual(['Lens board', zoned(start), zoned(end)]);
});

test('over a pressed time “all day” takes the day, and over a pressed day a time takes an hour', () => {
  const day = { kind: 'date' as const, date: '2027-03-11' };
  expect(fieldsOver(slot, read('Lens board all day'))).toMatchObject({
    start: day,
    end: { kind: 'date', date: '2027-03-12' },
  });
  const whole = blankFields('meetings', day, { kind: 'date', date: '2027-03-12' });
  expect(fieldsOver(whole, read('Lens board 9:00'))).toMatchObject({
    start: zoned('2027-03-11T09:00:00'),
    end: zoned('2027-03-11T10:00:00'),
  });
  expect(fieldsOver(whole, read('Lens board'))).toMatchObject({ start: day });
});

test('in a calendar on another clock the dates that are left out go along with the start', () => {
  const azores = calendar({ id: 'azores', name: 'Stores', mark: 'ST', zone: 'Atlantic/Azores' });
  const { fields } = read('Rope list every thu 10:00 except 18 March', {
    calendars: [azores],
    target: azores,
  });
  const at = (local: string) => ({ kind: 'zoned' as const, local, zone: 'Atlantic/Azores' });
  expect(fields?.start).toEqual(at('2027-03-11T09:00:00'));
  expect(fields?.recurrence?.exceptionDates).toEqual([at('2027-03-18T09:00:00')]);
});

test('people who are named are guests of the entry: those who have to come, and those who need not', () => {
  const people = ['Tobias Rask', 'Salma Wray', 'Oona Pell'].map((name) => person(name));
  const { fields, draft } = read('Lens plans Thu 10:00 with Tobias and salma wray, optional Oona', {
    people,
  });
  expect(draft.title).toBe('Lens plans');
  expect(draft.said).toContain('people');
  expect(fields?.attendees?.map(({ address, parameters: { role } }) => [address, role])).toEqual([
    ['mailto:tobias@fennick.example', 'REQ-PARTICIPANT'],
    ['mailto:salma@fennick.example', 'REQ-PARTICIPANT'],
    ['mailto:oona@fennick.example', 'OPT-PARTICIPANT'],
  ]);
  // Who is not known stays in the title, as does all of it where nobody is.
  expect(read('Lunch with Marek Fri 12:30', { people }).draft.title).toBe('Lunch with Marek');
  expect(read('Lunch with Oona Fri 12:30').fields).not.toHaveProperty('attendees');
});

test('the room that it is held in is invited along, where others are', () => {
  const people = [person('Tobias Rask'), { ...person('Lamp room'), kind: 'room' as const }];
  const guests = (line: string) =>
    read(line, { people }).fields?.attendees?.map(({ parameters: { cn, cutype } }) => [cn, cutype]);
  expect(guests('Lens plans Thu 10:00 with Tobias in the Lamp room')).toEqual([
    ['Tobias Rask', 'INDIVIDUAL'],
    ['Lamp room', 'ROOM'],
  ]);
  expect(guests('Lens plans Thu 10:00 in the Lamp room')).toBeUndefined();
});
