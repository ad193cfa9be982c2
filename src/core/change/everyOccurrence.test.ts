import {
  context,
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
import { Series } from '../recurrence/series';
import { OccurrenceIndex } from '../schedule/occurrenceIndex';
import { DAY, HOUR, localString, parseLocal } from '../time/civil';
import { atWall, wallOf } from '../time/eventTime';
import { binEntries, binLater } from './binEntries';
import { changeEntry, recurrenceSeenAt, seriesAsEdited } from './entryChanges';
import { type ChangeResult, isRefused } from './eventFields';
import { applyPatch, inversePatch, type Patch } from './patch';
import { eventAt, SCOPES, type Scope, type Target } from './target';

const SERIES = 'rota';

/** Eight Tuesdays at 14:00, one left out, a Saturday more; one renamed, one put to a Wednesday. */
function rota(): State {
  const start = zoned('2027-03-02T14:00');
  const end = zoned('2027-03-02T15:00');
  const plain = series('FREQ=WEEKLY;COUNT=8', { id: SERIES, title: 'rota', location: 'Works', start, end });
  const whole = {
    ...plain,
    recurrence: {
      ...plain.recurrence!,
      exceptionDates: [zoned('2027-04-06T14:00')],
      dates: [zoned('2027-04-03T14:00')],
    },
  };
  const { recurrence: _, ...single } = whole;
  const at = (day: string, fields: Partial<CalendarEvent>): CalendarEvent =>
    event({
      ...single,
      id: `at-${day}`,
      seriesId: SERIES,
      recurrenceId: zoned(`${day}T14:00`),
      start: zoned(`${day}T14:00`),
      end: zoned(`${day}T15:00`),
      ...fields,
    });
  return stateWith(
    whole,
    at('2027-03-16', { title: 'rota with Tobias' }),
    at('2027-03-30', { start: zoned('2027-03-31T10:00'), end: zoned('2027-03-31T11:00') }),
  );
}

/** Every kind of occurrence, by its target. */
const KINDS: Record<string, Target> = {
  'the first': { entryId: SERIES, recurrenceKey: '2027-03-02T14:00:00' },
  'a plain one': { entryId: SERIES, recurrenceKey: '2027-03-23T14:00:00' },
  'a renamed one': { entryId: 'at-2027-03-16' },
  'a moved one': { entryId: 'at-2027-03-30' },
  'a further date': { entryId: SERIES, recurrenceKey: '2027-04-03T14:00:00' },
  'the last': { entryId: SERIES, recurrenceKey: '2027-04-20T14:00:00' },
};

interface Row {
  start: number;
  length: number;
  title: string;
  location: string;
  calendarId: string;
}

/** What a person sees of a state, in order. */
function rows(state: State): Row[] {
  const index = new OccurrenceIndex();
  index.load(eventsIn(state));
  return index
    .between({ start: Date.UTC(2027, 0, 1), end: Date.UTC(2028, 0, 1) }, FENNICK)
    .map(({ start, end, title, location, calendarId }) => ({
      start,
      length: end - start,
      title,
      location: location ?? '',
      calendarId,
    }))
    .sort((a, b) => a.start - b.start || a.title.localeCompare(b.title));
}

const done = (result: ChangeResult): Patch => {
  if (isRefused(result)) throw new Error(`refused: ${result.refused}`);
  return result;
};

/** The fields of the editor for a target, with some of them changed. */
function edited(state: State, target: Target, changes: (shown: CalendarEvent) => Partial<CalendarEvent>) {
  const shown = eventAt(state, target, context())!;
  const recurrence = recurrenceSeenAt(state, target, shown.start);
  return { ...shown, ...(recurrence ? { recurrence } : {}), ...changes(shown) };
}

/** The original starts of what the rota makes before any edit, and how each is seen: by hand, not by the code under test. */
const BEFORE: readonly (Row & { original: string; isOwn: readonly (keyof Row)[] })[] = [
  ['2027-03-02', {}, []],
  ['2027-03-09', {}, []],
  ['2027-03-16', { title: 'rota with Tobias' }, ['title']],
  ['2027-03-23', {}, []],
  ['2027-03-30', { start: Date.UTC(2027, 2, 31, 9) }, ['start']],
  ['2027-04-03', {}, []],
  ['2027-04-13', {}, []],
  ['2027-04-20', {}, []],
].map(([day, fields, isOwn]) => {
  const isSummer = (day as string) >= '2027-03-28';
  return {
    start: Date.parse(`${day as string}T${isSummer ? '13' : '14'}:00Z`),
    length: HOUR,
    title: 'rota',
    location: 'Works',
    calendarId: 'meetings',
    original: `${day as string}T14:00:00`,
    isOwn: isOwn as (keyof Row)[],
    ...(fields as Partial<Row>),
  };
});

test('the rota is what it is said to be', () => {
  expect(rows(rota())).toEqual(BEFORE.map(({ original: _, isOwn: __, ...row }) => row));
});

const originalOf = ({ entryId, recurrenceKey }: Target): string =>
  recurrenceKey ?? `${entryId.slice('at-'.length)}T14:00:00`;

/** Which of the rows a scope means, and which of them take a field that they share with the series. */
function expected(target: Target, scope: Scope, field: keyof Row, change: (row: Row) => Partial<Row>): Row[] {
  const at = originalOf(target);
  return BEFORE.map(({ original, isOwn, ...row }) => {
    const isMeant =
      original === at || scope === 'every' || (scope === 'later' && parseLocal(original) >= parseLocal(at));
    const takes = isMeant && (scope !== 'this' || original === at);
    const follows = takes && (original === at || !isOwn.includes(field));
    return follows ? { ...row, ...change(row) } : row;
  }).sort((a, b) => a.start - b.start || a.title.localeCompare(b.title));
}

const cases = Object.entries(KINDS).flatMap(([kind, target]) =>
  SCOPES.map((scope) => ({ kind, target, scope })),
);

describe.each(cases)('$kind, for “$scope”', ({ target, scope }) => {
  const state = rota();
  const change = (changes: (shown: CalendarEvent) => Partial<CalendarEvent>): Patch =>
    done(changeEntry(state, target, edited(state, target, changes), scope, context()));

  test('a title reaches those that are meant and have none of their own, and nothing else changes', () => {
    const patch = change(() => ({ title: 'keepers' }));
    const after = applyPatch(state, patch);
    expect(rows(after)).toEqual(expected(target, scope, 'title', () => ({ title: 'keepers' })));
    expect(applyPatch(after, inversePatch(patch))).toEqual(state);
  });

  test('a place reaches all that are meant', () => {
    const after = applyPatch(
      state,
      change(() => ({ location: 'Lamp room' })),
    );
    expect(rows(after)).toEqual(expected(target, scope, 'location', () => ({ location: 'Lamp room' })));
  });

  test('another calendar takes those that are meant', () => {
    const after = applyPatch(
      state,
      change(() => ({ calendarId: 'desk' })),
    );
    expect(rows(after)).toEqual(expected(target, scope, 'calendarId', () => ({ calendarId: 'desk' })));
  });

  test('an hour later is an hour later for those that are meant; one with a time of its own keeps it', () => {
    const later = ({ start, end }: CalendarEvent) => ({
      start: atWall(start, wallOf(start) + HOUR),
      end: atWall(end, wallOf(end) + HOUR),
    });
    const patch = change(later);
    const after = applyPatch(state, patch);
    expect(rows(after)).toEqual(expected(target, scope, 'start', ({ start }) => ({ start: start + HOUR })));
    expect(applyPatch(after, inversePatch(patch))).toEqual(state);
  });

  test('half an hour longer is that for those that are meant, moved or not', () => {
    const after = applyPatch(
      state,
      change(({ end }) => ({ end: atWall(end, wallOf(end) + HOUR / 2) })),
    );
    const isShared = ({ length }: Row) => ({ length: length + HOUR / 2 });
    const said = expected(target, scope, 'length', isShared);
    // One that was put elsewhere has its whole time for itself.
    const moved = BEFORE.find(({ isOwn }) => isOwn.includes('start'))!;
    if (originalOf(target) !== moved.original)
      for (const row of said) if (row.start === moved.start) row.length = HOUR;
    expect(rows(after)).toEqual(said);
  });

  test('another zone keeps the wall time, the dates left out and the changed ones', () => {
    const halifax = ({ start, end }: CalendarEvent) => ({
      start: { ...start, zone: 'America/Halifax' } as CalendarEvent['start'],
      end: { ...end, zone: 'America/Halifax' } as CalendarEvent['end'],
    });
    const patch = change(halifax);
    const after = applyPatch(state, patch);
    // Fennick is four hours before Halifax, but three between the two changes of the clock.
    const west = ({ start }: Row) => ({
      start: start + (start >= Date.UTC(2027, 2, 14, 6) && start < Date.UTC(2027, 2, 28, 1) ? 3 : 4) * HOUR,
    });
    expect(rows(after)).toEqual(expected(target, scope, 'start', west));
    expect(patch.summary.dropped ?? 0).toBe(0);
  });

  test('to the bin go those that are meant, and undo brings them back', () => {
    const patch =
      scope === 'later'
        ? done(binLater(state, target, context()))
        : done(binEntries(state, [target], scope === 'every' ? 'every' : 'this', context()));
    const at = parseLocal(originalOf(target));
    const left = BEFORE.filter(({ original }) =>
      scope === 'every'
        ? false
        : scope === 'later'
          ? parseLocal(original) < at
          : original !== originalOf(target),
    ).map(({ original: _, isOwn: __, ...row }) => row);
    const after = applyPatch(state, patch);
    expect(rows(after)).toEqual(left);
    expect(applyPatch(after, inversePatch(patch))).toEqual(state);
  });

  test('a rule is kept as it was shown for the date that was looked at', () => {
    if (scope === 'this') return;
    const fields = edited(state, target, ({ recurrence }) => ({
      recurrence: { ...recurrence!, rules: ['FREQ=WEEKLY;INTERVAL=2;COUNT=6'] },
    }));
    const patch = done(changeEntry(state, target, fields, scope, context()));
    const after = applyPatch(state, patch);
    const kept = eventsIn(after).find(({ recurrence }) => recurrence?.rules[0]?.includes('INTERVAL=2'))!;
    const shownAs = seriesAsEdited(state, target, fields, context());
    if (typeof shownAs === 'string') throw new Error(shownAs);
    const from = wallOf(fields.start);
    const midnight = Math.floor(from / DAY) * DAY;
    const walls = (of: Dated) => new Series(of).next(midnight, 6, FENNICK).map(({ wall }) => wall);
    expect(walls(kept).slice(0, 3)).toEqual(walls(shownAs).slice(0, 3));
    // Every second week from the day that was looked at.
    const weeks = walls(kept).filter((wall) => Math.floor(wall / DAY - Math.floor(from / DAY)) % 14 === 0);
    expect(weeks.length).toBeGreaterThanOrEqual(Math.min(3, walls(kept).length - 1));
  });
});

describe.each(SCOPES)('the later half of a divided series, for “%s”', (scope) => {
  const whole = rota();
  const place = edited(whole, KINDS['a plain one']!, () => ({ location: 'Lamp room' }));
  const divided = applyPatch(
    whole,
    done(changeEntry(whole, KINDS['a plain one']!, place, 'later', context())),
  );
  const half = [...divided.entries.values()].find(({ id, recurrence }) => recurrence && id !== SERIES)!;
  const target = { entryId: half.id, recurrenceKey: '2027-04-13T14:00:00' };
  const at = Date.UTC(2027, 3, 13, 13);
  const from = { this: at, later: at, every: Date.UTC(2027, 2, 23) }[scope];
  const isMeant = ({ start }: Row) => (scope === 'this' ? start === at : start >= from);
  const ids = { ...context(), newId: () => `again-${++made}` };
  let made = 0;

  test('takes a title, and the earlier half stays', () => {
    const fields = edited(divided, target, () => ({ title: 'keepers' }));
    const patch = done(changeEntry(divided, target, fields, scope, ids));
    const after = applyPatch(divided, patch);
    expect(rows(after)).toEqual(
      rows(divided).map((row) => (isMeant(row) ? { ...row, title: 'keepers' } : row)),
    );
    expect(applyPatch(after, inversePatch(patch))).toEqual(divided);
  });

  test('moves by an hour, but for what has a time of its own, and goes to the bin', () => {
    const later = edited(divided, target, ({ start, end }) => ({
      start: atWall(start, wallOf(start) + HOUR),
      end: atWall(end, wallOf(end) + HOUR),
    }));
    const moved = Date.UTC(2027, 2, 31, 9);
    const after = applyPatch(divided, done(changeEntry(divided, target, later, scope, ids)));
    expect(rows(after)).toEqual(
      rows(divided).map((row) =>
        isMeant(row) && row.start !== moved ? { ...row, start: row.start + HOUR } : row,
      ),
    );
    const bin =
      scope === 'later' ? done(binLater(divided, target, ids)) : binEntries(divided, [target], scope, ids);
    expect(rows(applyPatch(divided, bin))).toEqual(rows(divided).filter((row) => !isMeant(row)));
  });
});

describe('a rule that is chosen while looking at a later date', () => {
  const start = zoned('2027-03-09T14:00');
  const call = series('FREQ=WEEKLY', { id: 'call', start, end: zoned('2027-03-09T15:00') });
  const chosenAt = (day: string, rule: string): string[] => {
    const state = stateWith(call);
    const target = { entryId: 'call', recurrenceKey: `${day}T14:00:00` };
    const fields = edited(state, target, ({ recurrence }) => ({
      recurrence: { ...recurrence!, rules: [rule] },
    }));
    const after = applyPatch(state, done(changeEntry(state, target, fields, 'every', context())));
    return new Series(eventIn(after, 'call'))
      .next(parseLocal('2027-01-01T00:00'), 4, FENNICK)
      .map(({ wall }) => localString(wall).slice(0, 10));
  };

  test('“Monthly on the 7th” is the 7th of each month', () => {
    expect(chosenAt('2027-04-06', 'FREQ=MONTHLY;BYMONTHDAY=7')).toEqual([
      '2027-04-07',
      '2027-05-07',
      '2027-06-07',
      '2027-07-07',
    ]);
  });

  test('“Yearly” at 6 April is 6 April of each year', () => {
    expect(chosenAt('2027-04-06', 'FREQ=YEARLY')).toEqual([
      '2027-04-06',
      '2028-04-06',
      '2029-04-06',
      '2030-04-06',
    ]);
  });

  test('“Weekly on Thursday” has no Tuesday left', () => {
    expect(chosenAt('2027-04-06', 'FREQ=WEEKLY;BYDAY=TH')).toEqual([
      '2027-03-11',
      '2027-03-18',
      '2027-03-25',
      '2027-04-01',
    ]);
  });
});
