import fc from 'fast-check';
import { nextSpan, problemOfSpans, sameHours } from './workingPattern';
import { standardWorkingPattern } from './standardWorkingPattern';

test('hours that end before they begin or overlap are a problem, hours that meet are none', () => {
  expect(problemOfSpans([{ from: 480, to: 480 }])).toBe('backwards');
  expect(
    problemOfSpans([
      { from: 780, to: 1020 },
      { from: 480, to: 800 },
    ]),
  ).toBe('overlap');
  expect(
    problemOfSpans([
      { from: 720, to: 1020 },
      { from: 480, to: 720 },
    ]),
  ).toBeUndefined();
});

test('hours that are proposed beside others can be kept, until the day is full', () => {
  const spans = fc.uniqueArray(fc.integer({ min: 0, max: 1440 }), { maxLength: 8 }).map((minutes) => {
    const sorted = [...minutes].sort((a, b) => a - b);
    return Array.from({ length: Math.floor(sorted.length / 2) }, (_, index) => ({
      from: sorted[2 * index]!,
      to: sorted[2 * index + 1]!,
    }));
  });
  fc.assert(
    fc.property(spans, (kept) => {
      const more = nextSpan(kept);
      if (more) expect([problemOfSpans([...kept, more]), more.to <= 1440]).toEqual([undefined, true]);
      else expect(Math.max(...kept.map(({ to }) => to))).toBeGreaterThanOrEqual(1380);
    }),
  );
  expect(nextSpan([])).toEqual({ from: 540, to: 1020 });
});

test('one day’s hours go to all that are worked; places, days off and days that differ stay', () => {
  const friday = { place: 'home' as const, spans: [{ from: 540, to: 720 }] };
  const pattern = {
    weekdays: standardWorkingPattern.weekdays.with(4, friday),
    exceptions: { '2027-03-10': { place: 'office' as const, spans: [] } },
  };
  const same = sameHours(pattern, 5);
  expect(same.weekdays.map(({ spans }) => spans.length)).toEqual([1, 1, 1, 1, 1, 0, 0]);
  expect(same.weekdays.map(({ place }) => place)).toEqual(pattern.weekdays.map(({ place }) => place));
  expect(same.weekdays[0]!.spans).toEqual(friday.spans);
  expect(same.exceptions).toEqual(pattern.exceptions);
});
