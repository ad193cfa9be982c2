import { date, event, FENNICK, zoned } from '../../../testing/samples';
import type { CalendarEvent } from '../model/entry';
import { dayWindow, OccurrenceIndex } from '../schedule/occurrenceIndex';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { DAY, parseDate } from '../time/civil';
import { runDownOf, runDownTimes } from './runDown';

const TODAY = parseDate('2027-03-09');
const at = (local: string): number =>
  Temporal.PlainDateTime.from(local).toZonedDateTime(FENNICK).epochMilliseconds;
const clock = (wall: number): string => new Date(wall).toISOString().slice(11, 16);

/** The run-down of Tuesday 9 March, told at seven, with what changed since Monday at seven. */
function runDown(
  events: readonly CalendarEvent[],
  gone: readonly { entry: CalendarEvent; deleted: number }[] = [],
) {
  const index = new OccurrenceIndex();
  index.load(events);
  return runDownOf(TODAY, at('2027-03-08T07:00'), {
    occurrences: index.between(dayWindow(TODAY, TODAY + 1, FENNICK), FENNICK),
    travelling: [],
    entries: new Map(events.map((one) => [one.id, one])),
    bin: gone,
    pattern: standardWorkingPattern,
    zone: FENNICK,
  });
}

test('a run-down says whole days first, then the hours, when to leave, and the gaps of an hour or more', () => {
  const { entries, gaps } = runDown([
    event({ title: 'Skerry visit', travel: { there: 40, back: 0 } }),
    event({ title: 'Rota check', start: zoned('2027-03-09T09:00'), end: zoned('2027-03-09T09:30') }),
    event({ title: 'Tower paint', start: date('2027-03-08'), end: date('2027-03-10'), availability: 'free' }),
    event({ title: 'Off', status: 'cancelled' }),
    event({ title: 'Not for me', ownAnswer: 'declined' }),
  ]);
  expect(
    entries.map(({ occurrence: { title, ways } }) => [title, ways ? clock(ways.leaveWall) : '']),
  ).toEqual([
    ['Tower paint', ''],
    ['Rota check', ''],
    ['Skerry visit', '13:20'],
  ]);
  // From half past nine to noon's break; what is left before leaving, and before work ends, as far as it is an hour.
  expect(gaps.map(({ startWall, endWall }) => [clock(startWall), clock(endWall)])).toEqual([
    ['09:30', '12:30'],
    ['15:00', '17:00'],
  ]);
});

test('what is new, what was changed and what is gone since the run-down before is told', () => {
  const before = at('2027-03-01T12:00');
  const since = at('2027-03-08T12:00');
  const { entries, gone } = runDown(
    [
      event({ title: 'New', created: since, modified: since }),
      event({ title: 'Changed', created: before, modified: since }),
      event({ title: 'As before', created: before, modified: before }),
    ],
    [
      { entry: event({ title: 'Gone today' }), deleted: since },
      { entry: event({ title: 'Gone long since' }), deleted: before },
      {
        entry: event({
          title: 'Of another day',
          start: zoned('2027-03-10T09:00'),
          end: zoned('2027-03-10T10:00'),
        }),
        deleted: since,
      },
    ],
  );
  expect(Object.fromEntries(entries.map(({ occurrence, change }) => [occurrence.title, change]))).toEqual({
    New: 'new',
    Changed: 'changed',
    'As before': undefined,
  });
  expect(gone).toEqual(['Gone today']);
});

test('run-downs come on the chosen weekdays at the time of the clock, over a clock change too', () => {
  const times = runDownTimes(
    { minute: 7 * 60, weekdays: [1, 7] },
    at('2027-03-26T08:00'),
    at('2027-03-26T08:00') + 14 * DAY,
    FENNICK,
  );
  expect(times.map(({ at: instant }) => new Date(instant).toISOString().slice(0, 16))).toEqual([
    '2027-03-28T06:00',
    '2027-03-29T06:00',
    '2027-04-04T06:00',
    '2027-04-05T06:00',
  ]);
  expect(runDownTimes({ minute: 420, weekdays: [] }, 0, 14 * DAY, FENNICK)).toEqual([]);
});
