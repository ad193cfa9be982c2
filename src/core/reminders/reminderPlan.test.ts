import fc from 'fast-check';
import { date, event, FENNICK, remindedOf, series, zoned } from '../../../testing/samples';
import type { CalendarEvent } from '../model/entry';
import { noticeBefore, offsetTrigger, type Reminder, REMINDER_WAYS } from '../model/reminder';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { MINUTE } from '../time/civil';
import { nextDue } from './dueReminders';
import { ReminderPlan } from './reminderPlan';

const FILTER = { workingPattern: standardWorkingPattern };
const WAYS = new Set(REMINDER_WAYS);
const FIRST = Date.parse('2027-03-27T10:00Z');

const reminders: fc.Arbitrary<Reminder[] | undefined> = fc.option(
  fc.array(
    fc
      .oneof(
        fc.integer({ min: -3000, max: 600 }).map((minutes) => offsetTrigger(minutes)),
        fc.integer({ min: -9, max: 1 }).map((days) => offsetTrigger(0, 'end', days)),
        fc.record({
          kind: fc.constant('time-of-day' as const),
          daysBefore: fc.integer({ min: 0, max: 4 }),
          minute: fc.integer({ min: 0, max: 1439 }),
        }),
        fc
          .integer({ min: -2000, max: 9000 })
          .map((minutes) => ({ kind: 'fixed' as const, at: FIRST + minutes * MINUTE })),
      )
      .map((trigger): Reminder => ({ trigger, by: 'notice' })),
    { maxLength: 3 },
  ),
  { nil: undefined },
);

const one = fc
  .record({
    id: fc.constantFrom('a', 'b', 'c', 'd'),
    kind: fc.constantFrom('single' as const, 'series' as const, 'day' as const, 'changed' as const),
    minute: fc.integer({ min: 0, max: 4 * 1440 }),
    reminders,
  })
  .map(({ id, kind, minute, reminders: own }): CalendarEvent => {
    const at = Temporal.PlainDateTime.from('2027-03-26T00:00').add({ minutes: minute });
    const times = {
      start: zoned(at.toString({ smallestUnit: 'second' })),
      end: zoned(at.add({ hours: 1 }).toString({ smallestUnit: 'second' })),
    };
    const fields = { ...times, ...(own ? { reminders: own } : {}) };
    if (kind === 'single') return event({ id, ...fields });
    if (kind === 'series') return series('FREQ=DAILY;COUNT=6', { id, ...fields });
    if (kind === 'day') {
      const day = at.toPlainDate();
      return event({
        id,
        ...fields,
        start: date(day.toString()),
        end: date(day.add({ days: 1 }).toString()),
      });
    }
    // A changed occurrence of the series that "a" may be at that time.
    return event({ id: `${id}-changed`, ...fields, seriesId: 'a', recurrenceId: times.start });
  });

const step = fc.oneof(
  fc.record({ put: one }),
  fc.record({ remove: fc.constantFrom('a', 'b', 'c', 'd', 'b-changed') }),
  fc.record({ pass: fc.integer({ min: 1, max: 2000 }) }),
);

test('whatever is changed meanwhile, the next due reminder is the one that a fresh look finds', () => {
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 25 }), (steps) => {
      const reminded = remindedOf();
      reminded.reminders.putUsual('meetings', { timed: [noticeBefore(10)], wholeDays: [] });
      const plan = new ReminderPlan(reminded, FENNICK, FILTER, WAYS);
      let now = FIRST;
      for (const each of steps) {
        if ('put' in each) {
          const before = reminded.index.get(each.put.id);
          if (before) plan.touch(before);
          reminded.index.put(each.put);
          reminded.reminders.put(each.put);
          plan.touch(each.put);
        } else if ('remove' in each) {
          const before = reminded.index.get(each.remove);
          if (before) plan.touch(before);
          reminded.index.remove(each.remove);
          reminded.reminders.remove(each.remove);
        } else now += each.pass * MINUTE;
        const fresh = new ReminderPlan(reminded, FENNICK, FILTER, WAYS);
        expect(plan.next(now)).toBe(fresh.next(now));
        expect(plan.next(now)).toBe(nextDue(reminded, now, FENNICK, FILTER));
      }
    }),
    { numRuns: 300 },
  );
});

test('a reminder at a moment goes with its series, though a changed occurrence told of it', () => {
  const reminded = remindedOf();
  const plan = new ReminderPlan(reminded, FENNICK, FILTER, WAYS);
  const put = (one: CalendarEvent) => {
    reminded.index.put(one);
    reminded.reminders.put(one);
    plan.touch(one);
  };
  const at = Date.parse('2027-03-28T12:00Z');
  const fixed = [{ trigger: { kind: 'fixed', at }, by: 'notice' }] as const;
  const times = { start: zoned('2027-03-26T10:00'), end: zoned('2027-03-26T11:00') };
  const changed = zoned('2027-03-28T10:00');
  put(series('FREQ=DAILY;COUNT=6', { id: 'a', ...times, reminders: [...fixed] }));
  put(
    event({
      id: 'a-changed',
      seriesId: 'a',
      recurrenceId: changed,
      start: zoned('2027-03-28T12:30'),
      end: zoned('2027-03-28T13:30'),
      reminders: [],
    }),
  );
  const now = Date.parse('2027-03-28T11:00Z');
  expect(plan.next(now)).toBe(at);
  put(event({ id: 'a', ...times, reminders: [] }));
  expect(plan.next(now)).toBeUndefined();
});
