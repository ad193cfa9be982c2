import { event, FENNICK, zoned } from '../../../testing/samples';
import { OccurrenceIndex } from '../schedule/occurrenceIndex';
import { loadOfDays, gapsBetween } from '../schedule/load';
import { takenSpans } from '../schedule/occurrence';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { MINUTE, parseDate } from '../time/civil';
import type { CalendarEvent } from '../model/entry';
import type { DayCard, HoursScale } from './hours';
import { travelMarks } from './travelMarks';

const DAY = parseDate('2027-03-09');
const scale: HoursScale = {
  from: 480,
  to: 1080,
  foldedBefore: true,
  foldedAfter: true,
  hourHeight: 60,
  foldHeight: 30,
};
const visit = (fields: Partial<CalendarEvent>) =>
  event({ id: 'visit', title: 'Skerry inspection', travel: { there: 40, back: 25 }, ...fields });
const indexOf = (...events: CalendarEvent[]): OccurrenceIndex => {
  const index = new OccurrenceIndex();
  index.load(events);
  return index;
};
const day = (from: string, to: string) => ({ start: Date.parse(`${from}Z`), end: Date.parse(`${to}Z`) });

function cardOf(one: CalendarEvent): DayCard {
  const [occurrence] = indexOf(one).between(day('2027-03-08T00:00', '2027-03-11T00:00'), FENNICK);
  return {
    occurrence: occurrence!,
    from: 0,
    to: 0,
    top: 0,
    height: 0,
    across: { left: 0.5, width: 0.5 },
    continuesBefore: false,
    continuesAfter: false,
  };
}

test('the way leads from when one leaves to the card, and from it to when one is back', () => {
  const marks = travelMarks([cardOf(visit({}))], scale, DAY);
  expect(marks).toMatchObject([
    { direction: 'there', top: 30 + 320, height: 40, left: 0.5 },
    { direction: 'back', top: 30 + 420, height: 25, left: 0.5 },
  ]);
  expect(marks.map(({ wall }) => (wall / MINUTE) % 1440)).toEqual([13 * 60 + 20, 15 * 60 + 25]);
});

test('a way that begins in the folded hours is drawn as far as the hours reach, and says its time all the same', () => {
  const [mark] = travelMarks(
    [cardOf(visit({ start: zoned('2027-03-09T08:20'), end: zoned('2027-03-09T09:00') }))],
    scale,
    DAY,
  );
  expect(mark).toMatchObject({ top: 30, height: 20 });
  expect((mark!.wall / MINUTE) % 1440).toBe(7 * 60 + 40);
});

test('the way counts as taken: in loads and free gaps, from another day too', () => {
  const early = visit({
    id: 'early',
    start: zoned('2027-03-10T00:10'),
    end: zoned('2027-03-10T01:00'),
    travel: { there: 60, back: 0 },
  });
  const index = indexOf(visit({}), early);
  const spans = index.takenBetween(
    day('2027-03-09T00:00', '2027-03-10T00:00'),
    FENNICK,
    { workingPattern: standardWorkingPattern },
    () => true,
  );
  const [load] = loadOfDays(spans, DAY, DAY + 1, standardWorkingPattern);
  // 40 + 60 + 25 of the visit, ten of them over noon, and 50 before midnight of the way to the next day's.
  expect(load).toMatchObject({ booked: 115, total: 175 });
  const occurrences = index.between(day('2027-03-09T00:00', '2027-03-10T00:00'), FENNICK);
  expect(loadOfDays(takenSpans(occurrences), DAY, DAY + 1, standardWorkingPattern)[0]).toMatchObject({
    booked: 115,
    total: 125,
  });
  const gaps = gapsBetween(occurrences, Date.parse('2027-03-09T13:00Z'), Date.parse('2027-03-09T16:00Z'));
  expect(
    gaps.map(({ start, end }) => [start, end].map((at) => new Date(at).toISOString().slice(11, 16))),
  ).toEqual([['15:25', '16:00']]);
});

test('a trip of days has its ways beside it', () => {
  const trip = visit({
    start: zoned('2027-03-09T09:00'),
    end: zoned('2027-03-11T09:00'),
    travel: { there: 30, back: 45 },
  });
  const [occurrence] = indexOf(trip).between(day('2027-03-09T00:00', '2027-03-12T00:00'), FENNICK);
  expect(
    takenSpans([occurrence!]).map(({ whole, startWall, endWall }) => [whole, (endWall - startWall) / MINUTE]),
  ).toEqual([
    [true, 2880],
    [false, 30],
    [false, 45],
  ]);
});

test('over a clock change one leaves so many minutes before, whatever the clock shows', () => {
  // On Sunday, 28 March, 1:00 is followed by 2:00.
  const night = visit({
    start: zoned('2027-03-28T02:15'),
    end: zoned('2027-03-28T03:00'),
    travel: { there: 40, back: 10 },
  });
  const [occurrence] = indexOf(night).between(day('2027-03-27T00:00', '2027-03-29T00:00'), FENNICK);
  const { leave, leaveWall, homeWall } = occurrence!.ways!;
  expect(new Date(leave).toISOString().slice(11, 16)).toBe('00:35');
  expect([leaveWall, homeWall].map((wall) => new Date(wall).toISOString().slice(11, 16))).toEqual([
    '00:35',
    '03:10',
  ]);
});
