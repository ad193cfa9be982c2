import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { test as base, type Page } from '@playwright/test';

/** A server of the test's own, over a copy of the built application: it can be stopped, and given another version. */
export class OwnServer {
  private process: ChildProcess | undefined;
  private readonly folder = mkdtempSync(path.join(tmpdir(), 'orderly-week-offline-'));

  private constructor(readonly port: number) {
    cpSync('dist', path.join(this.folder, 'dist'), { recursive: true });
  }

  static async start(): Promise<OwnServer> {
    const probe = createServer().listen(0, '127.0.0.1');
    await once(probe, 'listening');
    const { port } = probe.address() as { port: number };
    probe.close();
    await once(probe, 'close');
    const server = new OwnServer(port);
    await server.run();
    return server;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async run(): Promise<void> {
    const main = path.resolve('server/main.ts');
    const loader = path.resolve('node_modules/tsx/dist/loader.mjs');
    this.process = spawn(
      process.execPath,
      ['--import', loader, main, '--port', String(this.port), '--data', path.join(this.folder, 'data')],
      {
        cwd: this.folder,
        stdio: ['ignore', 'pipe', 'inherit'],
        env: { ...process.env, TSX_TSCONFIG_PATH: path.resolve('tsconfig.json') },
      },
    );
    await once(this.process.stdout!, 'data');
  }

  async stop(): Promise<void> {
    const ended = this.process && once(this.process, 'exit');
    this.process?.kill('SIGKILL');
    await ended;
    this.process = undefined;
  }

  /** Another version is there: its page is another. */
  publishAnother(): void {
    for (const name of ['index.html', 'service-worker.js']) {
      const file = path.join(this.folder, 'dist', name);
      const text = readFileSync(file, 'utf8');
      writeFileSync(
        file,
        name === 'index.html'
          ? text.replace('<html lang="en">', '<html lang="en" data-edition="second">')
          : text.replace(/(url:"index\.html",revision:")[0-9a-f]+/, '$1second'),
      );
    }
  }

  async end(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true });
  }
}

/** A test over a server of its own, that keeps the application for use without it. */
export const test = base.extend<{ server: OwnServer }>({
  // eslint-disable-next-line no-empty-pattern -- Playwright reads the names of what a fixture needs from this pattern.
  server: async ({}, runTest) => {
    const server = await OwnServer.start();
    await runTest(server);
    await server.end();
  },
});
/** Waits until the browser keeps the whole application. */
export const kept = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
