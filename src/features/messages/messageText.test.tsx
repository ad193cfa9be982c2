import { date, event, FENNICK, remindedOf, todo, zoned } from '../../../testing/samples';
import type { Entry } from '@/core/model/entry';
import { noticeBefore, offsetTrigger } from '@/core/model/reminder';
import { dueReminders } from '@/core/reminders/dueReminders';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { todoSpan } from '@/core/todos/todoSpan';
import { DAY, dayNumber, HOUR } from '@/core/time/civil';
import { dayText, timeRangeText, timeText } from '@/ui/dates';
import { reminderMessage } from './messageText';

const on = (date: number): number => dayNumber(2027, 3, date);
const messageOf = (entry: Entry) => {
  const from = Date.parse('2027-03-01T00:00Z');
  const [due] = dueReminders(remindedOf(entry), from, from + 30 * DAY, FENNICK, {
    workingPattern: standardWorkingPattern,
  });
  return reminderMessage(due!, FENNICK);
};

test('a message about an event says when it is and where', () => {
  const call = event({ title: 'Keeper rota call', location: 'Lamp room', reminders: [noticeBefore(10)] });
  const when = `${dayText(on(9))}, ${timeRangeText(on(9) * DAY + 14 * HOUR, on(9) * DAY + 15 * HOUR)}`;
  expect(messageOf(call)).toEqual({
    subject: `Keeper rota call: ${when}`,
    body: `Keeper rota call\n${when}\nLamp room`,
  });
});

test('a message about a to-do says when it is due', () => {
  const rope = todo({
    title: 'Order rope',
    ...todoSpan(zoned('2027-03-11T17:00'), date('2027-03-09')),
    reminders: [{ trigger: offsetTrigger(-60, 'end'), by: 'email' }],
  });
  expect(messageOf(rope).subject).toBe(`Order rope: due ${dayText(on(11))}, ${timeText(17 * HOUR)}`);
  const claim = todo({
    title: 'Grant claim',
    ...todoSpan(date('2027-03-12'), undefined),
    reminders: [{ trigger: { kind: 'time-of-day', daysBefore: 1, minute: 540 }, by: 'text' }],
  });
  expect(messageOf(claim).body).toBe(`Grant claim\ndue ${dayText(on(12))}`);
});
