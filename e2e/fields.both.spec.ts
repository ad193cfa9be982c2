import { card, expect, openPlan, press, test } from './pages';

test('dates and times are typed as one writes them, and shown as everywhere else', async ({ page }) => {
  await openPlan(page);
  await card(page, /Keeper rota call/).focus();
  await page.keyboard.press('Enter');
  const editor = page.getByTestId('editor');
  const field = (name: string) => editor.getByRole('textbox', { name });
  await expect(field('Start date')).toHaveValue('Tue, 9 Mar 2027');
  await field('Start date').fill('12 mar');
  await field('Start time').fill('2.30 pm');
  await expect(field('Start date')).toHaveValue('Fri, 12 Mar 2027');
  await field('End time').focus();
  await expect(field('Start time')).toHaveValue('14:30');
  await expect(field('End date')).toHaveValue('Fri, 12 Mar 2027');
  await expect(field('End time')).toHaveValue('15:30');
  await editor.getByLabel('Length').selectOption({ label: '1 h 30' });
  await expect(field('End time')).toHaveValue('16:00');
  await field('Start time').press('ArrowUp');
  await expect(field('Start time')).toHaveValue('14:45');
  await expect(field('End time')).toHaveValue('16:15');
});

test('what is half-typed stays, is said beside the field, and can be mended there', async ({ page }) => {
  await openPlan(page);
  await card(page, /Order lantern glass/).focus();
  await page.keyboard.press('Enter');
  const editor = page.getByTestId('editor');
  const start = editor.getByRole('textbox', { name: 'Start date' });
  await start.fill('31/04/2027');
  await editor.getByTestId('editor-title').focus();
  await expect(start).toHaveValue('31/04/2027');
  await expect(start).toHaveAttribute('aria-invalid', 'true');
  await expect(editor.getByRole('alert').filter({ hasText: 'This is no date yet' })).toBeVisible();
  await press(editor.getByRole('button', { name: 'Save' }));
  await expect(editor).toBeVisible();
  await start.fill('30/04/2027');
  await press(editor.getByRole('button', { name: 'Save' }));
  await expect(editor).toHaveCount(0);
});

test('a day is picked by keys alone: the month opens, arrows walk, Enter takes, Escape lets be', async ({
  page,
}) => {
  await openPlan(page);
  await card(page, /Order lantern glass/).focus();
  await page.keyboard.press('Enter');
  const editor = page.getByTestId('editor');
  const start = editor.getByRole('textbox', { name: 'Start date' });
  await start.focus();
  await page.keyboard.press('Alt+ArrowDown');
  const month = page.getByRole('dialog', { name: 'Start date: pick a day' });
  await expect(month.getByRole('button', { name: /Thursday,? 11 March 2027/ })).toBeFocused();
  // Keys of the view behind are not meant.
  await page.keyboard.press('Delete');
  await page.keyboard.press('1');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await expect(month).toHaveCount(0);
  await expect(start).toHaveValue('Wed, 17 Mar 2027');
  await editor.getByRole('button', { name: 'End time: pick a time' }).focus();
  await page.keyboard.press('Enter');
  const times = page.getByRole('listbox', { name: 'End time: pick a time' });
  await expect(times.getByRole('option', { selected: true })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(editor.getByRole('textbox', { name: 'End time' })).toHaveValue('13:00');
  await editor.getByRole('button', { name: 'Start date: pick a day' }).focus();
  await page.keyboard.press('Enter');
  await expect(month).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(month).toHaveCount(0);
  await expect(editor).toBeVisible();
  await expect(start).toHaveValue('Wed, 17 Mar 2027');
  await expect(page.getByTestId('notice')).toHaveCount(0);
  await expect(page).not.toHaveURL(/view=day(&|$)/);
});

test('the importance of an entry is chosen and seen on the desk', async ({ page }) => {
  await openPlan(page);
  await card(page, /Order lantern glass/).focus();
  await page.keyboard.press('Enter');
  const editor = page.getByTestId('editor');
  await press(editor.getByRole('radiogroup', { name: 'Importance' }).getByRole('radio', { name: 'high' }));
  await press(editor.getByRole('button', { name: 'Save' }));
  await expect(page.getByRole('complementary')).toContainText('Importance: high');
  await page.reload();
  await card(page, /Order lantern glass/).click();
  await expect(page.getByRole('complementary')).toContainText('Importance: high');
});
