import { context, event } from '../../../testing/samples';
import { publishedEvents } from '../interchange/published/publishedEvents';
import { readCalendarFile } from '../interchange/icalendar/readCalendarFile';
import { writeCalendarFile } from '../interchange/icalendar/writeCalendarFile';
import { readCsvTable } from '../interchange/csv/csvTable';
import { guessColumns } from '../interchange/csv/columns';
import { readCsv } from '../interchange/csv/readCsv';
import { writeCsv } from '../interchange/csv/writeCsv';
import type { CalendarEvent } from '../model/entry';
import { FIELD_NAMES, FORM_FIELDS, initialFields, rowOf, SHARED_FIELDS } from './eventFields';

const options = { zone: 'Europe/Lisbon', now: 0, newId: context().newId };
const throughFile = async (one: CalendarEvent): Promise<CalendarEvent> =>
  (await readCalendarFile(writeCalendarFile([one]), options)).events[0]!;
const full = event({
  title: 'Crane check',
  location: 'Boat shed',
  notes: 'Bring the log',
  categories: ['boats', 'tide'],
  availability: 'away',
  classification: 'private',
  status: 'tentative',
  priority: 3,
  organizer: { address: 'mailto:juna@fennick.example', parameters: { cn: 'Juna Marsh' } },
  attendees: [
    {
      address: 'mailto:marek@fennick.example',
      parameters: { cn: 'Marek Dunne', partstat: 'ACCEPTED', rsvp: 'TRUE', 'x-desk': '4' },
    },
    { address: 'mailto:oona@fennick.example', parameters: {} },
  ],
  ownAnswer: 'tentative',
  geo: { latitude: 38.7, longitude: -9.1, place: 'Boat shed' },
  relatedTo: [
    { uid: 'glass@fennick.example', parameters: {} },
    { uid: 'order@fennick.example', parameters: { reltype: 'SIBLING', 'x-desk': '4' } },
  ],
  answersMail: { id: '<orders@fennick.example>', subject: 'Lens order, "urgent"' },
  guestsMay: ['invite'],
  conferences: [
    { uri: 'https://meet.fennick.example/crane', parameters: { feature: 'AUDIO', label: 'By wire' } },
  ],
  colour: 'rust',
  url: 'https://fennick.example/crane',
});

test('each field that a file says comes back from it as it was, and from a table if it has a column', async () => {
  const read = await throughFile(full);
  const table = readCsvTable(writeCsv([full], () => undefined));
  const mapping = guessColumns(table.header);
  const { events } = readCsv(table, {
    ...options,
    mapping,
    dateOrder: 'day-month',
    defaultLengthMinutes: 60,
  });
  for (const name of FIELD_NAMES) {
    const { property, column } = rowOf(name);
    if (property) expect([name, read[name]]).toEqual([name, full[name]]);
    if (column) expect([name, events[0]![name]]).toEqual([name, full[name]]);
  }
});

test('what stands in the form says the same field again', () => {
  for (const name of FORM_FIELDS) {
    const form = rowOf(name).form!;
    expect([name, form.said(form.typed(full[name]), full[name])]).toEqual([name, full[name]]);
    expect(form.schema.safeParse(form.typed(full[name])).success).toBe(true);
  }
});

test('an entry that says nothing has every field as it begins, and is read so from a file', async () => {
  const plain = event({ title: '' });
  const read = await throughFile(plain);
  for (const name of Object.keys(initialFields()) as (keyof ReturnType<typeof initialFields>)[])
    expect([name, read[name]]).toEqual([name, rowOf(name).initial]);
});

test('each depth of publishing gives away its fields and no others', () => {
  const open = { ...full, classification: 'public' as const };
  const seen = (level: 'busy' | 'titles' | 'everything') => publishedEvents([open], level)[0]!;
  for (const name of FIELD_NAMES) {
    const { published, initial } = rowOf(name);
    if (initial === 'required' || name === 'title') continue;
    const isAt = (level: 'busy' | 'titles' | 'everything') =>
      published !== 'never' &&
      ['busy', 'titles', 'everything'].indexOf(published) <= ['busy', 'titles', 'everything'].indexOf(level);
    for (const level of ['busy', 'titles', 'everything'] as const) {
      // Where the status is not seen, the availability says that it is tentative.
      const value = name === 'availability' && level === 'busy' ? 'tentative' : open[name];
      expect([name, level, seen(level)[name]]).toEqual([name, level, isAt(level) ? value : initial]);
    }
  }
});

test.each([
  ['PRIORITY:5', 5, 'PRIORITY:5'],
  ['PRIORITY:0', undefined, 'PRIORITY:0'],
  ['PRIORITY:12', undefined, 'PRIORITY:12'],
])('%s is read as %s and written back', async (line, priority, written) => {
  const text = writeCalendarFile([event({})]).replace('END:VEVENT', `${line}\r\nEND:VEVENT`);
  const { events } = await readCalendarFile(text, options);
  expect(events[0]!.priority).toBe(priority);
  expect(writeCalendarFile(events)).toContain(`\r\n${written}\r\n`);
  // What is chosen meanwhile takes the place of what could not be read.
  expect(writeCalendarFile([{ ...events[0]!, priority: 1 }]).match(/PRIORITY:\d+/g)).toEqual(['PRIORITY:1']);
});

test('a level that is chosen anew has its usual number; one that is let be keeps its own', () => {
  const { said } = rowOf('priority').form!;
  expect(said('high', 3)).toBe(3);
  expect(said('high', 5)).toBe(1);
  expect(said('none', 3)).toBeUndefined();
});

test('an edit of a series sets importance for all', () => expect(SHARED_FIELDS).toContain('priority'));
