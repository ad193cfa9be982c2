import { event, FENNICK, series, zoned } from '../../../testing/samples';
import type { CalendarEvent } from '../model/entry';
import { OccurrenceIndex } from '../schedule/occurrenceIndex';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { dismissReminders, type DueReminder, dueReminders } from './dueReminders';

const NONE = { hiddenCalendarIds: [], workingPattern: standardWorkingPattern };

function due(events: readonly CalendarEvent[], from: string, to: string): DueReminder[] {
  const index = new OccurrenceIndex();
  index.load(events);
  return dueReminders(index, Date.parse(from), Date.parse(to), FENNICK, NONE);
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
    reminders: [{ minutesBefore: 40 * DAYS }, { minutesBefore: 365 * DAYS }, { minutesBefore: 15 }],
  });
  expect(said(due([grant], '2027-04-22T00:00Z', '2027-04-23T00:00Z'))).toEqual([
    '2027-04-22T08:00 Grant claim',
  ]);
  expect(said(due([grant], '2026-06-01T00:00Z', '2026-06-02T00:00Z'))).toEqual([
    '2026-06-01T08:00 Grant claim',
  ]);
  expect(said(due([grant], '2026-05-01T00:00Z', '2027-07-01T00:00Z'))).toHaveLength(3);
});

test('each occurrence of a series reminds; what is cancelled does not', () => {
  const rota = series('FREQ=WEEKLY;COUNT=3', { title: 'Rota', reminders: [{ minutesBefore: 10 }] });
  expect(said(due([rota], '2027-03-01T00:00Z', '2027-04-30T00:00Z'))).toEqual([
    '2027-03-09T13:50 Rota',
    '2027-03-16T13:50 Rota',
    '2027-03-23T13:50 Rota',
  ]);
  expect(due([{ ...rota, status: 'cancelled' }], '2027-03-01T00:00Z', '2027-04-30T00:00Z')).toEqual([]);
});

test('one of two of the same minute is dismissed, and the other waits on', () => {
  const now = Date.parse('2027-03-09T14:00Z');
  const two = ['Rota', 'Stores'].map((title) =>
    event({ id: title, title, reminders: [{ minutesBefore: 10 }] }),
  );
  const waiting = due(two, '2027-03-09T13:00Z', '2027-03-09T14:00Z');
  expect(waiting).toHaveLength(2);
  const answered = dismissReminders(waiting, [waiting[0]!.key], { dismissed: [] }, now);
  // Asked again from where it waits, without those that were answered.
  const again = due(two, new Date(answered.remindedUntil).toISOString(), '2027-03-09T14:00Z').filter(
    ({ key }) => !answered.dismissed.includes(key),
  );
  expect(said(again)).toEqual(['2027-03-09T13:50 Stores']);
  const all = dismissReminders(again, [again[0]!.key], answered, now);
  expect(all).toEqual({ remindedUntil: now, dismissed: [] });
});
