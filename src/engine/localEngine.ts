import type { EngineClient } from './client';
import { Engine } from './engine';

/** The engine on this thread: for tests. */
export function localEngine(engine = new Engine()): EngineClient {
  return {
    load: async (chunks) => engine.load(chunks),
    loadNotes: async (notes) => engine.loadNotes(notes),
    apply: async (patch) => engine.apply(patch),
    days: async (query) => engine.days(query),
    loads: async (query) => engine.loads(query),
    leftOut: async (query) => engine.leftOut(query),
    categories: async () => engine.categories(),
    find: (request) => engine.find(request),
    prepareSearch: () => engine.prepareSearch(),
    doubles: async (events, closed) => engine.doubles(events, closed),
    reminders: async (from, to, zone, pattern, unlisted) =>
      engine.reminders(from, to, zone, pattern, unlisted),
  };
}
