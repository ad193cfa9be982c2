import {
  context,
  event,
  eventsIn,
  FENNICK,
  remindedOf,
  series,
  stateWith,
  zoned,
} from '../../../testing/samples';
import { applyPatch } from '../change/patch';
import type { CalendarEvent } from '../model/entry';
import { noticeBefore, offsetTrigger } from '../model/reminder';
import type { State } from '../model/state';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { MINUTE } from '../time/civil';
import {
  dismissReminders,
  lookedUntilNow,
  MOST_WAITING,
  nextSnooze,
  snoozeReminders,
  waitingReminders,
} from './cameReminders';
import { dueReminders } from './dueReminders';
import { snoozeTrigger } from './snoozes';

const at = (local: string): number =>
  Temporal.PlainDateTime.from(local).toZonedDateTime(FENNICK).epochMilliseconds;
const call = (fields: Partial<CalendarEvent> = {}) =>
  event({ id: 'call', title: 'Keeper rota call', reminders: [noticeBefore(10)], ...fields });

/** What is known when it was looked once, at a time, since another. */
function look(state: State, from: string, to: string): State {
  const events = eventsIn(state);
  const found = dueReminders(remindedOf(...events), at(from), at(to), FENNICK, {
    workingPattern: standardWorkingPattern,
  });
  return applyPatch(state, lookedUntilNow(state, found, { ...context(), now: at(to), zone: FENNICK }).patch);
}
const titles = (state: State) => waitingReminders(state, FENNICK).map(({ entry: { title } }) => title);
const put = (state: State, one: CalendarEvent): State => ({
  ...state,
  entries: new Map(state.entries).set(one.id, one),
});
const now = (local: string) => ({ ...context(), now: at(local), zone: FENNICK });

test('what came waits until it is answered; what is moved, cancelled or gone waits no more', () => {
  const came = look(stateWith(call()), '2027-03-09T13:00', '2027-03-09T13:50');
  expect(titles(came)).toEqual(['Keeper rota call']);
  expect(titles(put(came, call({ title: 'Rota call' })))).toEqual(['Rota call']);
  const moved = call({ start: zoned('2027-03-09T16:00'), end: zoned('2027-03-09T17:00') });
  expect(titles(put(came, moved))).toEqual([]);
  expect(titles(put(came, call({ status: 'cancelled' })))).toEqual([]);
  expect(titles({ ...came, entries: new Map() })).toEqual([]);
  // Of what was moved the next look forgets the old, and finds the new when it is due.
  const later = look(put(came, moved), '2027-03-09T13:50', '2027-03-09T15:50');
  expect(titles(later)).toEqual(['Keeper rota call']);
  expect(later.reminded.size).toBe(1);
});

test('what is put off until shortly before follows its entry where that is moved', () => {
  const came = look(
    stateWith(call({ reminders: [noticeBefore(60)] })),
    '2027-03-09T12:00',
    '2027-03-09T13:00',
  );
  const [waiting] = waitingReminders(came, FENNICK);
  const trigger = snoozeTrigger(
    'before-start',
    waiting!,
    at('2027-03-09T13:05'),
    standardWorkingPattern,
    FENNICK,
  );
  expect(trigger).toEqual(offsetTrigger(-5));
  const off = applyPatch(came, snoozeReminders(came, [waiting!.came.id], trigger!, now('2027-03-09T13:05')));
  expect(titles(off)).toEqual([]);
  expect(nextSnooze(off, FENNICK)).toBe(at('2027-03-09T13:55'));
  const moved = put(off, call({ start: zoned('2027-03-09T15:00'), end: zoned('2027-03-09T16:00') }));
  expect(nextSnooze(moved, FENNICK)).toBe(at('2027-03-09T14:55'));
  expect(nextSnooze({ ...off, entries: new Map() }, FENNICK)).toBeUndefined();
});

test('what can’t come any more is not offered to be put off until', () => {
  const came = look(stateWith(call()), '2027-03-09T13:00', '2027-03-09T13:56');
  const [waiting] = waitingReminders(came, FENNICK);
  const offered = (choice: 'before-start' | 'leaving' | 'tomorrow' | '5') =>
    snoozeTrigger(choice, waiting!, at('2027-03-09T13:56'), standardWorkingPattern, FENNICK);
  expect(offered('before-start')).toBeUndefined();
  expect(offered('leaving')).toBeUndefined();
  expect(offered('5')).toEqual({ kind: 'fixed', at: at('2027-03-09T14:01') });
  expect(offered('tomorrow')).toEqual({ kind: 'fixed', at: at('2027-03-10T08:30') });
});

test('on a Friday, tomorrow at the start of work is Monday', () => {
  const friday = call({ start: zoned('2027-03-12T14:00'), end: zoned('2027-03-12T15:00') });
  const came = look(stateWith(friday), '2027-03-12T13:00', '2027-03-12T13:56');
  const [waiting] = waitingReminders(came, FENNICK);
  const trigger = snoozeTrigger(
    'tomorrow',
    waiting!,
    at('2027-03-12T13:56'),
    standardWorkingPattern,
    FENNICK,
  );
  expect(trigger).toEqual({ kind: 'fixed', at: at('2027-03-15T08:30') });
});

test('an answered reminder does not come again where the clock is set back, and is forgotten after two days', () => {
  const came = look(stateWith(call()), '2027-03-09T13:00', '2027-03-09T13:50');
  const ids = waitingReminders(came, FENNICK).map(({ came: { id } }) => id);
  const done = applyPatch(came, dismissReminders(came, ids, now('2027-03-09T13:51')));
  expect(titles(look(done, '2027-03-09T13:00', '2027-03-09T13:55'))).toEqual([]);
  expect(look(done, '2027-03-09T13:55', '2027-03-11T13:49').reminded.size).toBe(1);
  expect(look(done, '2027-03-09T13:55', '2027-03-11T13:51').reminded.size).toBe(0);
});

test('what an earlier release had dismissed does not come again', () => {
  const state = stateWith(call());
  const known = {
    ...state,
    sessions: new Map([
      ['session', { id: 'session' as const, dismissed: [`call#${at('2027-03-09T13:50')}`] }],
    ]),
  };
  const looked = look(known, '2027-03-09T13:00', '2027-03-09T13:55');
  expect(titles(looked)).toEqual([]);
  expect(looked.sessions.get('session')).not.toHaveProperty('dismissed');
});

test('of more than can wait one by one, the latest do, and it is known how many did not', () => {
  const many = stateWith(
    series(`FREQ=MINUTELY;INTERVAL=30;COUNT=${MOST_WAITING + 200}`, {
      id: 'watch',
      start: zoned('2027-01-01T00:00'),
      end: zoned('2027-01-01T00:10'),
      reminders: [noticeBefore(5)],
    }),
  );
  const looked = look(many, '2026-12-31T00:00', '2027-03-09T10:00');
  const waiting = waitingReminders(looked, FENNICK);
  expect(waiting).toHaveLength(MOST_WAITING);
  expect(looked.sessions.get('session')?.remindersPassed).toBe(200);
  expect(waiting.at(-1)!.came.due).toBe(
    at('2027-01-01T00:00') + (MOST_WAITING + 199) * 30 * MINUTE - 5 * MINUTE,
  );
  const ids = waiting.map(({ came }) => came.id);
  const done = applyPatch(looked, dismissReminders(looked, ids, now('2027-03-09T10:01')));
  expect(done.sessions.get('session')).not.toHaveProperty('remindersPassed');
});
