import { event, FENNICK, zoned } from '../../../testing/samples';
import { settleTimes } from '../change/settleTimes';
import { unclearWall } from './clockChange';
import { localString, MINUTE, parseLocal } from './civil';

const unclear = (zone: string, local: string) => unclearWall(zone, parseLocal(`${local}:00`));

test('a time that the clock skips is read as the one after the gap, with its own offset', () => {
  // Fennick goes from 1:00 to 2:00 on 28 March 2027.
  for (const [said, becomes] of [
    ['2027-03-28T01:00', '2027-03-28T02:00:00'],
    ['2027-03-28T01:30', '2027-03-28T02:30:00'],
  ]) {
    const found = unclear(FENNICK, said!);
    expect(found?.kind === 'skipped' && localString(found.becomes)).toBe(becomes);
  }
  expect(unclear(FENNICK, '2027-03-28T00:59')).toBeUndefined();
  expect(unclear(FENNICK, '2027-03-28T02:00')).toBeUndefined();
});

test('a time that comes twice has both instants', () => {
  // Fennick goes from 2:00 back to 1:00 on 31 October 2027.
  expect(unclear(FENNICK, '2027-10-31T01:30')).toEqual({
    kind: 'repeated',
    first: Date.UTC(2027, 9, 31, 0, 30),
    second: Date.UTC(2027, 9, 31, 1, 30),
  });
  expect(unclear(FENNICK, '2027-10-31T00:59')).toBeUndefined();
  expect(unclear(FENNICK, '2027-10-31T02:00')).toBeUndefined();
});

test('half an hour is doubled where the clock changes by half an hour', () => {
  const found = unclear('Australia/Lord_Howe', '2027-04-04T01:45');
  expect(found?.kind === 'repeated' && found.second - found.first).toBe(30 * MINUTE);
  expect(unclear('Australia/Lord_Howe', '2027-04-04T01:15')).toBeUndefined();
});

test('an entry in the gap is kept at the time that the clock shows, as long as it was written', () => {
  const written = event({ start: zoned('2027-03-28T01:15'), end: zoned('2027-03-28T02:15') });
  expect(settleTimes(written, FENNICK)).toEqual({
    start: zoned('2027-03-28T02:15'),
    end: zoned('2027-03-28T03:15'),
  });
  const over = event({ start: zoned('2027-03-28T00:30'), end: zoned('2027-03-28T01:30') });
  expect(settleTimes(over, FENNICK)).toEqual({
    start: zoned('2027-03-28T00:30'),
    end: zoned('2027-03-28T02:30'),
  });
  const plain = event();
  expect(settleTimes(plain, FENNICK)).toEqual({ start: plain.start, end: plain.end });
});
