import { entryMore, severalPanel } from './laterPanels';

export { Desk } from './Desk';
export { againSheet } from './laterPanels';
export const preloadDesk = (): Promise<unknown> =>
  Promise.all([entryMore, severalPanel].map(({ fetchAhead }) => fetchAhead()));
