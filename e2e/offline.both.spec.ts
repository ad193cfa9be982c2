import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createServer } from 'node:net';
import { test as base, expect, type Page } from '@playwright/test';
import { openPlan, press, writeLine } from './pages';

/** A server of the test's own, over a copy of the built application: it can be stopped, and given another version. */
class OwnServer {
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

const test = base.extend<{ server: OwnServer }>({
  // eslint-disable-next-line no-empty-pattern -- Playwright reads the names of what a fixture needs from this pattern.
  server: async ({}, runTest) => {
    const server = await OwnServer.start();
    await runTest(server);
    await server.end();
  },
});
test.use({ serviceWorkers: 'allow' });

/** Waits until the browser keeps the whole application. */
const kept = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });

test('with the server stopped the application reloads, opens at any address, and keeps what is written', async ({
  page,
  server,
}) => {
  await openPlan(page, `${server.address}/`);
  await kept(page);
  await server.stop();
  await page.reload();
  await expect(page.getByTestId('hours')).toBeVisible();
  await writeLine(page, 'Boat check today 18:00');
  await expect(page.getByTestId('notice')).toContainText('“Boat check” made');
  await page.goto(`${server.address}/?view=agenda&date=2027-03-09`);
  await expect(page.getByTestId('agenda')).toContainText('Boat check');
  await page.goto(`${server.address}/setup`);
  await expect(page.getByRole('heading', { name: 'Setup' })).toBeVisible();
  await expect(page.getByTestId('kept-offline')).toContainText('works without the network');
});

test('a new version is offered by a line, and taken when the person says so', async ({ page, server }) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await openPlan(page, `${server.address}/`);
  await kept(page);
  await page.reload();
  await expect(page.getByTestId('hours')).toBeVisible();
  server.publishAnother();
  const editing = page.getByTestId('entry-line');
  await editing.fill('Boat check today 18:00');
  await editing.press('Shift+Enter');
  await expect(page.getByTestId('editor')).toBeVisible();
  await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
  await expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null))
    .toBe(true);
  // Nothing is offered while something is being written.
  await expect(page.getByTestId('new-version')).toHaveCount(0);
  await press(page.getByTestId('editor').getByRole('button', { name: 'Save', exact: true }));
  await expect(page.getByTestId('new-version')).toBeVisible();
  await expect(page.locator('html')).not.toHaveAttribute('data-edition', 'second');
  await press(page.getByRole('button', { name: 'Take it' }));
  await expect(page.locator('html')).toHaveAttribute('data-edition', 'second');
  await expect(page.getByTestId('hours')).toBeVisible();
  const caches = await page.evaluate(async () => (await window.caches.keys()).length);
  expect(caches).toBe(1);
});

test('messages wait while the server is away, which is said, and are handed over when it is back', async ({
  page,
  server,
}) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await openPlan(page, `${server.address}/`);
  await kept(page);
  await page.goto(`${server.address}/setup`);
  await page.getByLabel('E-mail address').fill('juna.marsh@fennick.example');
  await press(page.getByTestId('save-addresses'));
  await expect(page.getByTestId('handover')).toContainText('Nothing is to be sent');
  await server.stop();
  await press(page.getByRole('link', { name: 'Plan' }));
  await writeLine(page, 'Boat check tomorrow 11:00 mail me an hour before');
  await press(page.getByRole('link', { name: 'Setup' }));
  await expect(page.getByTestId('handover')).toContainText('out of reach');
  await server.run();
  await expect(page.getByTestId('handover')).toContainText('1 message for the next fourteen days', {
    timeout: 60_000,
  });
  const address = await page.getByRole('link', { name: 'Open the outbox' }).getAttribute('href');
  const outbox = await page.request.get(`${server.address}${address}`);
  expect(await outbox.text()).toContain('E-mail to juna.marsh@fennick.example');
});

test('a due reminder is a notification of the browser, too, with what can be done about it', async ({
  page,
  context,
  server,
}) => {
  test.skip(test.info().project.name !== 'wide', 'a notification is the system’s');
  await context.grantPermissions(['notifications'], { origin: server.address });
  await openPlan(page, `${server.address}/?now=2027-03-09T13:49:45`);
  await kept(page);
  const shown = () =>
    page.evaluate(async () => {
      const registration = await navigator.serviceWorker.ready;
      return (await registration.getNotifications()).map(({ title, body }) => `${title}: ${body}`);
    });
  await expect(page.getByRole('region', { name: 'Reminders' })).toContainText('Keeper rota call', {
    timeout: 60_000,
  });
  await expect
    .poll(shown)
    .toEqual([expect.stringMatching(/^Keeper rota call: 14:00 · in 10 min · Lamp room/)]);
});

test('it can be installed: a manifest with icons of its own, and ways to a new entry and to today', async ({
  page,
  server,
}) => {
  await openPlan(page, `${server.address}/`);
  const manifest = await (await page.request.get(`${server.address}/manifest.webmanifest`)).json();
  for (const { src } of manifest.icons) {
    const icon = await page.request.get(`${server.address}${src}`);
    expect(icon.ok()).toBe(true);
  }
  expect(manifest.shortcuts.map(({ name }: { name: string }) => name)).toEqual(['New entry', 'Today']);
  await page.goto(`${server.address}${manifest.shortcuts[0].url}`);
  await expect(page.getByTestId('entry-line')).toBeFocused();
});
