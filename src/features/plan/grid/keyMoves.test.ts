import { moveOfKey } from './keyMoves';
import { DAY, HOUR } from '@/core/time/civil';

const key = (name: string, shiftKey = false) => ({ key: name, shiftKey });

test.each([
  ['ArrowDown', false, { kind: 'shift', by: HOUR / 2 }],
  ['ArrowUp', false, { kind: 'shift', by: -HOUR / 2 }],
  ['ArrowRight', false, { kind: 'shift', by: DAY }],
  ['ArrowLeft', false, { kind: 'shift', by: -DAY }],
  ['ArrowDown', true, { kind: 'stretch', edge: 'end', by: HOUR / 2 }],
  ['ArrowUp', true, { kind: 'stretch', edge: 'end', by: -HOUR / 2 }],
])('hours: %s, shift %s', (name, shift, move) => {
  expect(moveOfKey(key(name, shift), false, 30)).toEqual(move);
});

test.each([
  ['ArrowRight', false, { kind: 'shift', by: DAY }],
  ['ArrowRight', true, { kind: 'stretch', edge: 'end', by: DAY }],
  ['ArrowLeft', true, { kind: 'stretch', edge: 'end', by: -DAY }],
])('whole days: %s, shift %s', (name, shift, move) => {
  expect(moveOfKey(key(name, shift), true, 30)).toEqual(move);
});

test('what an arrow can’t do is said, and other keys mean nothing here', () => {
  expect(moveOfKey(key('ArrowDown'), true, 30)).toBe('days-move-sideways');
  expect(moveOfKey(key('ArrowUp', true), true, 30)).toBe('days-stretch-sideways');
  expect(moveOfKey(key('ArrowLeft', true), false, 30)).toBe('hours-stretch-upright');
  expect(moveOfKey(key('Enter'), false, 30)).toBeUndefined();
});
