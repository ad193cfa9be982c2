import { card, expect, expectKept, openPlan, test } from './pages';

for (const { width, height } of [
  { width: 640, height: 400 },
  { width: 844, height: 390 },
  { width: 320, height: 256 },
]) {
  test(`a window of ${width} by ${height} has half of it for the hours, and the rest behind a button`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await openPlan(page, '/?view=day&date=2027-03-10');
    // The hours themselves, without heads and whole days.
    const hours = await page.getByTestId('hours').evaluate((frame) => {
      const scrolled = [...frame.querySelectorAll('*')].find(
        (each) => getComputedStyle(each).overflowY === 'auto',
      )!;
      return scrolled.clientHeight;
    });
    expect(hours).toBeGreaterThanOrEqual(height / 2);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width);
    await expect(page.getByTestId('entry-line')).toHaveCount(0);

    // A key leads to the line as ever; Escape folds it away.
    await page.keyboard.press(' ');
    await expect(page.getByTestId('entry-line')).toBeFocused();
    await page.keyboard.type('Buoy log 12:30 30 min');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('notice')).toContainText('“Buoy log” made');
    await page.getByRole('button', { name: /^Close new entry/ }).click();
    await expect(page.getByTestId('folded-rows')).toHaveCount(0);
    await page.getByRole('button', { name: /^Open new entry/ }).click();
    await page.getByTestId('folded-rows').getByRole('button', { name: 'Search' }).focus();
    await page.keyboard.press('Escape');
    await expect(page.getByTestId('folded-rows')).toHaveCount(0);
    await expect(page.getByRole('button', { name: /^Open new entry/ })).toBeFocused();
  });
}

test('a day opens where its entries are', async ({ page }) => {
  await page.setViewportSize({ width: 640, height: 400 });
  await openPlan(page, '/?view=day&date=2027-03-09');
  await page.keyboard.press(' ');
  await page.getByTestId('entry-line').fill('Late call 14 March 16:30 1 h');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('notice')).toContainText('“Late call” made');
  await expectKept(page, 'Late call');
  // The hours begin at eight, and half past four is far below what is seen of them.
  await page.goto('/?view=day&date=2027-03-14');
  await expect(card(page, /Late call/)).toBeInViewport({ ratio: 0.9 });
});

test('a keyboard that takes height away leaves the field that it came for', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openPlan(page, '/?view=day&date=2027-03-09');
  await page.getByTestId('entry-line').fill('Buoy log');
  await page.setViewportSize({ width: 390, height: 420 });
  await expect(page.getByTestId('entry-line')).toBeFocused();
  await expect(page.getByTestId('entry-line')).toHaveValue('Buoy log');
});
