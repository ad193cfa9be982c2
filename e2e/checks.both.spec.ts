import type { Locator, Page } from '@playwright/test';
import { card, expect, expectKept, openPlan, press, test } from './pages';

const group = (page: Page, check: string): Locator => page.getByTestId(`check-${check}`);

/** Opens the checks and waits until they have looked. */
async function openChecks(page: Page): Promise<void> {
  await page.goto('/tidy?part=checks');
  await expect(group(page, 'double')).toBeVisible();
}

/** Does what the open panel proposes. */
async function apply(page: Page): Promise<void> {
  await press(page.getByTestId('do-batch'));
  await expect(page.getByTestId('batch')).toHaveCount(0);
}

test('all doubles are cleared after a look at them, and come back as one', async ({ page }) => {
  await openChecks(page);
  await press(group(page, 'double').getByRole('button', { name: /^Fix all 3/ }));
  await expect(page.getByTestId('preview-rows').getByText('goes to the bin')).toHaveCount(3);
  // One of them is meant: it is left out.
  await press(page.getByRole('button', { name: 'Leave Lens invoices out' }));
  await expect(page.getByTestId('do-batch')).toContainText('Change 2 entries');
  await apply(page);
  await expect(group(page, 'double').getByTestId('finding')).toHaveCount(1);
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(group(page, 'double').getByTestId('finding')).toHaveCount(3);
  // Among what the table shows, only one of them is.
  await press(page.getByRole('radio', { name: 'What the table shows' }));
  await expect(group(page, 'double').getByTestId('finding')).toHaveCount(1);
  await expect(page).toHaveURL(/among=table/);
});

test('a series that nobody touches is ended, and what is safe is fixed at once', async ({ page }) => {
  await openChecks(page);
  const endless = group(page, 'endless');
  await press(endless.getByRole('button', { name: /^Fix: “Order book”/ }));
  await expect(page.getByTestId('batch')).toContainText('Order book');
  await apply(page);
  await expect(endless).not.toContainText('Order book');

  const safe = page.getByTestId('fix-safe');
  await press(safe);
  await apply(page);
  await expect(safe).toHaveCount(0);
  for (const check of ['same-uid', 'midnight', 'same-as-series'])
    await expect(group(page, check)).toHaveCount(0);
});

test('what is fine is said so once: it stays away over a reload, until it is looked at again', async ({
  page,
}) => {
  await openChecks(page);
  const zero = group(page, 'zero-length');
  await press(zero.getByRole('button', { name: /^It is fine: “Lamp oil delivery”/ }));
  await expect(zero).toHaveCount(0);
  await expect(page.getByTestId('notice')).toContainText('Fine as it is: “Lamp oil delivery”');
  await expectKept(page, 'zero-length');
  await openChecks(page);
  await expect(page.getByText('1 fine as they are')).toBeVisible();
  await expect(zero).toHaveCount(0);
  await press(page.getByRole('button', { name: 'Look at those again' }));
  await expect(zero).toBeVisible();
});

test('the findings are walked, skipped, kept, opened and fixed by keys', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'keys are the same on the phone');
  await openChecks(page);
  const rows = page.getByTestId('finding');
  await rows.first().focus();
  await page.keyboard.press('ArrowDown');
  await expect(rows.nth(1)).toBeFocused();
  const second = (await rows.nth(1).textContent())!;
  await page.keyboard.press('s');
  await expect(page.getByText('1 skipped')).toBeVisible();
  await expect(rows.nth(1)).toBeFocused();
  await expect(rows.nth(1)).not.toHaveText(second);
  await page.keyboard.press('k');
  await expect(page.getByText('1 fine as they are')).toBeVisible();
  await expect(rows.nth(1)).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary')).toContainText('Pilot boat hire');
  await page.keyboard.press('f');
  await expect(page.getByTestId('do-batch')).toContainText('Change 1 entry');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByTestId('batch')).toHaveCount(0);
  await expect(group(page, 'same-uid')).toHaveCount(0);
  await expect(rows.first()).toBeFocused();
});

test('files over a megabyte are taken off, and how much was found stands at the place', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await openPlan(page, '/?view=day&date=2027-03-09');
  await card(page, /Q1 works report/).click();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Attach files' }).click(),
  ]);
  await chooser.setFiles([
    { name: 'photos.bin', mimeType: 'application/octet-stream', buffer: Buffer.alloc(1_200_000, 7) },
    { name: 'oil.csv', mimeType: 'text/csv', buffer: Buffer.from('Store,Count') },
  ]);
  await expect(page.getByText('photos.bin')).toBeVisible();
  await openChecks(page);
  const files = group(page, 'large-file');
  await expect(files).toContainText('“Q1 works report” bears 1 file of 1.2 MB');
  const place = page.getByRole('link', { name: /^Tidy, \d+ found$/ });
  await expect(place).toBeVisible();
  const before = await place.textContent();
  await press(files.getByRole('button', { name: /^Fix/ }));
  await apply(page);
  await expect(files).toHaveCount(0);
  await expect(place).not.toHaveText(before!);
  await openPlan(page, '/?view=day&date=2027-03-09');
  await expect(place).toBeVisible();
  await card(page, /Q1 works report/).click();
  await expect(page.getByText('oil.csv')).toBeVisible();
  await expect(page.getByText('photos.bin')).toHaveCount(0);
});
