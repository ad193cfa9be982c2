import { importanceOf } from '@/core/fields/importance';
import { freshBrowser, openPage, titles } from '../../testing/storePages';
import release from '../../testing/fixtures/release-0.1.json';

/** A browser with what a release wrote, as it lay in its storage. */
async function browserOf({ database, log }: { database: object; log: object }) {
  const browser = freshBrowser();
  await browser.database.setMany(database as Record<string, string>);
  await browser.logged.setMany(log as Record<string, string>);
  return browser;
}

test('what release 0.1 wrote opens whole: entries, bin, presets, and the changes that can be undone', async () => {
  const store = await openPage(await browserOf(release));
  const { state, history } = store.getSnapshot();
  expect(titles(store)).toEqual(['Keeper rota call', 'Keeper rota call, moved', 'Order lantern glass']);
  expect(await store.readAside()).toEqual([]);
  expect([...state.bin.values()].map(({ entry }) => entry.title)).toEqual(['Tower paint, Skerry']);
  expect([...state.presets.values()].map(({ name }) => name)).toEqual(['Grants']);
  expect([...state.categories.values()].map(({ name, colour }) => [name, colour])).toEqual([
    ['glass', 'lagoon'],
  ]);
  expect(state.sessions.get('session')?.folded).toEqual(['strip']);
  expect(history.done).toHaveLength(5);
});

test('what was kept as a file gave it is a field now, in the bin too; what says no value stays as it was', async () => {
  const store = await openPage(await browserOf(release));
  const { state } = store.getSnapshot();
  const called = (title: string) => [...state.entries.values()].find((entry) => entry.title === title)!;
  const glass = called('Order lantern glass');
  expect(glass.priority).toBe(2);
  expect(importanceOf(glass.priority)).toBe('high');
  expect(glass.attendees).toEqual([
    { address: 'mailto:marek@fennick.example', parameters: { cn: 'Marek Dunne', partstat: 'ACCEPTED' } },
  ]);
  expect(glass.preserved).toBeUndefined();
  expect(called('Keeper rota call').priority).toBeUndefined();
  expect(called('Keeper rota call').preserved?.properties).toEqual([['priority', {}, 'integer', 0]]);
  expect([...state.bin.values()][0]!.entry.priority).toBe(9);
});

test('a change upon it is kept, in the form of today, and its undo leads back', async () => {
  const browser = await browserOf(release);
  const store = await openPage(browser);
  const before = titles(store);
  await store.undo()!.kept;
  await store.undo()!.kept;
  await store.undo()!.kept;
  await store.foldNow();
  const again = await openPage(browser);
  expect(titles(again)).toEqual([...before, 'Tower paint, Skerry'].sort());
  const [paint] = [...again.getSnapshot().state.entries.values()].filter(({ title }) =>
    title.startsWith('Tower'),
  );
  expect(paint!.priority).toBe(9);
});
