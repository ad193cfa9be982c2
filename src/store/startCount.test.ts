import { countStart, startWorked } from './startCount';

/** A browser's storage of texts; one that allows none throws. */
function withStorage(isAllowed: boolean): void {
  const texts = new Map<string, string>();
  const allowed = (task: () => unknown) => {
    if (!isAllowed) throw new Error('denied');
    return task();
  };
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: {
      getItem: (key: string) => allowed(() => texts.get(key) ?? null),
      setItem: (key: string, text: string) => allowed(() => texts.set(key, text)),
      removeItem: (key: string) => allowed(() => texts.delete(key)),
    },
  });
}

test('starts that came to nothing are counted until one works; those that are under way are not', () => {
  withStorage(true);
  expect(countStart(0)).toBe(0);
  expect(countStart(1_000)).toBe(0);
  expect(countStart(10_000)).toBe(2);
  startWorked();
  expect(countStart(20_000)).toBe(0);
});

test('what is not understood there, or not allowed, counts as nothing', () => {
  withStorage(true);
  localStorage.setItem('orderly-week/starts', '7');
  expect(countStart(0)).toBe(0);
  withStorage(false);
  expect(countStart(0)).toBe(0);
  startWorked();
});
