import fc from 'fast-check';
import { blankFields } from '@/core/change/eventFields';
import { date, event, FENNICK, series, zoned } from '../../../testing/samples';
import {
  endAfterStart,
  EventForm,
  fieldsOfForm,
  FLOATING,
  formOfFields,
  recurrenceAfterStart,
  timesOf,
  typedForm,
} from './formModel';
import { noticeBefore } from '@/core/model/reminder';

test.each([
  [
    'a timed event',
    event({
      categories: ['glass', 'orders'],
      reminders: [noticeBefore(15)],
      url: 'https://fennick.example',
    }),
  ],
  ['whole days', event({ start: date('2027-03-09'), end: date('2027-03-11') })],
  [
    'a floating time',
    event({
      start: { kind: 'floating', local: '2027-03-09T09:00:00' },
      end: { kind: 'floating', local: '2027-03-09T10:00:00' },
    }),
  ],
  [
    'a flight',
    event({ start: zoned('2027-03-18T13:15'), end: zoned('2027-03-18T17:25', 'America/Halifax') }),
  ],
  ['a series', series('FREQ=WEEKLY;INTERVAL=2;UNTIL=20270629T130000Z')],
  ['a series with a rule of its own', series('FREQ=MONTHLY;BYDAY=2TU')],
])('a form that nobody touches changes nothing: %s', (_, fields) => {
  const form = formOfFields(fields, FENNICK);
  expect(EventForm.safeParse(form).success).toBe(true);
  expect(fieldsOfForm(form, fields)).toEqual({ ...fields, recurrence: fields.recurrence });
});

const form = formOfFields(
  blankFields('meetings', zoned('2027-03-09T14:00'), zoned('2027-03-09T15:00')),
  FENNICK,
);
const problems = (changes: Partial<EventForm>) => {
  const result = EventForm.safeParse({ ...form, ...changes });
  return result.success ? [] : result.error.issues.map((issue) => issue.path.join('.'));
};

const repeating = (rule: string) => ({ rules: [rule], dates: [], exceptionDates: [] });

test('each problem is said at its field', () => {
  expect(problems({ endTime: '13:00' })).toEqual(['endTime']);
  expect(problems({ endDate: '2027-03-08' })).toEqual(['endDate']);
  expect(problems({ startDate: '2027-02-31' })).toContain('startDate');
  expect(problems({ url: 'fennick' })).toEqual(['url']);
  expect(problems({ zone: 'Europe/Nowhere' })).toContain('zone');
  expect(problems({ recurrence: repeating('FREQ=DAILY;UNTIL=20270301') })).toEqual(['recurrence']);
});

test('a flight lands earlier by the clock than it took off, and that is no problem', () => {
  expect(problems({ startTime: '13:00', endTime: '12:00', endZone: 'America/Halifax' })).toEqual([]);
});

test('a form says whole days and no zone', () => {
  const before = blankFields('meetings', zoned('2027-03-09T14:00'), zoned('2027-03-09T15:00'));
  expect(fieldsOfForm({ ...form, allDay: true, endDate: '2027-03-10' }, before)?.end).toEqual(
    date('2027-03-11'),
  );
  expect(fieldsOfForm({ ...form, zone: FLOATING }, before)?.start).toEqual({
    kind: 'floating',
    local: '2027-03-09T14:00:00',
  });
});

test('the end follows the start and keeps the length', () => {
  expect(endAfterStart(form, { startDate: '2027-03-09', startTime: '23:30' })).toEqual({
    endDate: '2027-03-10',
    endTime: '00:30',
  });
});

test('the repeat of a new entry follows its start where it only says it, and stays where it says more', () => {
  const after = (rule: string, startDate: string) =>
    recurrenceAfterStart({ ...form, recurrence: repeating(rule) }, { ...form, startDate })?.rules;
  expect(after('FREQ=WEEKLY;COUNT=4;BYDAY=TU', '2027-03-11')).toEqual(['FREQ=WEEKLY;COUNT=4;BYDAY=TH']);
  expect(after('FREQ=MONTHLY;BYDAY=2TU', '2027-03-17')).toEqual(['FREQ=MONTHLY;BYDAY=3WE']);
  expect(after('FREQ=WEEKLY;BYDAY=TU,FR', '2027-03-11')).toEqual(['FREQ=WEEKLY;BYDAY=TU,FR']);
  expect(after('FREQ=YEARLY;BYDAY=20MO', '2027-03-11')).toEqual(['FREQ=YEARLY;BYDAY=20MO']);
});

test('whatever stands in the fields half-typed, the form is read or said to be unreadable, and never fails', () => {
  const whole = formOfFields(event(), FENNICK);
  const anything = fc.oneof(
    fc.constantFrom('', '1', '12:', '25:00', '2027-', '2027-02-30', '0000-00-00', '99999-01-01', 'x', 'Etc/'),
    fc.string({ maxLength: 12 }),
  );
  const typed = fc.record(
    {
      startDate: anything,
      startTime: anything,
      endDate: anything,
      endTime: anything,
      zone: anything,
      endZone: anything,
      allDay: fc.boolean(),
    },
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(typed, (fields) => {
      const form = { ...whole, ...fields } as EventForm;
      const isValid = EventForm.safeParse(form).success;
      if (isValid) expect(timesOf(form)).toBeDefined();
      if (isValid) expect(fieldsOfForm(form, event())).toMatchObject({ title: whole.title });
      else if (!timesOf(form)) expect(fieldsOfForm(form, event())).toBeUndefined();
      // What was typed comes back as it was.
      expect(typedForm(JSON.parse(JSON.stringify(form)))).toEqual(form);
    }),
    { numRuns: 400 },
  );
});
