import { context, event, stateWith } from '../../../testing/samples';
import { publishedEvents } from '../interchange/published/publishedEvents';
import { readCalendarFile } from '../interchange/icalendar/readCalendarFile';
import { writeCalendarFile } from '../interchange/icalendar/writeCalendarFile';
import { readCsvTable } from '../interchange/csv/csvTable';
import { guessColumns } from '../interchange/csv/columns';
import { readCsv } from '../interchange/csv/readCsv';
import { writeCsv } from '../interchange/csv/writeCsv';
import type { CalendarEvent } from '../model/entry';
import { FIELD_NAMES, type FieldName, FORM_FIELDS, initialFields, rowOf, SHARED_FIELDS } from './eventFields';
import { type Cell, editCell } from '../change/editCell';
import { isRefused } from '../change/eventFields';
import { applyPatch } from '../change/patch';
import { BatchStep, TEXT_STEP_FIELDS } from '../model/batchStep';
import { applyStep, type EventStep, stepTools } from '../change/batch/eventSteps';
import { EntryIndex } from '../schedule/entryIndex';
import { EntrySearch } from '../search/entrySearch';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { filterTest } from '../schedule/entryFilter';
import { NO_FILTER } from '../model/look';

const options = { zone: 'Europe/Lisbon', now: 0, newId: context().newId };
const throughFile = async (one: CalendarEvent): Promise<CalendarEvent> =>
  (await readCalendarFile(writeCalendarFile([one]), options)).events[0]!;
const full = event({
  title: 'Crane check',
  location: 'Boat shed',
  notes: 'Bring the log',
  categories: ['boats', 'tide, low'],
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
  reference: 'WO-2041',
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

const state = stateWith({ ...full, id: 'crane', ownAnswer: undefined, organizer: undefined });
const changed = (result: ReturnType<typeof editCell> | undefined): CalendarEvent => {
  if (!result || isRefused(result)) throw new Error('nothing changed');
  return applyPatch(state, result).entries.get('crane') as CalendarEvent;
};

test('each column that is written into takes what stands in a form, and nothing else changes', () => {
  const other: Partial<Record<FieldName, string>> = {
    availability: 'free',
    classification: 'public',
    categories: '"tide, low", glass',
  };
  const written = FIELD_NAMES.filter((name) => rowOf(name).table?.isWritten);
  expect(written).toEqual(expect.arrayContaining(['title', 'location', 'categories', 'reference']));
  for (const name of written) {
    const text = other[name] ?? 'Something else';
    const result = changed(
      editCell(state, { entryId: 'crane' }, rowOf(name).table!.id as Cell, text, context()),
    );
    const { form } = rowOf(name);
    expect([name, result[name]]).toEqual([name, form ? form.said(text, full[name]) : text]);
    for (const same of FIELD_NAMES.filter((each) => each !== name))
      expect([name, same, result[same]]).toEqual([
        name,
        same,
        (state.entries.get('crane') as CalendarEvent)[same],
      ]);
  }
});

test('each field that the general step sets takes a text, and an empty one takes it off', () => {
  expect(TEXT_STEP_FIELDS).toContain('reference');
  for (const field of TEXT_STEP_FIELDS) {
    const step = (to: string) =>
      applyStep(
        state.entries.get('crane')!,
        BatchStep.parse({ kind: 'field', field, to }) as EventStep,
        stepTools(state, 'UTC'),
      );
    expect(step('WO-7')).toMatchObject({ [field]: 'WO-7' });
    expect(step('')).not.toHaveProperty(field);
  }
  expect(BatchStep.safeParse({ kind: 'field', field: 'uid', to: 'x' }).success).toBe(false);
});

test('each field that search reads is found by its words, and by the filter where it reads it, too', async () => {
  const index = new EntryIndex();
  const kept = {
    ...full,
    id: 'crane',
    attachments: [{ id: 'a', name: 'plan.pdf', size: 1, type: 'application/pdf', modified: 0 }],
  };
  index.load([kept as unknown as CalendarEvent]);
  const search = new EntrySearch(index);
  const looked: Partial<Record<FieldName, string>> = {
    title: 'crane',
    location: 'boat',
    notes: 'log',
    categories: 'low',
    attendees: 'marek',
    attachments: 'plan',
    reference: 'wo-2041',
  };
  for (const name of FIELD_NAMES.filter((each) => rowOf(each).search)) {
    const text = looked[name]!;
    const found = await search.find({
      text,
      zone: 'UTC',
      now: 0,
      workingPattern: standardWorkingPattern,
      calendars: [],
      limit: 5,
    });
    expect([name, found.hits.map(({ fields }) => fields.includes(name))]).toEqual([name, [true]]);
    const passes = filterTest({ ...NO_FILTER, text })(kept as unknown as CalendarEvent);
    expect([name, passes]).toEqual([name, rowOf(name).search!.filter]);
  }
});
