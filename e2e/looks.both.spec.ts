import type { Page } from '@playwright/test';
import { chooseView, expect, openPlan, openTool, press, test } from './pages';
import { Finger } from './touch';

const isPhone = () => test.info().project.name === 'phone';
const title = (page: Page) => page.getByRole('heading', { level: 1 });
const close = (page: Page) =>
  press(page.getByRole('dialog').getByRole('button', { name: 'Close', exact: true }).first());

test('the address holds what is seen: back, reload and a second window show it again', async ({
  page,
  context,
}) => {
  test.skip(isPhone(), 'the address is the same on a phone');
  await openPlan(page, '/?view=workdays&date=2027-03-09');
  await press(page.getByRole('button', { name: 'Step forward' }));
  await expect(title(page)).toContainText(/15.*19/);
  await chooseView(page, 'Weeks');
  await expect(page.getByTestId('weeks')).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('weeks')).toBeVisible();
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByTestId('weeks')).toBeVisible();
  await expect(title(second)).toContainText('March 2027');
  await second.close();
  await page.goBack();
  await expect(page.getByTestId('hours')).toBeVisible();
  await expect(title(page)).toContainText(/15.*19/);
  await page.goBack();
  await expect(title(page)).toContainText(/8.*12/);
  // Steps through the history are taken one after another: the router writes each before the next.
  await page.evaluate(() => new Promise((resolve) => requestIdleCallback(resolve)));
  await page.goForward();
  await expect(title(page)).toContainText(/15.*19/);
});

test('a day is gone to in ordinary words', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  await press(title(page).getByRole('button'));
  const field = page.getByTestId('go-to');
  await field.fill('lamp');
  await expect(page.getByRole('alert')).toHaveText('No day could be read from this.');
  await field.fill('12 April');
  await expect(page.getByTestId('go-to-day')).toHaveText('Monday, 12 April 2027');
  await field.press('Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(title(page)).toContainText(/12.*18 April/);
});

test('a swipe steps on and back', async ({ page }) => {
  test.skip(!isPhone(), 'a finger swipes');
  await openPlan(page, '/?view=days&date=2027-03-09');
  const box = (await page.getByTestId('hours').boundingBox())!;
  const finger = await Finger.on(page);
  const y = box.y + box.height / 2;
  const [left, right] = [
    { x: box.x + 60, y },
    { x: box.x + box.width - 40, y },
  ];
  await finger.swipe(right, left);
  await expect(title(page)).toContainText(/12.*14/);
  await finger.swipe(left, right);
  await expect(title(page)).toContainText(/9.*11/);
  // The browser's own swipe, which goes back in its history, would take the step back again.
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).overscrollBehaviorX)).toBe(
    'none',
  );
});

test('a filter leaves entries out, says which and how many, and one press shows all', async ({ page }) => {
  test.skip(!isPhone(), 'the sheet is the same on a wide screen');
  await openPlan(page, '/?view=week&date=2027-03-09');
  const sheet = await openTool(page, /^Filter/);
  await press(sheet.getByRole('radio', { name: 'Online' }));
  await press(sheet.getByRole('radio', { name: 'Answers missing' }));
  await close(page);
  await expect(page.getByTestId('filter-line')).toContainText(
    /Only Online · Answers missing, \d+ entries left out/,
  );
  await expect(page.getByTestId('card')).toHaveCount(2);
  await expect(page).toHaveURL(/where=online.*answers=unanswered/);
  await page.reload();
  await expect(page.getByTestId('card')).toHaveCount(2);
  for (const view of ['agenda', 'year']) {
    await page.goto(`/?view=${view}&date=2027-03-09&hide=home`);
    await expect(page.getByTestId('filter-line')).toContainText(/1 calendar off, \d+ entries left out/);
  }
  await page.goto('/?view=week&date=2027-03-09&where=online');
  await press(page.getByTestId('filter-line').getByRole('button', { name: 'Show all' }));
  await expect(page.getByTestId('filter-line')).toHaveCount(0);
  await expect.poll(() => page.getByTestId('card').count()).toBeGreaterThan(10);
});

test('a period is shown and stepped through, from 1 March to 4 April first', async ({ page }) => {
  test.skip(isPhone(), 'the periods are the same on a phone');
  await openPlan(page);
  const sheet = await openTool(page, /^Presets/);
  await press(sheet.getByRole('button', { name: 'Apply Report period' }));
  await expect(title(page).getByRole('button')).toHaveAccessibleName(/Period 3 of 2027, 1 Mar.*4 Apr/);
  await expect(page.getByTestId('week-day')).toHaveCount(35);
  await press(page.getByRole('button', { name: 'Step forward' }));
  await expect(title(page).getByRole('button')).toHaveAccessibleName(/Period 4 of 2027, 5 Apr.*2 May/);
  await press(page.getByRole('button', { name: 'Step back' }));
  await press(page.getByRole('button', { name: 'Step back' }));
  await expect(title(page).getByRole('button')).toHaveAccessibleName(/Period 2 of 2027, 1.*28 Feb/);

  await openPlan(page, '/?view=year&date=2027-03-09');
  const look = await openTool(page, /^How it looks/);
  await look.getByLabel('Shows').selectOption({ label: 'Periods: Report periods' });
  await close(page);
  const inPeriod = page.getByRole('button', { name: /, in the period$/ });
  await expect(inPeriod).toHaveCount(35);
  await press(page.getByRole('button', { name: 'Step forward' }));
  await expect(inPeriod).toHaveCount(28);
});
