import { valueOf } from '../../fields/fieldsOf';
import fc from 'fast-check';
import { calendar, context, date, event, series, stateWith, zoned } from '../../../../testing/samples';
import type { CalendarEvent } from '../../model/entry';
import type { State } from '../../model/state';
import { applyPatch, inversePatch } from '../patch';
import { SCOPES, type Target, targetKey } from '../target';
import { batchProblem, previewBatch } from './batchRun';
import type { BatchStep } from '../../model/batchStep';

const HOURS = ['08', '09', '14', '23'];
const local = fc
  .record({
    day: fc.integer({ min: 20, max: 31 }),
    hour: fc.constantFrom(...HOURS),
    minute: fc.constantFrom('00', '07', '30'),
  })
  .map(({ day, hour, minute }) => `2027-03-${day}T${hour}:${minute}`);
const zone = fc.constantFrom('Europe/Lisbon', 'Europe/Oslo', 'America/Halifax');

const single: fc.Arbitrary<Partial<CalendarEvent>> = fc.record({
  title: fc.constantFrom('Keeper rota call', 'Boat check', ''),
  location: fc.constantFrom('Chart room', ''),
  calendarId: fc.constantFrom('meetings', 'desk', 'feed'),
  categories: fc.constantFrom([], ['boat'], ['boat', 'report']),
  availability: fc.constantFrom('busy' as const, 'free' as const),
});
const times = fc.oneof(
  fc
    .record({ local, zone, minutes: fc.integer({ min: 5, max: 300 }) })
    .map(({ local: at, zone: where, minutes }) => ({
      start: zoned(at, where),
      end: zoned(
        Temporal.PlainDateTime.from(at).add({ minutes }).toString({ smallestUnit: 'minute' }),
        where,
      ),
    })),
  fc
    .integer({ min: 20, max: 29 })
    .map((day) => ({ start: date(`2027-03-${day}`), end: date(`2027-03-${day + 1}`) })),
);
const rule = fc.constantFrom(undefined, 'FREQ=DAILY;COUNT=5', 'FREQ=WEEKLY', 'FREQ=MONTHLY;COUNT=4');
const entries = fc
  .array(fc.record({ fields: single, times, rule }), { minLength: 1, maxLength: 6 })
  .map((some) =>
    some.map(({ fields, times: at, rule: text }, index) => {
      const all = { ...fields, ...at, id: `e${index}` };
      return text === undefined ? event(all) : series(text, all);
    }),
  );

const step: fc.Arbitrary<BatchStep> = fc.oneof(
  fc.record({
    kind: fc.constant('calendar' as const),
    calendar: fc.constantFrom('desk', 'feed', 'ME', 'gone'),
  }),
  fc.record({ kind: fc.constant('copy' as const), calendar: fc.constantFrom('desk', 'feed') }),
  fc.record({
    kind: fc.constant('categories' as const),
    how: fc.constantFrom('add' as const, 'remove' as const, 'set' as const),
    names: fc.subarray(['boat', 'grant']),
  }),
  fc.record({
    kind: fc.constant('availability' as const),
    to: fc.constantFrom('busy' as const, 'away' as const),
  }),
  fc.record({
    kind: fc.constant('shift' as const),
    days: fc.integer({ min: -30, max: 30 }),
    minutes: fc.constantFrom(0, 0, 90),
  }),
  fc.record({ kind: fc.constant('week' as const), of: fc.constantFrom('2027-04-14', '2027-01-01') }),
  fc.record({ kind: fc.constant('start-time' as const), minute: fc.integer({ min: 0, max: 1439 }) }),
  fc.record({ kind: fc.constant('length' as const), minutes: fc.constantFrom(30, 1440) }),
  fc.record({
    kind: fc.constant('round' as const),
    minutes: fc.constantFrom(15 as const, 60 as const),
    way: fc.constantFrom('nearest' as const, 'later' as const),
  }),
  fc.record({ kind: fc.constant('trim' as const), minutes: fc.constantFrom(5, 60) }),
  fc.record({
    kind: fc.constant('zone' as const),
    zone,
    keeps: fc.constantFrom('instant' as const, 'wall' as const),
  }),
  fc.constant({ kind: 'whole-days' as const }),
  fc.record({ kind: fc.constant('hours' as const), minute: fc.constant(600), minutes: fc.constant(45) }),
  fc.record({
    kind: fc.constant('replace' as const),
    find: fc.constantFrom('room', 'r(o+)m', 'Boat'),
    by: fc.constantFrom('shed', ''),
    fields: fc.constant(['title', 'location'] as ('title' | 'location')[]),
    mode: fc.constantFrom('plain' as const, 'words' as const, 'expression' as const),
    matchCase: fc.boolean(),
  }),
  fc.record({ kind: fc.constant('end-series' as const), last: fc.constant('2027-04-02') }),
  fc.record({ kind: fc.constant('into-singles' as const), until: fc.constant('2027-04-20') }),
  fc.record({ kind: fc.constant('as-series' as const) }),
);
const lastStep: fc.Arbitrary<BatchStep[]> = fc.constantFrom<BatchStep[][]>(
  [],
  [],
  [],
  [{ kind: 'delete' }],
  [{ kind: 'into-series' }],
) as fc.Arbitrary<BatchStep[]>;

const withFeed = (events: readonly CalendarEvent[]): State => {
  const state = stateWith(...events);
  return {
    ...state,
    calendars: new Map([
      ...state.calendars,
      ['feed', calendar({ id: 'feed', name: 'Keeper rota', mark: 'KR', readOnly: true })],
    ]),
  };
};

/** Targets of entries: whole, and of series some of their dates too. */
const targetsOf = (events: readonly CalendarEvent[]): Target[] =>
  events.flatMap((one, index): Target[] =>
    one.recurrence && index % 2 === 1
      ? [
          {
            entryId: one.id,
            recurrenceKey:
              one.start.kind === 'date' ? one.start.date : one.start.kind === 'zoned' ? one.start.local : '',
          },
        ]
      : [{ entryId: one.id }],
  );

const entriesOf = ({ entries: all }: State): unknown[] =>
  [...all.values()].map(({ id: _, uid: __, seriesId: ___, ...rest }) => JSON.stringify(rest)).sort();

test('a batch change: undone it is as before, closed calendars stay, the order of targets is nothing, and what is told is what is done', () => {
  fc.assert(
    fc.property(
      entries,
      fc.array(step, { maxLength: 3 }),
      lastStep,
      fc.constantFrom(...SCOPES),
      (events, some, last, scope) => {
        const steps = [...some, ...last];
        const state = withFeed(events);
        const targets = targetsOf(events);
        fc.pre(batchProblem({ targets, steps }) === undefined);
        const options = { scopeOf: () => scope };
        const { patch, report } = previewBatch(state, [{ targets, steps }], options, context());
        const after = applyPatch(state, patch);

        expect(applyPatch(after, inversePatch(patch))).toEqual(state);

        const feed = ({ entries: all }: State) =>
          [...all.values()].filter(({ calendarId }) => calendarId === 'feed');
        expect(feed(after)).toEqual(feed(state));

        const again = previewBatch(state, [{ targets: [...targets].reverse(), steps }], options, context());
        expect(entriesOf(applyPatch(state, again.patch))).toEqual(entriesOf(after));

        // What is told of single entries is what stands there afterwards.
        for (const { key, outcome, changes, deeds } of report.rows) {
          const [before, now] = [state.entries.get(key), after.entries.get(key)];
          if (outcome !== 'changed') expect(now).toEqual(before);
          else if (deeds.length === 0 && now && before && !before.recurrence)
            for (const change of changes) {
              expect(valueOf(before, change.field)).toEqual(change.before);
              expect(valueOf(now, change.field)).toEqual(change.after);
            }
        }
        expect(report.counts.changed + report.counts.unchanged + report.counts.impossible).toBe(
          report.rows.length,
        );

        // What was not chosen is left alone.
        const [, ...others] = targets;
        const without = { ...options, without: new Set(others.map(targetKey)) };
        const one = previewBatch(state, [{ targets, steps }], without, context());
        for (const { id } of one.patch.changes)
          expect(others.some(({ entryId }) => entryId === id && entryId !== targets[0]!.entryId)).toBe(false);
      },
    ),
    { numRuns: 400 },
  );
}, 60_000);
