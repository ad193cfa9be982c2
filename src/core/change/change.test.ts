import fc from 'fast-check';
import { OccurrenceIndex } from '../schedule/occurrenceIndex';
import {
  calendar,
  context,
  date,
  event,
  eventsIn,
  FENNICK,
  series,
  stateWith,
  zoned,
} from '../../../testing/samples';
import type { State } from '../model/state';
import { moveToCalendar, shiftByDays } from './batchChanges';
import { binnedEntries, clearOldBin, emptyBin, removeFromBin, restoreFromBin } from './binChanges';
import {
  clashes,
  deleteCalendar,
  proposeColour,
  proposeMark,
  saveCalendar,
  targetCalendar,
} from './calendarChanges';
import { binEntries } from './binEntries';
import { changeEntry, createEntry } from './entryChanges';
import { type ChangeResult, isRefused } from './eventFields';
import { copyEntry, daysBy, type Move, moveEntry } from './moveEntry';
import { emptyHistory, recordCommit, redoPatch, undoPatch } from './history';
import { applyPatch, inversePatch, Patch } from './patch';
import { startEmpty } from './startEmpty';
import { targetKey, targetOfKey } from './target';
import { DAY, HOUR } from '../time/civil';

function done(result: ChangeResult): Patch {
  if (isRefused(result)) throw new Error(`refused: ${result.refused}`);
  return result;
}

/** The starts that a state shows in a window, as wall times in Fennick. */
function starts(state: State, from = '2027-03-01', to = '2027-04-30'): string[] {
  const index = new OccurrenceIndex();
  index.load(eventsIn(state));
  return index
    .between({ start: Date.parse(from), end: Date.parse(to) }, FENNICK)
    .map((occurrence) => `${new Date(occurrence.startWall).toISOString().slice(5, 16)} ${occurrence.title}`);
}

const weekly = () =>
  series('FREQ=WEEKLY;BYDAY=TU;UNTIL=20270330', {
    id: 'call',
    title: 'call',
    start: zoned('2027-03-09T14:00'),
    end: zoned('2027-03-09T15:00'),
  });
const second = { entryId: 'call', recurrenceKey: '2027-03-16T14:00:00' };
const shift = (hours: number): Move => ({ kind: 'shift', by: hours * HOUR });

test('a patch and its inverse lead back to the same records, whatever the change', () => {
  const state = stateWith(
    weekly(),
    event({ id: 'single' }),
    event({ id: 'day', start: date('2027-03-10'), end: date('2027-03-12') }),
  );
  const targets = fc.constantFrom({ entryId: 'single' }, { entryId: 'day' }, { entryId: 'call' }, second);
  const scopes = fc.constantFrom('this' as const, 'every' as const);
  const hours = fc.integer({ min: -72, max: 72 });
  fc.assert(
    fc.property(targets, scopes, hours, fc.integer({ min: 0, max: 4 }), (target, scope, by, kind) => {
      const result =
        kind === 0
          ? moveEntry(state, target, shift(by), scope, context())
          : kind === 1
            ? binEntries(state, [target], scope, context())
            : kind === 2
              ? copyEntry(state, target, shift(by), 'this', context())
              : kind === 3
                ? moveToCalendar(state, [target], 'desk', scope, context())
                : shiftByDays(state, [target], by, context());
      if (isRefused(result)) return;
      const after = applyPatch(state, result);
      expect(applyPatch(after, inversePatch(result))).toEqual(state);
      expect(Patch.safeParse(JSON.parse(JSON.stringify(result))).success).toBe(true);
    }),
  );
});

test('an event moves by the wall clock and keeps its length over a clock change', () => {
  const state = stateWith(
    event({ id: 'watch', title: 'watch', start: zoned('2027-03-27T23:30'), end: zoned('2027-03-28T00:30') }),
  );
  const after = applyPatch(state, done(moveEntry(state, { entryId: 'watch' }, shift(1), 'this', context())));
  const moved = after.entries.get('watch')!;
  expect(moved.start).toEqual(zoned('2027-03-28T00:30'));
  // One hour later the clock has skipped an hour.
  expect(moved.end).toEqual(zoned('2027-03-28T02:30'));
});

test('an event is stretched at either end, and not beyond itself', () => {
  const state = stateWith(event({ id: 'e' }));
  const stretched = applyPatch(
    state,
    done(moveEntry(state, { entryId: 'e' }, { kind: 'stretch', edge: 'end', by: HOUR }, 'this', context())),
  );
  expect(stretched.entries.get('e')!.end).toEqual(zoned('2027-03-09T16:00'));
  expect(
    moveEntry(state, { entryId: 'e' }, { kind: 'stretch', edge: 'start', by: 2 * HOUR }, 'this', context()),
  ).toEqual({ refused: 'end-before-start' });
});

test('an event becomes whole days and hours again', () => {
  const state = stateWith(event({ id: 'e' }));
  const days = applyPatch(
    state,
    done(moveEntry(state, { entryId: 'e' }, { kind: 'to-days', day: 20_888 }, 'this', context())),
  );
  expect(days.entries.get('e')).toMatchObject({ start: date('2027-03-11'), end: date('2027-03-12') });
  const wall = Date.UTC(2027, 2, 12, 9);
  const hours = applyPatch(
    days,
    done(moveEntry(days, { entryId: 'e' }, { kind: 'to-hours', wall, length: HOUR }, 'this', context())),
  );
  expect(hours.entries.get('e')).toMatchObject({
    start: zoned('2027-03-12T09:00'),
    end: zoned('2027-03-12T10:00'),
  });
});

test('a move to another calendar changes time and calendar in one step', () => {
  const state = stateWith(
    event({ id: 'e', start: zoned('2027-03-09T10:00'), end: zoned('2027-03-09T11:00') }),
  );
  const other = [...state.calendars.keys()].find((id) => id !== state.entries.get('e')!.calendarId)!;
  const move: Move = { ...shift(2), calendarId: other };
  const patch = done(moveEntry(state, { entryId: 'e' }, move, 'this', context()));
  const after = applyPatch(state, patch);
  expect(after.entries.get('e')).toMatchObject({ calendarId: other, start: zoned('2027-03-09T12:00') });
  expect(applyPatch(after, inversePatch(patch)).entries.get('e')).toEqual(state.entries.get('e'));
  expect(moveEntry(state, { entryId: 'e' }, { ...shift(0), calendarId: 'none' }, 'this', context())).toEqual({
    refused: 'calendar-missing',
  });
});

describe('a series', () => {
  test('moved to another calendar, one occurrence goes alone; every one takes the changed ones along', () => {
    const state = stateWith(weekly());
    const own = weekly().calendarId;
    const other = [...state.calendars.keys()].find((id) => id !== own)!;
    const shared = context();
    const calendarsOf = (of: State) => [...of.entries.values()].map(({ calendarId }) => calendarId);
    const move: Move = { ...shift(0), calendarId: other };
    const one = applyPatch(state, done(moveEntry(state, second, move, 'this', shared)));
    expect(calendarsOf(one)).toEqual([own, other]);
    const changed = applyPatch(state, done(moveEntry(state, second, shift(2), 'this', shared)));
    const every = applyPatch(changed, done(moveEntry(changed, { entryId: 'call' }, move, 'every', shared)));
    expect(calendarsOf(every)).toEqual([other, other]);
    const copied = applyPatch(changed, done(copyEntry(changed, { entryId: 'call' }, move, 'every', shared)));
    expect(calendarsOf(copied)).toEqual([own, own, other, other]);
  });

  test('just this one: one occurrence moves, the others stay', () => {
    const state = stateWith(weekly());
    const after = applyPatch(state, done(moveEntry(state, second, shift(24), 'this', context())));
    expect(starts(after)).toEqual([
      '03-09T14:00 call',
      '03-17T14:00 call',
      '03-23T14:00 call',
      '03-30T14:00 call',
    ]);
  });

  test('every one: a move to another weekday takes the rule, the exceptions and the changed occurrences along', () => {
    const state = stateWith(weekly());
    const changed = applyPatch(state, done(moveEntry(state, second, shift(2), 'this', context())));
    const dropped = applyPatch(
      changed,
      binEntries(changed, [{ entryId: 'call', recurrenceKey: '2027-03-23T14:00:00' }], 'this', context()),
    );
    const moved = applyPatch(
      dropped,
      done(
        moveEntry(
          dropped,
          { entryId: 'call', recurrenceKey: '2027-03-09T14:00:00' },
          shift(24),
          'every',
          context(),
        ),
      ),
    );
    expect(starts(moved)).toEqual(['03-10T14:00 call', '03-16T16:00 call', '03-31T14:00 call']);
    expect(moved.entries.get('call')!.recurrence!.rules).toEqual(['FREQ=WEEKLY;UNTIL=20270331;BYDAY=WE']);
  });

  test('every one is refused where the rule itself names the days', () => {
    const state = stateWith(series('FREQ=MONTHLY;BYDAY=2TU', { id: 'call' }));
    expect(moveEntry(state, { entryId: 'call' }, daysBy(7), 'every', context())).toEqual({
      refused: 'rule-fixes-days',
    });
    expect(isRefused(moveEntry(state, { entryId: 'call' }, shift(1), 'every', context()))).toBe(false);
  });

  test('every one, edited from a later occurrence, moves by as much as that one', () => {
    const state = stateWith(weekly());
    const fields = {
      ...weekly(),
      title: 'rota',
      start: zoned('2027-03-16T15:30'),
      end: zoned('2027-03-16T16:00'),
    };
    const after = applyPatch(state, done(changeEntry(state, second, fields, 'every', context())));
    expect(starts(after)).toEqual([
      '03-09T15:30 rota',
      '03-16T15:30 rota',
      '03-23T15:30 rota',
      '03-30T15:30 rota',
    ]);
    expect(after.entries.get('call')!.end).toEqual(zoned('2027-03-09T16:00'));
  });

  test('just this one, edited, keeps the title of the others', () => {
    const state = stateWith(weekly());
    const fields = {
      ...weekly(),
      title: 'rota',
      start: zoned('2027-03-16T14:00'),
      end: zoned('2027-03-16T15:00'),
    };
    const after = applyPatch(state, done(changeEntry(state, second, fields, 'this', context())));
    expect(starts(after)).toEqual([
      '03-09T14:00 call',
      '03-16T14:00 rota',
      '03-23T14:00 call',
      '03-30T14:00 call',
    ]);
  });

  test('to the bin: one occurrence is left out, a changed one goes with its date, every one takes all', () => {
    const state = stateWith(weekly());
    const one = applyPatch(state, binEntries(state, [second], 'this', context()));
    expect(starts(one)).toEqual(['03-09T14:00 call', '03-23T14:00 call', '03-30T14:00 call']);
    const changed = applyPatch(state, done(moveEntry(state, second, shift(24), 'this', context())));
    const override = [...changed.entries.values()].find((entry) => entry.seriesId)!;
    const gone = applyPatch(changed, binEntries(changed, [{ entryId: override.id }], 'this', context()));
    expect(starts(gone)).toEqual(starts(one));
    // Brought back, it takes its date again: what was left out is whole.
    const again = applyPatch(gone, restoreFromBin(gone, [override.id], context()));
    expect(starts(again)).toEqual(starts(changed));
    expect(again.entries.get('call')?.recurrence?.exceptionDates).toEqual([]);
    const all = applyPatch(changed, binEntries(changed, [{ entryId: override.id }], 'every', context()));
    expect(starts(all)).toEqual([]);
    // A series is one thing in the bin, and comes back with what was changed of it.
    expect(binnedEntries(all).map(({ item, changed: of }) => [item.id, of.map(({ id }) => id)])).toEqual([
      ['call', [override.id]],
    ]);
    expect(starts(applyPatch(all, restoreFromBin(all, ['call'], context())))).toEqual(starts(changed));
    expect(all.bin.size).toBe(2);
    expect(applyPatch(all, removeFromBin(all, ['call'], context())!).bin.size).toBe(0);
    expect(removeFromBin(all, ['never'], context())).toBeUndefined();
    const homeless = { ...all, calendars: new Map([['desk', all.calendars.get('desk')!]]) };
    const into = applyPatch(homeless, restoreFromBin(homeless, ['call'], context(), 'desk'));
    expect(new Set([...into.entries.values()].map(({ calendarId }) => calendarId))).toEqual(
      new Set(['desk']),
    );

    const back = applyPatch(all, restoreFromBin(all, [...all.bin.keys()], context()));
    expect(starts(back)).toEqual(starts(changed));
  });

  test('from the bin: not into a calendar that is gone or closed; emptied, it is empty until that is undone', () => {
    const binned = (() => {
      const state = stateWith(event({ id: 'one', calendarId: 'desk' }));
      return applyPatch(state, binEntries(state, [{ entryId: 'one' }], 'this', context()));
    })();
    const closed = {
      ...binned,
      calendars: new Map(binned.calendars).set('desk', { ...binned.calendars.get('desk')!, readOnly: true }),
    };
    const back = applyPatch(closed, restoreFromBin(closed, ['one'], context()));
    expect(back.entries.get('one')?.calendarId).toBe('meetings');
    const patch = emptyBin(binned, context())!;
    const emptied = applyPatch(binned, patch);
    expect([emptied.bin.size, emptyBin(emptied, context())]).toEqual([0, undefined]);
    expect(applyPatch(emptied, inversePatch(patch)).bin).toEqual(binned.bin);
  });

  test('a copy of an occurrence is an event of its own', () => {
    const state = stateWith(weekly());
    const after = applyPatch(state, done(copyEntry(state, second, shift(24), 'this', context())));
    expect(starts(after)).toContain('03-16T14:00 call');
    expect(starts(after)).toContain('03-17T14:00 call');
    const copy = [...after.entries.values()].find((entry) => entry.id !== 'call')!;
    expect(copy.seriesId).toBeUndefined();
    expect(copy.uid).not.toBe(state.entries.get('call')!.uid);
  });

  test('chosen occurrences shift by days; a move to another calendar takes the whole series', () => {
    const state = stateWith(weekly());
    const shifted = applyPatch(state, done(shiftByDays(state, [second], 7, context())));
    expect(starts(shifted)).toEqual([
      '03-09T14:00 call',
      '03-23T14:00 call',
      '03-23T14:00 call',
      '03-30T14:00 call',
    ]);
    const moved = applyPatch(shifted, done(moveToCalendar(shifted, [second], 'desk', 'every', context())));
    expect([...moved.entries.values()].every((entry) => entry.calendarId === 'desk')).toBe(true);
  });
});

test('an entry needs a calendar that is there', () => {
  const state = stateWith();
  expect(createEntry(state, { ...event(), calendarId: 'gone' }, context())).toEqual({
    refused: 'calendar-missing',
  });
});

describe('calendars', () => {
  test('a free mark and colour are proposed, and clashes found', () => {
    expect(proposeMark('Site visits', [])).toBe('SV');
    expect(proposeMark('Meetings', ['ME'])).toBe('MT');
    expect(proposeMark('Ärger', [])).toBe('ÄR');
    expect(proposeMark('—', [])).toBe('CA');
    fc.assert(
      fc.property(
        fc.string(),
        fc.uniqueArray(fc.stringMatching(/^[A-Z0-9]{2}$/), { maxLength: 60 }),
        (name, taken) => {
          const mark = proposeMark(name, taken);
          expect(taken).not.toContain(mark);
          expect(mark).toMatch(/^[\p{Lu}\p{N}]{2}$/u);
        },
      ),
    );
    expect(proposeColour(['pine', 'harbour'])).toBe('rust');
    expect(clashes(stateWith(), { mark: 'ME', colour: 'pine' }).map(({ id }) => id)).toEqual([
      'meetings',
      'desk',
    ]);
  });
  test('the one that is shown alone is the target', () => {
    const state = stateWith();
    expect(targetCalendar(state, new Set(['meetings']))?.id).toBe('desk');
    expect(targetCalendar(state, new Set())?.id).toBe('meetings');
  });
  test('deleted, its entries move or go to the bin', () => {
    const state = stateWith(event({ id: 'a' }), event({ id: 'b', calendarId: 'desk' }));
    const moved = applyPatch(state, deleteCalendar(state, 'meetings', { calendarId: 'desk' }, context()));
    expect(moved.calendars.has('meetings')).toBe(false);
    expect(moved.entries.get('a')!.calendarId).toBe('desk');
    const binned = applyPatch(state, deleteCalendar(state, 'meetings', 'bin', context()));
    expect([...binned.entries.keys()]).toEqual(['b']);
    const restored = applyPatch(binned, restoreFromBin(binned, ['a'], context()));
    expect(restored.entries.get('a')!.calendarId).toBe('desk');
  });
  test('saved anew they keep their place', () => {
    const state = stateWith();
    const { order: _, ...fields } = calendar({ name: 'Calls' });
    const after = applyPatch(state, saveCalendar(state, 'meetings', fields, context()));
    expect(after.calendars.get('meetings')).toMatchObject({ name: 'Calls', order: 1 });
  });
  test('starting empty leaves one calendar and no demo clock', () => {
    const state = stateWith(event());
    const after = applyPatch(state, startEmpty(state, context()));
    expect(after.entries.size).toBe(0);
    expect([...after.calendars.values()].map(({ name }) => name)).toEqual(['Work']);
    expect(after.settings.get('settings')!.demoNow).toBeUndefined();
  });
  test.each([
    ['juna.marsh@fennick.example', undefined],
    ['edda@tern.test', 'edda@tern.test'],
  ])('starting empty, the address of the demo goes, and one’s own stays: %s', (email, kept) => {
    const state = stateWith();
    const settings = { ...state.settings.get('settings')!, addresses: { email, phone: '' } };
    const after = applyPatch(
      state,
      startEmpty({ ...state, settings: new Map([['settings', settings]]) }, context()),
    );
    expect(after.settings.get('settings')!.addresses?.email).toBe(kept);
  });
});

test('the bin lets go of what is older than thirty days', () => {
  const state = stateWith(event({ id: 'a' }));
  const binned = applyPatch(state, binEntries(state, [{ entryId: 'a' }], 'this', context(0)));
  expect(clearOldBin(binned, context(29 * DAY))).toBeUndefined();
  expect(applyPatch(binned, clearOldBin(binned, context(31 * DAY))!).bin.size).toBe(0);
});

test('history undoes in reverse, redoes, and forgets what was undone when something new is done', () => {
  const state = stateWith(event({ id: 'e' }));
  const first = done(moveEntry(state, { entryId: 'e' }, shift(1), 'this', context()));
  const next = applyPatch(state, first);
  const other = { ...done(moveEntry(next, { entryId: 'e' }, shift(1), 'this', context())), id: 'other' };
  let history = recordCommit(recordCommit(emptyHistory, 'do', first), 'do', other);
  expect(undoPatch(history)!.changes[0]!.after).toEqual(other.changes[0]!.before);
  history = recordCommit(history, 'undo', undoPatch(history)!);
  expect(redoPatch(history)).toBe(other);
  expect(recordCommit(history, 'quiet', first)).toBe(history);
  // Another page undid the same at the same time: one deed is undone.
  expect(recordCommit(history, 'undo', inversePatch(other))).toBe(history);
  history = recordCommit(history, 'do', first);
  expect(redoPatch(history)).toBeUndefined();
});

test('a target is the same after a way through its key', () => {
  for (const target of [{ entryId: 'a' }, second]) expect(targetOfKey(targetKey(target))).toEqual(target);
});
