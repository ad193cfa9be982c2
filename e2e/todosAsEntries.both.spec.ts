import type { Page } from '@playwright/test';
import { expect, expectKept, openPlan, press, test } from './pages';

const rows = (page: Page) => page.getByTestId('table-row');
const sheet = (page: Page) => page.getByRole('dialog', { name: 'To-do' });
const due = (page: Page) => page.getByRole('region', { name: 'Reminders' });
const notice = (page: Page) => page.getByTestId('notice');
const groupOf = (page: Page, group: string) => page.getByTestId(`todos-${group}`);

test('to-dos are found by the same words as everything, changed together in the table, and undone as one', async ({
  page,
}) => {
  await page.goto('/todos');
  await page.getByTestId('find-todos').fill('#DW is:overdue');
  await expect(page.getByTestId('todo')).toHaveCount(1);
  await expect(groupOf(page, 'overdue')).toContainText('Order wicks for Gull Point');
  await page.getByTestId('find-todos').fill('order');
  await press(page.getByRole('button', { name: 'Change several' }));
  await expect(page).toHaveURL(/tidy.*kind=todo/);
  await expect(rows(page)).toHaveCount(2);
  await expect(rows(page).filter({ hasText: 'Order rope' })).toContainText('due Fri 12 Mar');

  await press(rows(page).first().getByRole('checkbox'));
  await press(page.getByTestId('select-all'));
  await press(page.getByTestId('begin-batch'));
  await page.getByTestId('add-step').selectOption('done');
  await press(page.getByRole('button', { name: 'Take this step' }));
  await page.getByTestId('add-step').selectOption('estimate');
  await page.getByTestId('step-form').getByLabel('Minutes that they take, or empty').fill('45');
  await press(page.getByRole('button', { name: 'Take this step' }));
  await expect(page.getByTestId('outcome-changed')).toContainText('2 change');
  await press(page.getByTestId('do-batch'));
  await expect(notice(page)).toContainText('2 entries changed');
  await expect(rows(page).first()).toContainText('45 min');
  await press(notice(page).getByRole('button', { name: 'Undo' }));
  await expect(rows(page).filter({ hasText: 'Order rope' })).toContainText('2 h');
});

test('a to-do that is found opens where one is; what is typed into it stands there again after a reload', async ({
  page,
}) => {
  await openPlan(page, '/?now=2027-03-09T10:20');
  await press(page.getByRole('button', { name: 'Search' }).first());
  await page.getByTestId('search-field').fill('rope is:todo');
  const hit = page.getByTestId('search-hit');
  await expect(hit).toContainText('To-do, due Fri 12 March 2027');
  await press(hit);
  await expect(sheet(page).getByLabel('What is to be done')).toHaveValue('Order rope for the boat shed');
  await sheet(page).getByLabel('Takes, in minutes').fill('75');
  await sheet(page).getByLabel('Notes').fill('the thick one, and');
  await page.reload();
  await expect(sheet(page).getByLabel('Notes')).toHaveValue('the thick one, and');
  await press(sheet(page).getByRole('button', { name: 'Save' }));
  await expect(sheet(page)).toHaveCount(0);
  await expectKept(page, 'the thick one, and');
  await page.reload();
  await expect(page.getByTestId('entry-line')).toBeVisible();
  await expect(sheet(page)).toHaveCount(0);
});

test('a to-do reminds before it is due, says until when there is time, and is done from there', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await page.clock.install();
  await page.goto('/todos?now=2027-03-09T10:20');
  await expect(page.locator('html')).toHaveAttribute('data-attending', 'true');
  await page.getByTestId('todo-line').fill('sign the grant claim today 12:00');
  await page.getByTestId('todo-line').press('Enter');
  await press(page.getByRole('button', { name: 'Open sign the grant claim' }));
  await press(sheet(page).getByRole('button', { name: 'Add a reminder' }));
  await press(sheet(page).getByRole('button', { name: '1 hour before it is due' }));
  await press(sheet(page).getByRole('button', { name: 'Save' }));
  await expect(sheet(page)).toHaveCount(0);
  await expectKept(page, 'sign the grant claim');
  await page.clock.fastForward('40:30');
  await expect(due(page)).toContainText('sign the grant claim');
  await expect(due(page)).toContainText(/due 12:00 · in (59|60) min/);
  await press(due(page).getByRole('button', { name: 'sign the grant claim: done' }));
  await expect(notice(page)).toContainText('“sign the grant claim” done');
  await expect(due(page)).toHaveCount(0);
});

test('a file that is put beside a to-do stays with it', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await page.goto('/todos');
  await press(page.getByRole('button', { name: 'Open Order rope for the boat shed' }));
  const chooser = page.waitForEvent('filechooser');
  await press(sheet(page).getByRole('button', { name: /file/i }).first());
  await (
    await chooser
  ).setFiles({ name: 'rope.txt', mimeType: 'text/plain', buffer: Buffer.from('thick, forty metres') });
  await expect(sheet(page)).toContainText('rope.txt');
  await page.keyboard.press('Escape');
  await expect(sheet(page)).toHaveCount(0);
  await expectKept(page, 'rope.txt');
  await page.reload();
  await press(page.getByRole('button', { name: 'Open Order rope for the boat shed' }));
  await expect(sheet(page)).toContainText('rope.txt');
});

test('what is half-typed stays, though another page puts its to-do in the bin; once that is back it is kept', async ({
  page,
  context,
}) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await page.goto('/todos');
  await press(page.getByRole('button', { name: 'Open Order rope for the boat shed' }));
  await sheet(page).getByLabel('Notes').fill('from the first page');
  const other = await context.newPage();
  await other.goto('/todos');
  await press(other.getByRole('button', { name: 'Open Order rope for the boat shed' }));
  await press(sheet(other).getByRole('button', { name: 'To the bin' }));
  await expect(page.getByTestId('todo').filter({ hasText: 'Order rope' })).toHaveCount(0);
  await press(sheet(page).getByRole('button', { name: 'Save' }));
  await expect(notice(page)).toContainText('What you wrote is kept here');
  await page.reload();
  await expect(sheet(page).getByLabel('Notes')).toHaveValue('from the first page');
  await press(notice(other).getByRole('button', { name: 'Undo' }));
  await expect(page.getByTestId('todo').filter({ hasText: 'Order rope' })).toHaveCount(1);
  await press(sheet(page).getByRole('button', { name: 'Save' }));
  await expect(sheet(page)).toHaveCount(0);
  await expectKept(page, 'from the first page');
});

test('of a series that is chosen as a whole the date at hand is done, and given a time', async ({ page }) => {
  await page.goto('/tidy?span=all&kind=todo');
  await press(rows(page).filter({ hasText: 'keepers' }));
  const panel = page.getByTestId('todo-panel');
  await press(panel.getByRole('button', { name: 'Done' }));
  await expect(notice(page)).toContainText('“Read the keepers’ logs” done');
  await press(notice(page).getByRole('button', { name: 'Undo' }));
  await press(panel.getByRole('button', { name: 'Give it time' }));
  await expect(page.getByRole('dialog', { name: 'A time for it' })).toBeVisible();
});
