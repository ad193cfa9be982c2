import type { EngineClient } from './asked';
import { Engine } from './engine';

/** The engine on this thread: for tests. */
export function localEngine(engine = new Engine()): EngineClient {
  return {
    load: async (chunks, aside) => engine.load(chunks, aside),
    sayAt: async (listener) => engine.sayAt(listener),
    loadNotes: async (notes) => engine.loadNotes(notes),
    apply: async (patch) => engine.apply(patch),
    days: async (query) => engine.days(query),
    loads: async (query) => engine.loads(query),
    leftOut: async (query) => engine.leftOut(query),
    troubled: async () => engine.troubled(),
    categories: async () => engine.categories(),
    find: (request) => engine.find(request),
    prepareSearch: () => engine.prepareSearch(),
    doubles: async (events, closed) => engine.doubles(events, closed),
    reminders: async (from, to, zone, pattern, unlisted) =>
      engine.reminders(from, to, zone, pattern, unlisted),
  };
}
