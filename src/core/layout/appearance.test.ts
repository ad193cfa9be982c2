import { appearanceOf, ownColourOf } from './appearance';

const seen = { availability: 'busy', status: 'confirmed' } as const;
const categories = new Map([
  ['glass', 'lagoon'],
  ['boats', 'rust'],
]);

test('an entry’s own colour goes before its categories’, and these before its calendar’s', () => {
  const of = (more: object) => appearanceOf({ ...seen, ...more }, 'harbour', categories).colour;
  expect(of({})).toBe('harbour');
  expect(of({ categories: ['orders', 'boats', 'glass'] })).toBe('rust');
  expect(of({ categories: ['boats'], colour: 'iris' })).toBe('iris');
  expect(appearanceOf(seen, undefined, categories).colour).toBe('slate');
  expect(ownColourOf({ categories: ['boats'] }, new Map())).toBeUndefined();
});

test.each([
  ['busy', 'confirmed', { paper: 'taken', isDashed: false, isAway: false, isStruck: false }],
  ['away', 'confirmed', { paper: 'taken', isDashed: false, isAway: true, isStruck: false }],
  ['tentative', 'confirmed', { paper: 'tentative', isDashed: true, isAway: false, isStruck: false }],
  ['free', 'confirmed', { paper: 'free', isDashed: false, isAway: false, isStruck: false }],
  ['busy', 'cancelled', { paper: 'free', isDashed: false, isAway: false, isStruck: true }],
  ['tentative', 'cancelled', { paper: 'free', isDashed: false, isAway: false, isStruck: true }],
] as const)('%s and %s', (availability, status, look) => {
  expect(appearanceOf({ availability, status }, 'harbour', categories)).toMatchObject(look);
});
