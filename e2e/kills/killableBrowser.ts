import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { type Browser, chromium, type Page } from '@playwright/test';
import { launchOptions } from '../../playwright.config';

/** A browser with a profile that outlives it, as a tree of processes that can be killed at any moment. */
export class KillableBrowser {
  private constructor(
    private readonly processes: ChildProcess,
    readonly page: Page,
    private readonly browser: Browser,
  ) {}

  static async start(profile: string): Promise<KillableBrowser> {
    const portFile = path.join(profile, 'DevToolsActivePort');
    rmSync(portFile, { force: true });
    const processes = spawn(
      launchOptions.executablePath,
      [
        ...launchOptions.args,
        '--headless=new',
        '--remote-debugging-port=0',
        `--user-data-dir=${profile}`,
        '--window-size=1280,800',
        'about:blank',
      ],
      // A group of its own: all of it dies at once.
      { detached: true, stdio: 'ignore', env: { ...process.env, TZ: 'Europe/Lisbon' } },
    );
    const port = await until(() =>
      existsSync(portFile) ? readFileSync(portFile, 'utf8').split('\n')[0] || undefined : undefined,
    );
    const browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
    const page = browser.contexts()[0]!.pages()[0]!;
    return new KillableBrowser(processes, page, browser);
  }

  /** Kills everything, as the system would. */
  async kill(): Promise<void> {
    const isGone = new Promise((resolve) => this.processes.once('exit', resolve));
    process.kill(-this.processes.pid!, 'SIGKILL');
    await isGone;
    await this.browser.close().catch(() => undefined);
  }
}

async function until<Value>(look: () => Value | undefined, patience = 30_000): Promise<Value> {
  for (const end = Date.now() + patience; Date.now() < end;) {
    const value = look();
    if (value !== undefined) return value;
    await new Promise((resolve) => setTimeout(resolve, 25));
  }
  throw new Error('the browser did not start');
}
