import { dateString, parseDate } from '../time/civil';
import {
  dayOfNextSpan,
  daysOfSpan,
  initialTidyLook,
  readTidyLook,
  SPANS,
  stepFor,
  stepsFor,
  writeTidyLook,
} from './tidyLook';

test('a look is read from an address as it was written, and what is wrong there is as at first', () => {
  const look = {
    part: 'bin',
    find: '#ME boat',
    span: 'quarter',
    as: 'occurrences',
    sort: [
      { column: 'calendar', descending: false },
      { column: 'length', descending: true },
    ],
    group: 'month',
    by: 'place',
    step: 'month',
    among: 'table',
  } as const;
  expect(readTidyLook(writeTidyLook(look))).toEqual(look);
  expect(Object.values(writeTidyLook(initialTidyLook)).filter(Boolean)).toEqual([]);
  expect(readTidyLook({ part: 'odd', span: 'ever', as: 'x', sort: 'colour,-', group: 'hue' })).toEqual(
    initialTidyLook,
  );
});

test('the days of a span, and a step from one to the next', () => {
  const day = parseDate('2027-03-10');
  const said = (span: (typeof SPANS)[number]) => {
    const days = daysOfSpan(span, day, 1);
    return days && [days.first, days.end].map(dateString);
  };
  expect(said('week')).toEqual(['2027-03-08', '2027-03-15']);
  expect(said('four')).toEqual(['2027-03-08', '2027-04-05']);
  expect(said('month')).toEqual(['2027-03-01', '2027-04-01']);
  expect(said('quarter')).toEqual(['2027-01-01', '2027-04-01']);
  expect(said('year')).toEqual(['2027-01-01', '2028-01-01']);
  expect(said('all')).toBeUndefined();
  for (const span of SPANS) {
    const next = dayOfNextSpan(span, day, 1, 1);
    const days = daysOfSpan(span, day, 1);
    if (!days) continue;
    expect(daysOfSpan(span, next, 1)!.first).toBe(days.end);
    expect(daysOfSpan(span, dayOfNextSpan(span, day, 1, -1), 1)!.end).toBe(days.first);
  }
});

test('a time is looked at by as many columns as say something', () => {
  expect([1, 7, 28, 31, 92, 365, 800].map((days) => stepFor(days, undefined))).toEqual([
    'day',
    'day',
    'week',
    'week',
    'week',
    'month',
    'month',
  ]);
  expect(stepsFor(28)).toEqual(['day', 'week']);
  expect(stepFor(365, 'day')).toBe('month');
  expect(stepFor(28, 'day')).toBe('day');
});

test('a period is that of its set, and steps go from one to the next; at the ends of a list it stays', () => {
  const rule = {
    kind: 'list' as const,
    periods: [
      { name: 'One', first: '2027-03-01', last: '2027-04-04' },
      { name: 'Two', first: '2027-04-05', last: '2027-05-09' },
    ],
  };
  const day = parseDate('2027-03-09');
  const days = daysOfSpan('period', day, 1, rule)!;
  expect([dateString(days.first), dateString(days.end)]).toEqual(['2027-03-01', '2027-04-05']);
  expect(dateString(dayOfNextSpan('period', day, 1, 1, rule))).toBe('2027-04-05');
  expect(dayOfNextSpan('period', day, 1, -1, rule)).toBe(day);
  // Without a set its month stands for it.
  expect(daysOfSpan('period', day, 1)).toEqual(daysOfSpan('month', day, 1));
});
