import { plural } from './plural';

/** Words about places. */
export const placeWords = {
  known: 'Known places',
  map: 'Open in the map program',
  take: (name: string, count: number) => `${name}, in ${plural(count, 'entry', 'entries')}`,
} as const;
