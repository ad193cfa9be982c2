import type { Entry } from '@/core/model/entry';
import { event } from '../../testing/samples';
import { Engine } from './engine';
import { localEngine } from '../../testing/localEngine';
import { SilentEngineError, watchedEngine } from './watchedEngine';

const chunk = (...entries: Entry[]): string[] => [JSON.stringify(entries)];
const never = () => new Promise<never>(() => undefined);

/** An engine over threads that fall silent as soon as they are asked about an entry of a given title. */
function watched(isDeadly: (title: string) => boolean, silenced: string[] = []) {
  let look: () => void = () => undefined;
  let threads = 0;
  const engine = watchedEngine({
    silenced,
    every: (given) => {
      look = given;
      return () => (look = () => undefined);
    },
    start: () => {
      threads++;
      const inner = new Engine();
      const client = localEngine(inner);
      let sayAt: ((id: string | undefined) => void) | undefined;
      let asked: Entry[] = [];
      /** Goes through the entries as the index does, and does not come back from a deadly one. */
      const goThrough = async () => {
        for (const entry of asked) {
          sayAt?.(entry.id);
          if (isDeadly(entry.title)) await never();
          sayAt?.(undefined);
        }
      };
      return {
        engine: localEngine(inner, {
          load: async (chunks, aside = []) => {
            asked = chunks
              .flatMap((text) => JSON.parse(text) as Entry[])
              .filter(({ id }) => !aside.includes(id));
            return client.load(chunks, aside);
          },
          sayAt: async (listener) => void (sayAt = listener),
          categories: async () => {
            await goThrough();
            return inner.categories();
          },
          prepareSearch: () => (isDeadly('search') ? never() : client.prepareSearch()),
        }),
        end: () => undefined,
        onDeath: () => undefined,
      };
    },
  });
  /** Time goes by without an answer. */
  const wait = async (seconds: number) => {
    for (let second = 0; second < seconds; second++) {
      look();
      await new Promise((resolve) => setImmediate(resolve));
    }
  };
  return { engine, wait, threads: () => threads };
}

const entries = ['one', 'fog', 'two'].map((title) => event({ id: title, title, categories: [title] }));

test('an engine that answers is asked once', async () => {
  const { engine, wait, threads } = watched(() => false);
  await engine.load(chunk(...entries));
  expect(await engine.categories()).toHaveLength(3);
  await wait(20);
  expect(threads()).toBe(1);
});

test('one that falls silent over an entry is started anew without it, and what was asked is answered', async () => {
  const { engine, wait, threads } = watched((title) => title === 'fog');
  const silenced: (readonly string[])[] = [];
  engine.onSilenced((ids) => silenced.push(ids));
  await engine.load(chunk(...entries));
  engine.recoverFrom(() => ({ chunks: chunk(...entries), beside: { notes: [], calendars: [] } }));
  const answer = engine.categories();
  await wait(4);
  expect(threads()).toBe(1);
  await wait(12);
  expect(await answer).toEqual(['fog', 'one', 'two']);
  expect(threads()).toBe(3);
  expect(silenced).toEqual([['fog']]);
  expect(await engine.troubled()).toEqual([{ entryId: 'fog', reason: 'no-answer' }]);
});

test('what was silenced before is left out from the start', async () => {
  const { engine, threads } = watched((title) => title === 'fog', ['fog']);
  await engine.load(chunk(...entries));
  await engine.categories();
  expect(threads()).toBe(1);
});

test('one that never answers is given up, blames no entry, and may be asked again', async () => {
  const { engine, wait, threads } = watched((title) => title === 'search');
  const silenced: (readonly string[])[] = [];
  engine.onSilenced((ids) => silenced.push(ids));
  await engine.load(chunk(...entries));
  const answer = expect(engine.prepareSearch()).rejects.toThrow(SilentEngineError);
  await wait(60);
  await answer;
  expect(silenced).toEqual([]);
  const before = threads();
  expect(await engine.categories()).toHaveLength(3);
  expect(threads()).toBe(before);
});
