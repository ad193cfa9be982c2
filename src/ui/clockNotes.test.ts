import { HOUR, parseLocal } from '@/core/time/civil';
import { wallToInstant } from '@/core/time/zones';
import { date, zoned } from '../../testing/samples';
import { clockNote } from './clockNotes';

test('a time that there is, is said nothing of', () => {
  expect(clockNote(zoned('2027-03-28T03:00'))).toBeUndefined();
  expect(clockNote(date('2027-03-28'))).toBeUndefined();
  expect(clockNote({ kind: 'floating', local: '2027-03-28T01:30:00' })).toBeUndefined();
});

test('of a time that the clock skips it is said which it becomes, and that can be taken', () => {
  const note = clockNote(zoned('2027-03-28T01:30'));
  expect(note?.text).toContain('1:30');
  expect(note?.text).toContain('2:30');
  expect(note?.instead?.time).toEqual(zoned('2027-03-28T02:30'));
});

test('of a time that there is twice the first is meant, and the second can be taken', () => {
  const note = clockNote(zoned('2027-10-31T01:30'));
  const first = wallToInstant('Europe/Lisbon', parseLocal('2027-10-31T01:30:00'));
  const second = note?.instead?.time;
  if (second?.kind !== 'zoned') throw new Error('no second time');
  expect(wallToInstant(second.zone, parseLocal(second.local)) - first).toBe(HOUR);
});
