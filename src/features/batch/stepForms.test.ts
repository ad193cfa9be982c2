import { STEP_KINDS, type StepKind } from '@/core/model/batchStep';
import { formOfStep, STEP_GROUPS, stepSchema, type TypedStep } from './stepForms';
import { stepText } from './stepText';

const around = {
  calendars: [{ id: 'desk', name: 'Desk work' }],
  homeZone: 'Europe/Lisbon',
  today: '2027-03-09',
};
const names = { calendarName: () => 'Desk work', zone: 'Europe/Lisbon' };
const read = (kind: StepKind, typed: TypedStep = {}) => {
  const form = formOfStep(kind, around);
  return stepSchema(form).safeParse({ ...form.start, ...typed });
};

/** What has to be typed where a form does not begin with it. */
const FILLED: Partial<Record<StepKind, TypedStep>> = {
  replace: { find: 'Chart room' },
  people: { people: 'oona@fennick.example' },
};

test('every kind of step is offered once', () => {
  expect(STEP_GROUPS.flatMap(({ kinds }) => kinds).sort()).toEqual([...STEP_KINDS].sort());
});

test.each(STEP_KINDS)(
  'the form of %s says a step, or at which field one is missing, and the step in words',
  (kind) => {
    const said = read(kind, FILLED[kind]);
    expect(said.error).toBeUndefined();
    expect(said.data).toMatchObject({ kind });
    expect(stepText(said.data!, names)).not.toBe('');
  },
);

test.each([
  ['shift', { days: 'a week' }, 'days'],
  ['shift', { minutes: '' }, 'minutes'],
  ['length', { minutes: '0' }, 'minutes'],
  ['week', { of: '2027-02-30' }, 'of'],
  ['start-time', { at: 'noon' }, 'at'],
  ['replace', { find: '' }, 'find'],
  ['people', { people: ' ' }, 'people'],
  ['end-series', { last: '' }, 'last'],
] as const)('%s with %j is told at %s', (kind, typed, field) => {
  expect(read(kind, typed).error?.issues.map(({ path }) => path[0])).toEqual([field]);
});

test.each([
  ['categories', { how: 'set', names: 'boat, report; boat' }, { how: 'set', names: ['boat', 'report'] }],
  [
    'people',
    { people: 'Oona Pell <oona@fennick.example>' },
    { people: [{ name: 'Oona Pell', address: 'oona@fennick.example' }] },
  ],
  ['shift', { days: '-7', minutes: '30' }, { days: -7, minutes: 30 }],
  ['reminders', { how: 'none' }, { how: 'none', reminders: [] }],
  ['importance', { to: '' }, { to: null }],
  ['colour', { to: '' }, { to: null }],
  ['attachments', { atLeast: '100' }, { atLeast: 100_000 }],
  ['replace', { find: 'a', within: 'notes', mode: 'words' }, { fields: ['notes'], mode: 'words' }],
  ['into-singles', { until: '2027-04-20' }, { until: '2027-04-20' }],
] as const)('what is typed for %s is what the step says', (kind, typed, step) => {
  expect(read(kind, typed).data).toMatchObject({ kind, ...step });
});

test.each([
  [{ kind: 'shift', days: -1, minutes: 0 }, '1 day earlier'],
  [{ kind: 'shift', days: 7, minutes: 30 }, '7 days and 30 minutes later'],
  [{ kind: 'colour', to: null }, 'Colour of their calendar'],
  [{ kind: 'importance', to: 1 }, 'Importance: high'],
  [{ kind: 'categories', how: 'set', names: [] }, 'No categories'],
] as const)('%j is “%s”', (step, text) => {
  expect(stepText(step as never, names)).toBe(text);
});
