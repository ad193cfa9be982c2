import { entryMore } from './lazyEntryMore';

export { Desk } from './Desk';
export const preloadDesk = entryMore.fetchAhead;
