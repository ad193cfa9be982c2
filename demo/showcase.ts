import { noticeBefore } from '@/core/model/reminder';
import { attached } from './attachments';
import { dayAfter, type EntryMaker } from './entryMaker';
import { OWNER } from './invitations';

/** Who is invited, with an answer each; `?` for none yet. */
const invited = (people: Readonly<Record<string, string>>) => ({
  organizer: { address: `mailto:${OWNER.address}`, parameters: { cn: OWNER.name } },
  attendees: Object.entries(people).map(([name, answer]) => ({
    address: `mailto:${name.toLowerCase().replace(' ', '.')}@fennick.example`,
    parameters: { cn: name, partstat: answer === '?' ? 'NEEDS-ACTION' : answer },
  })),
});
const reminded = (minutesBefore: number) => ({ reminders: [noticeBefore(minutesBefore)] });

/** Where the relief boat goes in each week of four, and who keeps those lights from then on. */
const RELIEFS = [
  { lights: 'Skerry and Tern Rock', watch: 'First watch' },
  { lights: 'Gull Point and Old Mole', watch: 'Second watch' },
  { lights: 'North Ness and St Brannoc', watch: 'Third watch' },
  { lights: 'Cape Farrow and Low Head', watch: 'Fourth watch' },
];

/** The keepers' rota: a pattern of four weeks. */
function addRota(make: EntryMaker): void {
  RELIEFS.forEach(({ lights, watch }, week) => {
    const monday = dayAfter('2026-02-02', 7 * week);
    const rule = 'FREQ=WEEKLY;INTERVAL=4;BYDAY=MO,TU,WE,TH,FR';
    make.series('rota', `${monday}T06:00`, 120, rule, 'Relief boat', {
      availability: 'free',
      location: `to ${lights}`,
      notes: `${watch} keeps ${lights} this week.`,
    });
  });
}

/** The weeks around today, written by hand: what the pictures show, and one of every kind of entry. */
export function addShowcase(make: EntryMaker): void {
  // Series of every kind.
  make.series('meetings', '2026-02-02T09:00', 30, 'FREQ=WEEKLY', 'Works round', {
    location: 'Chart room',
    left: ['2026-12-21', '2026-12-28'],
  });
  // Divided by "this and later ones": half an hour earlier since September.
  make.series('meetings', '2026-03-03T09:30', 30, 'FREQ=WEEKLY;UNTIL=20260825', 'Rota check', {
    location: 'Lamp room',
  });
  make.series('meetings', '2026-09-01T09:00', 30, 'FREQ=WEEKLY', 'Rota check', { location: 'Lamp room' });
  const rotaCall = make.series(
    'meetings',
    '2026-06-30T14:00',
    60,
    'FREQ=WEEKLY;INTERVAL=2;UNTIL=20270629',
    'Keeper rota call',
    {
      location: 'Lamp room',
      notes: 'Who keeps which light from the 15th on, and the spare lamps.',
      left: ['2026-12-29'],
      skip: 'omit',
      ...reminded(10),
      ...invited({ 'Oona Pell': 'ACCEPTED', 'Dev Arlen': 'ACCEPTED' }),
    },
  );
  make.changed(rotaCall, '2027-02-23', '2027-02-24T15:00');
  make.changed(rotaCall, '2027-03-23', '2027-03-23T15:30', { location: 'Chart room' });
  make.series(
    'desk',
    '2026-05-29T15:00',
    90,
    'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
    'Month-end list',
    { skip: 'previous' },
  );
  make.series(
    'meetings',
    '2026-02-02T11:00',
    60,
    'FREQ=MONTHLY;BYMONTH=2,3,4,5,6,7,8,9,10,11,12;BYDAY=1MO',
    'Trust board call',
    {
      location: 'online',
      url: 'https://meet.fennick.example/board',
    },
  );
  make.series('grants', '2026-03-12T09:00', 60, 'FREQ=YEARLY', 'Sea heritage grant opens');
  make.series('meetings', '2027-02-05T11:30', 60, 'FREQ=WEEKLY;COUNT=10', 'Lens workshop', {
    location: 'online',
    notes: 'With Marek Dunne.',
    ...invited({ 'Marek Dunne': 'ACCEPTED' }),
    skip: 'next',
  });
  make.series('meetings', '2026-10-01T14:00', 30, 'FREQ=WEEKLY;INTERVAL=2', 'One-to-one Dev', {
    location: 'Lamp room',
  });
  make.series('home', '2026-09-01T15:30', 60, 'FREQ=WEEKLY;BYDAY=TU,TH;UNTIL=20270630', 'School gate', {
    availability: 'free',
    classification: 'private',
  });
  make.series('desk', '2026-03-02T16:30', 30, 'FREQ=WEEKLY;BYDAY=MO,WE', 'Order book');
  addRota(make);
  make.series('meetings', '2026-04-07T17:30', 30, 'FREQ=WEEKLY;BYDAY=WE', 'Stores count', {
    status: 'cancelled',
    notes: 'Nobody has come since autumn.',
  });

  // The week of today.
  make.timed('desk', '2027-03-08T10:00', 120, 'Lens invoices');
  make.timed('meetings', '2027-03-08T14:00', 60, 'Glass supplier call', {
    availability: 'tentative',
    location: 'online',
  });
  make.days('visits', '2027-03-08', 2, 'Tower paint, Skerry', { availability: 'free' });
  make.timed('desk', '2027-03-09T10:30', 90, 'Q1 works report', {
    notes: 'Figures from stores, pictures from Skerry.',
    categories: ['report'],
    ...attached('tower', 'figures'),
  });
  make.timed(
    'meetings',
    '2027-03-09T11:00',
    45,
    'Tobias: crane survey',
    { location: 'online', ...invited({ 'Tobias Rask': 'ACCEPTED' }), ...attached('crane') },
    'Europe/Lisbon',
  );
  make.timed(
    'meetings',
    '2027-03-09T13:00',
    30,
    'Halifax call',
    { location: 'online', ...reminded(15), ...invited({ 'Salma Wray': '?' }) },
    'America/Halifax',
  );
  make.timed('visits', '2027-03-10T08:30', 480, 'Gull Point inspection', {
    location: 'by boat, low water 11:40',
    travel: { there: 50, back: 40 },
    ...reminded(60),
  });
  make.timed('home', '2027-03-10T19:30', 90, 'Choir', { classification: 'private' });
  make.timed('grants', '2027-03-11T09:00', 60, 'Halifax grant panel', {
    location: 'online',
    categories: ['report'],
    ...invited({ 'Salma Wray': 'ACCEPTED', 'Tobias Rask': '?' }),
  });
  make.timed('desk', '2027-03-11T10:30', 120, 'Order lantern glass');
  make.timed('meetings', '2027-03-11T14:15', 60, 'Boat hire quote', { availability: 'tentative' });
  make.timed('visits', '2027-03-11T14:20', 70, 'Crane test, boat shed', {
    location: 'Boat shed',
    geo: { latitude: 39.36, longitude: -9.4, place: 'Boat shed' },
  });
  make.timed('home', '2027-03-11T16:00', 60, 'Piano tuner', {
    availability: 'away',
    classification: 'private',
  });
  make.days('grants', '2027-03-11', 2, 'Claim due', { availability: 'free', categories: ['deadline'] });
  make.timed('desk', '2027-03-12T09:00', 120, 'Report periods');
  make.timed('grants', '2027-03-12T14:00', 120, 'Grant claim draft');
  make.days('daysoff', '2027-03-12', 1, 'Founders’ day', { availability: 'away' });
  make.timed('home', '2027-03-13T10:00', 150, 'Boat paint with Ines', { classification: 'private' });

  // What is left of a feed that has vanished.
  make.timed('boats', '2026-11-10T09:00', 240, 'Relief boat booked', { availability: 'free' });
  make.timed('boats', '2027-03-17T09:00', 240, 'Relief boat booked', { availability: 'free' });

  // A calendar that could be one with Site visits: some of it is in both.
  const inspections = ['Tern Rock', 'Low Head', 'Old Mole', 'North Ness'];
  inspections.forEach((light, month) => {
    const start = `2026-0${month + 5}-12T08:30`;
    make.timed('inspections', start, 360, `${light} inspection`, { location: 'by boat' });
    if (month % 2 === 0) make.timed('visits', start, 360, `${light} inspection`, { location: 'by boat' });
  });

  // Clock changes, midnight, other zones.
  make.timed('visits', '2027-03-16T21:30', 330, 'Night light trial, Gull Point', {
    notes: 'Crosses midnight.',
  });
  make.timed('rota', '2027-03-28T00:30', 120, 'Clock change watch', {
    notes: 'The clock goes forward at one.',
  });
  const flight = make.timed('visits', '2027-03-18T13:15', 250, 'Flight to Halifax', {
    availability: 'away',
    categories: ['travel'],
    ...reminded(120),
  });
  if (flight.end.kind === 'zoned')
    flight.end = { kind: 'zoned', local: '2027-03-18T17:25:00', zone: 'America/Halifax' };
  make.days('visits', '2027-03-18', 4, 'Halifax: lamp makers', {
    availability: 'away',
    location: 'Halifax',
    geo: { latitude: 44.65, longitude: -63.57, place: 'Halifax' },
  });
  make.days('daysoff', '2027-03-26', 1, 'Good Friday', { availability: 'away' });
  make.days('daysoff', '2027-05-04', 1, 'Harbour day', { availability: 'away' });
  make.days('grants', '2027-04-04', 1, 'Report period 3 ends', { availability: 'free' });

  // Things to tidy.
  make.timed('desk', '2027-03-15T10:00', 120, 'Lens invoices');
  make.timed('desk', '2027-03-15T10:00', 120, 'Lens invoices');
  make.timed('desk', '2027-03-17T09:00', 60, '');
  make.timed('meetings', '2027-02-11T11:00', 30, '');
  make.timed('desk', '2027-02-18T09:00', 120, 'Draft: lamp list', {
    status: 'tentative',
    availability: 'tentative',
  });
}
