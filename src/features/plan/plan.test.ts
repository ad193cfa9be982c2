import { initialLook, type Look, NO_FILTER } from '@/core/model/look';
import { parseDate } from '@/core/time/civil';
import { filterText } from '@/ui/filterText';
import { titleText } from './titleText';

describe('a title', () => {
  const day = parseDate('2027-03-09');
  const title = (look: Partial<Look>, days: number[], length: 'full' | 'short' | 'brief', thisYear = 2027) =>
    titleText(
      { ...initialLook, view: 'week', day, zone: 'Europe/Lisbon', presetId: undefined, ...look },
      { days, range: { first: days[0]!, end: days.at(-1)! + 1 }, period: undefined },
      length,
      thisYear,
    );
  const week = [0, 1, 2, 3, 4, 5, 6].map((offset) => day - 1 + offset);

  test('says the year where there is room, or where it is not this one', () => {
    expect(title({}, week, 'full')).toContain('2027');
    expect(title({}, week, 'short')).not.toContain('2027');
    expect(title({}, week, 'short', 2026)).toContain('2027');
    expect(title({ view: 'year' }, week, 'brief')).toBe('2027');
  });

  test('names a period: with its dates, or on a phone alone', () => {
    const rule = { kind: 'pattern', pattern: '4-4-5', start: '2027-01-04' } as const;
    const period = { year: 2027, number: 3, first: parseDate('2027-03-01'), end: parseDate('2027-04-05') };
    const of = (length: 'short' | 'brief') =>
      titleText(
        { ...initialLook, view: 'weeks', day, zone: 'Europe/Lisbon', presetId: undefined },
        { days: week, range: period, period: { set: { id: 'p', name: 'Report', order: 1, rule }, period } },
        length,
        2027,
      );
    expect(of('brief')).toBe('Period 3');
    expect(of('short')).toMatch(/^Period 3, .*Mar.*Apr/);
  });
});

test('a filter is said part by part, as far as it asks for anything', () => {
  expect(filterText(NO_FILTER)).toEqual([]);
  expect(
    filterText({
      ...NO_FILTER,
      categories: ['report'],
      availabilities: ['busy', 'away'],
      meeting: 'online',
      answer: 'unanswered',
      text: ' lens ',
    }),
  ).toEqual(['in report', 'busy, away', 'Online', 'Answers missing', 'with “lens”']);
});
