import { changeEntry } from '@/core/change/entryChanges';
import { isRefused } from '@/core/change/eventFields';
import type { Patch } from '@/core/change/patch';
import { calendar, context } from '../../testing/samples';
import {
  altered,
  begin,
  type Browser,
  freshBrowser,
  making,
  openPage,
  shown,
  titles,
  withLog,
} from '../../testing/storePages';
import { commitText, orderOf } from './commitLog';
import { KEPT_COMMITS } from './outdated';
import type { Database } from './database';
import { NewerDataError } from './meta';
import type { Store } from './store';

test('what was committed is there after opening again, in the state and in the engine', async () => {
  const browser = freshBrowser();
  const store = await openPage(browser);
  expect(store.isNew).toBe(true);
  await store.commit(begin, 'quiet');
  await store.commit(making(store, 'Works round'));
  await store.commit(making(store, 'Rota check'));
  const again = await openPage(browser);
  expect(again.isNew).toBe(false);
  expect(titles(again)).toEqual(['Rota check', 'Works round']);
  expect(await shown(again)).toEqual(['Rota check', 'Works round']);
});

test('a commit is kept by one small write, whatever happens to the records', async () => {
  const browser = freshBrowser();
  await (await openPage(browser)).commit(begin, 'quiet');
  const never = () => new Promise<never>(() => undefined);
  const dying = await openPage({ ...browser, database: altered(browser.database, { setMany: never }) });
  expect(await dying.commit(making(dying, 'Buoy log'))).toBe(true);
  void dying.foldNow();
  expect(await browser.logged.getAllKeys()).toHaveLength(2);
  // The page that dies over the records lets its lock go.
  const again = await openPage({ ...browser, tabs: freshBrowser().tabs });
  expect(titles(again)).toEqual(['Buoy log']);
  expect(await shown(again)).toEqual(['Buoy log']);
  expect(again.undo()?.patch.summary.what).toBe('entry-made');
});

test('a burst is kept by two writes and its records by one', async () => {
  const browser = freshBrowser();
  await (await openPage(browser)).commit(begin, 'quiet');
  const writes: string[] = [];
  const counting = (name: string, database: Database) =>
    altered(database, {
      setMany: (entries) => {
        writes.push(name);
        return database.setMany(entries);
      },
    });
  const store = await openPage({
    ...withLog(browser, counting('log', browser.logged)),
    database: counting('records', browser.database),
  });
  for (let number = 0; number < 20; number++) void store.commit(making(store, `entry ${number}`));
  await store.settled();
  await store.foldNow();
  expect(writes).toEqual(['log', 'log', 'records']);
  expect(titles(await openPage(browser))).toHaveLength(20);
});

test('records that can’t be written follow later: the log has them', async () => {
  const browser = freshBrowser();
  const store = await openPage(browser);
  await store.commit(begin, 'quiet');
  let isFull = true;
  const later: (() => void)[] = [];
  const full = await openPage(
    {
      ...browser,
      database: altered(browser.database, {
        setMany: (entries) =>
          isFull ? Promise.reject(new Error('QuotaExceededError')) : browser.database.setMany(entries),
      }),
    },
    { later: (task) => void later.push(task) },
  );
  expect(await full.commit(making(full, 'Buoy log'))).toBe(true);
  await full.foldNow();
  expect(await browser.database.getItem('meta')).toBeNull();
  expect(titles(await openPage(browser))).toEqual(['Buoy log']);
  isFull = false;
  later.splice(0).forEach((task) => task());
  await full.foldNow();
  expect(await browser.database.getItem('meta')).toContain('"count":2');
});

test('undo and redo reach back over a reload, for the last fifty changes at the least, and the log stays small', async () => {
  const browser = freshBrowser();
  const store = await openPage(browser);
  await store.commit(begin, 'quiet');
  const made = 3 * KEPT_COMMITS;
  for (let number = 1; number <= made; number++) await store.commit(making(store, `entry ${number}`));
  store.undo();
  await store.settled();
  await store.foldNow();
  const again = await openPage(browser);
  expect(again.getSnapshot().state.entries.size).toBe(made - 1);
  expect((await browser.logged.getAllKeys()).length).toBeLessThan(made);
  again.redo();
  let undone = 0;
  while (again.undo()) undone++;
  await again.settled();
  expect(undone).toBeGreaterThanOrEqual(KEPT_COMMITS);
  expect(undone).toBeLessThan(made);
  expect(await shown(again)).toHaveLength(made - undone);
});

test('what happens quietly pushes nothing out that the person could undo', async () => {
  const browser = freshBrowser();
  const store = await openPage(browser);
  await store.commit(begin, 'quiet');
  await store.commit(making(store, 'Buoy log'));
  const quietly = (number: number): Patch => {
    const after = calendar({ id: `feed ${number % 3}` });
    return {
      id: `quiet ${number}`,
      at: number,
      summary: { what: 'settings-changed', count: 1 },
      changes: [{ collection: 'calendars', id: after.id, before: null, after }],
    };
  };
  for (let number = 0; number < 2 * KEPT_COMMITS; number++) await store.commit(quietly(number), 'quiet');
  await store.foldNow();
  const again = await openPage(browser);
  expect(again.undo()?.patch.summary).toMatchObject({ name: 'Buoy log' });
  await again.settled();
  expect(titles(again)).toEqual([]);
  // No more is kept than that: the latest commits, and before them what can be undone.
  expect((await browser.logged.getAllKeys()).length).toBeLessThanOrEqual(KEPT_COMMITS + 2);
});

test('pages follow each other, and two changes at the same time are both kept', async () => {
  const browser = freshBrowser();
  const first = await openPage(browser);
  await first.commit(begin, 'quiet');
  const second = await openPage(browser);
  await Promise.all([first.commit(making(first, 'from one')), second.commit(making(second, 'from two'))]);
  await second.commit(making(second, 'third'));
  await Promise.all([first.foldNow(), second.foldNow()]);
  for (const store of [first, second, await openPage(browser)]) {
    expect(titles(store)).toEqual(['from one', 'from two', 'third']);
    expect(await shown(store)).toEqual(['from one', 'from two', 'third']);
  }
});

test('two pages that change the same record at once have the same of it, and undo leads back', async () => {
  const browser = freshBrowser();
  const first = await openPage(browser, { page: 'a' });
  await first.commit(begin, 'quiet');
  await first.commit(making(first, 'Buoy log'));
  const second = await openPage(browser, { page: 'b' });
  const renaming = (store: Store, title: string): Patch => {
    const [entry] = store.getSnapshot().state.entries.values();
    const patch = changeEntry(
      store.getSnapshot().state,
      { entryId: entry!.id },
      { ...entry!, title },
      'this',
      { ...context(), newId: () => title },
    );
    if (isRefused(patch)) throw new Error(patch.refused);
    return patch;
  };
  await Promise.all([second.commit(renaming(second, 'by b')), first.commit(renaming(first, 'by a'))]);
  await Promise.all([first.foldNow(), second.foldNow()]);
  const third = await openPage(browser);
  for (const store of [first, second, third]) {
    expect(titles(store)).toEqual(['by b']);
    expect(
      store
        .getSnapshot()
        .history.done.map(({ id }) => id)
        .slice(1),
    ).toEqual(['by a', 'by b']);
  }
  await third.undo()!.kept;
  expect(titles(third)).toEqual(['by a']);
});

test('two pages that begin at once begin once', async () => {
  const browser = freshBrowser();
  let begun = 0;
  const beginning = async (): Promise<Patch> => {
    begun++;
    return { ...begin, id: `begin ${begun}` };
  };
  const pages = await Promise.all([
    openPage(browser, { begin: beginning }),
    openPage(browser, { begin: beginning }),
  ]);
  expect(begun).toBe(1);
  for (const store of pages) expect(store.getSnapshot().state.calendars.size).toBe(1);
});

test('looking at what is not there yet does not begin it', async () => {
  const browser = freshBrowser();
  await (await openPage(browser)).foldNow();
  let begun = 0;
  const next = await openPage(browser, {
    begin: async () => {
      begun++;
      return begin;
    },
  });
  expect([begun, next.isNew]).toEqual([1, true]);
});

test('a page that was away for long reads everything anew', async () => {
  const browser = freshBrowser();
  const first = await openPage(browser);
  await first.commit(begin, 'quiet');
  await first.foldNow();
  const sleeper = await openPage({ ...browser, log: { ...browser.log, listen: () => undefined } });
  for (let number = 0; number < KEPT_COMMITS + 3; number++)
    await first.commit(making(first, `entry ${number}`));
  await first.foldNow();
  await sleeper.commit(making(sleeper, 'awake'));
  await sleeper.foldNow();
  expect(sleeper.getSnapshot().state.entries.size).toBe(KEPT_COMMITS + 4);
  expect(titles(await openPage(browser))).toEqual(titles(sleeper));
  expect(await shown(sleeper)).toEqual(titles(sleeper));
});

test('data of a later version is not touched', async () => {
  const browser = freshBrowser();
  await browser.database.setItem('meta', JSON.stringify({ schemaVersion: 3, revision: 9 }));
  await expect(openPage(browser)).rejects.toThrow(NewerDataError);
});

test('what the first version wrote is brought over, with a commit that it had not finished and what can be undone', async () => {
  // Written as the first version did: records, numbered commits among them, and a journal.
  const sample = freshBrowser();
  const writer = await openPage(sample);
  await writer.commit(begin, 'quiet');
  const patches = [making(writer, 'Works round'), making(writer, 'Buoy log')];
  await writer.commit(patches[0]!);
  await writer.foldNow();
  const browser = freshBrowser();
  for (const key of await sample.database.getAllKeys())
    await browser.database.setItem(key, (await sample.database.getItem(key))!);
  const commit = (revision: number, role: string, patch: Patch) => JSON.stringify({ revision, role, patch });
  await browser.database.setMany({
    meta: JSON.stringify({ schemaVersion: 1, revision: 2 }),
    'log/1': commit(1, 'quiet', begin),
    'log/2': commit(2, 'do', patches[0]!),
    journal: commit(3, 'do', patches[1]!),
  });
  const store = await openPage(browser);
  expect(titles(store)).toEqual(['Buoy log', 'Works round']);
  expect(await shown(store)).toEqual(['Buoy log', 'Works round']);
  expect(store.isNew).toBe(false);
  expect(store.getSnapshot().history.done).toHaveLength(2);
  expect((await browser.database.getAllKeys()).filter((key) => /^(log|journal)/.test(key))).toEqual([]);
  await store.undo()!.kept;
  expect(titles(await openPage(browser))).toEqual(['Works round']);
});

test('an empty patch is no change', async () => {
  const store = await openPage(freshBrowser());
  const before = store.getSnapshot();
  expect(await store.commit({ ...begin, changes: [] })).toBe(true);
  expect(store.getSnapshot()).toBe(before);
});

test('what is pending and comes back from elsewhere is there once', async () => {
  const browser = freshBrowser();
  const store = await openPage(browser, { page: 'a' });
  await store.commit(begin, 'quiet');
  const patch = making(store, 'Buoy log');
  const kept = store.commit(patch);
  await browser.log.append({ [orderOf(2, 'a')]: commitText({ role: 'do', patch }) });
  expect(await kept).toBe(true);
  await store.foldNow();
  expect(titles(store)).toEqual(['Buoy log']);
  expect(store.getSnapshot().history.done).toHaveLength(1);
});

describe('a change that can’t be kept', () => {
  /** A page of a browser that refuses, once, to keep commits whose text says so. */
  async function opened(what: string): Promise<{ browser: Browser; store: Store; failures: unknown[][] }> {
    const browser = freshBrowser();
    await (await openPage(browser)).commit(begin, 'quiet');
    let refused = 0;
    const store = await openPage(
      withLog(browser, {
        setMany: (entries) => {
          const texts = Object.values(entries);
          if (!texts.some((text) => text.includes(what)) || refused > 1)
            return browser.logged.setMany(entries);
          if (texts.length === 1) refused = 2;
          return Promise.reject(new Error('QuotaExceededError: full'));
        },
      }),
    );
    const failures: unknown[][] = [];
    store.onFailure((...failure) => failures.push(failure));
    return { browser, store, failures };
  }

  test('is taken back and said, and the others are kept, on the screen and after opening again', async () => {
    const { browser, store, failures } = await opened('too much');
    const kept = ['before', 'too much', 'after'].map((title) => store.commit(making(store, title)));
    expect(titles(store)).toEqual(['after', 'before', 'too much']);
    expect(await Promise.all(kept)).toEqual([true, false, true]);
    expect(failures).toEqual([['storage-full', 1]]);
    expect(titles(store)).toEqual(['after', 'before']);
    expect(await shown(store)).toEqual(['after', 'before']);
    const again = await openPage(browser);
    expect(titles(again)).toEqual(['after', 'before']);
    expect(again.getSnapshot().history.done).toHaveLength(2);
  });

  test('takes along what changes the entry that could not be made, and is counted', async () => {
    const { browser, store, failures } = await opened('too much');
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
    expect(failures).toEqual([['storage-full', 2]]);
    expect(titles(store)).toEqual(['other']);
    expect(titles(await openPage(browser))).toEqual(['other']);
  });

  test('takes along an undo that was about it, not what would be undone next without it', async () => {
    const { browser, store } = await opened('too much');
    const made = making(store, 'Buoy log');
    await store.commit(made);
    const { state } = store.getSnapshot();
    const entry = state.entries.get(made.changes[0]!.id)!;
    const renamed = changeEntry(
      state,
      { entryId: entry.id },
      { ...entry, title: 'too much' },
      'this',
      context(),
    );
    if (isRefused(renamed)) throw new Error(renamed.refused);
    const change = store.commit(renamed);
    const undone = store.undo()!.kept;
    expect(await Promise.all([change, undone])).toEqual([false, false]);
    expect(titles(store)).toEqual(['Buoy log']);
    const { history } = (await openPage(browser)).getSnapshot();
    for (const { done, undone: again } of [store.getSnapshot().history, history]) {
      expect(done.map(({ id }) => id)).toEqual([made.id]);
      expect(again).toEqual([]);
    }
  });

  test('leaves an entry there whose undo it was, and undo is offered again', async () => {
    const { browser, store } = await opened('"role":"undo"');
    await store.commit(making(store, 'Buoy log'));
    expect(await store.undo()!.kept).toBe(false);
    expect(titles(store)).toEqual(['Buoy log']);
    expect(store.getSnapshot().history.done).toHaveLength(1);
    expect(store.getSnapshot().history.undone).toHaveLength(0);
    const turn = store.undo()!;
    expect(turn.patch.summary).toMatchObject({ name: 'Buoy log' });
    expect(await turn.kept).toBe(true);
    expect(titles(await openPage(browser))).toEqual([]);
  });
});
