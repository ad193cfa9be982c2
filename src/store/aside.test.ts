import { readBackup, writeBackup } from '@/core/interchange/backup/backupFile';
import { begin, type Browser, freshBrowser, making, openPage, titles } from '../../testing/storePages';
import { salvage } from './aside';

/** A browser with entries of some titles, their records written. */
async function browserWith(...names: string[]): Promise<Browser> {
  const browser = freshBrowser();
  const store = await openPage(browser);
  await store.commit(begin, 'quiet');
  for (const name of names) await store.commit(making(store, name));
  await store.foldNow();
  return browser;
}

/** Damages the chunks whose text a function changes. */
async function damage({ database }: Browser, how: (text: string, key: string) => string): Promise<void> {
  for (const key of await database.getAllKeys()) {
    const text = (await database.getItem(key))!;
    if (how(text, key) !== text) await database.setItem(key, how(text, key));
  }
}

test('a record that can’t be read is put aside whole, and the rest opens', async () => {
  const browser = await browserWith('good', 'bad');
  await damage(browser, (text, key) =>
    key.startsWith('entries/') ? text.replace('"title":"bad"', '"title":7') : text,
  );
  const again = await openPage(browser);
  expect(titles(again)).toEqual(['good']);
  expect(again.setAside).toBe(1);
  const [aside] = await again.readAside();
  expect(aside).toMatchObject({ collection: 'entries', reason: expect.stringContaining('title') });
  expect(aside!.text).toContain('"title":7');
  const third = await openPage(browser);
  expect(third.setAside).toBe(0);
  expect(titles(third)).toEqual(['good']);
  // It is there until it is forgotten.
  expect(await third.readAside()).toHaveLength(1);
  await third.forgetAside(aside!.key);
  expect(await third.readAside()).toEqual([]);
});

test('what is set aside goes into a backup, and comes back aside', async () => {
  const browser = await browserWith('good', 'bad');
  await damage(browser, (text, key) =>
    key.startsWith('entries/') ? text.replace('"title":"bad"', '"title":7') : text,
  );
  const store = await openPage(browser);
  const aside = new Map((await store.readAside()).map(({ key, text }) => [key, text]));
  const backup = readBackup(writeBackup(store.getSnapshot().state, new Map(), 0, aside));
  const other = await openPage(freshBrowser());
  await other.keepAside(backup.setAside);
  await other.keepAside(backup.setAside);
  expect(await other.readAside()).toEqual(await store.readAside());
});

test('of two bad records with one id both are kept, also if another was put aside before', async () => {
  const browser = await browserWith('one');
  const { database } = browser;
  const spoil = async (...records: object[]) => {
    await database.setItem('presets/0', JSON.stringify(records));
    await openPage(browser);
  };
  await spoil({ id: 'same', name: 1 }, { id: 'same', name: 2 });
  await spoil({ id: 'same', name: 3 });
  const store = await openPage(browser);
  expect((await store.readAside()).map(({ text }) => JSON.parse(text) as object)).toEqual([
    { id: 'same', name: 1 },
    { id: 'same', name: 2 },
    { id: 'same', name: 3 },
  ]);
});

test('a chunk that is damaged somewhere loses what is damaged and nothing else', () => {
  const records = Array.from({ length: 300 }, (_, id) => ({
    id: `${id}`,
    title: 'a {brace} and a "quote"',
    of: { a: 1 },
  }));
  const text = JSON.stringify(records);
  const at = text.indexOf('"id":"150"');
  const torn = `${text.slice(0, at)}\u0000\u0000${text.slice(at + 2)}`;
  const { values, rest } = salvage(torn);
  expect(values).toEqual(records.filter(({ id }) => id !== '150'));
  expect(rest).toContain('150');
  // Cut off in the middle of a record.
  const cut = salvage(text.slice(0, at + 8));
  expect(cut.values).toEqual(records.slice(0, 150));
  expect(salvage('no list at all')).toEqual({ values: [], rest: 'no list at all' });
});

test('a damaged chunk, an unreadable commit and bad words of what the records are do not keep anything else from opening', async () => {
  const browser = await browserWith('one', 'two', 'three');
  await damage(browser, (text, key) =>
    key.startsWith('settings/') ? text.slice(0, 40) : key === 'meta' ? '{"schemaVersion":' : text,
  );
  await browser.logged.setItem('000000000099-torn', '{"role":"do","patch":{"id":"torn"}}');
  const again = await openPage(browser);
  expect(titles(again)).toEqual(['one', 'three', 'two']);
  expect(again.setAside).toBe(2);
  expect((await again.readAside()).map(({ key }) => key.split('/')[1])).toEqual(['log', 'settings']);
  await again.commit(making(again, 'four'));
  await again.foldNow();
  expect(titles(await openPage(browser))).toEqual(['four', 'one', 'three', 'two']);
});
