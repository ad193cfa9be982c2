/** What the server was asked for. */
export interface ServerOptions {
  readonly port: number;
  readonly data: 'demo' | 'large' | 'empty';
}

/** A command line that can't be understood. */
export class UsageError extends Error {}

/**
 * Reads the server's command line: `--port N`, `--empty`, `--large`.
 * @throws UsageError for anything else
 */
export function parseOptions(parameters: readonly string[]): ServerOptions {
  let port = 4300;
  let data: ServerOptions['data'] = 'demo';
  for (let index = 0; index < parameters.length; index++) {
    const parameter = parameters[index];
    if (parameter === '--empty') data = 'empty';
    else if (parameter === '--large') data = 'large';
    else if (parameter === '--port') {
      const value = parameters[++index] ?? '';
      port = Number(value);
      if (!/^\d+$/.test(value) || port < 1 || port > 65_535)
        throw new UsageError(`--port takes a number from 1 to 65535, not "${value}"`);
    } else throw new UsageError(`unknown option ${parameter}; there are --port N, --empty, --large`);
  }
  return { port, data };
}
