import { createEntry } from '@/core/change/entryChanges';
import { isRefused } from '@/core/change/eventFields';
import type { Patch } from '@/core/change/patch';
import { initialSettings } from '@/core/model/initialSettings';
import { localEngine } from './localEngine';
import { type Database, openDatabase } from '@/store/database';
import { databaseLog, localChannel } from '@/store/databaseLog';
import { Store, type StoreParts } from '@/store/store';
import { localTabs } from '@/store/tabs';
import { calendar, context, event, FENNICK } from './samples';

/** What the pages of one browser share. */
export type Browser = Pick<StoreParts, 'database' | 'log' | 'tabs'> & { readonly logged: Database };

let names = 0;
/** A browser without data. */
export function freshBrowser(): Browser {
  const logged = openDatabase(`test-log-${++names}`);
  return {
    database: openDatabase(`test-${names}`),
    logged,
    log: databaseLog(logged, localChannel()),
    tabs: localTabs(),
  };
}

/** Opens a page. The records follow when a test says so. */
export const openPage = (browser: Browser, own: Partial<StoreParts> = {}): Promise<Store> =>
  Store.open({
    ...browser,
    engine: localEngine(),
    later: () => undefined,
    page: `page${++names}`,
    ...own,
  });

/** The patch that everything begins with: a calendar and settings. */
export const begin: Patch = {
  id: 'begin',
  at: 0,
  summary: { what: 'imported', count: 2 },
  changes: [
    { collection: 'calendars', id: 'meetings', before: null, after: calendar() },
    { collection: 'settings', id: 'settings', before: null, after: initialSettings(FENNICK) },
  ],
};

/** A patch that makes an entry. */
export function making(store: Store, title: string): Patch {
  const result = createEntry(store.getSnapshot().state, event({ title }), {
    ...context(),
    newId: () => `made-${++names}`,
  });
  if (isRefused(result)) throw new Error(result.refused);
  return result;
}

export const titles = (store: Store): string[] =>
  [...store.getSnapshot().state.entries.values()].map(({ title }) => title).sort();

/** The titles that the engine answers with for the day of the samples. */
export async function shown(store: Store): Promise<string[]> {
  const query = {
    firstDay: 20_886,
    endDay: 20_887,
    zone: FENNICK,
    hiddenCalendarIds: [],
    workingPattern: initialSettings(FENNICK).workingPattern,
  };
  return (await store.engine.days(query)).occurrences.map(({ title }) => title).sort();
}

/** A database with some of its methods in other ways. */
export const altered = (database: Database, other: Partial<Database>): Database => ({
  getItem: (key) => database.getItem(key),
  getMany: (keys) => database.getMany(keys),
  getAllKeys: () => database.getAllKeys(),
  setItem: (key, value) => database.setItem(key, value),
  setMany: (entries) => database.setMany(entries),
  removeItem: (key) => database.removeItem(key),
  removeMany: (keys) => database.removeMany(keys),
  ...other,
});

/** A browser whose log is written in another way. */
export const withLog = (browser: Browser, other: Partial<Database>): Browser => ({
  ...browser,
  log: databaseLog(altered(browser.logged, other), localChannel()),
});
