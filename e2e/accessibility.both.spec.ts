import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { card, expect, openPlan, test } from './pages';

async function expectClean(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).exclude('option').analyze();
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
});

test('axe finds nothing serious in the views beyond the hours, in dark colours', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the phone has the test above');
  test.slow();
  await page.emulateMedia({ colorScheme: 'dark' });
  for (const view of ['weeks', 'year', 'agenda', 'lanes']) {
    await openPlan(page, `/?view=${view}&date=2027-03-09&hide=rota`);
    await expectClean(page);
  }
});

test('nothing scrolls sideways at 320 pixels', async ({ page }) => {
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
