import * as Comlink from 'comlink';
import { type Asked, askedBy } from './asked';
import type { Engine } from './engine';
import type { Files } from './files';
import { type EngineThread, watchedEngine, type WatchedEngine } from './watchedEngine';

/** Files as the interface sees them. */
export type FilesClient = Asked<Files>;

const hasTemporal = (): boolean => 'Temporal' in globalThis;

/** What a worker exposes, asked by name; functions that are given are called back across the threads. */
function askedOfWorker<Api>(worker: Worker, until?: Promise<never>): Asked<Api> {
  const remote = Comlink.wrap(worker) as unknown as Record<
    PropertyKey,
    (...given: unknown[]) => Promise<unknown>
  >;
  return askedBy<Api>((name, given) => {
    const passed = given.map((value) => (typeof value === 'function' ? Comlink.proxy(value) : value));
    const answer = remote[name]!(...passed);
    return until ? Promise.race([answer, until]) : answer;
  });
}

/** The engine in a worker of its own. Metro finds a worker by exactly this form of its address. */
function engineThread(): EngineThread {
  const worker = hasTemporal()
    ? new Worker(new URL('./engine.worker', import.meta.url))
    : new Worker(new URL('./enginePolyfilled.worker', import.meta.url));
  return {
    engine: askedOfWorker<Engine>(worker),
    end: () => worker.terminate(),
    onDeath: (died) => worker.addEventListener('error', died),
  };
}

/** The engine in a worker that is started anew where it answers no more. */
export const workerEngine = (silenced: readonly string[]): WatchedEngine =>
  watchedEngine({
    start: engineThread,
    silenced,
    every: (look, milliseconds) => {
      const timer = setInterval(look, milliseconds);
      return () => clearInterval(timer);
    },
  });

interface FilesThread {
  readonly client: FilesClient;
  end(): void;
}

let thread: FilesThread | undefined;

/** The worker was ended before it answered. */
class EndedError extends Error {}

function filesThread(): FilesThread {
  const worker = hasTemporal()
    ? new Worker(new URL('./files.worker', import.meta.url))
    : new Worker(new URL('./filesPolyfilled.worker', import.meta.url));
  let end: () => void = () => undefined;
  const ended = new Promise<never>((_, reject) => (end = () => reject(new EndedError())));
  ended.catch(() => undefined);
  return {
    client: askedOfWorker<Files>(worker, ended),
    end: () => {
      worker.terminate();
      end();
    },
  };
}

/** Reading and writing of files, in a worker that starts when it is first asked for. */
export function workerFiles(): FilesClient {
  thread ??= filesThread();
  return thread.client;
}

/** Ends a worker that is at a file which is wanted no more; the next starts when it is asked for. */
export function endFiles(): void {
  thread?.end();
  thread = undefined;
}
