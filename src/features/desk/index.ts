import { entryMore, severalPanel } from './laterPanels';

export { Desk } from './Desk';
export const preloadDesk = (): Promise<unknown> =>
  Promise.all([entryMore, severalPanel].map(({ fetchAhead }) => fetchAhead()));
