import { layoutHoursGrid } from '@/core/layout/hoursGrid';
import { parseDate, parseLocal } from '@/core/time/civil';
import { startOfDay, wallToInstant } from '@/core/time/zones';
import { timedOccurrence } from '../../../../testing/samples';
import { colleagueLaneId, colleagueOccurrences, colleagueOfLane, takenMinutes } from './colleagueOccurrences';

const ZONE = 'Europe/Lisbon';
const titles = { busy: 'Busy', tentative: 'Perhaps busy', away: 'Away', unknown: 'Not known' };
const day = parseDate('2027-03-09');
const at = (local: string, zone = ZONE) => wallToInstant(zone, parseLocal(`${local}:00`));
const span = (from: string, until: string, more: object = {}) => ({
  start: at(`2027-03-${from}`),
  end: at(`2027-03-${until}`),
  kind: 'busy' as const,
  ...more,
});
const times = {
  from: startOfDay(ZONE, day),
  until: startOfDay(ZONE, day + 1),
  spans: [
    span('09T09:00', '09T10:00'),
    span('09T11:00', '09T12:00', { kind: 'tentative', title: 'Lens survey', place: 'Skerry' }),
    span('11T09:00', '11T10:00'),
  ],
};
const made = (
  range: { first: number; end: number },
  known: typeof times | undefined = times,
  isOutlined = false,
) => colleagueOccurrences('salma', known, range, ZONE, { titles, isOutlined });

test('what takes a colleague’s time stands in their lane, with as much as they let be seen', () => {
  const [one, other, ...more] = made({ first: day, end: day + 1 });
  expect(more).toEqual([]);
  expect(one).toMatchObject({
    title: 'Busy',
    availability: 'busy',
    calendarId: 'person:salma',
    startWall: parseLocal('2027-03-09T09:00:00'),
  });
  expect(other).toMatchObject({ title: 'Lens survey', location: 'Skerry', availability: 'tentative' });
  expect(colleagueOfLane(colleagueLaneId('salma'))).toBe('salma');
  expect(colleagueOfLane('meetings')).toBeUndefined();
});

test('a day of which nothing is known says so, and takes no time', () => {
  const unknown = made({ first: day + 1, end: day + 2 });
  expect(unknown).toMatchObject([{ title: 'Not known', allDay: true, availability: 'free' }]);
  const nothing = colleagueOccurrences('salma', undefined, { first: day, end: day + 2 }, ZONE, {
    titles,
    isOutlined: true,
  });
  expect(nothing.map(({ title }) => title)).toEqual(['Not known', 'Not known']);
});

test('beside one’s own it has a column of its own; over it, it shares that of the day and takes no day', () => {
  const mine = timedOccurrence(day, 'mine', 540, 60);
  const scale = { from: 480, to: 1080, hourHeight: 46, before: 0, after: 0 } as unknown as Parameters<
    typeof layoutHoursGrid
  >[2];
  const keysOf = (columns: Parameters<typeof layoutHoursGrid>[1], isOutlined: boolean) =>
    layoutHoursGrid(
      [mine, ...made({ first: day, end: day + 1 }, times, isOutlined)],
      columns,
      scale,
      [],
    ).columns.map(({ cards }) => cards.map(({ occurrence }) => occurrence.calendarId));
  expect(
    keysOf(
      [
        { day, isOwn: true },
        { day, calendarId: 'person:salma' },
      ],
      false,
    ),
  ).toEqual([['meetings'], ['person:salma', 'person:salma']]);
  expect(keysOf([{ day }], true)).toEqual([['meetings', 'person:salma', 'person:salma']]);
  const away = { ...times, spans: [span('09T00:00', '10T06:00', { kind: 'away' })] };
  const [column] = layoutHoursGrid(
    made({ first: day, end: day + 1 }, away, true),
    [{ day }],
    scale,
    [],
  ).columns;
  expect(column!.washing).toBeUndefined();
});

test('taken minutes within a range count once where they overlap', () => {
  const range = { start: at('2027-03-09T09:30'), end: at('2027-03-09T12:00') };
  expect(takenMinutes(times.spans, range)).toBe(90);
  expect(takenMinutes([...times.spans, span('09T09:45', '09T11:30')], range)).toBe(150);
  expect(takenMinutes([], range)).toBe(0);
});
