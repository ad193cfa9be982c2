import { date, event, FENNICK, series, zoned } from '../../../testing/samples';
import { parseLocal } from '../time/civil';
import { endAfter, rangeChangeAt, rangeChanges, shapeAt } from './occurrenceShape';
import { Series } from './series';

const weekly = series('FREQ=WEEKLY', {
  id: 'call',
  start: zoned('2027-03-02T14:00'),
  end: zoned('2027-03-02T15:00'),
});
const change = (id: string, original: string, start: string, zone = FENNICK) =>
  event({
    id,
    title: id,
    seriesId: 'call',
    recurrenceId: zoned(original),
    recurrenceRange: 'this-and-future',
    start: zoned(start, zone),
    end: zoned(start.replace(/T(\d\d):00/, 'T$1:45'), zone),
  });

test('of several changes that hold for later ones, the last before an occurrence governs it', () => {
  const single = { ...change('alone', '2027-03-09T14:00', '2027-03-09T09:00'), recurrenceRange: undefined };
  const ranges = rangeChanges(
    new Series(weekly),
    [
      change('second', '2027-04-06T14:00', '2027-04-06T16:00'),
      change('first', '2027-03-16T14:00', '2027-03-16T15:00'),
      single,
    ],
    FENNICK,
  );
  const at = (local: string) => rangeChangeAt(ranges, parseLocal(local))?.event.id;
  expect(ranges.map((range) => range.event.id)).toEqual(['first', 'second']);
  expect(at('2027-03-09T14:00')).toBeUndefined();
  expect(at('2027-03-16T14:00')).toBeUndefined();
  expect(at('2027-03-23T14:00')).toBe('first');
  expect(at('2027-04-13T14:00')).toBe('second');
});

test('a governed occurrence moves as much on its clock as its change did, over a clock change too', () => {
  const range = {
    wall: parseLocal('2027-03-16T14:00'),
    event: change('later', '2027-03-16T14:00', '2027-03-17T16:00'),
  };
  const shape = shapeAt(weekly, parseLocal('2027-03-30T14:00'), range, FENNICK);
  expect([shape.fields.id, shape.start, shape.end]).toEqual([
    'later',
    zoned('2027-03-31T16:00'),
    zoned('2027-03-31T16:45'),
  ]);
});

test('a change into another zone moves by exact time', () => {
  const range = {
    wall: parseLocal('2027-03-02T14:00'),
    event: change('there', '2027-03-02T14:00', '2027-03-02T11:00', 'America/Halifax'),
  };
  // 11:00 in Halifax was 15:00 in Fennick: an hour later than the series.
  const shape = shapeAt(weekly, parseLocal('2027-03-09T14:00'), range, FENNICK);
  expect(shape.start).toEqual(zoned('2027-03-09T11:00', 'America/Halifax'));
});

test('ends are exact for zoned times and nominal for days', () => {
  const night = event({ start: zoned('2027-03-20T23:00'), end: zoned('2027-03-21T05:00') });
  expect(endAfter(night, zoned('2027-03-27T23:00'), FENNICK)).toEqual(zoned('2027-03-28T06:00'));
  const days = event({ start: date('2027-03-20'), end: date('2027-03-22') });
  expect(endAfter(days, date('2027-03-27'), FENNICK)).toEqual(date('2027-03-29'));
});
