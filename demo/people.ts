import type { Person } from '@/core/model/person';
import type { WorkingDay, WorkingPattern, Workplace } from '@/core/model/settings';
import { DIRECTORY_BUSY } from '@/core/people/directory';
import { MADE } from './scenario';

const ADDRESS_END = 'fennick.example';
/** The address of somebody of the works office. */
export const addressOf = (name: string): string =>
  `${name.toLowerCase().replaceAll(' ', '.')}@${ADDRESS_END}`;

const hours = (place: Workplace, ...spans: [number, number][]): WorkingDay => ({
  spans: spans.map(([from, to]) => ({ from: from * 60, to: to * 60 })),
  place,
});
const off = hours('office');

/** Five days of the same hours, some of them spent elsewhere (Monday 0). */
const week = (
  spans: [number, number][],
  elsewhere: Readonly<Record<number, Workplace>> = {},
  without: readonly number[] = [],
): WorkingPattern => ({
  weekdays: [0, 1, 2, 3, 4, 5, 6].map((weekday) =>
    weekday > 4 || without.includes(weekday) ? off : hours(elsewhere[weekday] ?? 'office', ...spans),
  ),
  exceptions: {},
});

const endOf = (name: string): string => name.toLowerCase().replaceAll(' ', '-');

const person = (name: string, fields: Partial<Person>): Person => ({
  id: `demo-person-${endOf(name)}`,
  kind: 'colleague',
  name,
  addresses: [addressOf(name)],
  role: '',
  place: 'Fennick',
  zone: 'Europe/Lisbon',
  equipment: [],
  notes: '',
  groups: [],
  busyAddress: `${DIRECTORY_BUSY}${endOf(name)}`,
  created: MADE,
  modified: MADE,
  ...fields,
});

const room = (name: string, seats: number, equipment: string[]): Person =>
  person(name, { kind: 'room', seats, equipment });

const FULL: [number, number][] = [
  [9, 13],
  [14, 17.5],
];

/** Who works with Juna Marsh, and the rooms of the house. */
export const people: Person[] = [
  person('Tobias Rask', {
    role: 'Surveyor',
    place: 'Oslo',
    zone: 'Europe/Oslo',
    groups: ['Inspections'],
    workingPattern: week([[8, 16]], { 4: 'home' }),
  }),
  person('Salma Wray', {
    role: 'Grants',
    place: 'Halifax',
    zone: 'America/Halifax',
    groups: ['Grants'],
    workingPattern: week([[8.5, 16.5]], { 2: 'home' }),
  }),
  person('Oona Pell', {
    role: 'Keepers’ rota',
    groups: ['Rota'],
    workingPattern: week(FULL, { 0: 'home' }),
  }),
  person('Marek Dunne', {
    role: 'Lens workshop',
    place: 'Warsaw',
    zone: 'Europe/Warsaw',
    groups: ['Inspections'],
    workingPattern: week([
      [7, 11.5],
      [12, 15.5],
    ]),
  }),
  person('Ines Falk', {
    role: 'Stores and boats',
    place: 'Horta',
    zone: 'Atlantic/Azores',
    groups: ['Inspections', 'Rota'],
    workingPattern: week([[8, 16]], { 1: 'travel', 3: 'travel' }),
  }),
  person('Dev Arlen', {
    role: 'Office assistant',
    groups: ['Rota'],
    workingPattern: week(FULL, {}, [4]),
  }),
  room('Chart room', 8, ['screen', 'tide tables']),
  room('Lamp room', 4, []),
  room('Boat shed', 20, ['screen', 'workbench']),
];
