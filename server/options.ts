import { isIP } from 'node:net';

/** What the server was asked for. */
export interface ServerOptions {
  readonly port: number;
  /** The address that it listens on: of this machine only, unless another is given. */
  readonly host: string;
  /** The folder that published calendars are kept in. */
  readonly folder: string;
  readonly data: 'demo' | 'large' | 'empty';
}

/** A command line that can't be understood. */
export class UsageError extends Error {}

/**
 * Reads the server's command line: `--port N`, `--host ADDRESS`, `--data FOLDER`, `--empty`, `--large`.
 * @throws UsageError for anything else
 */
export function parseOptions(parameters: readonly string[]): ServerOptions {
  let port = 4300;
  let host = '127.0.0.1';
  let folder = 'data';
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
    } else if (parameter === '--host') {
      host = parameters[++index] ?? '';
      if (isIP(host) === 0) throw new UsageError(`--host takes an address such as 0.0.0.0, not "${host}"`);
    } else if (parameter === '--data') {
      folder = parameters[++index] ?? '';
      if (folder === '') throw new UsageError('--data takes a folder');
    } else
      throw new UsageError(
        `unknown option ${parameter}; there are --port N, --host ADDRESS, --data FOLDER, --empty, --large`,
      );
  }
  return { port, host, folder, data };
}
