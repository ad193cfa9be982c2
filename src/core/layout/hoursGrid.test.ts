import { date, event, FENNICK, zoned } from '../../../testing/samples';
import type { CalendarEvent } from '../model/entry';
import { dayWindow, OccurrenceIndex } from '../schedule/occurrenceIndex';
import { parseDate } from '../time/civil';
import type { HoursScale } from './hours';
import { layoutHoursGrid } from './hoursGrid';

const tuesday = parseDate('2027-03-09');
const scale: HoursScale = {
  from: 480,
  to: 1080,
  foldedBefore: true,
  foldedAfter: true,
  hourHeight: 60,
  foldHeight: 28,
};
const occurrencesOf = (...events: CalendarEvent[]) => {
  const index = new OccurrenceIndex();
  index.load(events);
  return index.between(dayWindow(tuesday, tuesday + 2, FENNICK), FENNICK);
};
const all = occurrencesOf(
  event({ id: 'call' }),
  event({
    id: 'report',
    calendarId: 'desk',
    start: zoned('2027-03-09T14:30'),
    end: zoned('2027-03-09T16:00'),
  }),
  event({ id: 'boat', start: zoned('2027-03-10T06:00'), end: zoned('2027-03-10T07:00') }),
  event({
    id: 'trip',
    calendarId: 'desk',
    start: date('2027-03-09'),
    end: date('2027-03-11'),
    availability: 'away',
  }),
);

test('days stand side by side, each with its cards; an entry of whole days goes over them and takes each', () => {
  const { columns, ribbons, ribbonRows } = layoutHoursGrid(
    all,
    [{ day: tuesday }, { day: tuesday + 1 }],
    scale,
    [],
  );
  expect(columns.map(({ cards }) => cards.map(({ occurrence }) => occurrence.key))).toEqual([
    ['call', 'report'],
    [],
  ]);
  expect(columns.map(({ hiddenBefore }) => hiddenBefore)).toEqual([0, 1]);
  expect(columns.map(({ washing }) => washing?.key)).toEqual(['trip', 'trip']);
  expect(ribbons).toMatchObject([{ from: 0, to: 2 }]);
  expect(ribbonRows).toBe(1);
});

test('calendars of one day stand side by side: nothing of one lies in the column of another', () => {
  const { columns, ribbons } = layoutHoursGrid(
    all,
    [
      { day: tuesday, calendarId: 'meetings' },
      { day: tuesday, calendarId: 'desk' },
    ],
    scale,
    [],
  );
  expect(
    columns.map(({ cards }) => cards.map(({ occurrence, across }) => [occurrence.key, across.width])),
  ).toEqual([[['call', 1]], [['report', 1]]]);
  expect(columns.map(({ washing }) => washing?.key)).toEqual([undefined, 'trip']);
  expect(ribbons.map(({ from, to }) => [from, to])).toEqual([[1, 2]]);
});
