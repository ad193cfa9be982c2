import { parseLocal, parseDate } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { findLength } from './lengths';
import { parseEntryLine } from './parseEntryLine';

const read = (text: string, now = '2027-03-09T10:20', selected = '2027-03-09') => {
  const draft = parseEntryLine(text, {
    nowWall: parseLocal(now),
    zone: 'Europe/Lisbon',
    selectedDay: parseDate(selected),
    defaultLength: 3_600_000,
    calendars: [
      { id: 'me', name: 'Meetings', mark: 'ME' },
      { id: 'sv', name: 'Site visits', mark: 'SV' },
    ],
  });
  const at = (wall: number) => new Date(wall).toISOString().slice(5, 16);
  return {
    title: draft.title,
    when:
      draft.start.kind === 'date'
        ? `${draft.start.date}/${(draft.end as { date: string }).date}`
        : `${at(wallOf(draft.start))}/${at(wallOf(draft.end)).slice(6)}`,
    place: draft.location,
    calendar: draft.calendarId,
  };
};

test.each([
  [
    'Crane survey review Thu 15:30 45 min at Lamp room',
    'Crane survey review',
    '03-11T15:30/16:15',
    'Lamp room',
  ],
  ['Boat check Fri 9-10', 'Boat check', '03-12T09:00/10:00', ''],
  ['Lens call tomorrow at noon', 'Lens call', '03-10T12:00/13:00', ''],
  ['Board at 3', 'Board', '03-09T15:00/16:00', ''],
  ['Order glass 11:00', 'Order glass', '03-09T11:00/12:00', ''],
  ['Order glass 9:00', 'Order glass', '03-10T09:00/10:00', ''],
  ['Harbour walk 14:00-15:30 in Boat shed', 'Harbour walk', '03-09T14:00/15:30', 'Boat shed'],
  ['Night trial 22:00 to 02:00', 'Night trial', '03-09T22:00/02:00', ''],
  ['Paint list 15 March 10am for 2 hours', 'Paint list', '03-15T10:00/12:00', ''],
  ['Survey next Tuesday 1 h 30', 'Survey', '03-16T09:00/10:30', ''],
  ['Claim due 15 April', 'Claim due', '2027-04-15/2027-04-16', ''],
  ['Skerry tower all day Thursday', 'Skerry tower', '2027-03-11/2027-03-12', ''],
  ['Halifax trip 18 March for 4 days', 'Halifax trip', '2027-03-18/2027-03-22', ''],
  ['Read the log', 'Read the log', '03-09T10:30/11:30', ''],
  ['Meet 3 keepers about 2 lamps', 'Meet 3 keepers about 2 lamps', '03-09T10:30/11:30', ''],
])('%s', (text, title, when, place) => {
  expect(read(text)).toMatchObject({ title, when, place });
});

test('the calendar is named by mark or name, and stays a word if there is none of that name', () => {
  expect(read('Rota #ME')).toMatchObject({ title: 'Rota', calendar: 'me' });
  expect(read('Rota #site')).toMatchObject({ title: 'Rota', calendar: 'sv' });
  expect(read('Rota #nowhere')).toMatchObject({ title: 'Rota #nowhere', calendar: undefined });
});

test('without a day, the selected one is meant', () => {
  expect(read('Lens call 14:00', '2027-03-09T10:20', '2027-03-18').when).toBe('03-18T14:00/15:00');
  expect(read('Lens call', '2027-03-09T10:20', '2027-03-18').when).toBe('03-18T09:00/10:00');
});

test('the same words mean the same wherever the process runs', () => {
  const zone = process.env.TZ;
  try {
    for (const other of ['Pacific/Auckland', 'America/Halifax']) {
      process.env.TZ = other;
      expect(read('Lens call tomorrow 23:30').when).toBe('03-10T23:30/00:30');
    }
  } finally {
    process.env.TZ = zone;
  }
});

test('a length is not read out of what says when', () => {
  expect(findLength('in 45 minutes')).toBeUndefined();
  expect(findLength('2 days ago')).toBeUndefined();
  expect(findLength('call 1.5 h')?.length).toBe(5_400_000);
});
