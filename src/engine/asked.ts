import type { Engine } from './engine';

/** A method as one asks it that runs in another thread. */
export type Asked<Method> = Method extends (...parameters: infer Parameters) => infer Result
  ? (...parameters: Parameters) => Promise<Awaited<Result>>
  : never;

/** The engine as the store sees it, wherever it runs. */
export type EngineClient = { [Name in keyof Engine]: Asked<Engine[Name]> };
