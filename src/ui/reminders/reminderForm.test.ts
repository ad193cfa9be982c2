import { instantToWall } from '@/core/time/zones';
import { HOUR, MINUTE } from '@/core/time/civil';
import fc from 'fast-check';
import { noticeBefore, offsetTrigger, type Reminder, REMINDER_WAYS } from '@/core/model/reminder';
import { formOfReminder, reminderForm, type TypedReminder } from './reminderForm';

const ZONE = 'Europe/Lisbon';
const NOW = Date.UTC(2027, 2, 9, 10, 20);
const schema = reminderForm(ZONE);
const form = (fields: Partial<TypedReminder>): TypedReminder => ({
  ...formOfReminder(noticeBefore(15), ZONE, NOW),
  ...fields,
});
const problemAt = (fields: Partial<TypedReminder>): PropertyKey | undefined =>
  schema.safeParse(form(fields)).error?.issues[0]?.path[0];

test('what stands in the form of a reminder says that reminder again', () => {
  const trigger = fc.oneof(
    fc
      .record({
        from: fc.constantFrom('start' as const, 'end' as const),
        count: fc.integer({ min: 0, max: 5000 }),
        isDays: fc.boolean(),
        isAfter: fc.boolean(),
      })
      .map(({ from, count, isDays, isAfter }) => {
        const signed = isAfter ? count : -count || 0;
        return isDays
          ? offsetTrigger(0, from, Math.max(-3660, Math.min(3660, signed)))
          : offsetTrigger(signed, from);
      }),
    fc.integer({ min: 0, max: 600 }).map((minutes) => offsetTrigger(-minutes || 0, 'leaving')),
    fc.record({
      kind: fc.constant('time-of-day' as const),
      daysBefore: fc.integer({ min: 0, max: 400 }),
      minute: fc.integer({ min: 0, max: 1439 }),
    }),
    fc
      .integer({ min: 0, max: 2_000_000 })
      .map((minutes) => ({ kind: 'fixed' as const, at: Date.UTC(2027, 3, 1) + minutes * MINUTE })),
  );
  fc.assert(
    fc.property(trigger, fc.constantFrom(...REMINDER_WAYS), (one, by) => {
      const reminder: Reminder = { trigger: one, by };
      // An hour that a clock change repeats is that of its first pass.
      const isRepeated =
        one.kind === 'fixed' && instantToWall(ZONE, one.at) === instantToWall(ZONE, one.at - HOUR);
      fc.pre(!isRepeated);
      expect(schema.parse(formOfReminder(reminder, ZONE, NOW))).toEqual(reminder);
    }),
  );
});

test.each<[string, Partial<TypedReminder>, string]>([
  ['no amount', { amount: '' }, 'amount'],
  ['words for an amount', { amount: 'two' }, 'amount'],
  ['less than nothing', { amount: '-5' }, 'amount'],
  ['a part of a minute', { amount: '1.5' }, 'amount'],
  ['eleven years', { amount: '4015', unit: 'days' }, 'amount'],
  ['too many weeks', { amount: '600', unit: 'weeks' }, 'amount'],
  ['days that are none', { kind: 'time-of-day', daysBefore: 'one' }, 'daysBefore'],
  ['a time that is half-typed', { kind: 'time-of-day', daysBefore: '1', time: '16:' }, 'time'],
  ['a day that is not there', { kind: 'fixed', date: '2027-02-30', time: '09:00' }, 'date'],
  ['a moment without a time', { kind: 'fixed', date: '2027-03-10', time: '' }, 'date'],
])('a form with %s says nothing, and tells where', (_, fields, field) => {
  expect(problemAt(fields)).toBe(field);
});
