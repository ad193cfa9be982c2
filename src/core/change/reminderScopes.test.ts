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
import type { CalendarEvent } from '../model/entry';
import { noticeBefore, offsetTrigger } from '../model/reminder';
import type { State } from '../model/state';
import { dueReminders } from '../reminders/dueReminders';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { changeReminders } from './batchChanges';
import { changeEntry, recurrenceSeenAt } from './entryChanges';
import { type ChangeResult, isRefused } from './eventFields';
import { applyPatch, inversePatch } from './patch';
import { eventAt, type Scope } from './target';

/** Four Tuesdays at 14:00, the second an hour later. */
const rota = (): State =>
  stateWith(
    series('FREQ=WEEKLY;COUNT=4', { id: 'rota', reminders: [noticeBefore(10)] }),
    event({
      id: 'rota-2',
      seriesId: 'rota',
      recurrenceId: zoned('2027-03-16T14:00'),
      start: zoned('2027-03-16T15:00'),
      end: zoned('2027-03-16T16:00'),
      reminders: [noticeBefore(10)],
    }),
  );

/** When all that a state holds reminds, in UTC. */
const dues = (state: State): string[] =>
  dueReminders(
    remindedOf(...eventsIn(state)),
    Date.parse('2027-03-01T00:00Z'),
    Date.parse('2027-04-30T00:00Z'),
    FENNICK,
    { workingPattern: standardWorkingPattern },
  ).map(({ due }) => new Date(due).toISOString().slice(5, 16));

function patchOf(result: ChangeResult) {
  if (isRefused(result) || !result) throw new Error('refused');
  return result;
}

/** The third occurrence, edited in a scope. */
function edited(state: State, fields: Partial<CalendarEvent>, scope: Scope): State {
  const target = { entryId: 'rota', recurrenceKey: '2027-03-23T14:00:00' };
  const before = eventAt(state, target, context())!;
  const recurrence = recurrenceSeenAt(state, target, before.start)!;
  const patch = patchOf(changeEntry(state, target, { ...before, recurrence, ...fields }, scope, context()));
  const after = applyPatch(state, patch);
  expect(dues(applyPatch(after, inversePatch(patch)))).toEqual(dues(state));
  return after;
}

const BEFORE = ['03-09T13:50', '03-16T14:50', '03-23T13:50', '03-30T12:50'];

test.each<[Scope, string[]]>([
  ['this', ['03-09T13:50', '03-16T14:50', '03-23T13:00', '03-30T12:50']],
  ['later', ['03-09T13:50', '03-16T14:50', '03-23T13:00', '03-30T12:00']],
  ['every', ['03-09T13:00', '03-16T14:00', '03-23T13:00', '03-30T12:00']],
])('reminders follow the scope: %s', (scope, expected) => {
  expect(dues(rota())).toEqual(BEFORE);
  expect(dues(edited(rota(), { reminders: [noticeBefore(60)] }, scope))).toEqual(expected);
});

test.each<[Scope, string[]]>([
  ['this', ['03-09T13:50', '03-16T14:50', '03-23T13:30', '03-30T12:50']],
  ['later', ['03-09T13:50', '03-16T14:50', '03-23T13:30', '03-30T12:30']],
  ['every', ['03-09T13:30', '03-16T14:30', '03-23T13:30', '03-30T12:30']],
])('travel follows the scope, and what counts from leaving with it: %s', (scope, expected) => {
  const fields = {
    travel: { there: 20, back: 0 },
    reminders: [{ trigger: offsetTrigger(-10, 'leaving'), by: 'notice' as const }],
  };
  expect(dues(edited(rota(), fields, scope))).toEqual(expected);
});

test('several get one more, lose all of them, and follow their calendar again', () => {
  const start = rota();
  const calendars = new Map(start.calendars);
  calendars.set('meetings', {
    ...calendars.get('meetings')!,
    usualReminders: { timed: [noticeBefore(5)], wholeDays: [] },
  });
  const state: State = {
    ...start,
    calendars,
    entries: new Map(start.entries).set('talk', event({ id: 'talk' })),
  };
  const targets = [{ entryId: 'rota' }, { entryId: 'talk' }];
  const after = (change: Parameters<typeof changeReminders>[2]) =>
    applyPatch(state, patchOf(changeReminders(state, targets, change, 'every', context()))).entries;
  const more = after({ kind: 'add', reminder: noticeBefore(30) });
  expect(more.get('rota')!.reminders).toEqual([noticeBefore(10), noticeBefore(30)]);
  // What it followed stays beside what is added.
  expect(more.get('talk')!.reminders).toEqual([noticeBefore(5), noticeBefore(30)]);
  expect(more.get('rota-2')!.reminders).toEqual([noticeBefore(10), noticeBefore(30)]);
  const none = after({ kind: 'none' });
  expect([none.get('rota')!.reminders, none.get('talk')!.reminders]).toEqual([[], []]);
  const usual = after({ kind: 'usual' });
  expect([usual.get('rota')!.reminders, usual.get('rota-2')!.reminders]).toEqual([undefined, undefined]);
});
