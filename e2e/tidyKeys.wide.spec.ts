import AxeBuilder from '@axe-core/playwright';
import { expect, press, test } from './pages';

test('the table is walked, selected and written into by keys alone', async ({ page }) => {
  await page.goto('/tidy?span=week&date=2027-03-09');
  const rows = page.getByTestId('table-row');
  await expect(rows.first()).toBeVisible();
  await rows.first().focus();
  await page.keyboard.press('ArrowDown');
  await expect(rows.nth(1)).toBeFocused();
  await page.keyboard.press('Space');
  await expect(rows.nth(1)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByTestId('selection-bar')).toContainText('3 selected');
  await page.keyboard.press('Control+a');
  await expect(page.getByTestId('selection-bar')).not.toContainText('3 selected');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('selection-bar')).toHaveCount(0);

  const row = rows.filter({ hasText: 'Lens invoices' }).first();
  await row.focus();
  await page.keyboard.press('F2');
  const field = page.getByRole('textbox', { name: 'Title of Lens invoices' });
  await expect(field).toBeFocused();
  await page.keyboard.type('Lens bills');
  await page.keyboard.press('Escape');
  await expect(page.getByText('Lens bills')).toHaveCount(0);
  await row.focus();
  await page.keyboard.press('F2');
  await page.keyboard.type('Lens bills');
  await page.keyboard.press('Enter');
  await expect(rows.filter({ hasText: 'Lens bills' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(rows.filter({ hasText: 'Lens bills' })).toHaveCount(0);
});

test('heads sort by one column and by a further one, and ticks are drawn over', async ({ page }) => {
  await page.goto('/tidy?span=week&date=2027-03-09');
  const rows = page.getByTestId('table-row');
  await expect(rows.first()).toBeVisible();
  await press(page.getByRole('button', { name: 'Sort by Title' }));
  await expect(page.getByRole('columnheader', { name: 'Title' })).toHaveAttribute('aria-sort', 'ascending');
  await page.getByRole('button', { name: 'Sort by Start' }).click({ modifiers: ['Shift'] });
  await expect(page).toHaveURL(/sort=title%2C-?start/);
  const tick = async (index: number) => (await rows.nth(index).getByRole('checkbox').boundingBox())!;
  const [from, to] = [await tick(1), await tick(4)];
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y + 60, { steps: 4 });
  await page.mouse.move(to.x + 20, to.y + 20, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByTestId('selection-bar')).toContainText('4 selected');
  await rows
    .nth(6)
    .getByRole('checkbox')
    .click({ modifiers: ['Shift'] });
  await expect(page.getByTestId('selection-bar')).toContainText('6 selected');
});

test('a look of the table is kept beside those of Plan, and G with a digit leads to it from there', async ({
  page,
}) => {
  await page.goto('/tidy?span=month&date=2027-03-09');
  await expect(page.getByTestId('table-row').first()).toBeVisible();
  await page.getByTestId('tidy-find').fill('lamp');
  await expect(page).toHaveURL(/find=lamp/);
  await press(page.getByTestId('table-sheet'));
  await page.getByTestId('group-by').selectOption('calendar');
  await press(page.getByRole('checkbox', { name: 'Repeats' }));
  await page.keyboard.press('Escape');
  await press(page.getByRole('button', { name: 'Presets' }));
  const sheet = page.getByRole('dialog');
  await sheet.getByTestId('preset-name').fill('Lamps');
  await press(sheet.getByRole('button', { name: 'Keep', exact: true }));
  await expect(sheet.getByRole('group', { name: 'Lamps' })).toContainText(/table of Tidy.*keys G 4/);
  await page.keyboard.press('Escape');

  // The third is one of Plan: it leads there, and nothing of the table's stays in its way.
  await page.keyboard.press('g');
  await page.keyboard.press('3');
  await expect(page.getByTestId('agenda')).toBeVisible();
  await page.keyboard.press('g');
  await page.keyboard.press('4');
  await expect(page.getByTestId('tidy-find')).toHaveValue('lamp');
  await expect(page.getByTestId('table-group').first()).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Repeats' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Presets: Lamps is applied' })).toBeVisible();
  await page.getByTestId('tidy-find').fill('lens');
  await expect(page.getByRole('button', { name: 'Presets: changed since Lamps was applied' })).toBeVisible();
});

test('the table is printed as it is shown, its head on every sheet', async ({ page }) => {
  await page.goto('/tidy?span=month&date=2027-03-09&group=calendar');
  await expect(page.getByTestId('table-group').first()).toBeVisible();
  await press(page.getByTestId('table-sheet'));
  await press(page.getByTestId('print-table'));
  const preview = page.getByTestId('print-preview');
  await expect(preview.getByTestId('print-sheet').nth(1)).toBeVisible();
  for (const sheet of (await preview.getByTestId('print-sheet').all()).slice(0, 2))
    await expect(sheet.getByRole('row').first()).toHaveText(/^Title.*Start/);
  await expect(preview.getByTestId('print-block').first()).toContainText(/^Desk work · \d+ entries/);
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.printed-sheets').getByTestId('print-sheet').first()).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('table-row').first()).toBeVisible();
});

test('axe finds nothing serious in Tidy, its panel, its checks, its bin and its history', async ({
  page,
}) => {
  const expectClean = async () => {
    const { violations } = await new AxeBuilder({ page }).analyze();
    const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
    expect(serious.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
  };
  await page.goto('/tidy?span=week&date=2027-03-09&group=calendar');
  const rows = page.getByTestId('table-row');
  await expect(rows.first()).toBeVisible();
  await expectClean();
  await press(rows.first().getByRole('checkbox'));
  await press(page.getByTestId('begin-batch'));
  await page.getByTestId('add-step').selectOption('replace');
  await expectClean();
  await press(page.getByRole('button', { name: 'Cancel', exact: true }));
  await page.getByTestId('add-step').selectOption('whole-days');
  await expect(page.getByTestId('batch-preview').getByTestId('outcome-changed')).toBeVisible();
  await expectClean();
  await press(page.getByTestId('do-batch'));
  await page.goto('/tidy?part=checks');
  await expect(page.getByTestId('finding').first()).toBeVisible();
  await expectClean();
  await page.goto('/tidy?part=hours&span=month&date=2027-03-09');
  await expect(page.getByTestId('hours-chart')).toBeVisible();
  await expectClean();
  for (const part of ['bin', 'history']) {
    await page.goto(`/tidy?part=${part}`);
    await expect(page.getByRole('radio', { name: part === 'bin' ? /Bin/ : 'History' })).toHaveAttribute(
      'aria-checked',
      'true',
    );
    await expectClean();
  }
});
