import { initialLook, type Look, NO_FILTER } from '@/core/model/look';
import { parseDate } from '@/core/time/civil';
import { filterText } from '@/ui/filterText';
import { neighbour, tabbableKeyOf, type CardOrder } from './grid/cardOrder';
import { titleText } from './titleText';

describe('arrow keys', () => {
  const days: CardOrder = { lists: [['a', 'b'], [], ['c', 'd', 'e'], ['f']], along: 'down' };

  test('lead along a day and to the nearest place in the next that has one', () => {
    expect(neighbour(days, 'a', 'ArrowDown')).toBe('b');
    expect(neighbour(days, 'b', 'ArrowDown')).toBeUndefined();
    expect(neighbour(days, 'b', 'ArrowRight')).toBe('d');
    expect(neighbour(days, 'e', 'ArrowRight')).toBe('f');
    expect(neighbour(days, 'f', 'ArrowLeft')).toBe('c');
    expect(neighbour(days, 'a', 'ArrowLeft')).toBeUndefined();
  });

  test('run on at the end of a day: to the next, or to the same weekday of the next week', () => {
    expect(neighbour({ ...days, runsOn: 1 }, 'b', 'ArrowDown')).toBe('c');
    expect(neighbour({ ...days, runsOn: 1 }, 'c', 'ArrowUp')).toBe('b');
    expect(neighbour({ ...days, runsOn: 2 }, 'b', 'ArrowDown')).toBe('c');
    expect(neighbour({ ...days, runsOn: 3 }, 'f', 'ArrowUp')).toBe('b');
  });

  test('lead along a lane sideways', () => {
    const lanes: CardOrder = { ...days, along: 'across' };
    expect(neighbour(lanes, 'a', 'ArrowRight')).toBe('b');
    expect(neighbour(lanes, 'a', 'ArrowDown')).toBe('c');
  });

  test('begin at the latest selected entry that is shown, else at the first', () => {
    expect(tabbableKeyOf(days, ['d', 'gone'])).toBe('d');
    expect(tabbableKeyOf({ ...days, lists: [[], ['x']] }, ['gone'])).toBe('x');
    expect(tabbableKeyOf({ ...days, lists: [[]] }, [])).toBeUndefined();
  });
});

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
