import { context, event, eventIn, series, stateWith, zoned } from '../../../testing/samples';
import type { CalendarEvent } from '../model/entry';
import { DAY, HOUR, parseLocal } from '../time/civil';
import { atWall, wallOf } from '../time/eventTime';
import { binEntries } from './binEntries';
import { deleteCalendar } from './calendarChanges';
import { binnedCalendars, binnedEntries, restoreCalendar } from './binChanges';
import { changeEntry, createEntry, recurrenceSeenAt } from './entryChanges';
import { isRefused, type ChangeResult } from './eventFields';
import { resetOccurrence } from './exceptions';
import { followKeys } from './follow';
import { moveEntries, moveEntry } from './moveEntry';
import { applyPatch, inversePatch, type Patch } from './patch';
import { rebasePatch } from './rebase';
import { eventAt, targetKey } from './target';

const done = (result: ChangeResult): Patch => {
  if (isRefused(result)) throw new Error(result.refused);
  return result;
};
const rota = series('FREQ=WEEKLY', { id: 'rota', title: 'rota' });
const second = { entryId: 'rota', recurrenceKey: '2027-03-16T14:00:00' };

describe('what is selected', () => {
  test('an occurrence that is moved alone is found under its own record, and undone in its series again', () => {
    const state = stateWith(rota);
    const patch = done(moveEntry(state, second, { kind: 'shift', by: HOUR }, 'this', context()));
    const after = applyPatch(state, patch);
    const [key] = followKeys([targetKey(second)], patch, state, after);
    expect(after.entries.get(key!)?.seriesId).toBe('rota');
    expect(followKeys([key!], inversePatch(patch), after, state)).toEqual([targetKey(second)]);
    const reset = resetOccurrence(after, key!, context())!;
    expect(followKeys([key!], reset, after, applyPatch(after, reset))).toEqual([targetKey(second)]);
  });

  test('what is put in the bin is selected no more', () => {
    const state = stateWith(rota, event({ id: 'buoy' }));
    const patch = binEntries(state, [{ entryId: 'buoy' }], 'this', context());
    expect(followKeys(['buoy', targetKey(second)], patch, state, applyPatch(state, patch))).toEqual([
      targetKey(second),
    ]);
  });

  test('an entry that begins to repeat is selected as its first occurrence', () => {
    const single = event({ id: 'glass', title: 'glass' });
    const state = stateWith(single);
    const fields = { ...single, recurrence: { rules: ['FREQ=DAILY'], dates: [], exceptionDates: [] } };
    const changed = done(changeEntry(state, { entryId: 'glass' }, fields, 'this', context()));
    expect(changed.landed).toBe('glass|2027-03-09T14:00:00');
    expect(done(createEntry(state, fields, context())).landed).toMatch(/\|2027-03-09T14:00:00$/);
    expect(done(createEntry(state, single, context())).landed).not.toContain('|');
  });
});

test('several move and stretch as one change, and those that can’t are counted', () => {
  const days = series('FREQ=MONTHLY;BYMONTHDAY=9', { id: 'monthly' });
  const state = stateWith(rota, event({ id: 'buoy' }), days);
  const targets = [second, { entryId: 'buoy' }, { entryId: 'monthly' }];
  const patch = done(moveEntries(state, targets, { kind: 'shift', by: 40 * DAY }, context()));
  expect(patch.summary).toMatchObject({ what: 'entries-moved', count: 2, left: 1 });
  const after = applyPatch(state, patch);
  expect(wallOf(eventIn(after, 'buoy').start)).toBe(parseLocal('2027-04-18T14:00'));
  expect(after.entries.get('rota')).toEqual(rota);
  const longer = { kind: 'stretch', edge: 'end', by: HOUR } as const;
  const stretched = done(moveEntries(state, targets.slice(0, 2), longer, context()));
  expect(stretched.summary).toMatchObject({ what: 'entries-stretched', count: 2 });
  expect(applyPatch(applyPatch(state, stretched), inversePatch(stretched))).toEqual(state);
});

describe('a patch for a state that lacks what it was made after', () => {
  const single = event({ id: 'buoy', title: 'Buoy log' });
  const state = stateWith();
  const made = done(createEntry(state, single, context()));
  const id = made.changes[0]!.id;
  const after = applyPatch(state, made);
  const renamed = done(changeEntry(after, { entryId: id }, { ...single, title: 'Buoys' }, 'this', context()));

  test('is none where it changes what was never made', () => {
    expect(rebasePatch(state, renamed)).toBeUndefined();
  });

  test('stays as it is where it has to do with something else', () => {
    const other = done(
      createEntry(after, event({ title: 'Stores' }), { ...context(), newId: () => 'other' }),
    );
    expect(rebasePatch(state, other)).toEqual(other);
  });

  test('names what it replaces now', () => {
    const known = stateWith(single);
    const first = done(
      changeEntry(known, { entryId: 'buoy' }, { ...single, title: 'One' }, 'this', context()),
    );
    const between = applyPatch(known, first);
    const later = done(
      changeEntry(between, { entryId: 'buoy' }, { ...single, title: 'Two' }, 'this', context()),
    );
    const rebased = rebasePatch(known, later)!;
    expect(rebased.changes[0]!.before).toEqual(single);
    expect(applyPatch(applyPatch(known, rebased), inversePatch(rebased))).toEqual(known);
  });

  test('is none where its calendar is not there', () => {
    const without = { ...state, calendars: new Map() };
    expect(rebasePatch(without, made)).toBeUndefined();
  });
});

test('a calendar comes back from the bin as one, with its entries in it', () => {
  const state = stateWith(rota, event({ id: 'buoy' }), event({ id: 'order', calendarId: 'desk' }));
  const deleted = deleteCalendar(state, 'meetings', 'bin', context())!;
  const binned = applyPatch(state, deleted);
  const [calendar] = binnedCalendars(binned);
  expect(calendar).toMatchObject({ calendar: { id: 'meetings' } });
  expect(calendar!.items).toHaveLength(2);
  expect(binnedEntries(binned)).toEqual([]);
  const back = applyPatch(binned, restoreCalendar(binned, 'meetings', context())!);
  expect(back.calendars.get('meetings')).toEqual(state.calendars.get('meetings'));
  expect(new Set(back.entries.keys())).toEqual(new Set(['rota', 'buoy', 'order']));
  expect(back.bin.size).toBe(0);
  expect(restoreCalendar(back, 'meetings', context())).toBeUndefined();
});

test('a rule is said for the date that is shown, whatever the series began with', () => {
  const monthly = series('FREQ=MONTHLY', { id: 'monthly', start: zoned('2027-03-09T14:00') });
  const state = stateWith(monthly);
  const target = { entryId: 'monthly', recurrenceKey: '2027-04-09T14:00:00' };
  const shown = eventAt(state, target, context())!;
  expect(recurrenceSeenAt(state, target, shown.start)?.rules).toEqual(['FREQ=MONTHLY']);
  // Shown on another day, the day of the month is said.
  const moved: CalendarEvent = { ...shown, start: atWall(shown.start, wallOf(shown.start) + DAY) };
  expect(recurrenceSeenAt(state, target, moved.start)?.rules).toEqual(['FREQ=MONTHLY;BYMONTHDAY=9']);
});
