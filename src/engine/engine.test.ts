import { date, event, FENNICK, todo } from '../../testing/samples';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { todoSpan } from '@/core/todos/todoSpan';
import { Engine } from './engine';

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
