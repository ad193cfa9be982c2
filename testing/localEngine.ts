import { askedBy, type EngineClient } from '@/engine/asked';
import { Engine } from '@/engine/engine';

/** What goes between threads is copied; functions are called across. */
const across = (value: unknown): unknown => (typeof value === 'function' ? value : structuredClone(value));

/**
 * The engine on this thread, for tests: what it is given and what it answers is copied, as between threads.
 * @param own methods that answer in another way
 */
export const localEngine = (engine = new Engine(), own: Partial<EngineClient> = {}): EngineClient =>
  askedBy<Engine>(async (name, given) => {
    const method = engine[name as keyof Engine] as (...given: unknown[]) => unknown;
    return across(await method.apply(engine, given.map(across)));
  }, own);
