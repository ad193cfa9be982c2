import { later } from '@/ui/later';

/** What else there is to an entry on the desk. Its script comes after the panel's. */
export const entryMore = later(() => import('./EntryMore').then((module) => module.EntryMore));
