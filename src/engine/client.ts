import * as Comlink from 'comlink';
import type { Engine } from './engine';
import type { Files } from './files';

type Asked<Method> = Method extends (...parameters: infer Parameters) => infer Result
  ? (...parameters: Parameters) => Promise<Awaited<Result>>
  : never;

/** The engine as the store sees it, wherever it runs. */
export type EngineClient = { [Name in keyof Engine]: Asked<Engine[Name]> };
/** Files as the interface sees them. */
export type FilesClient = { [Name in keyof Files]: Asked<Files[Name]> };

const hasTemporal = (): boolean => 'Temporal' in globalThis;

/** The engine in a worker of its own. Metro finds a worker by exactly this form of its address. */
export function workerEngine(): EngineClient {
  const remote = Comlink.wrap<Engine>(
    hasTemporal()
      ? new Worker(new URL('./engine.worker', import.meta.url))
      : new Worker(new URL('./enginePolyfilled.worker', import.meta.url)),
  );
  return {
    load: (chunks) => remote.load(chunks as string[]),
    loadNotes: (notes) => remote.loadNotes(notes),
    apply: (patch) => remote.apply(patch),
    days: (query) => remote.days(query),
    loads: (query) => remote.loads(query),
    leftOut: (query) => remote.leftOut(query),
    categories: () => remote.categories(),
    find: (request) => remote.find(request),
    prepareSearch: () => remote.prepareSearch(),
    doubles: (events, closed) => remote.doubles(events, closed),
    reminders: (from, to, zone, pattern, unlisted) => remote.reminders(from, to, zone, pattern, unlisted),
  };
}

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
    writeBackup: (state, attached, now) => remote.writeBackup(state, attached, now),
  };
  return files;
}
