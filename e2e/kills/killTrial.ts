import 'temporal-polyfill/global';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import type { Database } from '@/store/database';
import { databaseLog, localChannel } from '@/store/databaseLog';
import { loadDatabase } from '@/store/load';
import { Chance } from '../../demo/random';
import { KillableBrowser } from './killableBrowser';
import { after, type Deeds, difference, isOfTrial, type Model, modelOf } from './model';

/**
 * Kills the browser at random moments while a person makes, moves, bins, undoes, does again and imports; opens it again and
 * compares. What was said to be done has to be there, nothing may be there by half, and what can be undone and done again
 * has to be what it was. `npm run kill-trial -- 300 [seed] [large]`, after a build; `large` begins with the large set.
 */
const KILLS = Number(process.argv[2] ?? 300);
const SEED = Number(process.argv[3] ?? Date.now() % 1_000_000);
const IS_LARGE = process.argv[4] === 'large';
const PORT = 4396;
const ADDRESS = `http://127.0.0.1:${PORT}`;
const DAY = '2027-03-10';
const MANY = 3000;

const chance = new Chance(SEED);
const folder = mkdtempSync(path.join(tmpdir(), 'kill-trial-'));
const profile = path.join(folder, 'profile');
const server = spawn(
  process.execPath,
  [
    ...['--import', 'tsx', 'server/main.ts', '--port', String(PORT), '--data', path.join(folder, 'data')],
    ...(IS_LARGE ? ['--large'] : []),
  ],
  { stdio: 'ignore' },
);

/** What the page has said, in order, and what it should say for a deed. */
const words = (deed: Deeds): RegExp => {
  switch (deed.what) {
    case 'make':
      return new RegExp(`^“${deed.name}” made`);
    case 'move':
      return new RegExp(`^“${deed.name}” moved`);
    case 'bin':
      return new RegExp(`^“${deed.name}” is in the bin`);
    case 'undo':
      return /^Undone/;
    case 'redo':
      return /^Done again/;
    case 'import':
      return /entries imported/;
  }
};

/** A round's deeds: chance decides, but what acts on the selected entry follows its making. */
function plan(round: number): Deeds[] {
  const deeds: Deeds[] = [];
  if (chance.percent(8)) {
    const names = Array.from({ length: MANY }, (_, index) => `Trial ${round} of many ${index}`);
    deeds.push({ what: 'import', names, day: DAY, calendar: `many ${round}` });
    if (chance.percent(50)) deeds.push({ what: 'undo' });
    return deeds;
  }
  for (let number = chance.between(1, 5); number > 0; number--) {
    const about = { name: `Trial ${round}.${number}`, day: DAY };
    deeds.push({ what: 'make', ...about });
    for (let moves = chance.between(0, 4); moves > 0; moves--) deeds.push({ what: 'move', ...about });
    if (chance.percent(40)) deeds.push({ what: 'bin', ...about });
    if (chance.percent(50)) deeds.push({ what: 'undo' }, { what: 'undo' });
    if (chance.percent(50)) deeds.push({ what: 'redo' });
  }
  return deeds;
}

const blur = (page: Page) => page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());

async function perform(page: Page, deed: Deeds): Promise<void> {
  switch (deed.what) {
    case 'make':
      await page.getByTestId('entry-line').fill(`${deed.name} Wed 10 March 2027 12:00`);
      await page.keyboard.press('Enter');
      // The line is empty again when it is made, and the entry selected.
      await page.waitForFunction(
        () => !document.querySelector<HTMLInputElement>('[data-testid="entry-line"]')?.value,
      );
      return blur(page);
    case 'move':
      return page.keyboard.press('Alt+ArrowRight');
    case 'bin':
      return page.keyboard.press('Delete');
    case 'undo':
      return page.keyboard.press('Control+z');
    case 'redo':
      return page.keyboard.press('Control+Shift+z');
    case 'import': {
      const file = path.join(folder, `${deed.calendar}.ics`);
      const events = deed.names.flatMap((name) => [
        'BEGIN:VEVENT',
        `UID:${name.replaceAll(' ', '-')}`,
        'DTSTART:20270310T120000Z',
        'DURATION:PT30M',
        `SUMMARY:${name}`,
        'END:VEVENT',
      ]);
      writeFileSync(file, ['BEGIN:VCALENDAR', 'VERSION:2.0', ...events, 'END:VCALENDAR', ''].join('\r\n'));
      await page.getByRole('link', { name: 'Setup' }).click();
      const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        page.getByRole('button', { name: 'Import a file' }).click(),
      ]);
      await chooser.setFiles(file);
      await page.getByRole('button', { name: `Import ${MANY} entries` }).click();
      return;
    }
  }
}

/** What is kept on the disk, read as the application reads it. */
async function kept(page: Page): Promise<{ model: Model; setAside: number }> {
  await page.goto(`${ADDRESS}/api/health`);
  const dump = (name: string): Promise<[string, string][]> =>
    page.evaluate(
      (database) =>
        new Promise<[string, string][]>((resolve, reject) => {
          const request = indexedDB.open(database);
          request.onerror = () => reject(new Error('no database'));
          request.onsuccess = () => {
            const [name] = request.result.objectStoreNames;
            if (!name) return resolve([]);
            const store = request.result.transaction(name).objectStore(name);
            const [keys, values] = [store.getAllKeys(), store.getAll()];
            store.transaction.oncomplete = () => {
              request.result.close();
              resolve(keys.result.map((key, index) => [key as string, values.result[index] as string]));
            };
          };
        }),
      name,
    );
  const records = memory(await dump('orderly-week'));
  const log = databaseLog(memory(await dump('orderly-week-log')), localChannel());
  const { timeline, setAside } = await loadDatabase(records, log);
  return { model: modelOf(timeline.state, timeline.history), setAside };
}

function memory(texts: [string, string][]): Database {
  const map = new Map(texts);
  const get = (key: string) => map.get(key) ?? null;
  return {
    getItem: async (key) => get(key),
    getMany: async (keys) => Object.fromEntries(keys.map((key) => [key, get(key)])),
    getAllKeys: async () => [...map.keys()],
    setItem: async (key, text) => void map.set(key, text),
    setMany: async (entries) => Object.entries(entries).forEach(([key, text]) => map.set(key, text)),
    removeItem: async (key) => void map.delete(key),
    removeMany: async (keys) => keys.forEach((key) => map.delete(key)),
  };
}

async function openPlan(page: Page): Promise<void> {
  await page.goto(`${ADDRESS}/?view=week&date=2027-03-10`);
  const card = page.getByTestId('card').first();
  // Killed twice before it stood for a second, it asks how to open.
  const usual = page.getByRole('button', { name: 'Open as usual' });
  await card.or(usual).first().waitFor({ timeout: 60_000 });
  if (await usual.isVisible()) await usual.click();
  await card.waitFor({ timeout: 60_000 });
}

interface Result {
  readonly issued: number;
  readonly said: number;
  readonly fault: string | undefined;
}

/** One kill: what was said before it against what is there after it. */
async function round(number: number): Promise<Result> {
  const browser = await KillableBrowser.start(profile);
  const { page } = browser;
  const before = (await kept(page)).model;
  const deeds = plan(number);
  let issued = 0;
  let said = 0;
  await page.exposeFunction('heardNotice', (text: string) => {
    const index = deeds.findIndex((deed, at) => at >= said && at < issued && words(deed).test(text));
    if (index >= 0) said = index + 1;
  });
  await openPlan(page);
  await page.evaluate(() => {
    let last = '';
    new MutationObserver(() => {
      const text = document.querySelector('[data-testid="notice"]')?.textContent ?? '';
      if (text === last) return;
      last = text;
      (window as unknown as { heardNotice: (text: string) => void }).heardNotice(text);
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  });
  const isLarge = deeds[0]?.what === 'import';
  let isOver = false;
  const doing = (async () => {
    for (const deed of deeds) {
      if (isOver) return;
      if (deed.what === 'undo' && isLarge)
        while (said < issued && !isOver) await new Promise((resolve) => setTimeout(resolve, 20));
      issued++;
      await perform(page, deed);
    }
  })().catch((error: unknown) => {
    if (!isOver) throw error;
  });
  const fate = new Promise((resolve) => setTimeout(resolve, chance.between(20, isLarge ? 6_000 : 2_500)));
  await Promise.race([
    fate,
    doing.then(() => new Promise((resolve) => setTimeout(resolve, chance.between(0, 150)))),
  ]);
  isOver = true;
  // What is on its way here was said.
  await browser.kill();
  await doing;

  const again = await KillableBrowser.start(profile);
  try {
    const { model, setAside } = await kept(again.page);
    let expected = before;
    const differences: string[] = [];
    let isFound = false;
    for (let count = 0; count <= issued; count++) {
      if (count > 0) expected = after(expected, deeds[count - 1]!);
      if (count < said) continue;
      const found = difference(expected, model);
      if (!found) isFound = true;
      else if (!isFound) differences.push(`after ${count}: ${found}`);
    }
    const fault = setAside > 0 ? `${setAside} put aside` : isFound ? undefined : differences.join('; ');
    // It opens, and what is many goes again.
    await openPlan(again.page);
    const many = [...model.entries.keys()].filter((name) => isOfTrial(name)).length;
    if (many > 500 && !fault) {
      await again.page.keyboard.press('Control+z');
      await again.page
        .getByText(/^Undone|There is nothing/)
        .first()
        .waitFor();
      await new Promise((resolve) => setTimeout(resolve, 1_500));
    }
    return { issued, said, fault };
  } finally {
    await again.kill();
  }
}

async function main(): Promise<void> {
  for (let tries = 0; tries < 200; tries++) {
    if (
      await fetch(`${ADDRESS}/api/health`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  // The demo is there before anything is killed.
  const first = await KillableBrowser.start(profile);
  await openPlan(first.page);
  await new Promise((resolve) => setTimeout(resolve, 2_000));
  await first.kill();
  const sum = { kills: 0, issued: 0, said: 0, faults: 0 };
  for (let number = 1; number <= KILLS; number++) {
    const { issued, said, fault } = await round(number);
    sum.kills++;
    sum.issued += issued;
    sum.said += said;
    if (fault) {
      sum.faults++;
      console.log(`kill ${number}: said ${said} of ${issued} — ${fault}`);
    } else if (number % 20 === 0) console.log(`kill ${number}`, JSON.stringify(sum));
  }
  console.log(`seed ${SEED}${IS_LARGE ? ', large set' : ''}:`, JSON.stringify(sum));
  process.exitCode = sum.faults > 0 ? 1 : 0;
}

void main().finally(() => {
  server.kill();
  rmSync(folder, { recursive: true, force: true });
});
