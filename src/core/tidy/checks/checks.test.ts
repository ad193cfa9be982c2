import fc from 'fast-check';
import { checkedDemo, checkQuery, NOW, OWN } from '../../../../testing/checks';
import { labelledDoubles, pairOf, scoreOf } from '../../../../testing/labelledDoubles';
import { context, date, event, eventsIn, FENNICK, series, todo, zoned } from '../../../../testing/samples';
import { previewBatch } from '@/core/change/batch/batchRun';
import { applyPatch, inversePatch } from '@/core/change/patch';
import { targetOfKey } from '@/core/change/target';
import type { CalendarEvent, Entry } from '@/core/model/entry';
import { partOf } from '@/core/model/relatedTo';
import { todoSpan } from '@/core/todos/todoSpan';
import { offsetTrigger } from '@/core/model/reminder';
import type { State } from '@/core/model/state';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { type CheckName, CHECKS, type CheckQuery, type Finding } from './finding';
import { fixPlan } from './fixPlan';
import { isLikeTitle, plainTitle } from './likeTitles';
import { type Findings, KeptChecks } from './keptChecks';
import { timeInTitle } from './fieldChecks';

const YEAR = 366 * 86_400_000;

async function run(events: readonly Entry[], more: Partial<CheckQuery> = {}): Promise<Findings> {
  const index = new EntryIndex();
  index.load(events);
  return (await new KeptChecks(index).run(checkQuery(more)))!;
}
const foundBy = async (check: CheckName, events: readonly Entry[], more: Partial<CheckQuery> = {}) =>
  (await run(events, more)).findings.filter((finding) => finding.check === check);

const at = (start: string, end: string, more: Partial<CalendarEvent> = {}, zone = FENNICK) =>
  event({ start: zoned(start, zone), end: zoned(end, zone), ...more });
const invited = (answer: string): Pick<CalendarEvent, 'organizer' | 'attendees'> => ({
  organizer: { address: 'mailto:oona.pell@fennick.example', parameters: {} },
  attendees: [
    { address: `mailto:${OWN}`, parameters: { partstat: answer } },
    { address: 'mailto:oona.pell@fennick.example', parameters: {} },
  ],
});
const weekly = (title: string, more: Partial<CalendarEvent> = {}) =>
  series('FREQ=WEEKLY', {
    title,
    start: zoned('2025-03-04T09:00'),
    end: zoned('2025-03-04T09:30'),
    modified: NOW - 2 * YEAR,
    ...more,
  });
const round = weekly('Works round', { id: 'round', modified: NOW });
const override = (more: Partial<CalendarEvent> = {}): CalendarEvent => {
  const { recurrence: _, ...same } = round;
  return {
    ...same,
    id: 'override',
    seriesId: 'round',
    recurrenceId: zoned('2027-03-16T09:00'),
    start: zoned('2027-03-16T09:00'),
    end: zoned('2027-03-16T09:30'),
    ...more,
  };
};
const pricesCall = (day: string, more: Partial<CalendarEvent> = {}, zone = FENNICK) =>
  at(`2026-11-${day}T15:00`, `2026-11-${day}T15:30`, { title: 'Lens prices', ...more }, zone);
const usual = ['02', '09', '16', '23'].map((day) => pricesCall(day));
const skipping = weekly('Rota check', {
  id: 'rota',
  modified: NOW,
  start: zoned('2026-09-01T10:00'),
  end: zoned('2026-09-01T10:30'),
});
const holiday = event({
  calendarId: 'daysoff',
  title: 'Harbour day',
  start: date('2027-03-16'),
  end: date('2027-03-17'),
});
const skipper = weekly('Tide log', {
  modified: NOW,
  recurrence: {
    rules: ['FREQ=WEEKLY'],
    dates: [],
    exceptionDates: [],
    skipDaysOff: { calendarId: 'daysoff', handling: 'omit' },
  },
});
const workweek = ['15', '16', '17', '18', '19'].map((day) =>
  at(`2027-03-${day}T10:00`, `2027-03-${day}T11:00`, { title: `Plan ${day}` }),
);
const file = (size: number) => [{ id: 'a', name: 'photos.zip', mediaType: 'application/zip', size }];
const byLeaving = { trigger: offsetTrigger(0, 'leaving'), by: 'notice' as const };

const dueOn = (day: string, more: Parameters<typeof todo>[0] = {}) =>
  todo({ title: 'Order rope', ...todoSpan(date(day), undefined), ...more });
const timeFor = (day: string, more: Partial<CalendarEvent> = {}) =>
  at(`${day}T10:00`, `${day}T11:00`, {
    title: 'Order rope',
    relatedTo: [partOf('rope', undefined)],
    ...more,
  });

/** What each check finds, and what looks like it and is none. */
const PLANTED: Readonly<
  Record<
    CheckName,
    {
      hits: readonly (readonly Entry[])[];
      misses: readonly (readonly Entry[])[];
      with?: Partial<CheckQuery>;
    }
  >
> = {
  'same-uid': {
    hits: [[event({ id: 'a', uid: 'one' }), event({ id: 'b', uid: 'one', title: 'Otherwise' })]],
    misses: [
      [event({ id: 'a', uid: 'one' }), event({ id: 'b', uid: 'two', title: 'Otherwise' })],
      [round, override()],
    ],
  },
  double: {
    hits: [[event({ title: 'Lens, call' }), event({ title: 'lens call', calendarId: 'desk' })]],
    misses: [
      [event(), at('2027-03-10T14:00', '2027-03-10T15:00')],
      [event({ title: '' }), event({ title: '' })],
      [event({ status: 'cancelled' }), event()],
    ],
  },
  'organizer-cancelled': {
    hits: [[at('2027-03-12T09:00', '2027-03-12T10:00', { status: 'cancelled', ...invited('ACCEPTED') })]],
    misses: [
      [at('2027-03-12T09:00', '2027-03-12T10:00', { status: 'cancelled' })],
      [at('2027-03-02T09:00', '2027-03-02T10:00', { status: 'cancelled', ...invited('ACCEPTED') })],
    ],
  },
  'feed-failing': {
    hits: [[]],
    misses: [],
    with: {
      calendars: checkQuery().calendars.map((each) => ({ ...each, failingSince: NOW - 5 * 86_400_000 })),
    },
  },
  'near-double': {
    hits: [
      [
        event({ title: 'Lamp oil order' }),
        at('2027-03-09T14:10', '2027-03-09T15:10', { title: 'Lamp oil ordr' }),
      ],
      [event({ title: 'Skerry: tower paint' }), event({ title: 'Tower paint, Skerry' })],
    ],
    misses: [
      [event({ title: 'Round 1' }), event({ title: 'Round 2' })],
      [
        event({ title: 'Lamp oil order' }),
        at('2027-03-09T15:00', '2027-03-09T16:00', { title: 'Lamp oil ordr' }),
      ],
      [event({ title: 'Lens call' }), event({ title: 'Boat hire' })],
      [event({ title: 'Lens call' }), at('2027-03-09T14:00', '2027-03-09T18:00', { title: 'Lens calls' })],
    ],
  },
  'no-title': {
    hits: [[event({ title: ' ', location: 'Lamp room' })]],
    misses: [[event({ title: 'x' })], [event({ title: '' })]],
  },
  empty: {
    hits: [[event({ title: '' })]],
    misses: [[event({ title: '', notes: 'Bring the key' })], [event({ title: '', created: NOW })]],
  },
  midnight: {
    hits: [[at('2027-03-10T00:00', '2027-03-12T00:00')]],
    misses: [[at('2027-03-10T00:00', '2027-03-11T08:00')], [at('2027-03-10T00:00', '2027-03-10T00:00')]],
  },
  'zero-length': {
    hits: [[at('2027-03-10T12:00', '2027-03-10T12:00')]],
    misses: [[at('2027-03-10T12:00', '2027-03-10T12:01')]],
  },
  'wrong-zone': {
    hits: [[...usual, pricesCall('30', {}, 'Europe/Warsaw')]],
    misses: [
      [...usual, at('2026-11-30T16:00', '2026-11-30T16:30', { title: 'Lens prices' }, 'Europe/Warsaw')],
      [...usual, pricesCall('30', {}, 'Europe/London')],
      [...usual.slice(0, 2), pricesCall('30', {}, 'Europe/Warsaw')],
    ],
  },
  'timed-title': {
    hits: [[event({ title: '14:30 boat survey', start: date('2027-03-10'), end: date('2027-03-11') })]],
    misses: [
      [event({ title: 'Survey of 14 boats', start: date('2027-03-10'), end: date('2027-03-11') })],
      [event({ title: '14:30 boat survey' })],
    ],
  },
  'whole-day-title': {
    hits: [[at('2027-03-10T09:00', '2027-03-10T16:00', { title: 'All-day lamp course' })]],
    misses: [
      [event({ title: 'All-day lamp course', start: date('2027-03-10'), end: date('2027-03-11') })],
      [at('2027-03-10T09:00', '2027-03-10T16:00', { title: 'Overall day plan' })],
    ],
  },
  'very-long': {
    hits: [[at('2027-03-10T09:00', '2027-03-13T10:00')]],
    misses: [
      [at('2027-03-10T09:00', '2027-03-12T10:00')],
      [event({ start: date('2027-03-10'), end: date('2027-03-20') })],
    ],
  },
  endless: {
    hits: [[weekly('Old round')]],
    misses: [
      [weekly('Old round', { modified: NOW - YEAR / 2 })],
      [
        weekly('Old round', {
          recurrence: { rules: ['FREQ=WEEKLY;COUNT=400'], dates: [], exceptionDates: [] },
        }),
      ],
      [{ ...round, modified: NOW - 2 * YEAR }, override({ modified: NOW - 5 })],
    ],
  },
  'todo-double': {
    hits: [[dueOn('2027-03-12', { id: 'a' }), dueOn('2027-03-12', { id: 'b', title: 'order rope ' })]],
    misses: [
      [dueOn('2027-03-12', { id: 'a' }), dueOn('2027-03-13', { id: 'b' })],
      [dueOn('2027-03-12', { id: 'a' }), dueOn('2027-03-12', { id: 'b', status: 'completed' })],
      [todo({ id: 'a', title: '' }), todo({ id: 'b', title: '' })],
    ],
  },
  'todo-time-over': {
    hits: [[dueOn('2027-03-12', { uid: 'rope' }), timeFor('2027-03-02'), timeFor('2027-03-04')]],
    misses: [
      [dueOn('2027-03-12', { uid: 'rope' }), timeFor('2027-03-02'), timeFor('2027-03-11')],
      [dueOn('2027-03-12', { uid: 'rope' }), timeFor('2027-03-02', { status: 'cancelled' })],
      [dueOn('2027-03-12', { uid: 'rope', status: 'completed' }), timeFor('2027-03-02')],
      [dueOn('2027-03-12', { uid: 'other' }), timeFor('2027-03-02')],
    ],
  },
  'todo-overdue': {
    hits: [[dueOn('2026-12-12')]],
    misses: [
      [dueOn('2027-02-12')],
      [dueOn('2026-12-12', { status: 'cancelled' })],
      [todo({ ...todoSpan(undefined, date('2026-12-12')) })],
    ],
  },
  'todo-over': {
    hits: [
      [todo({ status: 'completed', completed: NOW - 2 * YEAR })],
      [todo({ status: 'cancelled', modified: NOW - 2 * YEAR })],
    ],
    misses: [
      [todo({ status: 'completed', completed: NOW - YEAR / 2, modified: NOW - 2 * YEAR })],
      [todo({ modified: NOW - 2 * YEAR })],
    ],
  },
  'tentative-past': {
    hits: [[at('2027-03-08T09:00', '2027-03-08T10:00', { availability: 'tentative' })]],
    misses: [
      [at('2027-03-10T09:00', '2027-03-10T10:00', { availability: 'tentative' })],
      [at('2027-03-08T09:00', '2027-03-08T10:00')],
      [weekly('Round', { availability: 'tentative' })],
    ],
  },
  'unanswered-past': {
    hits: [[at('2027-03-08T09:00', '2027-03-08T10:00', invited('NEEDS-ACTION'))]],
    misses: [
      [at('2027-03-08T09:00', '2027-03-08T10:00', invited('DECLINED'))],
      [at('2027-03-10T09:00', '2027-03-10T10:00', invited('NEEDS-ACTION'))],
    ],
  },
  'same-as-series': {
    hits: [[round, override()]],
    misses: [
      [round, override({ title: 'Works round, long' })],
      [round, override({ end: zoned('2027-03-16T10:00') })],
      [round, override({ start: zoned('2027-03-16T09:15'), end: zoned('2027-03-16T09:45') })],
    ],
  },
  'on-day-off': {
    hits: [[skipping, holiday, skipper]],
    misses: [
      [skipping, skipper],
      [holiday, skipper, at('2027-03-16T10:00', '2027-03-16T10:30', { title: 'Single' })],
      [skipping, { ...holiday, calendarId: 'desk' }, skipper],
    ],
  },
  overlap: {
    hits: [
      [
        at('2027-03-10T09:00', '2027-03-10T10:00'),
        at('2027-03-10T09:30', '2027-03-10T11:00', { title: 'Other' }),
      ],
    ],
    misses: [
      [
        at('2027-03-10T09:00', '2027-03-10T10:00'),
        at('2027-03-10T10:00', '2027-03-10T11:00', { title: 'Other' }),
      ],
      [
        at('2027-03-10T09:00', '2027-03-10T10:00'),
        at('2027-03-10T09:30', '2027-03-10T11:00', { title: 'Other', availability: 'free' }),
      ],
      [
        at('2027-03-08T09:00', '2027-03-08T10:00'),
        at('2027-03-08T09:30', '2027-03-08T11:00', { title: 'Other' }),
      ],
    ],
  },
  overbooked: {
    hits: [[at('2027-03-10T06:00', '2027-03-10T20:00')]],
    misses: [[at('2027-03-10T09:00', '2027-03-10T12:00')], [at('2027-03-13T06:00', '2027-03-13T20:00')]],
  },
  'no-break': {
    hits: [
      ['09:00', '10:00', '11:00'].map((from, hour) =>
        at(`2027-03-10T${from}`, `2027-03-10T${10 + hour}:00`, { title: `Call ${hour}` }),
      ),
    ],
    misses: [
      ['09:00', '10:05', '11:00'].map((from, hour) =>
        at(`2027-03-10T${from}`, `2027-03-10T${10 + hour}:00`, { title: `Call ${hour}` }),
      ),
      [
        at('2027-03-10T09:00', '2027-03-10T11:00'),
        at('2027-03-10T11:00', '2027-03-10T13:00', { title: 'Other' }),
      ],
    ],
  },
  'outside-hours': {
    hits: [[...workweek, at('2027-03-22T20:00', '2027-03-22T21:00', { title: 'Late' })]],
    misses: [
      [...workweek, at('2027-03-22T10:00', '2027-03-22T11:00', { title: 'Early' })],
      // A calendar of evenings is none of work.
      workweek.map((each, day) => ({
        ...each,
        start: zoned(`2027-03-1${5 + day}T20:00`),
        end: zoned(`2027-03-1${5 + day}T21:00`),
      })),
    ],
  },
  'no-reminder': {
    hits: [
      [at('2027-03-12T09:00', '2027-03-12T10:00', invited('ACCEPTED'))],
      [at('2027-03-12T09:00', '2027-03-12T10:00', { travel: { there: 30, back: 30 } })],
    ],
    misses: [
      [at('2027-03-12T09:00', '2027-03-12T10:00')],
      [
        at('2027-03-12T09:00', '2027-03-12T10:00', {
          travel: { there: 30, back: 30 },
          reminders: [byLeaving],
        }),
      ],
      [at('2027-03-02T09:00', '2027-03-02T10:00', invited('ACCEPTED'))],
    ],
  },
  'category-spelling': {
    hits: [
      [
        event({ categories: ['Travel'] }),
        at('2027-03-10T09:00', '2027-03-10T10:00', { categories: ['travel'] }),
      ],
    ],
    misses: [
      [
        event({ categories: ['travel'] }),
        at('2027-03-10T09:00', '2027-03-10T10:00', { categories: ['trial'] }),
      ],
    ],
  },
  'place-spelling': {
    hits: [
      [
        event({ location: 'Boat shed' }),
        at('2027-03-10T09:00', '2027-03-10T10:00', { location: 'boat-shed' }),
      ],
    ],
    misses: [
      [
        event({ location: 'Boat shed' }),
        at('2027-03-10T09:00', '2027-03-10T10:00', { location: 'Boat shed 2' }),
      ],
    ],
  },
  'large-file': {
    hits: [[event({ attachments: file(1_000_000) })]],
    misses: [[event({ attachments: file(999_999) })]],
  },
  'series-over': {
    hits: [
      [
        weekly('Old round', {
          recurrence: { rules: ['FREQ=WEEKLY;COUNT=4'], dates: [], exceptionDates: [] },
        }),
      ],
    ],
    misses: [
      [
        weekly('Old round', {
          recurrence: { rules: ['FREQ=WEEKLY;COUNT=80'], dates: [], exceptionDates: [] },
        }),
      ],
    ],
  },
  'calendar-empty': {
    hits: [[event()]],
    misses: [
      [event(), event({ calendarId: 'desk' }), event({ calendarId: 'daysoff' })],
      // To-dos are something, too.
      [event(), todo({ calendarId: 'desk' }), event({ calendarId: 'daysoff' })],
    ],
  },
  'calendar-hidden': {
    hits: [[event()]],
    misses: [],
    with: { calendars: checkQuery().calendars.map((each) => ({ ...each, hiddenSince: NOW - YEAR })) },
  },
  'calendar-alike': {
    hits: [[]],
    misses: [],
    with: { calendars: checkQuery().calendars.map((each) => ({ ...each, colour: 'pine' as const })) },
  },
  'calendar-same': {
    hits: [workweek.flatMap((each) => [each, { ...each, id: `${each.id} too`, calendarId: 'desk' }])],
    misses: [
      [
        ...workweek,
        ...workweek.slice(0, 3).map((each) => ({ ...each, id: `${each.id} too`, calendarId: 'desk' })),
      ],
    ],
  },
};

describe.each(CHECKS)('%s', (check) => {
  const { hits, misses, with: more } = PLANTED[check];

  test('finds what is planted', async () => {
    for (const events of hits) expect(await foundBy(check, events, more)).not.toHaveLength(0);
  });

  test('lets alone what only looks like it', async () => {
    for (const events of misses) expect(await foundBy(check, events, more)).toEqual([]);
    // Without what makes it one, nothing of its kind is found either.
    if (more)
      expect(await foundBy(check, [event(), event({ calendarId: 'desk', title: 'Other' })])).toEqual([]);
  });
});

test('doubles are told from look-alikes: recall at least 0.98, precision at least 0.95', async () => {
  const { events, pairs } = labelledDoubles(1500);
  const { findings } = await run(events);
  const found = findings.filter(({ check }) => ['same-uid', 'double', 'near-double'].includes(check));
  const score = scoreOf(
    found.map(({ keys }) => pairOf(keys[0]!, keys[1]!)),
    pairs,
  );
  expect(pairs.size).toBeGreaterThan(300);
  // Of a check at most 500 are listed: all of these are.
  expect(score.recall).toBeGreaterThanOrEqual(0.98);
  expect(score.precision).toBeGreaterThanOrEqual(0.95);
});

test('titles are compared without what letters, marks and passing on change', () => {
  expect(plainTitle('  RE: Fwd: Glass – supplier CALL (copy)')).toBe('glass supplier call');
  expect(isLikeTitle(plainTitle('Café order'), plainTitle('Cafe order'))).toBe(true);
  expect(isLikeTitle('lens call', 'lens calls')).toBe(true);
  expect(isLikeTitle('', '')).toBe(false);
  expect(isLikeTitle('quarter 1 report', 'quarter 2 report')).toBe(false);
});

test.each([
  ['14:30 boat survey', 870],
  ['Survey at 9.05', 545],
  ['Boat 3 pm', 900],
  ['Boat 12 am', 0],
  ['Round 14', undefined],
  ['Lens 24:30', undefined],
  ['Ratio 3:4', undefined],
])('the time in “%s” is minute %s', (title, minute) => {
  expect(timeInTitle(title)).toBe(minute);
});

test('what is fine is left out, counted, and found again when that is taken back', async () => {
  const events = [at('2027-03-10T12:00', '2027-03-10T12:00'), event({ attachments: file(2_000_000) })];
  const all = await run(events);
  const ids = all.findings.map(({ id }) => id);
  const without = await run(events, { fine: ids.slice(0, 1) });
  expect(without.findings.map(({ id }) => id)).toEqual(ids.slice(1));
  expect(without.fine).toBe(1);
});

test('a run that is not wanted any more stops', async () => {
  const index = new EntryIndex();
  index.load([event()]);
  const seen: number[] = [];
  const stopped = await new KeptChecks(index).run(checkQuery(), (done) => seen.push(done) < 3);
  expect(stopped).toBeUndefined();
  expect(seen).toEqual([0, 1, 2]);
});

const findingsOf = async (state: State, query: CheckQuery): Promise<readonly Finding[]> => {
  const index = new EntryIndex();
  index.load(eventsIn(state));
  return (await new KeptChecks(index).run(query))!.findings;
};
const fixed = (state: State, findings: readonly Finding[]) => {
  const parts = fixPlan(findings).map(({ keys, steps }) => ({ targets: keys.map(targetOfKey), steps }));
  return previewBatch(state, parts, { scopeOf: () => 'this' }, context());
};

test('each kind of mess in the demo is found', async () => {
  const { state, query } = checkedDemo();
  const checks = new Set((await findingsOf(state, query)).map(({ check }) => check));
  for (const check of [
    'same-uid',
    'double',
    'near-double',
    'midnight',
    'zero-length',
    'wrong-zone',
    'timed-title',
    'whole-day-title',
    'endless',
    'same-as-series',
    'on-day-off',
    'category-spelling',
    'place-spelling',
  ] as const)
    expect(checks).toContain(check);
});

test('whatever findings are fixed at once, undoing it leaves the identical state', async () => {
  const { state, query } = checkedDemo();
  const findings = (await findingsOf(state, query)).filter(({ fix }) => fix);
  fc.assert(
    fc.property(fc.subarray([...findings], { minLength: 1 }), (chosen) => {
      const { patch, report } = fixed(state, chosen);
      expect(report.counts.changed).toBeGreaterThan(0);
      const after = applyPatch(state, patch);
      const back = applyPatch(after, inversePatch(patch));
      expect(back.entries).toEqual(state.entries);
      expect(back.bin).toEqual(state.bin);
    }),
    { numRuns: 40 },
  );
});

test('what is fixed is not found again: each by itself, and all that is safe at once', async () => {
  const { state, query } = checkedDemo();
  const findings = await findingsOf(state, query);
  const safe = findings.filter(({ isSafe }) => isSafe);
  expect(safe.length).toBeGreaterThan(3);
  const after = applyPatch(state, fixed(state, safe).patch);
  const again = new Set((await findingsOf(after, query)).map(({ id }) => id));
  for (const { id } of safe) expect(again).not.toContain(id);
  const firsts = CHECKS.flatMap((check) => findings.find((each) => each.check === check && each.fix) ?? []);
  for (const finding of firsts) {
    const { patch, report } = fixed(state, [finding]);
    expect({ check: finding.check, impossible: report.counts.impossible }).toEqual({
      check: finding.check,
      impossible: 0,
    });
    const left = await findingsOf(applyPatch(state, patch), query);
    expect(left.map(({ id }) => id)).not.toContain(finding.id);
  }
});

test('a fix plan changes each entry once, and nothing that goes to the bin', () => {
  const bin = { keys: ['a'], steps: [{ kind: 'delete' as const }] };
  const trim = { keys: ['a', 'b'], steps: [{ kind: 'trim' as const, minutes: 5 }] };
  const place = { keys: ['b'], steps: [{ kind: 'place' as const, to: 'Lamp room' }] };
  expect(fixPlan([{ fix: [trim] }, { fix: [bin] }, { fix: [place] }, { fix: [trim] }, {}])).toEqual([
    bin,
    { keys: ['b'], steps: [...trim.steps, ...place.steps] },
  ]);
});

test('a calendar that can’t be changed is left alone, and its double gives way to it', async () => {
  const feed = event({
    id: 'feed',
    calendarId: 'daysoff',
    start: date('2027-03-16'),
    end: date('2027-03-17'),
  });
  const own = event({
    id: 'own',
    notes: 'More is said here',
    start: date('2027-03-16'),
    end: date('2027-03-17'),
  });
  const [found] = await foundBy('double', [feed, own]);
  expect(found).toMatchObject({ keys: ['feed', 'own'], fix: [{ keys: ['own'] }], isSafe: false });
  expect(
    await foundBy('zero-length', [
      { ...feed, start: zoned('2027-03-10T12:00'), end: zoned('2027-03-10T12:00') },
    ]),
  ).toEqual([]);
});

test('the double of a series is safe to put away, unless occurrences of it were changed', async () => {
  const copy = { ...round, id: 'z copy', uid: round.uid };
  const [plain] = await foundBy('same-uid', [round, copy]);
  expect(plain).toMatchObject({ keys: ['round', 'z copy'], isSafe: true });
  const [changed] = await foundBy('same-uid', [
    round,
    copy,
    override({ seriesId: 'z copy', title: 'Long round' }),
  ]);
  expect(changed).toMatchObject({ keys: ['round', 'z copy'], isSafe: false });
});
