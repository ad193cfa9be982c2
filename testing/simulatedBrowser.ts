import type { Patch } from '@/core/change/patch';
import type { Entry } from '@/core/model/entry';
import type { EngineClient } from '@/engine/asked';
import { localEngine } from './localEngine';
import type { Database } from '@/store/database';
import { databaseLog } from '@/store/databaseLog';
import { Store } from '@/store/store';

/** Something that a page waits for, and that happens when its turn comes. */
interface Waiting {
  readonly page: string;
  readonly happen: () => void;
}

/** A page of the simulated browser: it may be opening still. */
export interface SimulatedPage {
  readonly name: string;
  store: Store | undefined;
  readonly engine: ReadonlyMap<string, Entry>;
}

/**
 * A browser in which everything that a page waits for (its turn at the lock, a read, a write and its answer, a message, a
 * timer) happens when it is told to, in any order; in which pages die at any of them, and the disk fills up.
 */
export class SimulatedBrowser {
  readonly records = new Map<string, string>();
  readonly logged = new Map<string, string>();
  /** All that was ever kept, by its place. */
  readonly everLogged = new Map<string, string>();
  isFull = false;
  private waiting: Waiting[] = [];
  private readonly pages = new Map<string, SimulatedPage>();
  private readonly heard = new Map<string, (keys: readonly string[]) => void>();
  private lock: { holder: string; queue: Waiting[] } = { holder: '', queue: [] };
  private names = 0;

  get alive(): readonly SimulatedPage[] {
    return [...this.pages.values()];
  }

  /** Opens a page; it is there once its turns have come. */
  open(begin: Patch): SimulatedPage {
    const name = `page${String(++this.names).padStart(4, '0')}`;
    const entries = new Map<string, Entry>();
    const page: SimulatedPage = { name, store: undefined, engine: entries };
    this.pages.set(name, page);
    const log = databaseLog(this.database(name, this.logged, this.everLogged), {
      announce: (keys) => {
        for (const other of this.pages.keys())
          if (other !== name) this.waiting.push({ page: other, happen: () => this.heard.get(other)?.(keys) });
      },
      listen: (heard) => void this.heard.set(name, heard),
    });
    void Store.open({
      database: this.database(name, this.records),
      log,
      engine: entriesOnly(entries),
      tabs: { exclusively: (task) => this.exclusively(name, task) },
      later: (task) => void this.waiting.push({ page: name, happen: task }),
      page: name,
      begin: async () => {
        await this.turn(name);
        return begin;
      },
    }).then(
      (store) => (page.store = store),
      // A page that finds a full disk as it opens is gone.
      () => this.kill(name),
    );
    return page;
  }

  /** Ends a page, whatever it is at. What it asked for and was not done yet is never done. */
  kill(name: string): void {
    this.pages.delete(name);
    this.heard.delete(name);
    const isAlive = (item: Waiting) => item.page !== name;
    this.waiting = this.waiting.filter(isAlive);
    this.lock.queue = this.lock.queue.filter(isAlive);
    if (this.lock.holder === name) this.release();
  }

  /** Lets one of the things that are waited for happen; whether there was any. `pick` gives a number below another. */
  async step(pick: (below: number) => number): Promise<boolean> {
    if (this.waiting.length === 0) await settle();
    if (this.waiting.length === 0) return false;
    const [item] = this.waiting.splice(pick(this.waiting.length), 1);
    item!.happen();
    await settle();
    return true;
  }

  private turn(page: string): Promise<void> {
    // A page that died as its last turn came gets no other.
    return new Promise((happen) => {
      if (this.pages.has(page)) this.waiting.push({ page, happen });
    });
  }

  private database(page: string, texts: Map<string, string>, ever?: Map<string, string>): Database {
    /** Done when its turn comes, and answered at another. */
    const done = async <Result>(what: () => Result): Promise<Result> => {
      await this.turn(page);
      let answer: { result: Result } | { error: unknown };
      try {
        answer = { result: what() };
      } catch (error) {
        answer = { error };
      }
      await this.turn(page);
      if ('error' in answer) throw answer.error;
      return answer.result;
    };
    const get = (key: string) => texts.get(key) ?? null;
    const put = (entries: Record<string, string>) => {
      if (this.isFull) throw new Error('QuotaExceededError');
      for (const [key, text] of Object.entries(entries)) {
        texts.set(key, text);
        ever?.set(key, text);
      }
    };
    return {
      getItem: (key) => done(() => get(key)),
      getMany: (keys) => done(() => Object.fromEntries(keys.map((key) => [key, get(key)]))),
      getAllKeys: () => done(() => [...texts.keys()]),
      setItem: (key, text) => done(() => put({ [key]: text })),
      setMany: (entries) => done(() => put(entries)),
      removeItem: (key) => done(() => void texts.delete(key)),
      removeMany: (keys) => done(() => keys.forEach((key) => texts.delete(key))),
    };
  }

  private async exclusively<Result>(page: string, task: () => Promise<Result>): Promise<Result> {
    await new Promise<void>((happen) => {
      this.lock.queue.push({ page, happen });
      if (this.lock.holder === '') this.release();
    });
    try {
      return await task();
    } finally {
      this.release();
    }
  }

  private release(): void {
    const next = this.lock.queue.shift();
    this.lock.holder = next?.page ?? '';
    next?.happen();
  }
}

/** All that follows from what has happened happens before. */
const settle = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** An engine that only holds the entries that it is given. */
function entriesOnly(entries: Map<string, Entry>): EngineClient {
  return localEngine(undefined, {
    load: async (chunks) => {
      entries.clear();
      for (const chunk of chunks)
        for (const entry of JSON.parse(chunk) as Entry[]) entries.set(entry.id, entry);
    },
    apply: async ({ changes }) => {
      for (const { collection, id, after } of changes) {
        if (collection !== 'entries') continue;
        if (after) entries.set(id, after);
        else entries.delete(id);
      }
    },
  });
}
