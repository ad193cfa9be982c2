import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import {
  calendarAction,
  card,
  expect,
  giveFiles,
  openPlan,
  openSetup,
  openTool,
  press,
  test,
  textFile,
} from './pages';

async function expectClean(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .exclude('option')
    .options({ resultTypes: ['violations'] })
    // There are no frames here: no second page need be opened to gather them.
    .setLegacyMode(true)
    .analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(
    serious.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`),
  ).toEqual([]);
}

test('axe finds nothing serious on the phone, in light colours', async ({ page }) => {
  test.skip(test.info().project.name !== 'phone', 'the wide screen has the test below');
  test.slow();
  await openPlan(page);
  await expectClean(page);
  await page.getByTestId('entry-line').fill('Boat check Fri 9-10');
  await expect(page.getByTestId('understood-title')).toBeVisible();
  await expectClean(page);
  await page.getByTestId('entry-line').fill('');
  await card(page, /Keeper rota call/).click();
  await expectClean(page);
  await page.getByRole('button', { name: 'Edit', exact: true }).click();
  await expect(page.getByTestId('editor')).toBeVisible();
  await expectClean(page);
  await page.getByTestId('repeat').click();
  await page.getByRole('radio', { name: 'months', exact: true }).click();
  await expectClean(page);
  await page.keyboard.press('Escape');
  await page.getByTestId('zone').click();
  await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
  await expectClean(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Series and exceptions' }).click();
  await expect(page.getByTestId('series-page')).toBeVisible();
  await expectClean(page);
  await page.goto('/?zone=Asia/Kolkata');
  await expect(page.getByTestId('zone-banner')).toBeVisible();
  await expectClean(page);
  await page.goto('/setup');
  await expect(page.getByRole('heading', { name: 'Calendars' })).toBeVisible();
  await expectClean(page);
  await page.getByRole('button', { name: 'New calendar' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectClean(page);
  await page.goto('/people?finding=1&chosen=demo-person-oona-pell,demo-person-marek-dunne');
  await expect(page.getByTestId('proposal').first()).toBeVisible();
  await page.getByTestId('lane-cursor').press('ArrowRight');
  await page
    .getByTestId('own-proposal')
    .getByRole('button', { name: /^Invite/ })
    .click();
  await expect(page.getByTestId('send-invitation')).toBeVisible();
  await expectClean(page);
  // Who is told nothing is not asked about after a reload.
  await page.getByRole('button', { name: 'Tell nobody' }).click();
  await page.goto('/people?free=1');
  await expect(page.getByTestId('free-text')).toBeVisible();
  await expectClean(page);
  await page.goto('/people?sees=demo-person-oona-pell');
  await page.getByRole('radio', { name: 'Titles' }).first().click();
  await page.getByRole('button', { name: 'As Oona Pell sees it' }).click();
  await expect(page.getByTestId('seen-plan').getByTestId('card').first()).toBeVisible();
  await expectClean(page);
  await page.goto('/?view=day&with=demo-person-oona-pell');
  await expect(page.getByTestId('colleague-time').first()).toBeVisible();
  await expectClean(page);
  await page.getByRole('button', { name: 'Colleagues in Plan' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectClean(page);
  await page.goto('/people');
  await page.getByRole('button', { name: 'Look for mail' }).click();
  await page.getByTestId('waits').first().click();
  await page.getByRole('button', { name: 'With words' }).click();
  await expectClean(page);
});

test('axe finds nothing serious in any view, sheet, search or print, in dark colours', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the phone has the test above');
  test.slow();
  await page.emulateMedia({ colorScheme: 'dark' });
  for (const view of ['weeks', 'year', 'agenda', 'lanes']) {
    await openPlan(page, `/?view=${view}&date=2027-03-09&hide=rota`);
    await expectClean(page);
  }
  await page.goto('/people?who=demo-person-tobias-rask');
  await expect(page.getByTestId('lanes')).toBeVisible();
  await expectClean(page);
  await openPlan(page, '/?view=lanes&date=2027-03-09&hide=rota');
  for (const name of [/^Presets/, /^How it looks/, /^Filter/]) {
    await openTool(page, name);
    await expectClean(page);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await page.getByRole('heading', { level: 1 }).getByRole('button').click();
  await expect(page.getByTestId('go-to')).toBeVisible();
  await expectClean(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Search' }).click();
  await page.getByTestId('search-field').fill('rota');
  await expect(page.getByTestId('search-hit').first()).toBeVisible();
  await expectClean(page);
  await page.goto('/print?view=week&date=2027-03-09');
  await expect(page.getByTestId('print-preview').getByTestId('print-sheet').first()).toBeVisible();
  await expectClean(page);
  await page.goto('/setup');
  await page.getByRole('button', { name: 'New period set' }).click();
  await expect(page.getByTestId('period-row').first()).toBeVisible();
  await expectClean(page);
});

test('axe finds nothing serious in the sheets of calendars, feeds, files and attachments', async ({
  page,
  request,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the sheets are the same on the phone');
  test.slow();
  await openSetup(page);
  const close = async () => {
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  };
  for (const name of [
    'Subscribe to a feed',
    'Details of Keeper rota',
    'Details of Meetings',
    'Change category report',
  ]) {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectClean(page);
    await close();
  }
  for (const action of [/Merge/, /Save as file/]) {
    await calendarAction(page, 'Home', action);
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectClean(page);
    await close();
  }
  await giveFiles(page, page.getByRole('button', { name: 'Import a file' }), [
    textFile('works.csv', 'What;Start\nQ1 works report;9/3/2027 10:30\n', 'text/csv'),
  ]);
  await expect(page.getByRole('dialog', { name: 'Columns of the table' })).toBeVisible();
  await expectClean(page);
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('button', { name: /^Import \d/ })).toBeVisible();
  await expectClean(page);
  await close();
  await calendarAction(page, 'Meetings', /^Publish/);
  await page.getByRole('button', { name: 'Publish', exact: true }).click();
  const address = page.getByRole('group', { name: 'Secret address of the page' });
  await expect(address).toContainText('/p/');
  await expectClean(page);
  const url = /http\S+\/p\/[\w-]+/.exec(await address.innerText())![0];
  expect((await request.get(url)).status()).toBe(200);
  await page.goto(`${url}?from=2027-03-09`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Meetings');
  await expectClean(page);

  await openPlan(page, '/?date=2027-03-09');
  await press(card(page, /Q1 works report/));
  await expect(page.getByTestId('attachments')).toBeVisible();
  await expectClean(page);
  await page.getByRole('button', { name: 'Again on …' }).click();
  await expectClean(page);
  await close();
  await page.getByRole('button', { name: 'Show skerry tower.svg' }).click();
  await expect(page.getByRole('img', { name: 'skerry tower.svg' })).toBeVisible();
  await expectClean(page);
});

test('nothing scrolls sideways at 320 pixels', async ({ page }) => {
  test.skip(test.info().project.name !== 'phone', 'a wide screen has the width');
  await page.setViewportSize({ width: 320, height: 640 });
  await openPlan(page);
  const overflow = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(await overflow()).toBeLessThanOrEqual(0);
  for (const view of ['weeks', 'year', 'agenda', 'lanes']) {
    await openPlan(page, `/?view=${view}&date=2027-03-09`);
    expect(await overflow()).toBeLessThanOrEqual(0);
  }
  await page.goto('/print?view=week&date=2027-03-09');
  await expect(page.getByTestId('print-preview')).toBeVisible();
  expect(await overflow()).toBeLessThanOrEqual(0);
  await page.goto('/setup');
  await expect(page.getByRole('heading', { name: 'Calendars' })).toBeVisible();
  expect(await overflow()).toBeLessThanOrEqual(0);
});

test.describe('what floats over the view', () => {
  test.use({ pressesRight: true });

  test('axe finds nothing serious in menus, a month and a list of times, in dark colours', async ({
    page,
  }) => {
    test.skip(test.info().project.name !== 'wide', 'they are the same on the phone');
    await page.emulateMedia({ colorScheme: 'dark' });
    await openPlan(page);
    const glass = card(page, /Order lantern glass/);
    await glass.click({ button: 'right' });
    await expectClean(page);
    await press(page.getByRole('menuitem', { name: 'Colour' }));
    await expectClean(page);
    await page.keyboard.press('Escape');
    await glass.focus();
    await page.keyboard.press('Enter');
    const editor = page.getByTestId('editor');
    await press(editor.getByRole('button', { name: 'Start date: pick a day' }));
    await expect(page.getByRole('grid')).toBeVisible();
    await expectClean(page);
    await page.keyboard.press('Escape');
    await press(editor.getByRole('button', { name: 'Start time: pick a time' }));
    await expectClean(page);
    await page.keyboard.press('Escape');
    await editor.getByRole('textbox', { name: 'Start date' }).fill('31/04');
    await editor.getByTestId('editor-title').focus();
    await expectClean(page);
  });
});
