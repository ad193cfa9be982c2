import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { type Browser, chromium, type Page } from '@playwright/test';
import { launchOptions } from '../playwright.config';

/** Takes the pictures of docs/screenshots anew, from the demo: `npm run screenshots`, after a build. */
const PORT = 4395;
const ADDRESS = `http://127.0.0.1:${PORT}`;
const FOLDER = 'docs/screenshots';

async function picture(
  browser: Browser,
  name: string,
  phone: boolean,
  path: string,
  act: (page: Page) => Promise<void>,
) {
  const context = await browser.newContext({
    viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    hasTouch: phone,
    isMobile: phone,
    locale: 'en-GB',
    timezoneId: 'Europe/Lisbon',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(ADDRESS + path);
  await page.locator('html[data-loaded=all]').waitFor({ state: 'attached' });
  await act(page);
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
  await context.close();
}

const openEditor = async (page: Page) => {
  await page.getByTestId('card').filter({ hasText: 'Keeper' }).click();
  await page.getByRole('button', { name: 'Edit', exact: true }).click();
  await page.getByTestId('editor').waitFor();
};

async function main(): Promise<void> {
  const server = spawn(
    'node',
    ['--import', 'tsx', 'server/main.ts', '--port', String(PORT), '--data', 'test-results/data'],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  await once(server.stdout, 'data');
  const browser = await chromium.launch(launchOptions);
  try {
    await picture(browser, 'week-wide', false, '/', async (page) => {
      await page.getByTestId('card').filter({ hasText: 'Keeper' }).click();
      await page.getByTestId('entry-line').fill('Crane survey review Thu 15:30 45 min at Lamp room');
    });
    const present = (page: Page, part: string) => page.getByTestId(part).first().waitFor();
    await picture(browser, 'weeks-wide', false, '/?view=weeks', (page) => present(page, 'week-day'));
    await picture(browser, 'year-wide', false, '/?view=year', async (page) => {
      await page.getByRole('button', { name: 'Close the desk' }).click();
      await page.locator('[data-level=over]').first().waitFor();
    });
    await picture(browser, 'agenda-phone', true, '/?view=agenda', (page) => present(page, 'card'));
    await picture(browser, 'lanes-wide', false, '/?view=lanes', async (page) => {
      await page.getByRole('button', { name: 'Close the desk' }).click();
      await present(page, 'card');
    });
    await picture(browser, 'print-wide', false, '/print?view=week', (page) => present(page, 'print-sheet'));
    const beside = ['oona-pell', 'tobias-rask', 'salma-wray'].map((name) => `demo-person-${name}`).join(',');
    await picture(browser, 'colleagues-wide', false, `/?view=day&with=${beside}`, (page) =>
      present(page, 'colleague-time'),
    );
    await picture(browser, 'days-phone', true, '/', async (page) => {
      await page.getByTestId('card').first().waitFor();
    });
    await picture(browser, 'small-window', true, '/small', async (page) => {
      await page.setViewportSize({ width: 320, height: 480 });
      await present(page, 'small-day');
      await present(page, 'due-todos');
    });
    await picture(browser, 'reminders-phone', true, '/?now=2027-03-09T09:00', async (page) => {
      const attended = page.locator('html[data-attending=true]');
      await attended.waitFor({ state: 'attached' });
      await page.waitForTimeout(1000);
      await page.goto(`${ADDRESS}/?now=2027-03-09T16:50`);
      await page.getByTestId('more-reminders').tap();
      await page.getByTestId('over-by-now').waitFor();
    });
    await picture(browser, 'editor-phone', true, '/', openEditor);
    await picture(browser, 'repeat-phone', true, '/', async (page) => {
      await openEditor(page);
      await page.getByTestId('repeat').click();
      await page.getByTestId('next-dates').waitFor();
    });
    await picture(browser, 'todos-wide', false, '/todos', (page) => present(page, 'todo'));
    await picture(browser, 'tidy-wide', false, '/tidy?span=four', async (page) => {
      const rows = page.getByTestId('table-row');
      await rows.first().waitFor();
      for (const title of ['Lens invoices', 'Rota check', 'Halifax grant panel'])
        await rows.filter({ hasText: title }).first().getByRole('checkbox').click();
      await page.getByTestId('begin-batch').click();
      for (const [kind, label, value] of [
        ['categories', 'Categories, with commas between them', 'spring'],
        ['trim', 'Minutes earlier', '5'],
      ] as const) {
        await page.getByTestId('add-step').selectOption(kind);
        await page.getByTestId('step-form').getByLabel(label).fill(value);
        await page.getByRole('button', { name: 'Take this step' }).click();
      }
      await page.getByTestId('preview-rows').waitFor();
    });
    await picture(browser, 'checks-wide', false, '/tidy?part=checks', async (page) => {
      await page.getByTestId('fix-safe').click();
      await page.getByTestId('preview-rows').waitFor();
    });
    await picture(browser, 'hours-phone', true, '/tidy?part=hours&span=month', async (page) => {
      await page.getByTestId('hours-chart').waitFor();
    });
    await picture(
      browser,
      'people-wide',
      false,
      '/people?finding=1&chosen=demo-person-oona-pell,demo-person-salma-wray,demo-person-tobias-rask',
      (page) => present(page, 'proposal'),
    );
    await picture(browser, 'invitation-wide', false, '/people', async (page) => {
      await page.getByRole('button', { name: 'Look for mail' }).click();
      await page.getByTestId('waits').filter({ hasText: 'Cape Farrow' }).click();
      await present(page, 'waiting-page');
    });
    await picture(browser, 'setup-wide', false, '/setup', async (page) => {
      await page.getByRole('heading', { name: 'Calendars' }).waitFor();
    });
  } finally {
    await browser.close();
    server.kill();
  }
}

void main();
