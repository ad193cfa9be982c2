import { FENNICK } from '../../../testing/samples';
import { dayNumber, HOUR, parseLocal } from '../time/civil';
import { dueOf } from '../todos/todoSpan';
import { parseEntryLine } from './parseEntryLine';
import { isTodoLine, readTodoLine } from './todoLine';

/** Tuesday 9 March 2027, 10:20. */
const context = {
  nowWall: parseLocal('2027-03-09T10:20'),
  zone: FENNICK,
  selectedDay: dayNumber(2027, 3, 9),
  defaultLength: HOUR,
  calendars: [{ id: 'desk', name: 'Desk work', mark: 'DW' }],
};
const read = (line: string) => readTodoLine(parseEntryLine, line, context);
const said = (line: string) => {
  const { fields } = read(line);
  const due = dueOf(fields);
  return [
    fields.title,
    due && (due.kind === 'date' ? due.date : due.local.slice(0, 16)),
    fields.estimate,
    fields.priority,
  ];
};

test.each([
  ['todo order rope by Friday 2h !', ['order rope', '2027-03-12', 120, 1]],
  ['to-do: call the boat yard tomorrow', ['call the boat yard', '2027-03-10', undefined, undefined]],
  ['todo oil the hinges', ['oil the hinges', undefined, undefined, undefined]],
  [
    'todo hand in the claim due 31 March 17:00',
    ['hand in the claim', '2027-03-31T17:00', undefined, undefined],
  ],
  ['Todo survey by boat 45 min', ['survey by boat', undefined, 45, undefined]],
  ['todo !! count wicks', ['count wicks', undefined, undefined, 1]],
  ['order rope by Friday', ['order rope', '2027-03-12', undefined, undefined]],
])('%s', (line, expected) => expect(said(line)).toEqual(expected));

test('it goes to the calendar that it names, and repeats by date', () => {
  const { calendarId, fields } = read('todo count the stores every Friday #DW');
  expect(calendarId).toBe('desk');
  expect(fields.recurrence?.rules).toEqual(['FREQ=WEEKLY;BYDAY=FR']);
  expect(dueOf(fields)).toEqual({ kind: 'date', date: '2027-03-12' });
});

test('only a line that begins with the word makes a to-do of itself', () => {
  expect(['todo', 'To-do x', 'TODO: x'].map(isTodoLine)).toEqual([true, true, true]);
  expect(['today lunch', 'todos', 'call about the todo'].map(isTodoLine)).toEqual([false, false, false]);
});
