import { calendar } from '../../../testing/samples';
import { CalendarForm, formOfCalendar } from './calendarForm';

const proposed = { colour: 'pine', mark: 'NC' } as const;
const feed = {
  address: 'https://lights.example/rota.ics',
  everyMinutes: 60,
  withReminders: true,
  withAttachments: false,
} as const;

test('a calendar is written into the form and read back', () => {
  const own = calendar({
    description: 'Rounds and calls',
    zone: 'Europe/Oslo',
    defaultLengthMinutes: 30,
    countsAsFree: true,
    unlisted: true,
    readOnly: true,
  });
  const { name, description, colour, mark, zone, defaultLengthMinutes } = own;
  expect(CalendarForm.parse(formOfCalendar(own, proposed))).toEqual({
    fields: {
      ...{ name, description, colour, mark, zone, defaultLengthMinutes },
      countsAsFree: true,
      unlisted: true,
      readOnly: true,
    },
  });
});

test('a new calendar has what is proposed, and is as everywhere in all else', () => {
  const form = { ...formOfCalendar(undefined, proposed), name: ' Tides ' };
  expect(CalendarForm.parse(form).fields).toEqual({
    name: 'Tides',
    description: '',
    colour: 'pine',
    mark: 'NC',
    zone: undefined,
    defaultLengthMinutes: undefined,
    countsAsFree: undefined,
    unlisted: undefined,
    readOnly: undefined,
  });
});

test('of a feed the form holds how it is read, and nothing of how it went', () => {
  const read = calendar({ feed: { ...feed, tried: 5, etag: '"1"' } });
  expect(CalendarForm.parse(formOfCalendar(read, proposed)).feed).toEqual({
    everyMinutes: 60,
    withReminders: true,
    withAttachments: false,
  });
});

test.each([
  ['name', { name: '  ' }],
  ['mark', { mark: 'N' }],
  ['mark', { mark: 'n1' }],
])('what is wrong is said at the %s', (field, typed) => {
  const said = CalendarForm.safeParse({ ...formOfCalendar(calendar(), proposed), ...typed });
  expect(said.error?.issues.map(({ path }) => path[0])).toEqual([field]);
  expect(said.error?.issues[0]?.message).toMatch(/\.$/);
});
