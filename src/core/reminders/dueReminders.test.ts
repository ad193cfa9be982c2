import { date, event, FENNICK, remindedOf, series, todo, zoned } from '../../../testing/samples';
import type { CalendarEvent, Entry } from '../model/entry';
import { todoSpan } from '../todos/todoSpan';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { noticeBefore, offsetTrigger, type Reminder, type ReminderTrigger } from '../model/reminder';
import { type DueReminder, dueReminders } from './dueReminders';
import { MINUTE } from '../time/civil';

const NONE = { hiddenCalendarIds: [], workingPattern: standardWorkingPattern };

function due(entries: readonly Entry[], from: string, to: string): DueReminder[] {
  return dueReminders(remindedOf(...entries), Date.parse(from), Date.parse(to), FENNICK, NONE);
}
const said = (reminders: readonly DueReminder[]) =>
  reminders.map(
    ({ due: at, occurrence }) => `${new Date(at).toISOString().slice(0, 16)} ${occurrence.title}`,
  );

const DAYS = 24 * 60;

test('a reminder is due however long before: forty days, a year', () => {
  const grant = event({
    title: 'Grant claim',
    start: zoned('2027-06-01T09:00'),
    end: zoned('2027-06-01T10:00'),
    reminders: [noticeBefore(40 * DAYS), noticeBefore(365 * DAYS), noticeBefore(15)],
  });
  expect(said(due([grant], '2027-04-22T00:00Z', '2027-04-23T00:00Z'))).toEqual([
    '2027-04-22T08:00 Grant claim',
  ]);
  expect(said(due([grant], '2026-06-01T00:00Z', '2026-06-02T00:00Z'))).toEqual([
    '2026-06-01T08:00 Grant claim',
  ]);
  expect(said(due([grant], '2026-05-01T00:00Z', '2027-07-01T00:00Z'))).toHaveLength(3);
});

test('each occurrence of a series reminds; what is cancelled or declined does not', () => {
  const rota = series('FREQ=WEEKLY;COUNT=3', { title: 'Rota', reminders: [noticeBefore(10)] });
  expect(said(due([rota], '2027-03-01T00:00Z', '2027-04-30T00:00Z'))).toEqual([
    '2027-03-09T13:50 Rota',
    '2027-03-16T13:50 Rota',
    '2027-03-23T13:50 Rota',
  ]);
  for (const off of [{ status: 'cancelled' as const }, { ownAnswer: 'declined' as const }])
    expect(due([{ ...rota, ...off }], '2027-03-01T00:00Z', '2027-04-30T00:00Z')).toEqual([]);
  expect(due([{ ...rota, ownAnswer: 'tentative' }], '2027-03-01T00:00Z', '2027-04-30T00:00Z')).toHaveLength(
    3,
  );
});

const ofCall = (reminders: readonly Reminder[], fields: Partial<CalendarEvent> = {}) =>
  event({ id: 'call', title: 'Call', reminders: [...reminders], ...fields });
const by = (trigger: ReminderTrigger, way: Reminder['by'] = 'notice'): Reminder => ({ trigger, by: way });
const march = (events: readonly CalendarEvent[]) =>
  said(due(events, '2027-03-01T00:00Z', '2027-04-30T00:00Z')).map((text) => text.slice(0, 16));

test.each<[string, ReminderTrigger, string]>([
  ['after the start', offsetTrigger(10), '2027-03-09T14:10'],
  ['before the end', offsetTrigger(-5, 'end'), '2027-03-09T14:55'],
  ['after the end', offsetTrigger(30, 'end'), '2027-03-09T15:30'],
  ['when one leaves', offsetTrigger(0, 'leaving'), '2027-03-09T13:20'],
  ['before one leaves', offsetTrigger(-15, 'leaving'), '2027-03-09T13:05'],
  ['days before, at the same time', offsetTrigger(0, 'start', -2), '2027-03-07T14:00'],
  ['the day before at 16:00', { kind: 'time-of-day', daysBefore: 1, minute: 960 }, '2027-03-08T16:00'],
  ['on the day at 8:30', { kind: 'time-of-day', daysBefore: 0, minute: 510 }, '2027-03-09T08:30'],
  ['at a moment', { kind: 'fixed', at: Date.parse('2027-03-05T12:00Z') }, '2027-03-05T12:00'],
])('a reminder comes %s', (_, trigger, expected) => {
  expect(march([ofCall([by(trigger)], { travel: { there: 40, back: 0 } })])).toEqual([expected]);
});

test('over a clock change a day before is the same time of the clock, and 24 hours before is not', () => {
  // On Sunday, 28 March, the clock of Fennick is put on.
  const late = { start: zoned('2027-03-28T10:00'), end: zoned('2027-03-28T11:00') };
  expect(march([ofCall([by(offsetTrigger(0, 'start', -1))], late)])).toEqual(['2027-03-27T10:00']);
  expect(march([ofCall([by(offsetTrigger(-1440))], late)])).toEqual(['2027-03-27T09:00']);
});

test('whole days remind by the clock where the person is, also in another zone', () => {
  const claim = ofCall([by({ kind: 'time-of-day', daysBefore: 1, minute: 16 * 60 })], {
    start: { kind: 'date', date: '2027-03-12' },
    end: { kind: 'date', date: '2027-03-13' },
  });
  const asked = (zone: string) =>
    dueReminders(
      remindedOf(claim),
      Date.parse('2027-03-01T00:00Z'),
      Date.parse('2027-03-20T00:00Z'),
      zone,
      NONE,
    ).map(({ due: at }) => new Date(at).toISOString().slice(0, 16));
  expect(asked(FENNICK)).toEqual(['2027-03-11T16:00']);
  expect(asked('America/Halifax')).toEqual(['2027-03-11T20:00']);
});

test('a fixed moment comes once for a series, whatever was changed in it; a repeat comes so often', () => {
  const fixed = by({ kind: 'fixed', at: Date.parse('2027-03-05T12:00Z') });
  const rota = series('FREQ=WEEKLY;COUNT=4', { id: 'rota', reminders: [fixed] });
  const changed = event({
    id: 'rota-2',
    seriesId: 'rota',
    recurrenceId: zoned('2027-03-16T14:00'),
    start: zoned('2027-03-16T15:00'),
    end: zoned('2027-03-16T16:00'),
    reminders: [fixed],
  });
  expect(march([rota, changed])).toEqual(['2027-03-05T12:00']);
  const again = { ...by(offsetTrigger(-10)), repeat: { times: 2, everyMinutes: 5 } };
  expect(march([ofCall([again])])).toEqual(['2027-03-09T13:50', '2027-03-09T13:55', '2027-03-09T14:00']);
});

test('what was answered elsewhere up to an instant does not come any more', () => {
  const answered = { ...by(offsetTrigger(-10)), acknowledged: Date.parse('2027-03-16T13:55Z') };
  const rota = series('FREQ=WEEKLY;COUNT=4', { reminders: [answered] });
  expect(march([rota])).toEqual(['2027-03-23T13:50', '2027-03-30T12:50']);
});

test('an entry without reminders of its own follows its calendar, hours and whole days each by their list', () => {
  const whole = event({
    id: 'day',
    start: { kind: 'date', date: '2027-03-12' },
    end: { kind: 'date', date: '2027-03-13' },
  });
  const followed = event({ id: 'hours' });
  const reminded = remindedOf(whole, followed, event({ id: 'none', reminders: [] }));
  reminded.reminders.putUsual('meetings', {
    timed: [noticeBefore(15)],
    wholeDays: [by({ kind: 'time-of-day', daysBefore: 1, minute: 960 }, 'email')],
  });
  const all = dueReminders(
    reminded,
    Date.parse('2027-03-01T00:00Z'),
    Date.parse('2027-03-20T00:00Z'),
    FENNICK,
    NONE,
  );
  expect(all.map(({ key }) => key)).toEqual([
    `hours#${Date.parse('2027-03-09T13:45Z')}#notice`,
    `day#${Date.parse('2027-03-11T16:00Z')}#email`,
  ]);
});

test('thousands of reminders at once are asked about without looking at each entry again and again', () => {
  const many = Array.from({ length: 2000 }, (_, index) =>
    ofCall([by(offsetTrigger(-index))], { id: `e${index}` }),
  );
  const started = performance.now();
  const found = due(many, '2027-03-01T00:00Z', '2027-04-01T00:00Z');
  expect(found).toHaveLength(2000);
  expect(found[0]!.due).toBe(Date.parse('2027-03-09T14:00Z') - 1999 * MINUTE);
  expect(performance.now() - started).toBeLessThan(5000);
});

test('to-dos remind before they are due, on the morning of that day, and no more once they are over', () => {
  const rope = todo({
    id: 'rope',
    title: 'Order rope',
    ...todoSpan(zoned('2027-03-11T17:00'), undefined),
    reminders: [{ trigger: offsetTrigger(-60, 'end'), by: 'notice' }],
  });
  const claim = todo({
    id: 'claim',
    title: 'Grant claim',
    ...todoSpan(date('2027-03-12'), date('2027-03-08')),
    reminders: [{ trigger: { kind: 'time-of-day', daysBefore: 0, minute: 540 }, by: 'notice' }],
  });
  const weekly = todo({
    id: 'weekly',
    title: 'Tide log',
    ...todoSpan(date('2027-03-05'), undefined),
    recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] },
    reminders: [{ trigger: { kind: 'time-of-day', daysBefore: 1, minute: 960 }, by: 'notice' }],
  });
  const span = ['2027-03-08T00:00Z', '2027-03-13T00:00Z'] as const;
  expect(said(due([rope, claim, weekly], ...span))).toEqual([
    '2027-03-11T16:00 Order rope',
    '2027-03-11T16:00 Tide log',
    '2027-03-12T09:00 Grant claim',
  ]);
  const over = { status: 'completed', completed: 0 } as const;
  expect(
    said(
      due(
        [
          { ...rope, ...over },
          { ...claim, status: 'cancelled' },
        ],
        ...span,
      ),
    ),
  ).toEqual([]);
});
