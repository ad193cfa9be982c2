import type { Page } from '@playwright/test';
import { expect, openPlan, press, test } from './pages';

const isPhone = () => test.info().project.name === 'phone';
const hits = (page: Page) => page.getByTestId('search-hit');

async function openSearch(page: Page): Promise<void> {
  await press(page.getByRole('button', { name: 'Search' }));
  await expect(page.getByTestId('search-field')).toBeFocused();
}

test('words are found with their places, errors are forgiven, and a series is found once', async ({
  page,
}) => {
  test.skip(isPhone(), 'what is found is the same on a phone');
  await openPlan(page, '/?view=workdays&date=2027-03-09');
  await openSearch(page);
  const field = page.getByTestId('search-field');
  await field.fill('kepper rota cal');
  await expect(hits(page)).toHaveCount(1);
  await expect(hits(page)).toContainText(/Keeper rota call.*Tue 9 March 2027/s);
  await field.fill('salma');
  await expect(page.getByRole('group', { name: 'Where it was found' })).toContainText(
    /Title \d+.*People \d+/s,
  );
  await press(page.getByRole('button', { name: /^People \d/ }));
  await expect(hits(page)).toHaveCount(2);
  await field.fill('has:attachment');
  await expect(hits(page)).toHaveCount(2);
  await field.fill('is:lost');
  await expect(page.getByRole('status').filter({ hasText: 'not understood' })).toContainText('is:lost');
  await field.fill('zzzz');
  await expect(page.getByText('Nothing found.')).toBeVisible();
});

test('arrow keys walk the results, and the view follows', async ({ page }) => {
  test.skip(isPhone(), 'keys are for wide screens');
  await openPlan(page, '/?view=workdays&date=2027-03-09');
  await page.keyboard.press('/');
  await page.getByTestId('search-field').fill('"Cape Farrow inspection" from:2027-03');
  await expect(hits(page).first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await expect(hits(page).first()).toHaveAttribute('aria-selected', 'true');
  const first = page.url();
  await page.keyboard.press('ArrowDown');
  await expect(hits(page).nth(1)).toHaveAttribute('aria-selected', 'true');
  await expect.poll(() => page.url()).not.toBe(first);
  await expect(page.getByTestId('search-field')).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('search-field')).toHaveValue('');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('search')).toHaveCount(0);
});

test('a result of a hidden calendar is shown; on a phone a press goes there', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-09&hide=visits');
  await openSearch(page);
  await page.getByTestId('search-field').fill('Gull Point inspection low water');
  await press(hits(page).first());
  await expect(page.getByRole('heading', { level: 1 })).toContainText('10 March');
  await expect(
    page
      .getByTestId('hours')
      .getByRole('button', { name: /Gull Point inspection/ })
      .first(),
  ).toHaveAttribute('aria-pressed', 'true');
  if (isPhone()) await expect(page.getByTestId('search')).toHaveCount(0);
});

test('what was just written is found', async ({ page }) => {
  test.skip(!isPhone(), 'what is found is the same on a wide screen');
  await openPlan(page, '/?view=day&date=2027-03-09');
  await openSearch(page);
  await page.getByTestId('search-field').fill('beacon');
  await expect(page.getByText('Nothing found.')).toBeVisible();
  await press(page.getByRole('button', { name: 'Close', exact: true }).first());
  await page.getByTestId('entry-line').fill('Beacon paint Thu 12:00');
  await expect(page.getByTestId('understood-title')).toHaveText(/Beacon paint/);
  await page.getByTestId('entry-line').press('Enter');
  await expect(page.getByText('“Beacon paint” made')).toBeVisible();
  await openSearch(page);
  await page.getByTestId('search-field').fill('beacon');
  await expect(hits(page)).toHaveCount(1);
});
