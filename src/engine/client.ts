import * as Comlink from 'comlink';
import type { Asked } from './asked';
import type { Engine } from './engine';
import type { Files } from './files';
import { type EngineThread, watchedEngine, type WatchedEngine } from './watchedEngine';

/** Files as the interface sees them. */
export type FilesClient = { [Name in keyof Files]: Asked<Files[Name]> };

const hasTemporal = (): boolean => 'Temporal' in globalThis;

/** The engine in a worker of its own. Metro finds a worker by exactly this form of its address. */
export function engineThread(): EngineThread {
  const worker = hasTemporal()
    ? new Worker(new URL('./engine.worker', import.meta.url))
    : new Worker(new URL('./enginePolyfilled.worker', import.meta.url));
  const remote = Comlink.wrap<Engine>(worker);
  return {
    engine: {
      load: (chunks, aside) => remote.load(chunks as string[], aside as string[]),
      loadNotes: (notes) => remote.loadNotes(notes),
      sayAt: (listener) => remote.sayAt(listener && Comlink.proxy(listener)),
      apply: (patch) => remote.apply(patch),
      days: (query) => remote.days(query),
      loads: (query) => remote.loads(query),
      leftOut: (query) => remote.leftOut(query),
      troubled: () => remote.troubled(),
      categories: () => remote.categories(),
      find: (request) => remote.find(request),
      prepareSearch: () => remote.prepareSearch(),
      doubles: (events, closed) => remote.doubles(events, closed),
      reminders: (from, to, zone, pattern, unlisted) => remote.reminders(from, to, zone, pattern, unlisted),
    },
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
export class EndedError extends Error {}

function filesThread(): FilesThread {
  const worker = hasTemporal()
    ? new Worker(new URL('./files.worker', import.meta.url))
    : new Worker(new URL('./filesPolyfilled.worker', import.meta.url));
  const remote = Comlink.wrap<Files>(worker);
  let end: () => void = () => undefined;
  const ended = new Promise<never>((_, reject) => (end = () => reject(new EndedError())));
  ended.catch(() => undefined);
  const asked = <Answer extends Promise<unknown>>(answer: Answer): Promise<Awaited<Answer>> =>
    Promise.race([answer, ended]) as Promise<Awaited<Answer>>;
  return {
    client: {
      read: (bytes, options, onProgress) => asked(remote.read(bytes, options, Comlink.proxy(onProgress))),
      readTable: (bytes) => asked(remote.readTable(bytes)),
      readTableEvents: (table, options) => asked(remote.readTableEvents(table, options)),
      readBackup: (bytes) => asked(remote.readBackup(bytes)),
      unzip: (bytes) => asked(remote.unzip(bytes)),
      write: (events, calendar, daysOff, attached) =>
        asked(remote.write(events, calendar, daysOff, attached)),
      publish: (events, elsewhere, name, level, daysOff) =>
        asked(remote.publish(events, elsewhere, name, level, daysOff)),
      writeTable: (events, calendars) => asked(remote.writeTable(events, calendars)),
      writeBackup: (state, attached, now, aside) => asked(remote.writeBackup(state, attached, now, aside)),
    },
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
