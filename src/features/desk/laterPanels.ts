import { later } from '@/ui/later';

/** The same entry on other days. */
export const againSheet = later(() => import('./AgainSheet').then((module) => module.AgainSheet));

/** What else there is to an entry on the desk. Its script comes after the panel's. */
export const entryMore = later(() => import('./EntryMore').then((module) => module.EntryMore));

/** A selected to-do. */
export const todoPanel = later(() => import('@/features/later').then((module) => module.TodoPanel));

/** What can be done with several entries at once. */
export const severalPanel = later(() => import('./SeveralPanel').then((module) => module.SeveralPanel));
