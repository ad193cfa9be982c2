import type { Locator, Page } from '@playwright/test';
import { card, CALENDAR_FILE, expect, openPlan, test } from './pages';

const hasFocus = (locator: Locator): Promise<boolean> =>
  locator.evaluate((element) => element === document.activeElement);

/** Presses Tab until an element has the focus, as a person without a mouse does. */
async function tabTo(page: Page, locator: Locator, key: 'Tab' | 'Shift+Tab' = 'Tab'): Promise<void> {
  await expect(locator).toBeVisible();
  for (let presses = 0; presses < 90 && !(await hasFocus(locator)); presses++) await page.keyboard.press(key);
  await expect(locator).toBeFocused();
}

const isThursday = (page: Page): Promise<boolean> =>
  page.evaluate(() => !!document.activeElement?.getAttribute('aria-label')?.startsWith('Thursday'));

/** Goes up or down a day's cards until one has the focus. */
async function walkTo(page: Page, locator: Locator): Promise<void> {
  for (const arrow of ['ArrowUp', 'ArrowDown'])
    for (let presses = 0; presses < 12 && !(await hasFocus(locator)); presses++)
      await page.keyboard.press(arrow);
  await expect(locator).toBeFocused();
}

test('the whole job by keyboard alone: make, move, stretch, edit, bin, undo, import', async ({ page }) => {
  // Choosers are caught from here on: a key is quicker than it takes to begin to.
  page.on('filechooser', () => undefined);
  await openPlan(page);
  const press = (key: string) => page.keyboard.press(key);

  // Made in the entry line.
  await press('Space');
  await expect(page.getByTestId('entry-line')).toBeFocused();
  await page.keyboard.type('Paint order Thu 13:00 30 min');
  await expect(page.getByTestId('understood-title')).toHaveText('Paint order');
  await press('Enter');
  const order = card(page, /Paint order/);
  await expect(order).toHaveAttribute('aria-label', /Thursday 11 March, 13:00 to 13:30, Paint order/);

  // Walked to, moved, stretched.
  await tabTo(page, page.getByTestId('hours').locator('[data-key][tabindex="0"]'), 'Shift+Tab');
  for (let steps = 0; steps < 4 && !(await isThursday(page)); steps++) await press('ArrowRight');
  await walkTo(page, order);
  await press('Alt+ArrowLeft');
  await expect(card(page, /Wednesday 10 March, 13:00 to 13:30, Paint order/)).toBeFocused();
  await press('Alt+ArrowDown');
  await expect(card(page, /13:15 to 13:45, Paint order/)).toBeFocused();
  await press('Alt+Shift+ArrowDown');
  await expect(card(page, /13:15 to 14:00, Paint order/)).toBeFocused();

  // Edited.
  await press('Enter');
  await expect(page.getByTestId('editor').getByLabel('Title')).toBeFocused();
  await press('Control+a');
  await page.keyboard.type('Red paint');
  await press('Control+Enter');
  await expect(page.getByTestId('editor')).toHaveCount(0);
  await expect(card(page, /Red paint/)).toBeFocused();

  // Two selected go to the bin together; undo and redo.
  await press('x');
  await press('ArrowUp');
  await press('x');
  await expect(page.getByRole('complementary').getByText('2 entries selected')).toBeVisible();
  await press('Delete');
  await expect(card(page, /Red paint/)).toHaveCount(0);
  await press('Control+z');
  await expect(card(page, /Red paint/)).toBeVisible();
  await press('Control+Shift+z');
  await expect(card(page, /Red paint/)).toHaveCount(0);

  // Imported.
  await tabTo(page, page.getByRole('link', { name: 'Setup' }), 'Shift+Tab');
  await press('Enter');
  await tabTo(page, page.getByRole('button', { name: 'Import a file' }));
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press('Enter')]);
  await chooser.setFiles({
    name: 'stores.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(CALENDAR_FILE),
  });
  await tabTo(page, page.getByRole('button', { name: 'Import 2 entries' }));
  await press('Enter');
  await expect(page.getByText('2 entries imported into Stores and boats')).toBeVisible();
});

test('a series is moved by keyboard through its question', async ({ page }) => {
  await openPlan(page);
  await card(page, /Keeper rota call/).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(page.getByRole('dialog', { name: 'This is one of a series' })).toBeVisible();
  await page.getByRole('button', { name: 'Just this one' }).focus();
  await page.keyboard.press('Enter');
  await expect(card(page, /14:15 to 15:15, Keeper rota call/)).toBeVisible();
});

test('a repeat and a zone are set by keyboard alone', async ({ page }) => {
  await openPlan(page);
  const press = (key: string) => page.keyboard.press(key);
  await card(page, /Order lantern glass/).focus();
  await press('Enter');
  const editor = page.getByTestId('editor');
  await expect(editor.getByLabel('Title')).toBeFocused();

  await tabTo(page, editor.getByTestId('zone'));
  await press('Enter');
  await expect(page.getByTestId('zone-search')).toBeFocused();
  await page.keyboard.type('halifax');
  await expect(page.getByRole('listbox').getByRole('option').first()).toHaveAttribute(
    'aria-label',
    /^Halifax/,
  );
  await press('ArrowDown');
  await press('ArrowUp');
  await press('Enter');
  await expect(editor.getByTestId('zone')).toBeFocused();
  await expect(editor.getByTestId('zone')).toHaveAttribute('aria-label', /Halifax/);

  await tabTo(page, editor.getByTestId('repeat'));
  await press('Enter');
  const repeat = page.getByTestId('repeat-editor');
  await tabTo(page, repeat.getByRole('radio', { name: 'Every other Thursday' }));
  await press('Enter');
  await expect(repeat.getByTestId('next-dates')).toContainText('Thu 25 Mar');
  await press('Control+Enter');
  await expect(editor.getByTestId('repeat')).toBeFocused();
  await expect(editor.getByTestId('repeat')).toContainText('Every other Thursday');
  // Escape leaves the repeat editor as it was, and not the editor.
  await press('Enter');
  await press('Escape');
  await expect(repeat).toHaveCount(0);
  await expect(editor).toBeVisible();
  await press('Control+Enter');
  await expect(editor).toHaveCount(0);
  await expect(card(page, /14:30 to 16:30, Order lantern glass, .*repeats/)).toBeVisible();
});

test("a series' page is opened, walked and closed by keyboard", async ({ page }) => {
  await openPlan(page);
  const press = (key: string) => page.keyboard.press(key);
  await card(page, /Keeper rota call/).click();
  const opener = page.getByRole('button', { name: 'Series and exceptions' });
  await opener.focus();
  await press('Enter');
  const series = page.getByTestId('series-page');
  await expect(series.getByRole('button', { name: 'Close' })).toBeFocused();
  await tabTo(page, series.getByRole('button', { name: /Set the occurrence of 23 March 2027 back/ }));
  await press('Enter');
  await expect(series.getByRole('group', { name: 'Changed (1)' })).toBeVisible();
  await press('Escape');
  await expect(series).toHaveCount(0);
});

test('views, steps and the list of keys have keys', async ({ page }) => {
  await openPlan(page);
  const press = (key: string) => page.keyboard.press(key);
  await press('4');
  await expect(page.getByTestId('day-head')).toHaveCount(7);
  await press(']');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('15–21 March');
  await press('.');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('8–14 March');
  await press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toHaveCount(0);
});
