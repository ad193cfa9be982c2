import { HOUR, parseDate, parseLocal } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { type EntryLineContext, parseEntryLine } from './parseEntryLine';

const contextAt = (now: string, selected: string): EntryLineContext => ({
  nowWall: parseLocal(now),
  zone: 'Europe/Lisbon',
  selectedDay: parseDate(selected),
  defaultLength: HOUR,
  calendars: [
    { id: 'me', name: 'Meetings', mark: 'ME' },
    { id: 'sv', name: 'Site visits', mark: 'SV' },
  ],
  zones: [
    { name: 'Halifax', zone: 'America/Halifax' },
    { name: 'New York', zone: 'America/New_York' },
    { name: 'UTC', zone: 'UTC' },
  ],
});
const context = contextAt('2027-03-09T10:20', '2027-03-09');

const read = (text: string, now = '2027-03-09T10:20', selected = '2027-03-09') => {
  const draft = parseEntryLine(text, contextAt(now, selected));
  const at = (wall: number) => new Date(wall).toISOString().slice(5, 16);
  return {
    title: draft.title,
    when:
      draft.start.kind === 'date'
        ? `${draft.start.date}/${(draft.end as { date: string }).date}`
        : `${at(wallOf(draft.start))}/${at(wallOf(draft.end)).slice(6)}`,
    place: draft.location,
    calendar: draft.calendarId,
    rule: draft.recurrence?.rules.join(),
    zone: draft.start.kind === 'zoned' ? draft.start.zone : undefined,
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

test('days every few weeks belong together by the week that the person keeps', () => {
  const rules = (weekStart: number) =>
    parseEntryLine('Buoy log every other Tue and Sun 12:30', { ...context, weekStart }).recurrence?.rules;
  expect(rules(1)).toEqual(['FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,SU']);
  expect(rules(7)).toEqual(['FREQ=WEEKLY;INTERVAL=2;WKST=SU;BYDAY=TU,SU']);
});

test.each([
  [
    'Rota call every other Tuesday 10-11 until June',
    'Rota call',
    '03-16T10:00/11:00',
    'FREQ=WEEKLY;INTERVAL=2;UNTIL=20270630;BYDAY=TU',
  ],
  [
    'Rota call every other Tuesday 14:00 until 29 June',
    'Rota call',
    '03-09T14:00/15:00',
    'FREQ=WEEKLY;INTERVAL=2;UNTIL=20270629;BYDAY=TU',
  ],
  [
    'Month-end list last Friday of the month',
    'Month-end list',
    '2027-03-26/2027-03-27',
    'FREQ=MONTHLY;BYDAY=-1FR',
  ],
  [
    'Works round weekdays at 9 for 15 minutes',
    'Works round',
    '03-10T09:00/09:15',
    'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR',
  ],
  [
    'weekdays at 9 for 15 minutes Works round',
    'Works round',
    '03-10T09:00/09:15',
    'FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR',
  ],
  [
    'Claim every 3 months on the 1st, 4 times',
    'Claim',
    '2027-04-01/2027-04-02',
    'FREQ=MONTHLY;INTERVAL=3;COUNT=4',
  ],
  ['Board monthly on the second Tuesday 11:00', 'Board', '03-09T11:00/12:00', 'FREQ=MONTHLY;BYDAY=2TU'],
  ['Paint list every Tue and Thu 8:00', 'Paint list', '03-11T08:00/09:00', 'FREQ=WEEKLY;BYDAY=TU,TH'],
  ['Choir Tuesdays 19:30', 'Choir', '03-09T19:30/20:30', 'FREQ=WEEKLY;BYDAY=TU'],
  [
    'Stock list every 2 weeks on Monday from 5 April 10:00',
    'Stock list',
    '04-05T10:00/11:00',
    'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO',
  ],
  ['Lamp log every day 17:00 until Friday', 'Lamp log', '03-09T17:00/18:00', 'FREQ=DAILY;UNTIL=20270312'],
  ['Grant opens every 12 March', 'Grant opens', '2027-03-12/2027-03-13', 'FREQ=YEARLY'],
  [
    'Clock watch every last Sunday of March 9:00',
    'Clock watch',
    '03-28T09:00/10:00',
    'FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU',
  ],
  [
    'Pay list last working day of the month 15:00',
    'Pay list',
    '03-31T15:00/16:00',
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
  ],
  ['Rent every month on the last day', 'Rent', '2027-03-31/2027-04-01', 'FREQ=MONTHLY;BYMONTHDAY=-1'],
  ['Insurance yearly on 15 April', 'Insurance', '2027-04-15/2027-04-16', 'FREQ=YEARLY'],
  ['Log daily 8:00 until 2028', 'Log', '03-10T08:00/09:00', 'FREQ=DAILY;UNTIL=20281231'],
  ['Monthly report Friday 10:00', 'Monthly report', '03-12T10:00/11:00', undefined],
  ['Second lamp order 11:00', 'Second lamp order', '03-09T11:00/12:00', undefined],
])('%s', (text, title, when, rule) => {
  expect(read(text)).toMatchObject({ title, when, rule });
});

test('a zone behind a time is the time there; behind "in" it is a place', () => {
  expect(read('Grant panel 14:00 Halifax')).toMatchObject({
    title: 'Grant panel',
    when: '03-09T14:00/15:00',
    zone: 'America/Halifax',
    place: '',
  });
  expect(read('Panel Thu 9-10 New York time at Chart room')).toMatchObject({
    title: 'Panel',
    when: '03-11T09:00/10:00',
    zone: 'America/New_York',
    place: 'Chart room',
  });
  expect(read('Launch 18:00 (UTC) every Monday')).toMatchObject({
    title: 'Launch',
    zone: 'UTC',
    when: '03-15T18:00/19:00',
    rule: 'FREQ=WEEKLY;BYDAY=MO',
  });
  expect(read('Panel 14:00 in Halifax')).toMatchObject({ zone: 'Europe/Lisbon', place: 'Halifax' });
  expect(read('Halifax call 14:00')).toMatchObject({ title: 'Halifax call', zone: 'Europe/Lisbon' });
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
