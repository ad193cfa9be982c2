import type { Engine } from './engine';

/** A method as one asks it that runs in another thread. */
type AskedMethod<Method> = Method extends (...parameters: infer Parameters) => infer Result
  ? (...parameters: Parameters) => Promise<Awaited<Result>>
  : never;

/** Something of methods as one asks it that is in another thread. */
export type Asked<Api> = { [Name in keyof Api]: AskedMethod<Api[Name]> };

/** The engine as the store sees it, wherever it runs. */
export type EngineClient = Asked<Engine>;

/**
 * Answers to methods by their names, but for some that answer by themselves. It is no promise, so that it can be awaited.
 */
export const askedBy = <Api, Own extends Partial<Asked<Api>> = Partial<Asked<Api>>>(
  ask: (name: PropertyKey, given: readonly unknown[]) => Promise<unknown>,
  own = {} as Own,
): Asked<Api> & Own =>
  new Proxy(own as Asked<Api> & Own, {
    get: (_, name) =>
      name in own
        ? own[name as keyof Own]
        : name === 'then'
          ? undefined
          : (...given: unknown[]) => ask(name, given),
  });
