import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { changeEntry, createEntry } from '@/core/change/entryChanges';
import { isRefused } from '@/core/change/eventFields';
import type { Patch } from '@/core/change/patch';
import { calendar, context, event, FENNICK, stateWith } from '../../testing/samples';
import { initialSettings } from '@/core/model/initialSettings';
import { localEngine } from '@/engine/localEngine';
import type { Database } from './database';
import type { Handover, Left } from './handover';
import { KEPT_COMMITS } from './journal';
import { NewerDataError } from './load';
import { Store } from './store';
import { localTabs, type Tabs } from './tabs';

let names = 0;
const freshDatabase = (): Database => createAsyncStorage(`test-${++names}`);
const open = (database: Database, tabs: Tabs = localTabs()()) =>
  Store.open({ database, engine: localEngine(), tabs });

const begin: Patch = {
  id: 'begin',
  at: 0,
  summary: { what: 'imported', count: 2 },
  changes: [
    { collection: 'calendars', id: 'meetings', before: null, after: calendar() },
    { collection: 'settings', id: 'settings', before: null, after: initialSettings(FENNICK) },
  ],
};

let ids = 0;
function making(store: Store, title: string): Patch {
  const fields = event({ title });
  const result = createEntry(store.getSnapshot().state, fields, {
    ...context(),
    newId: () => `made-${++ids}`,
  });
  if (isRefused(result)) throw new Error(result.refused);
  return result;
}

const titles = (store: Store) =>
  [...store.getSnapshot().state.entries.values()].map(({ title }) => title).sort();
const shown = async (store: Store) => {
  const query = {
    firstDay: 20_886,
    endDay: 20_887,
    zone: FENNICK,
    hiddenCalendarIds: [],
    workingPattern: initialSettings(FENNICK).workingPattern,
  };
  return (await store.engine.days(query)).occurrences.map(({ title }) => title).sort();
};

test('what was committed is there after opening again, in the state and in the engine', async () => {
  const database = freshDatabase();
  const store = await open(database);
  expect(store.isNew).toBe(true);
  await store.commit(begin, 'quiet');
  await store.commit(making(store, 'Works round'));
  await store.commit(making(store, 'Rota check'));
  const again = await open(database);
  expect(again.isNew).toBe(false);
  expect(titles(again)).toEqual(['Rota check', 'Works round']);
  expect(await shown(again)).toEqual(['Rota check', 'Works round']);
});

test('undo and redo reach back over a reload, for the last fifty changes', async () => {
  const database = freshDatabase();
  const store = await open(database);
  await store.commit(begin, 'quiet');
  for (let number = 1; number <= KEPT_COMMITS + 5; number++)
    await store.commit(making(store, `entry ${number}`));
  store.undo();
  await store.settled();
  const again = await open(database);
  expect(again.getSnapshot().state.entries.size).toBe(KEPT_COMMITS + 4);
  again.redo();
  let undone = 0;
  while (again.undo()) undone++;
  await again.settled();
  expect(undone).toBe(KEPT_COMMITS - 1);
  expect(await shown(again)).toHaveLength(6);
});

/** A database that fails or dies at a given write. */
function interrupted(database: Database, at: keyof Database, how: () => Promise<never>): Database {
  return { ...wrap(database), [at]: how };
}
const wrap = (database: Database): Database => ({
  getItem: (key) => database.getItem(key),
  getMany: (keys) => database.getMany(keys),
  getAllKeys: () => database.getAllKeys(),
  setItem: (key, value) => database.setItem(key, value),
  setMany: (entries) => database.setMany(entries),
  removeItem: (key) => database.removeItem(key),
  removeMany: (keys) => database.removeMany(keys),
});

test('what happens quietly pushes nothing out that the person could undo', async () => {
  const database = freshDatabase();
  const store = await open(database);
  await store.commit(begin, 'quiet');
  await store.commit(making(store, 'Buoy log'));
  const quietly = (number: number): Patch => ({
    id: `quiet ${number}`,
    at: number,
    summary: { what: 'settings-changed', count: 1 },
    changes: [
      {
        collection: 'calendars',
        id: `feed ${number % 3}`,
        before: null,
        after: calendar({ id: `feed ${number % 3}` }),
      },
    ],
  });
  for (let number = 0; number < 2 * KEPT_COMMITS; number++) await store.commit(quietly(number), 'quiet');
  const again = await open(database);
  expect(again.undo()?.summary).toMatchObject({ name: 'Buoy log' });
  await again.settled();
  expect(titles(again)).toEqual([]);
  // No more is kept than that: the latest commits, and before them what can be undone.
  const log = (await database.getAllKeys()).filter((key) => key.startsWith('log/'));
  expect(log.length).toBeLessThanOrEqual(KEPT_COMMITS + 2);
});

test('a tab that dies between the journal and the records has lost nothing', async () => {
  const database = freshDatabase();
  await (await open(database)).commit(begin, 'quiet');
  const dying = await open(interrupted(database, 'setMany', () => new Promise<never>(() => undefined)));
  void dying.commit(making(dying, 'Buoy log'));
  while (!(await database.getItem('journal'))) await Promise.resolve();
  const again = await open(database);
  expect(titles(again)).toEqual(['Buoy log']);
  expect(await shown(again)).toEqual(['Buoy log']);
  expect(await database.getItem('journal')).toBeNull();
  expect(again.undo()?.summary.what).toBe('entry-made');
});

/** A handover between pages that live in one process, by what they have left. */
function pages() {
  const left = new Map<string, Left>();
  const leavings = new Map<string, () => void>();
  return {
    left,
    page: (name: string): Handover => ({
      leave: (what) => void left.set(name, structuredClone(what)),
      find: () => new Map([...left].filter(([key]) => key !== name)),
      clear: (keys) => [...keys].forEach((key) => left.delete(key)),
      clearOwn: () => void left.delete(name),
      onLeaving: (leaving) => void leavings.set(name, leaving),
      onLeft: () => undefined,
    }),
    leavePage: (name: string) => leavings.get(name)?.(),
  };
}

test('a page that is left before a change is written hands it over to the next', async () => {
  const database = freshDatabase();
  const { left, page, leavePage } = pages();
  const member = localTabs();
  const first = await Store.open({
    database,
    engine: localEngine(),
    tabs: member(),
    handover: page('first'),
  });
  await first.commit(begin, 'quiet');
  await first.commit(making(first, 'written'));
  // From here on nothing is written: the turn to write never comes.
  let release = () => {};
  void member().exclusively(() => new Promise<void>((resolve) => (release = resolve)));
  void first.commit(making(first, 'Buoy log'));
  first.undo();
  first.redo();
  void first.commit(making(first, 'Fog signal test'));
  leavePage('first');
  expect(left.size).toBe(1);

  const next = await Store.open({
    database,
    engine: localEngine(),
    tabs: localTabs()(),
    handover: page('next'),
  });
  expect(titles(next)).toEqual(['Buoy log', 'Fog signal test', 'written']);
  expect(await shown(next)).toEqual(['Buoy log', 'Fog signal test', 'written']);
  expect(next.getSnapshot().history.done).toHaveLength(3);
  expect(left.size).toBe(0);
  expect(titles(await open(database))).toEqual(['Buoy log', 'Fog signal test', 'written']);

  // The page comes back after all, and finds its changes written.
  release();
  await first.settled();
  expect(titles(first)).toEqual(['Buoy log', 'Fog signal test', 'written']);
  const last = await open(database);
  expect(titles(last)).toEqual(['Buoy log', 'Fog signal test', 'written']);
  expect(last.getSnapshot().history.done).toHaveLength(3);
});

test('what was left of data that is gone is not made', async () => {
  const { left, page } = pages();
  left.set('first', { since: 3, commits: [{ role: 'do', patch: begin }] });
  const fresh = await Store.open({
    database: freshDatabase(),
    engine: localEngine(),
    tabs: localTabs()(),
    handover: page('next'),
  });
  expect([fresh.isNew, fresh.getSnapshot().state.calendars.size, left.size]).toEqual([true, 0, 0]);
});

test('what a page wrote after it was left is not made twice', async () => {
  const database = freshDatabase();
  const { left, page, leavePage } = pages();
  const first = await Store.open({
    database,
    engine: localEngine(),
    tabs: localTabs()(),
    handover: page('first'),
  });
  await first.commit(begin, 'quiet');
  const writing = first.commit(making(first, 'Buoy log'));
  leavePage('first');
  const handed = structuredClone([...left.values()]);
  await writing;
  expect(left.size).toBe(0);
  left.set('first', handed[0]!);
  const next = await Store.open({
    database,
    engine: localEngine(),
    tabs: localTabs()(),
    handover: page('next'),
  });
  expect(titles(next)).toEqual(['Buoy log']);
  expect(next.getSnapshot().history.done).toHaveLength(1);
  expect(left.size).toBe(0);
});

test('a change that does not fit is taken back as a whole and said, and what was before is intact', async () => {
  const database = freshDatabase();
  const first = await open(database);
  await first.commit(begin, 'quiet');
  await first.commit(making(first, 'Works round'));
  const full = await open(
    interrupted(database, 'setMany', () => Promise.reject(new Error('QuotaExceededError: full'))),
  );
  const failures: string[] = [];
  full.onFailure((failure) => failures.push(failure));
  expect(await full.commit(making(full, 'too much'))).toBe(false);
  expect(failures).toEqual(['storage-full']);
  expect(titles(full)).toEqual(['Works round']);
  expect(await shown(full)).toEqual(['Works round']);
  expect(titles(await open(database))).toEqual(['Works round']);
  expect(full.getSnapshot().history.done).toHaveLength(1);
});

test('tabs follow each other, and two changes at the same time are both kept', async () => {
  const database = freshDatabase();
  const member = localTabs();
  const first = await open(database, member());
  await first.commit(begin, 'quiet');
  const second = await open(database, member());
  await Promise.all([first.commit(making(first, 'from one')), second.commit(making(second, 'from two'))]);
  await Promise.all([first.settled(), second.settled()]);
  await second.commit(making(second, 'third'));
  await first.settled();
  for (const store of [first, second, await open(database)]) {
    expect(titles(store)).toEqual(['from one', 'from two', 'third']);
    expect(await shown(store)).toEqual(['from one', 'from two', 'third']);
  }
});

test('a tab that was away for long reads everything anew', async () => {
  const database = freshDatabase();
  const member = localTabs();
  const first = await open(database, member());
  await first.commit(begin, 'quiet');
  const sleeper = await open(database, { ...member(), listen: () => () => undefined });
  for (let number = 0; number < KEPT_COMMITS + 3; number++)
    await first.commit(making(first, `entry ${number}`));
  await sleeper.commit(making(sleeper, 'awake'));
  expect(sleeper.getSnapshot().state.entries.size).toBe(KEPT_COMMITS + 4);
  expect(titles(await open(database))).toEqual(titles(sleeper));
});

test('a record that can’t be read is put aside, and the rest opens', async () => {
  const database = freshDatabase();
  const store = await open(database);
  await store.commit(begin, 'quiet');
  await store.commit(making(store, 'good'));
  await store.commit(making(store, 'bad'));
  for (const key of await database.getAllKeys()) {
    const text = (await database.getItem(key))!;
    if (key.startsWith('entries/')) await database.setItem(key, text.replace('"title":"bad"', '"title":7'));
  }
  const again = await open(database);
  expect(titles(again)).toEqual(['good']);
  expect(again.setAside).toHaveLength(1);
  expect(await database.getItem(again.setAside[0]!.key)).toContain('"title":7');
  const third = await open(database);
  expect(third.setAside).toEqual([]);
  expect(titles(third)).toEqual(['good']);
});

test('data of a later version is not touched', async () => {
  const database = freshDatabase();
  await database.setItem('meta', JSON.stringify({ schemaVersion: 2, revision: 9 }));
  await expect(open(database)).rejects.toThrow(NewerDataError);
});

test('an empty patch is no change', async () => {
  const store = await open(freshDatabase());
  expect(await store.commit({ ...begin, changes: [] })).toBe(true);
  expect(store.getSnapshot().version).toBe(1);
  expect(stateWith().calendars.size).toBe(2);
});

describe('one of several changes can’t be written', () => {
  /** A database that refuses the writing of records whose text says so, once. */
  function refusing(database: Database, what: string): Database {
    let refused = false;
    return {
      ...wrap(database),
      setMany: (entries) => {
        if (!refused && JSON.stringify(entries).includes(what)) {
          refused = true;
          return Promise.reject(new Error('QuotaExceededError: full'));
        }
        return database.setMany(entries);
      },
    };
  }
  async function opened(what: string) {
    const database = freshDatabase();
    await (await open(database)).commit(begin, 'quiet');
    const store = await open(refusing(database, what));
    const failures: number[] = [];
    store.onFailure((_, count) => failures.push(count));
    return { database, store, failures };
  }

  test('the others are kept, on the screen and after opening again', async () => {
    const { database, store, failures } = await opened('too much');
    const kept = ['before', 'too much', 'after'].map((title) => store.commit(making(store, title)));
    expect(titles(store)).toEqual(['after', 'before', 'too much']);
    expect(await Promise.all(kept)).toEqual([true, false, true]);
    expect(failures).toEqual([1]);
    expect(titles(store)).toEqual(['after', 'before']);
    const again = await open(database);
    expect(titles(again)).toEqual(['after', 'before']);
    expect(await shown(again)).toEqual(['after', 'before']);
    expect(again.getSnapshot().history.done).toHaveLength(2);
  });

  test('what changes the entry that could not be made goes with it, and is counted', async () => {
    const { database, store, failures } = await opened('too much');
    const made = making(store, 'too much');
    const first = store.commit(made);
    const entry = store.getSnapshot().state.entries.get(made.changes[0]!.id)!;
    const renamed = changeEntry(
      store.getSnapshot().state,
      { entryId: entry.id },
      { ...entry, title: 'renamed' },
      'this',
      context(),
    );
    if (isRefused(renamed)) throw new Error(renamed.refused);
    const second = store.commit(renamed);
    const third = store.commit(making(store, 'other'));
    expect(await Promise.all([first, second, third])).toEqual([false, false, true]);
    expect(failures).toEqual([2]);
    expect(titles(store)).toEqual(['other']);
    expect(titles(await open(database))).toEqual(['other']);
  });

  test('an undo that can’t be written leaves the entry there, and undo is offered again', async () => {
    const { database, store } = await opened('undo');
    await store.commit(making(store, 'Buoy log'));
    store.undo();
    expect(titles(store)).toEqual([]);
    await store.settled();
    expect(titles(store)).toEqual(['Buoy log']);
    expect(store.getSnapshot().history.done).toHaveLength(1);
    expect(store.getSnapshot().history.undone).toHaveLength(0);
    expect(store.undo()?.summary).toMatchObject({ name: 'Buoy log' });
    await store.settled();
    expect(titles(await open(database))).toEqual([]);
  });
});
