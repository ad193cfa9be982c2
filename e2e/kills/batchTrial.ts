import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { KillableBrowser } from './killableBrowser';

/**
 * Kills a browser while a change of thousands of entries is saved, and looks at its next start whether all of them have
 * changed or none. `npm run kill-batch -- 20` does so twenty times, over the large set.
 */
const KILLS = Number(process.argv[2] ?? 20);
const PORT = 4397;
/** The last kills come when everything has long been saved. */
const LONGEST_WAIT = 900;

const address = (search: string) => `http://127.0.0.1:${PORT}/tidy?span=all${search}`;
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

async function until(what: string, look: () => Promise<boolean>, patience = 60_000): Promise<void> {
  for (const end = Date.now() + patience; Date.now() < end;) {
    if (await look().catch(() => false)) return;
    await pause(50);
  }
  throw new Error(`${what} did not come`);
}

/** Goes somewhere. After starts that were killed it is asked how to open: as usual. */
async function open({ page }: KillableBrowser, search: string): Promise<void> {
  await page.goto(address(search));
  const asked = page.getByRole('button', { name: 'Open as usual' });
  await until('the table', async () => {
    if (await asked.isVisible()) await asked.click();
    return page.getByTestId('table-sums').isVisible();
  });
}

/** How many entries bear a category; the table says it. */
async function countOf(browser: KillableBrowser, category: string): Promise<number> {
  await open(browser, `&category=${category}`);
  const sums = browser.page.getByTestId('table-sums');
  return Number.parseInt((await sums.innerText()).replaceAll(/[^\d\n].*/g, ''), 10) || 0;
}

/** Sets a category on all entries, and kills the browser a moment after that was begun. */
async function changeAndKill(browser: KillableBrowser, category: string, wait: number): Promise<number> {
  const { page } = browser;
  await open(browser, '');
  await until('the rows', () => page.getByTestId('table-row').first().isVisible());
  await page.getByRole('columnheader').getByRole('checkbox').click();
  await page.getByTestId('begin-batch').click();
  await page.getByTestId('add-step').selectOption('categories');
  const form = page.getByTestId('step-form');
  await form.getByLabel('Categories, with commas between them').fill(category);
  await form.getByRole('button', { name: 'Take this step' }).click();
  const go = page.getByTestId('do-batch');
  await until('the preview', () => go.isEnabled());
  const count = Number.parseInt((await go.innerText()).replaceAll(/\D/g, ''), 10);
  await page.evaluate(() => document.querySelector<HTMLElement>('[data-testid="do-batch"]')!.click());
  await pause(wait);
  await browser.kill();
  return count;
}

const folder = mkdtempSync(path.join(tmpdir(), 'kill-batch-'));
const server = spawn(
  'node',
  [
    '--import',
    'tsx',
    'server/main.ts',
    '--large',
    '--port',
    String(PORT),
    '--data',
    path.join(folder, 'data'),
  ],
  { stdio: 'ignore' },
);

async function main(): Promise<void> {
  await until('the server', async () => (await fetch(`http://127.0.0.1:${PORT}/api/health`)).ok);
  const profile = path.join(folder, 'profile');
  const outcomes = { all: 0, none: 0, some: 0 };
  for (let kill = 0; kill < KILLS; kill++) {
    const category = `kill-${kill}`;
    const wait = Math.round((kill / KILLS) * LONGEST_WAIT);
    const wanted = await changeAndKill(await KillableBrowser.start(profile), category, wait);
    const next = await KillableBrowser.start(profile);
    const found = await countOf(next, category);
    await next.kill();
    outcomes[found === 0 ? 'none' : found === wanted ? 'all' : 'some']++;
    console.log(`kill ${kill + 1} after ${wait} ms: ${found} of ${wanted} changed`);
  }
  console.log(`${outcomes.all} times all, ${outcomes.none} times none, ${outcomes.some} times some`);
  process.exitCode = outcomes.some > 0 ? 1 : 0;
}

void main().finally(() => {
  server.kill();
  rmSync(folder, { recursive: true, force: true });
});
