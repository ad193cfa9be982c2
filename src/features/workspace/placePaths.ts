/** The address of each place. */
export const PLACE_PATHS = {
  plan: '/',
  tidy: '/tidy',
  people: '/people',
  todos: '/todos',
  setup: '/setup',
} as const;
export type PlaceName = keyof typeof PLACE_PATHS;
