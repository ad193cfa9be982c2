import fc from 'fast-check';
import {
  context,
  date,
  event,
  eventIn,
  eventsIn,
  FENNICK,
  series,
  stateWith,
  zoned,
} from '../../../testing/samples';
import { type CalendarEvent, type Dated } from '../model/entry';
import type { State } from '../model/state';
import { parseRule } from '../recurrence/rule';
import { Series } from '../recurrence/series';
import { OccurrenceIndex } from '../schedule/occurrenceIndex';
import { DAY, HOUR, localString, parseLocal } from '../time/civil';
import { wallOf } from '../time/eventTime';
import { binEntries, binLater } from './binEntries';
import { changeEntry } from './entryChanges';
import { type ChangeResult, isRefused } from './eventFields';
import { bringBackDate, resetOccurrence } from './exceptions';
import { copyEntry, type Move, moveEntry } from './moveEntry';
import { applyPatch, inversePatch, type Patch } from './patch';
import { splitSeries } from './splitSeries';
import { eventAt } from './target';

const shift = (hours: number): Move => ({ kind: 'shift', by: hours * HOUR });

function done(result: ChangeResult): Patch {
  if (isRefused(result)) throw new Error(`refused: ${result.refused}`);
  return result;
}

/** The occurrences of a state within a window, as "date time title" on the clock of Fennick. */
function shown(state: State, from: string, to: string): string[] {
  const index = new OccurrenceIndex();
  index.load(eventsIn(state));
  return index
    .between({ start: Date.parse(from), end: Date.parse(to) }, FENNICK)
    .map(({ startWall, title }) => `${localString(startWall).slice(5, 16)} ${title}`);
}

const rules = fc
  .tuple(
    fc.constantFrom(
      'FREQ=DAILY',
      'FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR',
      'FREQ=WEEKLY',
      'FREQ=WEEKLY;BYDAY=MO,WE,SU',
      'FREQ=WEEKLY;BYDAY=TU;WKST=SU',
      'FREQ=MONTHLY',
      'FREQ=MONTHLY;BYMONTHDAY=1,15,-1',
      'FREQ=MONTHLY;BYDAY=2TU,-1FR',
      'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
      'RSCALE=GREGORIAN;FREQ=MONTHLY;SKIP=BACKWARD',
      'FREQ=YEARLY',
      'FREQ=YEARLY;BYMONTH=3,10;BYDAY=-1SU',
      'FREQ=YEARLY;BYWEEKNO=1,20',
      'FREQ=DAILY;BYHOUR=1,9',
    ),
    fc.constantFrom('', ';INTERVAL=2', ';INTERVAL=3'),
    fc.oneof(
      fc.constant(''),
      fc.integer({ min: 2, max: 40 }).map((count) => `;COUNT=${count}`),
      fc.constantFrom(';UNTIL=20280615', ';UNTIL=20280601T090000Z'),
    ),
  )
  .map((parts) => parts.join(''));
const zones = fc.constantFrom('Europe/Lisbon', 'America/Santiago', 'Australia/Lord_Howe');
const starts = fc
  .integer({ min: 0, max: 400 })
  .map((day) => localString(parseLocal('2026-10-01T01:30') + day * DAY));

/** A random series with dates left out and added, and one of its dates to split it at. */
const cases = fc.record({
  rule: rules,
  zone: zones,
  start: starts,
  left: fc.uniqueArray(fc.integer({ min: 1, max: 20 }), { maxLength: 3 }),
  extra: fc.array(fc.integer({ min: 0, max: 300 }), { maxLength: 2 }),
  at: fc.integer({ min: 0, max: 25 }),
});

function randomSeries(of: { rule: string; zone: string; start: string; left: number[]; extra: number[] }) {
  const start = zoned(of.start, of.zone);
  const plain = series(of.rule, { id: 'whole', start, end: start });
  const dates = new Series(plain).next(parseLocal(of.start), 30, FENNICK);
  const recurrence = {
    rules: [of.rule],
    dates: of.extra.map((day) => zoned(localString(parseLocal(of.start) + day * DAY + 3 * HOUR), of.zone)),
    exceptionDates: of.left.flatMap((index) =>
      dates[index] ? [zoned(localString(dates[index].wall), of.zone)] : [],
    ),
  };
  return { ...plain, recurrence };
}

const walls = (of: Dated, most: number): number[] =>
  of.recurrence
    ? new Series(of).next(parseLocal('2020-01-01T00:00'), most, FENNICK).map(({ wall }) => wall)
    : [wallOf(of.start)];

test('whatever series is split wherever, both halves make the dates that the whole made', () => {
  let split = 0;
  fc.assert(
    fc.property(cases, (of) => {
      const whole = randomSeries(of);
      const before = walls(whole, 120);
      const wall = before[of.at % Math.max(1, before.length)];
      if (wall === undefined) return;
      const halves = splitSeries(whole, [], wall, { id: 'later', uid: 'later' }, FENNICK);
      // A week that begins in the year before can't say by itself which years the interval takes.
      const isBetweenYears = /BYWEEKNO.*INTERVAL/.test(of.rule);
      if ('refused' in halves && isBetweenYears) return;
      if ('refused' in halves) throw new Error(`${of.rule} refused: ${halves.refused}`);
      split++;
      const earlier = halves.earlier ? walls(halves.earlier, 1000) : [];
      const later = walls(halves.later, 120);
      expect(earlier.every((date) => date < wall)).toBe(true);
      expect(later.every((date) => date >= wall)).toBe(true);
      expect([...earlier, ...later].slice(0, before.length)).toEqual(before);
      const count = parseRule(of.rule).count;
      if (count !== undefined) expect([...earlier, ...later]).toHaveLength(before.length);
    }),
    { numRuns: 400 },
  );
  expect(split).toBeGreaterThan(300);
});

test('a change of just this one changes one occurrence and no other', () => {
  fc.assert(
    fc.property(cases, (of) => {
      const whole = randomSeries(of);
      const state = stateWith(whole);
      const window = ['2026-09-20Z', '2029-01-01Z'] as const;
      // One that would move out of the window is none to look at in it.
      const dates = walls(whole, 40).filter((wall) => wall + 2 * DAY < Date.parse(window[1]));
      const wall = dates[of.at % Math.max(1, dates.length)];
      if (wall === undefined) return;
      const target = { entryId: 'whole', recurrenceKey: localString(wall) };
      const patch = done(moveEntry(state, target, shift(26), 'this', context()));
      const after = applyPatch(state, patch);
      const [was, is] = [shown(state, ...window), shown(after, ...window)];
      expect(is).toHaveLength(was.length);
      expect(was.filter((text) => !is.includes(text)).length).toBeLessThanOrEqual(1);
      expect(applyPatch(after, inversePatch(patch))).toEqual(state);
    }),
    { numRuns: 150 },
  );
});

test('a move of every one moves each date by as much, keeps those left out, and accounts for every changed one', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(
        'FREQ=DAILY;INTERVAL=2',
        'FREQ=WEEKLY;BYDAY=MO,TH;COUNT=12',
        'FREQ=WEEKLY;INTERVAL=2;BYDAY=WE;UNTIL=20270720',
      ),
      fc.integer({ min: -60, max: 60 }),
      fc.uniqueArray(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 4 }),
      (rule, hours, picks) => {
        const start = zoned('2027-03-10T10:00');
        const plain = series(rule, { id: 'whole', title: 'call', start, end: start });
        const dates = walls(plain, 40);
        const [left, ...changedAt] = picks.map((pick) => dates[pick]).filter((wall) => wall !== undefined);
        const whole = {
          ...plain,
          recurrence: { ...plain.recurrence!, exceptionDates: left ? [zoned(localString(left))] : [] },
        };
        const { recurrence: _, ...single } = whole;
        const overrides = changedAt.map((wall) => ({
          ...single,
          id: `changed-${wall}`,
          seriesId: 'whole',
          recurrenceId: zoned(localString(wall)),
          title: 'changed',
        }));
        const state = stateWith(whole, ...overrides);
        const target = { entryId: 'whole', recurrenceKey: localString(dates[0]!) };
        const patch = done(moveEntry(state, target, shift(hours), 'every', context()));
        const after = applyPatch(state, patch);
        const moved = eventIn(after, 'whole');
        const before = walls(whole, 20);
        const isAligned = before[0] === dates[0] && moved.recurrence?.rules.length === 1;
        expect(isAligned).toBe(true);
        // A start that its rule does not make stays the first date; the others move with the rule.
        expect(walls(moved, 20).slice(0, before.length - 1)).toEqual(
          before.slice(0, -1).map((wall) => wall + hours * HOUR),
        );
        const kept = overrides.filter(({ id }) => after.entries.has(id)).length;
        expect(kept + (patch.summary.dropped ?? 0)).toBe(overrides.length);
        expect(applyPatch(after, inversePatch(patch))).toEqual(state);
      },
    ),
    { numRuns: 150 },
  );
});

const weekly = (fields: Partial<CalendarEvent> = {}) =>
  series('FREQ=WEEKLY;COUNT=6', {
    id: 'call',
    title: 'call',
    start: zoned('2027-03-09T14:00'),
    end: zoned('2027-03-09T15:00'),
    ...fields,
  });
const changed = (day: string, time: string, fields: Partial<CalendarEvent> = {}) =>
  event({
    id: `changed-${day}`,
    title: 'call',
    seriesId: 'call',
    recurrenceId: zoned(`2027-${day}T14:00`),
    start: zoned(`2027-${day}T${time}`),
    end: zoned(`2027-${day}T${time.slice(0, 3)}45`),
    ...fields,
  });
const third = { entryId: 'call', recurrenceKey: '2027-03-23T14:00:00' };
const all = (state: State) => shown(state, '2027-03-01Z', '2027-06-01Z');

test('this and later ones: the later half moves and takes its changed occurrences and gaps along', () => {
  const state = stateWith(
    weekly({
      recurrence: {
        rules: ['FREQ=WEEKLY;COUNT=6'],
        dates: [],
        exceptionDates: [zoned('2027-04-06T14:00')],
      },
    }),
    changed('03-16', '09:00'),
    changed('03-30', '10:00', { title: 'call with Marek' }),
  );
  const patch = done(moveEntry(state, third, shift(25), 'later', context()));
  const after = applyPatch(state, patch);
  expect(all(after)).toEqual([
    '03-09T14:00 call',
    '03-16T09:00 call',
    '03-24T15:00 call',
    '03-30T10:00 call with Marek',
    '04-14T15:00 call',
  ]);
  expect(after.entries.get('call')?.recurrence?.rules).toEqual(['FREQ=WEEKLY;COUNT=2']);
  const later = [...after.entries.values()].find((entry) => entry.recurrence && entry.id !== 'call')!;
  expect(later.recurrence?.rules).toEqual(['FREQ=WEEKLY;COUNT=4']);
  expect(later.recurrence?.exceptionDates).toEqual([zoned('2027-04-07T15:00')]);
  expect(later.uid).not.toBe(weekly().uid);
  expect(after.entries.get('changed-03-30')?.seriesId).toBe(later.id);
  expect(applyPatch(after, inversePatch(patch))).toEqual(state);
});

test('this and later ones from the first on is every one', () => {
  const state = stateWith(weekly());
  const first = { entryId: 'call', recurrenceKey: '2027-03-09T14:00:00' };
  const after = applyPatch(state, done(moveEntry(state, first, shift(1), 'later', context())));
  expect([...after.entries.keys()]).toEqual(['call']);
  expect(all(after)[5]).toBe('04-13T15:00 call');
});

test('later ones in the bin: the series ends before, and what went can be brought back', () => {
  const state = stateWith(weekly(), changed('03-30', '10:00'));
  const after = applyPatch(state, done(binLater(state, third, context())));
  expect(all(after)).toEqual(['03-09T14:00 call', '03-16T14:00 call']);
  expect([...after.bin.values()].map(({ entry }) => entry.title)).toEqual(['call', 'call']);
});

test('every one: changed occurrences follow in what they share, keep what is theirs, and are dropped where they fit no more', () => {
  const state = stateWith(
    weekly({ location: 'Lamp room' }),
    changed('03-16', '09:00', { location: 'Lamp room' }),
    changed('03-30', '10:00', { location: 'Boat shed' }),
  );
  const fields = eventAt(state, third, context())!;
  const to = (location: string, rule: string) => ({
    ...fields,
    location,
    recurrence: { rules: [rule], dates: [], exceptionDates: [] },
  });
  const moved = changeEntry(state, third, to('Chart room', 'FREQ=WEEKLY;COUNT=6'), 'every', context());
  const after = applyPatch(state, done(moved));
  expect(after.entries.get('changed-03-16')?.location).toBe('Chart room');
  expect(after.entries.get('changed-03-30')?.location).toBe('Boat shed');
  expect(done(moved).summary.dropped).toBeUndefined();

  const fortnight = done(
    changeEntry(state, third, to('Lamp room', 'FREQ=WEEKLY;INTERVAL=2'), 'every', context()),
  );
  expect(fortnight.summary.dropped).toBe(2);
  const then = applyPatch(state, fortnight);
  expect(all(then).slice(0, 3)).toEqual(['03-09T14:00 call', '03-23T14:00 call', '04-06T14:00 call']);
  expect(then.bin.size).toBe(2);
});

test('a series that repeats no more is the entry that was looked at; from here on, the earlier ones stay', () => {
  const state = stateWith(weekly());
  const { recurrence: _, ...fields } = { ...eventAt(state, third, context())!, recurrence: undefined };
  const every = applyPatch(state, done(changeEntry(state, third, fields, 'every', context())));
  expect(all(every)).toEqual(['03-23T14:00 call']);
  const later = applyPatch(state, done(changeEntry(state, third, fields, 'later', context())));
  expect(all(later)).toEqual(['03-09T14:00 call', '03-16T14:00 call', '03-23T14:00 call']);
});

test('a series moved to another day takes its rule along where the rule allows, and says where it does not', () => {
  const move = (rule: string, days: number, start = '2027-03-09T14:00') => {
    const state = stateWith(series(rule, { id: 'call', start: zoned(start), end: zoned(start) }));
    const target = { entryId: 'call', recurrenceKey: `${start}:00` };
    const result = moveEntry(state, target, shift(days * 24), 'every', context());
    if (isRefused(result)) return result.refused;
    return applyPatch(state, result).entries.get('call')?.recurrence?.rules[0];
  };
  expect(move('FREQ=WEEKLY;BYDAY=TU,TH', 1)).toBe('FREQ=WEEKLY;BYDAY=WE,FR');
  expect(move('FREQ=WEEKLY;UNTIL=20270330T130000Z;BYDAY=TU', -2)).toBe(
    'FREQ=WEEKLY;UNTIL=20270328T140000;BYDAY=SU',
  );
  expect(move('FREQ=MONTHLY;BYMONTHDAY=9', 3)).toBe('FREQ=MONTHLY;BYMONTHDAY=12');
  expect(move('FREQ=MONTHLY;BYDAY=2TU', 1)).toBe('FREQ=MONTHLY;BYDAY=2WE');
  expect(move('FREQ=MONTHLY;BYDAY=2TU', 7)).toBe('rule-fixes-days');
  expect(move('FREQ=MONTHLY;BYDAY=-1FR', 1, '2027-03-26T14:00')).toBe('rule-fixes-days');
  expect(move('FREQ=SOMETIMES', 1)).toBe('unreadable-rule');
});

test('copies: one alone, the later ones, or all, with their changed occurrences', () => {
  const state = stateWith(weekly(), changed('03-30', '10:00'));
  const copied = (scope: 'this' | 'later' | 'every') => {
    const after = applyPatch(state, done(copyEntry(state, third, shift(-24), scope, context())));
    const own = all(state);
    return all(after).filter((text) => !own.includes(text));
  };
  expect(copied('this')).toEqual(['03-22T14:00 call']);
  expect(copied('later')).toEqual([
    '03-22T14:00 call',
    '03-29T10:00 call',
    '04-05T14:00 call',
    '04-12T14:00 call',
  ]);
  expect(copied('every')).toHaveLength(6);
});

test('a changed occurrence is set back to its series, and a date that was left out is brought back', () => {
  const state = stateWith(weekly(), changed('03-16', '09:00'));
  const without = applyPatch(state, binEntries(state, [third], 'this', context()));
  expect(all(without)).not.toContain('03-23T14:00 call');
  const back = bringBackDate(without, 'call', zoned('2027-03-23T14:00'), context())!;
  expect(all(applyPatch(without, back))).toEqual(all(state));
  expect(bringBackDate(state, 'call', zoned('2027-03-23T14:00'), context())).toBeUndefined();

  const reset = applyPatch(state, resetOccurrence(state, 'changed-03-16', context())!);
  expect(all(reset)[1]).toBe('03-16T14:00 call');
  expect(resetOccurrence(state, 'call', context())).toBeUndefined();
});

describe('a change that a file holds for this and later ones (RANGE)', () => {
  const state = stateWith(
    weekly({ recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] } }),
    changed('03-23', '16:30', {
      title: 'long call',
      end: zoned('2027-03-23T18:00'),
      recurrenceRange: 'this-and-future',
    }),
    changed('04-06', '08:00'),
  );
  test('moves and renames them, but those changed by themselves', () => {
    expect(shown(state, '2027-03-15Z', '2027-04-20Z')).toEqual([
      '03-16T14:00 call',
      '03-23T16:30 long call',
      '03-30T16:30 long call',
      '04-06T08:00 call',
      '04-13T16:30 long call',
    ]);
    const at = eventAt(state, { entryId: 'call', recurrenceKey: '2027-03-30T14:00:00' }, context())!;
    expect([at.title, at.start, at.end]).toEqual([
      'long call',
      zoned('2027-03-30T16:30'),
      zoned('2027-03-30T18:00'),
    ]);
  });
  test('is part of what a split begins with', () => {
    const target = { entryId: 'call', recurrenceKey: '2027-03-30T14:00:00' };
    const after = applyPatch(state, done(moveEntry(state, target, shift(1), 'later', context())));
    expect(shown(after, '2027-03-15Z', '2027-04-20Z')).toEqual([
      '03-16T14:00 call',
      '03-23T16:30 long call',
      '03-30T17:30 long call',
      '04-06T08:00 call',
      '04-13T17:30 long call',
    ]);
  });
});

test('whole days split by their dates', () => {
  const whole = series('FREQ=MONTHLY;UNTIL=20271231', {
    id: 'call',
    start: date('2027-01-31'),
    end: date('2027-02-01'),
  });
  const halves = splitSeries(whole, [], parseLocal('2027-05-31T00:00'), { id: 'b', uid: 'b' }, FENNICK);
  if ('refused' in halves) throw new Error(halves.refused);
  expect(halves.earlier?.recurrence?.rules).toEqual(['FREQ=MONTHLY;UNTIL=20270331']);
  expect(halves.later.start).toEqual(date('2027-05-31'));
  expect(halves.later.recurrence?.rules).toEqual(['FREQ=MONTHLY;UNTIL=20271231']);
});
