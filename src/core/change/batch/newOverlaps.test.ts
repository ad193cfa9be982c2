import { event, FENNICK, series, zoned } from '../../../../testing/samples';
import type { CalendarEvent } from '../../model/entry';
import { OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { newOverlaps } from './newOverlaps';

const at = (id: string, from: string, to: string, more: Partial<CalendarEvent> = {}) =>
  event({ id, title: id, start: zoned(`2027-03-${from}`), end: zoned(`2027-03-${to}`), ...more });
const call = at('call', '09T14:00', '09T15:00');
const report = at('report', '09T10:00', '09T12:00');
const tender = at('tender', '10T14:30', '10T15:30');

function found(events: readonly CalendarEvent[], ...changes: [CalendarEvent, CalendarEvent | null][]) {
  const index = new OccurrenceIndex();
  index.load(events);
  const asked = changes.map(([before, after]) => ({ before, after }));
  return newOverlaps(index, asked, FENNICK, {}).map(({ one, other }) => `${one.title} ${other.title}`);
}

test('a move onto another entry is told, one off it is not', () => {
  const events = [call, report, tender];
  expect(found(events, [report, at('report', '09T13:30', '09T14:30')])).toEqual(['report call']);
  expect(found(events, [report, at('report', '09T12:00', '09T14:00')])).toEqual([]);
  expect(found(events, [report, null])).toEqual([]);
});

test('what overlapped before, or takes no time, is no news', () => {
  const beside = at('beside', '09T14:30', '09T15:30');
  expect(found([call, beside], [beside, at('beside', '09T14:15', '09T15:15')])).toEqual([]);
  expect(
    found([call, beside], [beside, at('beside', '09T14:15', '09T15:15', { availability: 'free' })]),
  ).toEqual([]);
  // Both move by a day: together as before, and onto a third.
  const moved = [at('call', '10T14:00', '10T15:00'), at('beside', '10T14:30', '10T15:30')] as const;
  expect(found([call, beside, tender], [call, moved[0]], [beside, moved[1]])).toEqual([
    'call tender',
    'beside tender',
  ]);
});

test('the way there counts, and a series with each of its dates', () => {
  expect(
    found(
      [call, report],
      [report, { ...at('report', '09T15:10', '09T16:00'), travel: { there: 30, back: 0 } }],
    ),
  ).toEqual(['report call']);
  const rota = series('FREQ=DAILY;COUNT=3', {
    id: 'rota',
    title: 'rota',
    start: zoned('2027-03-08T08:00'),
    end: zoned('2027-03-08T09:00'),
  });
  const later = { ...rota, start: zoned('2027-03-08T14:00'), end: zoned('2027-03-08T15:00') };
  expect(found([rota, call, tender], [rota, later])).toEqual(['rota call', 'rota tender']);
});
