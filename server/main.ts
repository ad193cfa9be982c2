import 'temporal-polyfill/global';
import path from 'node:path';
import { makeDemo } from '../demo/makeDemo';
import { makeLarge } from '../demo/makeLarge';
import { createApp } from './app';
import { MessageStore } from './messages/messageStore';
import { parseOptions, UsageError } from './options';

/** Where the built application lies, from the folder that the server is started in. */
const DIST = path.resolve('dist');

function options() {
  try {
    return parseOptions(process.argv.slice(2));
  } catch (error) {
    if (!(error instanceof UsageError)) throw error;
    console.error(error.message);
    process.exit(2);
  }
}

const { port, host, folder, data } = options();
const makers = { demo: makeDemo, large: makeLarge, empty: () => null };
let made: unknown;
const start = () => (made ??= makers[data]());

// What fell due while the server was off goes out at once.
const messages = new MessageStore(path.join(path.resolve(folder), 'messages'), Date.now);
messages.open().catch((error: unknown) => console.error(error));

const server = createApp({
  dist: DIST,
  data: path.resolve(folder),
  start,
  messages,
  port: () => port,
  host,
}).listen(port, host);
server.on('listening', () => {
  console.log(`Orderly Week is at http://localhost:${port}/`);
});
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken by another program. Choose another one with --port N.`
      : `The server could not start: ${error.message}`,
  );
  process.exit(1);
});
