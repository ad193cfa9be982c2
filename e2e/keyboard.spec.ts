import { card, CALENDAR_FILE, expect, openPlan, test } from './pages';

test('an entry is made by keyboard in the entry line, and shows where it was said', async ({ page }) => {
  await openPlan(page);
  const press = (key: string) => page.keyboard.press(key);

  // Made in the entry line.
  await press('Space');
  await expect(page.getByTestId('entry-line')).toBeFocused();
  await page.keyboard.type('Paint order Thu 13:00 30 min');
  await expect(page.getByTestId('understood-title')).toHaveText('Paint order');
  await press('Enter');
  const order = () => card(page, /Paint order/);
  await expect(order()).toHaveAttribute('aria-label', /Thursday 11 March, 13:00 to 13:30, Paint order/);
});

test('cards are walked with arrows, moved with Alt, stretched with Shift, selected with X', async ({
  page,
}) => {
  await openPlan(page);
  const press = (key: string) => page.keyboard.press(key);
  await card(page, /Works round/).focus();
  await press('ArrowDown');
  await expect(card(page, /Lens invoices/)).toBeFocused();
  await press('Alt+ArrowRight');
  await expect(card(page, /Tuesday 9 March, 10:00 to 12:00, Lens invoices/)).toBeFocused();
  await press('Alt+ArrowDown');
  await expect(card(page, /Tuesday 9 March, 10:15 to 12:15, Lens invoices/)).toBeFocused();
  await press('Alt+Shift+ArrowDown');
  await expect(card(page, /Tuesday 9 March, 10:15 to 12:30, Lens invoices/)).toBeFocused();

  // Edited.
  await press('Enter');
  await expect(page.getByTestId('editor').getByLabel('Title')).toBeFocused();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Lens bills');
  await press('Control+Enter');
  await expect(page.getByTestId('editor')).toHaveCount(0);
  await expect(card(page, /Lens bills/)).toBeFocused();

  // Two selected go to the bin together; undo and redo.
  await press('x');
  await press('ArrowDown');
  await press('x');
  await expect(page.getByRole('complementary').getByText('2 entries selected')).toBeVisible();
  await press('Delete');
  await expect(card(page, /Lens bills/)).toHaveCount(0);
  await press('Control+z');
  await expect(card(page, /Lens bills/)).toBeVisible();
  await press('Control+Shift+z');
  await expect(card(page, /Lens bills/)).toHaveCount(0);
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

test('a file is imported by keyboard, and views, steps and the list of keys have keys', async ({ page }) => {
  await openPlan(page);
  const press = (key: string) => page.keyboard.press(key);
  await press('4');
  await expect(page.getByTestId('day-head')).toHaveCount(7);
  await press(']');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('15–21 March 2027');
  await press('.');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('8–14 March 2027');
  await press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toHaveCount(0);

  await page.getByRole('link', { name: 'Setup' }).focus();
  await press('Enter');
  await page.getByRole('button', { name: 'Import a file' }).focus();
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press('Enter')]);
  await chooser.setFiles({
    name: 'stores.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(CALENDAR_FILE),
  });
  const go = page.getByRole('button', { name: 'Import 2 entries' });
  await go.focus();
  await press('Enter');
  await expect(page.getByText('2 entries imported into Stores and boats')).toBeVisible();
});
