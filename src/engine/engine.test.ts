import { date, event, FENNICK, todo, zoned } from '../../testing/samples';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { todoSpan } from '@/core/todos/todoSpan';
import { Engine } from './engine';
import { parseDate } from '@/core/time/civil';

const NOW = Date.UTC(2027, 2, 9, 10, 20);

function engineWith() {
  const engine = new Engine();
  const weekly = { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] };
  engine.load([
    JSON.stringify([
      event({ id: 'call', title: 'Rope supplier' }),
      todo({ id: 'rope', title: 'Order rope', ...todoSpan(date('2027-03-12'), undefined) }),
      todo({
        id: 'logs',
        title: 'Rope logs',
        ...todoSpan(date('2027-03-05'), undefined),
        recurrence: weekly,
      }),
      todo({ id: 'someday', title: 'Rope locker' }),
    ]),
  ]);
  const find = async (text: string) => {
    const asked = { text, zone: FENNICK, now: NOW, workingPattern: standardWorkingPattern, calendars: [] };
    const { ids, problems } = await engine.foundTodos({ ...asked, limit: 0 });
    return { ids: [...ids].sort(), problems };
  };
  return { engine, find };
}

test('to-dos are found by words, by the days on which they are to be done, and by both', async () => {
  const { find } = engineWith();
  expect((await find('rope')).ids).toEqual(['logs', 'rope', 'someday']);
  expect((await find('since:2027-03-11 until:2027-03-12')).ids).toEqual(['logs', 'rope']);
  expect((await find('logs since:2027-04-01')).ids).toEqual(['logs']);
  expect((await find('order since:2027-04-01')).ids).toEqual([]);
  expect(await find('rope is:soon')).toEqual({
    ids: ['logs', 'rope', 'someday'],
    problems: ['is:soon'],
  });
});

test('what is found follows a change at once: a to-do that is gone, made, or given a date', async () => {
  const { engine, find } = engineWith();
  const dated = todo({ id: 'someday', title: 'Rope locker', ...todoSpan(date('2027-05-01'), undefined) });
  engine.apply({
    changes: [
      { collection: 'entries', id: 'someday', before: todo({ id: 'someday' }), after: dated },
      { collection: 'entries', id: 'rope', before: todo({ id: 'rope' }), after: null },
    ],
  });
  expect((await find('rope since:2027-05')).ids).toEqual(['logs', 'someday']);
  expect((await find('order')).ids).toEqual([]);
});

describe('the days of Plan', () => {
  const day = parseDate('2027-03-09');
  const hour = (from: string, to: string, more: Parameters<typeof event>[0]) =>
    event({ start: zoned(`2027-03-09T${from}`), end: zoned(`2027-03-09T${to}`), ...more });
  const engine = new Engine();
  engine.load([
    JSON.stringify([
      hour('09:00', '10:00', { id: 'own', calendarId: 'desk' }),
      hour('10:00', '11:00', { id: 'hidden', calendarId: 'home' }),
      hour('11:00', '12:00', { id: 'free', calendarId: 'rota' }),
      hour('12:00', '12:30', { id: 'declined', calendarId: 'desk', ownAnswer: 'declined' }),
      hour('14:00', '15:00', { id: 'cancelled', calendarId: 'desk', status: 'cancelled' }),
      hour('15:00', '16:00', { id: 'away', calendarId: 'old' }),
    ]),
  ]);
  const query = {
    firstDay: day,
    endDay: day + 1,
    zone: FENNICK,
    workingPattern: standardWorkingPattern,
    hiddenCalendarIds: ['home'],
    freeCalendarIds: ['rota'],
    unlistedCalendarIds: ['old'],
  };
  const ids = (more: object = {}) =>
    engine.days({ ...query, ...more }).occurrences.map(({ entryId }) => entryId);

  test('hidden calendars are counted and not shown, archived ones are neither', () => {
    expect(ids()).toEqual(['own', 'free', 'declined', 'cancelled']);
    expect(engine.days(query).filteredOut).toBe(1);
    expect(engine.leftOut(query)).toBe(1);
    expect(Object.keys(engine.days(query).calendarMinutes).sort()).toEqual(['desk', 'home', 'rota']);
  });

  test('what is cancelled or declined is left out where that is asked for', () => {
    expect(ids({ withoutCancelled: true })).toEqual(['own', 'free']);
  });

  test('neither free calendars nor what is off are booked, in the day and in the strip', () => {
    expect(engine.days(query).loads.map(({ booked }) => booked)).toEqual([60]);
    expect(engine.loads(query).map(({ booked }) => booked)).toEqual([60]);
    expect(engine.loads({ ...query, freeCalendarIds: [] }).map(({ booked }) => booked)).toEqual([120]);
    expect(engine.loads({ ...query, hiddenCalendarIds: [] }).map(({ booked }) => booked)).toEqual([120]);
    expect(engine.loads({ ...query, unlistedCalendarIds: [] }).map(({ booked }) => booked)).toEqual([120]);
  });
});
