import { askedBy, type EngineClient } from './asked';
import type { Beside } from './beside';
import type { Engine } from './engine';

/** An engine in a thread of its own, which can be ended. */
export interface EngineThread {
  readonly engine: EngineClient;
  end(): void;
  /** Calls back when the thread has died of itself. */
  onDeath(died: () => void): void;
}

/** What a new thread is given: all entries as they are now, and what stands beside them. */
type EngineSource = () => {
  readonly chunks: readonly string[];
  readonly beside: Beside;
};

/** An engine that is started anew where it answers no more. */
export interface WatchedEngine extends EngineClient {
  /** Where a new thread gets its entries from. */
  recoverFrom(source: EngineSource): void;
  /** Calls back with all entries that it was at when it fell silent: they are left out from then on. */
  onSilenced(silenced: (entryIds: readonly string[]) => void): void;
}

/** What changes the entries: the source has it already when a new thread is given them. */
const CHANGES = new Set<PropertyKey>(['load', 'loadBeside', 'apply', 'setAside', 'sayAt']);

/** How often one looks, in milliseconds, and how many looks without any answer are too many. */
const LOOK = 1_000;
const MOST_LOOKS = 5;

/** How many threads are ended, one after the other, before it is said that there is no answer. */
const MOST_THREADS = 5;

const NOTHING_BESIDE: Beside = { notes: [], calendars: [] };

/** No thread answers, whatever entry is left out. */
export class SilentEngineError extends Error {}

export interface Watch {
  readonly start: () => EngineThread;
  /** Entries that it was at when it fell silent before. */
  readonly silenced: readonly string[];
  /** Calls back again and again, some milliseconds apart; gives how to stop. */
  readonly every: (look: () => void, milliseconds: number) => () => void;
}

/**
 * The engine, watched. Where nothing is answered for five seconds, the thread is ended and a new one is asked the same; that
 * one says which entry it is at. Where it falls silent too, the next does without that entry.
 */
export function watchedEngine({ start, silenced, every }: Watch): WatchedEngine {
  const aside = new Set(silenced);
  let thread: EngineThread;
  let source: EngineSource | undefined;
  let loaded: readonly string[] = [];
  let silencedListener: (entryIds: readonly string[]) => void = () => undefined;
  let at: string | undefined;
  let isCareful = false;
  /** Those who wait for an answer hear that the thread was ended, or that it is given up. */
  let waiting = new Set<(outcome: 'again' | 'given-up') => void>();
  let looks = 0;
  /** Threads that were ended since a question was answered. */
  let fruitless = 0;
  let stop: (() => void) | undefined;

  const begin = (): void => {
    const begun = start();
    thread = begun;
    begun.onDeath(() => {
      if (thread === begun) again();
    });
  };
  const again = (): void => {
    const ended = waiting;
    waiting = new Set();
    looks = 0;
    if (++fruitless > MOST_THREADS) {
      fruitless = 0;
      for (const end of ended) end('given-up');
      return;
    }
    thread.end();
    // A careful one says where it was; an ordinary one is followed by a careful one.
    if (isCareful && at !== undefined) {
      aside.add(at);
      silencedListener([...aside]);
      isCareful = false;
    } else isCareful = true;
    at = undefined;
    begin();
    const { chunks, beside } = source?.() ?? { chunks: loaded, beside: NOTHING_BESIDE };
    const quietly = (name: PropertyKey, given: readonly unknown[]) =>
      void ask(name, given).catch(() => undefined);
    if (isCareful) quietly('sayAt', [(id: string | undefined) => (at = id)]);
    quietly('load', [chunks, [...aside]]);
    quietly('loadBeside', [beside]);
    for (const end of ended) end('again');
  };
  const look = (): void => {
    if (++looks >= MOST_LOOKS) again();
  };

  /**
   * Asks the present thread; `undefined` if it was ended meanwhile.
   * @throws SilentEngineError if no thread answers
   */
  const ask = async (
    name: PropertyKey,
    given: readonly unknown[],
  ): Promise<{ answer: unknown } | undefined> => {
    let end: (outcome: 'again' | 'given-up') => void = () => undefined;
    const ended = new Promise<undefined>((resolve, reject) => {
      end = (outcome) => (outcome === 'again' ? resolve(undefined) : reject(new SilentEngineError()));
    });
    waiting.add(end);
    stop ??= every(look, LOOK);
    const method = thread.engine[name as keyof EngineClient] as (
      ...parameters: unknown[]
    ) => Promise<unknown>;
    try {
      const answered = await Promise.race([method(...given).then((answer) => ({ answer })), ended]);
      if (answered && !CHANGES.has(name)) fruitless = 0;
      return answered;
    } finally {
      looks = 0;
      waiting.delete(end);
      if (waiting.size === 0) {
        stop?.();
        stop = undefined;
        // What fell silent did answer after all: it need not say any more where it is.
        if (isCareful) {
          isCareful = false;
          void ask('sayAt', [undefined]).catch(() => undefined);
        }
      }
    }
  };
  // An entry that is changed is asked about again.
  const forget = ({ changes }: { changes: readonly { id: string }[] }): void => {
    for (const { id } of changes) aside.delete(id);
  };
  const call = async (name: PropertyKey, given: readonly unknown[]): Promise<unknown> => {
    for (;;) {
      const answered = await ask(name, given);
      if (answered) return answered.answer;
      if (CHANGES.has(name)) return undefined;
    }
  };

  begin();
  const own = {
    recoverFrom: (from: EngineSource) => {
      source = from;
      loaded = [];
    },
    onSilenced: (listener: typeof silencedListener) => void (silencedListener = listener),
    apply: async (patch: Parameters<EngineClient['apply']>[0]): Promise<void> => {
      forget(patch);
      await call('apply', [patch]);
    },
    load: async (chunks: readonly string[]): Promise<void> => {
      // Until another source is known, a new thread is given the same.
      if (!source) loaded = chunks;
      await call('load', [chunks, [...aside]]);
    },
  };
  return askedBy<Engine, typeof own>(call, own);
}
