import fc from 'fast-check';
import { checkedDemo, checkQuery } from '../../../../testing/checks';
import { at, file, override, PLANTED, round } from '../../../../testing/plantedFindings';
import { labelledDoubles, pairOf, scoreOf } from '../../../../testing/labelledDoubles';
import { context, date, event, stateWith, zoned } from '../../../../testing/samples';
import { previewBatch } from '@/core/change/batch/batchRun';
import { applyPatch, inversePatch } from '@/core/change/patch';
import { targetOfKey } from '@/core/change/target';
import type { Entry } from '@/core/model/entry';
import type { State } from '@/core/model/state';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { type CheckName, CHECKS, type CheckQuery, type Finding } from './finding';
import { fixPlan } from './fixPlan';
import { isLikeTitle, plainTitle } from './likeTitles';
import { type Findings, KeptChecks } from './keptChecks';
import { timeInTitle } from './fieldChecks';

async function run(events: readonly Entry[], more: Partial<CheckQuery> = {}): Promise<Findings> {
  const index = new EntryIndex();
  index.load(events);
  return (await new KeptChecks(index).run(checkQuery(more)))!;
}
const foundBy = async (check: CheckName, events: readonly Entry[], more: Partial<CheckQuery> = {}) =>
  (await run(events, more)).findings.filter((finding) => finding.check === check);

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
  index.load([...state.entries.values()]);
  return (await new KeptChecks(index).run(query))!.findings;
};
const fixed = (state: State, findings: readonly Finding[]) => {
  const parts = fixPlan(findings).map(({ keys, steps }) => ({ targets: keys.map(targetOfKey), steps }));
  return previewBatch(state, parts, { scopeOf: () => 'this' }, context());
};

test.each(CHECKS)('what is proposed for %s mends it, and is undone as one', async (check) => {
  const { hits, with: more } = PLANTED[check];
  const query = checkQuery(more);
  for (const entries of hits) {
    const state = stateWith(...entries);
    for (const finding of (await findingsOf(state, query)).filter((each) => each.check === check)) {
      // Where nothing is proposed, it is said why.
      expect(finding.noFix === undefined).toBe(finding.fix !== undefined);
      if (!finding.fix) continue;
      const { patch, report } = fixed(state, [finding]);
      expect(report.counts.impossible).toBe(0);
      const after = applyPatch(state, patch);
      expect((await findingsOf(after, query)).map(({ id }) => id)).not.toContain(finding.id);
      expect(applyPatch(after, inversePatch(patch)).entries).toEqual(state.entries);
    }
  }
});

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
