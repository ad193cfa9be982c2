import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { launchOptions } from '../playwright.config';
import { measureTidyPlace } from './benchBrowserTidy';

/** Measures the built application in Chromium, on the demo and on the large set, and prints a table. */
const PORT = 4390;
const STEPS = 24;

const percentile = (times: number[], share: number): string => {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted.length === 0
    ? '–'
    : sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!.toFixed(0);
};
const both = (times: number[]): string =>
  `median ${percentile(times, 0.5)}, 95th ${percentile(times, 0.95)} ms`;

/** From a press to the frame after the view has changed for the last time; the strip follows when it can. */
async function timePresses(page: Page, label: string, count: number): Promise<number[]> {
  return page.evaluate(
    async ([name, times]) => {
      const found: number[] = [];
      for (let press = 0; press < times; press++) {
        const button = [
          ...document.querySelectorAll<HTMLElement>('[role="button"], [role="radio"], button'),
        ].find(
          (element) =>
            element.getAttribute('aria-label') ===
            (name.includes('|') ? name.split('|')[press % name.split('|').length] : name),
        )!;
        const plan = document.querySelector('[data-testid="plan-view"]')!;
        const start = performance.now();
        // Painted once nothing of the view has changed for half a second.
        await new Promise<void>((resolve) => {
          let last = start;
          let frames = 0;
          const observer = new MutationObserver(() => {
            last = performance.now();
            frames = 0;
          });
          observer.observe(plan, { subtree: true, childList: true, attributes: true, characterData: true });
          button.click();
          const frame = () => {
            frames++;
            if (frames >= 30 && last > start) {
              observer.disconnect();
              found.push(last - start);
              resolve();
            } else if (performance.now() - start > 3000) {
              observer.disconnect();
              resolve();
            } else requestAnimationFrame(frame);
          };
          requestAnimationFrame(frame);
        });
        await new Promise((resolve) => setTimeout(resolve, 150));
      }
      return found;
    },
    [label, count] as const,
  );
}

/** The lengths of frames while a card is dragged about. */
async function timeDrag(page: Page): Promise<number[]> {
  const box = (await page.getByTestId('card').first().boundingBox())!;
  await page.mouse.move(box.x + 30, box.y + 9);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y + 20);
  await page.evaluate(() => {
    const store = window as unknown as { frames: number[]; go: boolean };
    store.frames = [];
    store.go = true;
    let last = performance.now();
    const frame = () => {
      const now = performance.now();
      store.frames.push(now - last);
      last = now;
      if (store.go) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  });
  for (let move = 0; move < 60; move++)
    await page.mouse.move(box.x + 40 + (move % 30) * 15, box.y + 40 + (move % 20) * 14);
  const frames = await page.evaluate(() => {
    const store = window as unknown as { frames: number[]; go: boolean };
    store.go = false;
    return store.frames;
  });
  await page.keyboard.press('Escape');
  await page.mouse.up();
  return frames.slice(2);
}

/** From a key in the search field to the results that it finds; the index is made before. */
async function timeSearch(page: Page): Promise<number[]> {
  await page.getByRole('button', { name: 'Search' }).click();
  const field = page.getByTestId('search-field');
  await field.fill('rota');
  await page.getByTestId('search-hit').first().waitFor();
  const found: number[] = [];
  for (const text of [
    'lens',
    'invoi',
    'gull point',
    'kepper',
    'report',
    'salma grant',
    'paint',
    'order book',
  ]) {
    const time = await page.evaluate(async (words) => {
      const input = document.querySelector<HTMLInputElement>('[data-testid="search-field"]')!;
      const panel = document.querySelector('[data-testid="search"]')!;
      const start = performance.now();
      let last = start;
      const observer = new MutationObserver(() => {
        last = performance.now();
      });
      observer.observe(panel, { subtree: true, childList: true, characterData: true });
      Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(input, words);
      input.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise((resolve) => setTimeout(resolve, 500));
      observer.disconnect();
      return last - start;
    }, text);
    found.push(time);
  }
  await page.getByTestId('search').getByRole('button', { name: 'Close', exact: true }).click();
  return found;
}

/** When keys were pressed, when the log had told of as many commits, and when another tab had drawn one. */
interface Kept {
  readonly kept: number[];
  readonly shown: number[];
}

/**
 * From the press that moves an entry to its commit being in the log, as another page hears of it, and to the other tab
 * having drawn it.
 * @param pause between two presses, in milliseconds: long, each by itself; short, as a held key does
 */
async function timeKept(page: Page, other: Page, ear: Page, presses: number, pause: number): Promise<Kept> {
  await ear.evaluate(() => {
    const store = window as unknown as { heard: number[]; channel?: BroadcastChannel };
    store.heard = [];
    store.channel ??= new BroadcastChannel('orderly-week-log');
    // One message may tell of several commits.
    store.channel.onmessage = ({ data }: MessageEvent<string[]>) =>
      store.heard.push(...data.map(() => performance.timeOrigin + performance.now()));
  });
  await other.evaluate(() => {
    const store = window as unknown as { drawn: number[]; observer?: MutationObserver };
    store.drawn = [];
    store.observer?.disconnect();
    store.observer = new MutationObserver((all) => {
      const isCard = ({ target }: MutationRecord) =>
        target instanceof Element && target.closest('[data-testid=hours]') !== null;
      if (all.some(isCard)) store.drawn.push(performance.timeOrigin + performance.now());
    });
    store.observer.observe(document.body, {
      subtree: true,
      childList: true,
      attributes: true,
      attributeFilter: ['style', 'aria-label'],
    });
  });
  await page.evaluate(() => {
    const store = window as unknown as { pressed?: number[] };
    if (!store.pressed)
      document.addEventListener(
        'keydown',
        ({ key }) =>
          key.startsWith('Arrow') && store.pressed!.push(performance.timeOrigin + performance.now()),
        true,
      );
    store.pressed = [];
  });
  for (let press = 0; press < presses; press++) {
    await page.keyboard.press(press % 2 === 0 ? 'Alt+ArrowDown' : 'Alt+ArrowUp');
    await page.waitForTimeout(pause);
  }
  await page.waitForTimeout(1500);
  const pressed = await page.evaluate(() => (window as unknown as { pressed: number[] }).pressed);
  const heard = await ear.evaluate(() => (window as unknown as { heard: number[] }).heard);
  const drawn = await other.evaluate(() => (window as unknown as { drawn: number[] }).drawn);
  return {
    kept: heard.slice(0, pressed.length).map((time, index) => time - pressed[index]!),
    shown: pressed.flatMap((time) => {
      const first = drawn.find((at) => at > time);
      return first === undefined ? [] : [first - time];
    }),
  };
}

/** How long the small window takes until it shows the day as it was, and until it follows it, in milliseconds. */
async function timeSmall(context: BrowserContext, port: number): Promise<[number, number]> {
  const page = await context.newPage();
  const start = performance.now();
  await page.goto(`http://127.0.0.1:${port}/small`);
  await page.getByTestId('glance').or(page.getByTestId('small-day')).waitFor();
  const seen = performance.now() - start;
  await page.getByTestId('small-day').waitFor();
  const followed = performance.now() - start;
  await page.close();
  return [seen, followed];
}

async function measureSet(name: string, parameters: string[], port: number): Promise<void> {
  const server = spawn('node', ['--import', 'tsx', 'server/main.ts', '--port', String(port), ...parameters], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await once(server.stdout, 'data');
  const browser = await chromium.launch(launchOptions);
  try {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
      timezoneId: 'Europe/Lisbon',
    });
    // The runner names functions by a helper that pages do not have.
    await context.addInitScript('globalThis.__name = (value) => value');
    const page = await context.newPage();
    const open = async (): Promise<number> => {
      const start = performance.now();
      await page.goto(`http://127.0.0.1:${port}/`);
      await page.getByTestId('card').first().waitFor();
      return performance.now() - start;
    };
    console.log(`\n${name}`);
    console.log(`  first visit, with the data fetched and kept   ${(await open()).toFixed(0)} ms`);
    await page.waitForTimeout(3000);
    const starts = [];
    for (let visit = 0; visit < 3; visit++) starts.push(await open());
    console.log(`  start to usable, warm                         median ${percentile(starts, 0.5)} ms`);
    await page.locator('html[data-loaded=all]').waitFor({ state: 'attached' });
    const small = [];
    for (let visit = 0; visit < 3; visit++) small.push(await timeSmall(context, port));
    for (const [index, what] of ['the day is seen', 'it follows'].entries()) {
      const times = small.map((each) => each[index]!);
      console.log(`  ${`small window, warm, until ${what}`.padEnd(46)}median ${percentile(times, 0.5)} ms`);
    }
    console.log(
      `  step to the next week, press to painted       ${both(await timePresses(page, 'Step forward', STEPS))}`,
    );
    console.log(
      `  switch the view, press to painted             ${both(await timePresses(page, 'Week|Workdays|Day', STEPS))}`,
    );
    for (const view of ['Weeks', 'Year', 'Agenda', 'Lanes'] as const) {
      const presses = await timePresses(page, `Week|${view}`, STEPS);
      const there = presses.filter((_, index) => index % 2 === 1);
      console.log(`  switch to ${view.padEnd(36)}${both(there)}`);
      if (view === 'Agenda') continue;
      console.log(`  step in ${view.padEnd(38)}${both(await timePresses(page, 'Step forward', STEPS / 2))}`);
      await page.getByRole('button', { name: 'Today' }).click();
    }
    console.log(`  search key to results                         ${both(await timeSearch(page))}`);
    await page.getByRole('button', { name: 'Today' }).click();
    await page.getByRole('radio', { name: 'Workdays' }).click();
    await page.waitForTimeout(500);
    console.log(`  a frame while dragging                        ${both(await timeDrag(page))}`);
    const [other, ear] = [await context.newPage(), await context.newPage()];
    await ear.goto(`http://127.0.0.1:${port}/api/health`);
    await other.goto(`http://127.0.0.1:${port}/`);
    await other.locator('html[data-loaded=all]').waitFor({ state: 'attached' });
    await page.bringToFront();
    await page.getByTestId('entry-line').fill('Signal test Thu 12:00');
    await page.getByTestId('entry-line').press('Enter');
    await page.locator('[data-testid=card][aria-label*="Signal test"]').click();
    const single = await timeKept(page, other, ear, STEPS, 500);
    console.log(`  a change, until the log has it                ${both(single.kept)}`);
    console.log(`  a change, until another tab shows it          ${both(single.shown)}`);
    const held = await timeKept(page, other, ear, 2 * STEPS, 25);
    console.log(`  changes by a held key, until the log has them ${both(held.kept)}`);
    for (const [what, times] of await measureTidyPlace(page, `http://127.0.0.1:${port}`))
      console.log(`  ${what.padEnd(46)}${both([...times])}`);
  } finally {
    await browser.close();
    server.kill();
  }
}

async function main(): Promise<void> {
  const folder = 'dist/_expo/static/js/web';
  const sizes = readdirSync(folder).map((file) => ({
    file,
    gzip: gzipSync(readFileSync(`${folder}/${file}`)).length / 1000,
  }));
  const first = sizes.filter(({ file }) => /^(entry|__common|__expo-metro-runtime|engine-)/.test(file));
  console.log(
    'script before the first view, gzip:',
    `${first.reduce((sum, { gzip }) => sum + gzip, 0).toFixed(0)} kB`,
  );
  for (const { file, gzip } of sizes)
    console.log(`  ${file.replace(/-[0-9a-f]{32}/, '').padEnd(28)} ${gzip.toFixed(0)} kB`);
  // `large` alone measures the large set only.
  if (!process.argv.includes('large')) await measureSet('demo', [], PORT);
  await measureSet('large set', ['--large'], PORT + 1);
}

void main();
