import * as Comlink from 'comlink';
import { Engine } from './engine';

type Asked<Method> = Method extends (...parameters: infer Parameters) => infer Result
  ? (...parameters: Parameters) => Promise<Awaited<Result>>
  : never;

/** The engine as the store sees it, wherever it runs. */
export type EngineClient = { [Name in keyof Engine]: Asked<Engine[Name]> };

/** The engine in a worker of its own. Metro finds a worker by exactly this form of its address. */
export function workerEngine(): EngineClient {
  const worker =
    'Temporal' in globalThis
      ? new Worker(new URL('./engine.worker', import.meta.url))
      : new Worker(new URL('./enginePolyfilled.worker', import.meta.url));
  const remote = Comlink.wrap<Engine>(worker);
  return {
    load: (chunks) => remote.load(chunks as string[]),
    apply: (patch) => remote.apply(patch),
    days: (query) => remote.days(query),
    reminders: (from, to, zone) => remote.reminders(from, to, zone),
    readFile: (bytes, options, onProgress) => remote.readFile(bytes, options, Comlink.proxy(onProgress)),
    writeFile: (calendar) => remote.writeFile(calendar),
  };
}

/** The same engine on this thread: for tests, and where there are no workers. */
export function localEngine(engine = new Engine()): EngineClient {
  return {
    load: async (chunks) => engine.load(chunks),
    apply: async (patch) => engine.apply(patch),
    days: async (query) => engine.days(query),
    reminders: async (from, to, zone) => engine.reminders(from, to, zone),
    readFile: async (bytes, options, onProgress) => engine.readFile(bytes, options, onProgress),
    writeFile: async (calendar) => engine.writeFile(calendar),
  };
}
