import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, expectKept, openPlan, press, test } from './pages';

const todo = (page: Page, title: string) => page.getByTestId('todo').filter({ hasText: title });
const notice = (page: Page) => page.getByTestId('notice');
const groupOf = (page: Page, group: string) => page.getByTestId(`todos-${group}`);
const sheet = (page: Page) => page.getByRole('dialog', { name: 'To-do' });
const done = (page: Page, title: string) =>
  todo(page, title).getByRole('checkbox', { name: `${title}: done` });

/** Writes a line in To-dos. */
async function write(page: Page, line: string): Promise<void> {
  await page.getByTestId('todo-line').fill(line);
  await page.getByTestId('todo-line').press('Enter');
  await expect(page.getByTestId('todo-line')).toHaveValue('');
}

test('to-dos are written in words, stand by when they are due, are done with a press, and come back with another', async ({
  page,
}) => {
  await page.goto('/todos');
  // What the demo holds stands there already.
  await expect(groupOf(page, 'overdue')).toContainText('due since Friday 5 March');
  await page.getByTestId('todo-line').fill('order glass by Friday 2h !');
  await expect(page.getByTestId('todo-understood')).toHaveText(
    'To-do: “order glass” · due Friday 12 March · 2 h · important · Meetings',
  );
  await press(page.getByRole('button', { name: 'Add', exact: true }));
  await expect(groupOf(page, 'week')).toContainText('order glassdue Friday 12 March · important · 2 h');
  await write(page, 'ask about the prism today 15:00');
  await write(page, 'count the spare wicks');
  await expect(groupOf(page, 'today')).toContainText('due today, 15:00');
  await expect(groupOf(page, 'undated')).toContainText('count the spare wicks');

  await press(done(page, 'order glass'));
  await expect(notice(page)).toContainText('“order glass” done');
  await expect(todo(page, 'order glass')).toHaveCount(0);
  await press(notice(page).getByRole('button', { name: 'Undo' }));
  await expect(todo(page, 'order glass')).toHaveCount(1);
  await press(done(page, 'order glass'));
  await expectKept(page, '\\"completed\\"');
  await page.reload();
  await expect(todo(page, 'count the spare wicks')).toHaveCount(1);
  await expect(todo(page, 'order glass')).toHaveCount(0);
  await press(page.getByRole('checkbox', { name: 'Show what is done' }));
  await expect(groupOf(page, 'over')).toContainText('done Tuesday 9 March');
  await press(done(page, 'order glass'));
  await expect(groupOf(page, 'week')).toContainText('order glass');

  await page.getByTestId('find-todos').fill('PRISM');
  await expect(page.getByTestId('todo')).toHaveCount(1);
  await page.getByTestId('find-todos').fill('prism no such thing');
  await expect(page.getByText('No to-do has these words.')).toBeVisible();
});

test('all that is to be said of one is said in its form; what can’t be is told, and it goes to the bin and back', async ({
  page,
}) => {
  await page.goto('/todos');
  await write(page, 'survey the boat shed');
  await press(page.getByRole('button', { name: 'Open survey the boat shed' }));
  const form = sheet(page);
  await form.getByLabel('Takes, in minutes').fill('soon');
  await press(form.getByRole('button', { name: 'Save' }));
  await expect(form).toContainText('A whole number of minutes');
  await form.getByLabel('Takes, in minutes').fill('90');
  await form.getByTestId('todo-repeats').selectOption({ label: 'Every week' });
  await press(form.getByRole('button', { name: 'Save' }));
  await expect(form).toContainText('needs a day that it is due on');
  await form.getByTestId('todo-repeats').selectOption({ label: 'Some time after it was done' });
  await form.getByLabel('Every', { exact: true }).fill('2');
  await form.getByLabel('Parts, one a line').fill('roof\ndoors\n\nslip');
  await press(form.getByRole('radio', { name: 'On a day' }));
  await press(form.getByRole('button', { name: 'Save' }));
  await expect(form).toHaveCount(0);
  const row = todo(page, 'survey the boat shed');
  await expect(row).toContainText('due today · 1 h 30 · 0 of 3 parts · 2 weeks after it was done');
  await press(row.getByRole('button', { name: 'Show the parts of survey the boat shed' }));
  await press(row.getByRole('checkbox', { name: 'doors' }));
  await expect(row).toContainText('1 of 3 parts');
  await press(done(page, 'survey the boat shed'));
  // The next one is due two weeks from now, with nothing of it done.
  await expect(groupOf(page, 'later')).toContainText('due Tuesday 23 March');
  await expect(row).toContainText('0 of 3 parts');

  await press(page.getByRole('button', { name: 'Open survey the boat shed' }));
  await press(form.getByRole('button', { name: 'To the bin' }));
  await expect(row).toHaveCount(0);
  await press(notice(page).getByRole('button', { name: 'Undo' }));
  await expect(row).toHaveCount(1);
  // Escape leaves it as it was.
  await press(page.getByRole('button', { name: 'Open survey the boat shed' }));
  await form.getByLabel('What is to be done').fill('something else');
  await page.keyboard.press('Escape');
  await expect(form).toHaveCount(0);
  await expect(row).toHaveCount(1);
});

test('the entry line of Plan makes a to-do; of one that repeats the next date takes the place of the one that is done', async ({
  page,
}) => {
  await openPlan(page);
  await page.getByTestId('entry-line').fill('todo oil the hinges every Tuesday 20 min');
  await expect(page.getByTestId('line-todo')).toContainText('To-do: “oil the hinges”');
  await page.getByTestId('entry-line').press('Enter');
  await expect(notice(page)).toContainText('To-do “oil the hinges” made');
  await press(page.getByRole('link', { name: 'To-dos' }));
  const row = todo(page, 'oil the hinges');
  await expect(row).toContainText('due today · 20 min · repeats');
  await press(done(page, 'oil the hinges'));
  await expect(row).toContainText('due Tuesday 16 March');
  await press(page.getByRole('button', { name: 'Open oil the hinges' }));
  await sheet(page).getByLabel('What is to be done').fill('oil all hinges');
  await press(sheet(page).getByRole('button', { name: 'Save' }));
  await press(page.getByRole('button', { name: 'Every one' }));
  await expect(todo(page, 'oil all hinges')).toHaveCount(1);
  await press(page.getByRole('checkbox', { name: 'Show what is done' }));
  await expect(groupOf(page, 'over')).toContainText('oil all hinges');
  // Done by keys, one goes on with the to-do that takes its place.
  const second = groupOf(page, 'week').getByRole('checkbox').nth(1);
  const name = (await second.getAttribute('aria-label'))!;
  await groupOf(page, 'week').getByRole('checkbox').first().focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('checkbox', { name })).toBeFocused();
  // What is shown there is of To-dos alone.
  await press(page.getByRole('link', { name: 'Plan' }));
  await expect(page).not.toHaveURL(/[?&]over=/);
  await page.goBack();
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
});
