import { begin, freshBrowser, making, openPage, shown, titles, withLog } from '../../testing/storePages';
import type { Handover, Left } from './handover';

/** A handover between pages that live in one process, by what they have left. */
function handovers() {
  const left = new Map<string, Left>();
  const leavings = new Map<string, () => void>();
  const asks = new Map<string, () => boolean>();
  return {
    left,
    page: (name: string): Handover => ({
      leave: (what) => void left.set(name, structuredClone(what)),
      find: () => new Map([...left].filter(([key]) => key !== name)),
      clear: (keys) => [...keys].forEach((key) => left.delete(key)),
      clearOwn: () => void left.delete(name),
      onLeaving: (leaving) => void leavings.set(name, leaving),
      asksToStay: (isBusy) => void asks.set(name, isBusy),
      onLeft: () => undefined,
    }),
    leavePage: (name: string) => leavings.get(name)?.(),
    asksToStay: (name: string) => asks.get(name)?.(),
  };
}

test('a page that is left before a change is kept hands it over to the next', async () => {
  const browser = freshBrowser();
  const { left, page, leavePage } = handovers();
  const opening = await openPage(browser);
  await opening.commit(begin, 'quiet');
  await opening.commit(making(opening, 'written'));
  // From here on nothing is kept.
  const waiting: (() => void)[] = [];
  const slow = withLog(browser, {
    setMany: (entries) =>
      new Promise((resolve, reject) =>
        waiting.push(() => void browser.logged.setMany(entries).then(resolve, reject)),
      ),
  });
  const first = await openPage(slow, { handover: page('first') });
  void first.commit(making(first, 'Buoy log'));
  first.undo();
  first.redo();
  void first.commit(making(first, 'Fog signal test'));
  leavePage('first');
  expect(left.get('first')?.commits).toHaveLength(4);

  const next = await openPage(browser, { handover: page('next') });
  const all = ['Buoy log', 'Fog signal test', 'written'];
  expect(titles(next)).toEqual(all);
  expect(await shown(next)).toEqual(all);
  expect(next.getSnapshot().history.done).toHaveLength(3);
  expect(left.size).toBe(0);
  expect(titles(await openPage(browser))).toEqual(all);

  // The page comes back after all, and keeps the same once more.
  while (waiting.length > 0) {
    waiting.splice(0).forEach((write) => write());
    await new Promise((resolve) => setTimeout(resolve));
  }
  await first.settled();
  expect(titles(first)).toEqual(all);
  const last = await openPage(browser);
  expect(titles(last)).toEqual(all);
  expect(last.getSnapshot().history.done).toHaveLength(3);
});

test('what was left of data that is gone is not made', async () => {
  const { left, page } = handovers();
  left.set('first', { commits: [{ role: 'do', patch: begin }] });
  const fresh = await openPage(freshBrowser(), { handover: page('next') });
  expect([fresh.isNew, fresh.getSnapshot().state.calendars.size, left.size]).toEqual([true, 0, 0]);
});

test('what a page kept after it was left is not made twice', async () => {
  const browser = freshBrowser();
  const { left, page, leavePage } = handovers();
  const first = await openPage(browser, { handover: page('first') });
  await first.commit(begin, 'quiet');
  const writing = first.commit(making(first, 'Buoy log'));
  leavePage('first');
  const handed = structuredClone([...left.values()]);
  await writing;
  expect(left.size).toBe(0);
  left.set('first', handed[0]!);
  const next = await openPage(browser, { handover: page('next') });
  expect(titles(next)).toEqual(['Buoy log']);
  expect(next.getSnapshot().history.done).toHaveLength(1);
  expect(left.size).toBe(0);
});

test('while something is kept that is too large to be handed over, the page asks to stay', async () => {
  const browser = freshBrowser();
  const { page, asksToStay } = handovers();
  const store = await openPage(browser, { handover: page('first') });
  await store.commit(begin, 'quiet');
  const [made] = making(store, 'Buoy log').changes;
  const changes = Array.from(
    { length: 3000 },
    (_, number) => ({ ...made!, id: `many ${number}` }) as typeof made & {},
  );
  const kept = store.commit({ ...begin, id: 'many', changes });
  expect(asksToStay('first')).toBe(true);
  await kept;
  expect(asksToStay('first')).toBe(false);
});
