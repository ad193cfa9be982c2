import { timedOccurrence } from '../../../testing/samples';
import { dayNumber, DAY, HOUR, MINUTE } from '../time/civil';
import { comingUp } from './comingUp';
import type { Occurrence } from './occurrence';

const TODAY = dayNumber(2027, 3, 9);
const at = (hour: number, minute = 0): number => TODAY * DAY + hour * HOUR + minute * MINUTE;
const named = (title: string, from: number, minutes: number, fields: Partial<Occurrence> = {}) =>
  timedOccurrence(TODAY, title, from * 60, minutes, fields);

test('what is on is told by its end, and the next is the first that has not begun', () => {
  const all = [
    named('late', 15, 60),
    named('long', 9, 240),
    named('short', 10, 30),
    named('over', 8, 60),
    named('soon', 11, 60),
  ];
  const { isOn, next } = comingUp(all, at(10, 10));
  expect(isOn.map(({ title }) => title)).toEqual(['short', 'long']);
  expect(next?.title).toBe('soon');
});

test('what begins now is on, what ends now is over, and after the last nothing comes', () => {
  const all = [named('one', 10, 60), named('two', 11, 60)];
  expect(comingUp(all, at(11)).isOn.map(({ title }) => title)).toEqual(['two']);
  expect(comingUp(all, at(11)).next).toBeUndefined();
  expect(comingUp([], at(11))).toEqual({ isOn: [], next: undefined });
});

test('whole days, free time and what is called off are nothing to hurry to', () => {
  const all = [
    named('day', 11, 60, { allDay: true }),
    named('free', 11, 60, { availability: 'free' }),
    named('off', 11, 60, { status: 'cancelled' }),
    named('declined', 11, 60, { ownAnswer: 'declined' }),
  ];
  expect(comingUp(all, at(10)).next).toBeUndefined();
  const perhaps = named('perhaps', 12, 60, { availability: 'tentative' });
  expect(comingUp([...all, perhaps], at(10)).next?.title).toBe('perhaps');
});
