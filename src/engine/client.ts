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

let files: FilesClient | undefined;

/** Reading and writing of files, in a worker that starts when it is first asked for. */
export function workerFiles(): FilesClient {
  if (files) return files;
  const remote = Comlink.wrap<Files>(
    hasTemporal()
      ? new Worker(new URL('./files.worker', import.meta.url))
      : new Worker(new URL('./filesPolyfilled.worker', import.meta.url)),
  );
  files = {
    read: (bytes, options, onProgress) => remote.read(bytes, options, Comlink.proxy(onProgress)),
    readTable: (bytes) => remote.readTable(bytes),
    readTableEvents: (table, options) => remote.readTableEvents(table, options),
    readBackup: (bytes) => remote.readBackup(bytes),
    unzip: (bytes) => remote.unzip(bytes),
    write: (events, calendar, daysOff, attached) => remote.write(events, calendar, daysOff, attached),
    publish: (events, elsewhere, name, level, daysOff) =>
      remote.publish(events, elsewhere, name, level, daysOff),
    writeTable: (events, calendars) => remote.writeTable(events, calendars),
    writeBackup: (state, attached, now, aside) => remote.writeBackup(state, attached, now, aside),
  };
  return files;
}
