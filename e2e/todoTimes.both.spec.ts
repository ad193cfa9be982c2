import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { boxOf, card, centre, expect, expectKept, openPlan, press, test } from './pages';
import { Finger } from './touch';

const notice = (page: Page) => page.getByTestId('notice');
const proposal = (page: Page) => page.getByTestId('place-proposal');
const desk = (page: Page) => page.getByRole('complementary');

test('to-dos are put into the gaps of the next days by a proposal that is seen first, and all of it is undone at once', async ({
  page,
}) => {
  await page.goto('/todos');
  await press(page.getByRole('button', { name: 'Give them time' }));
  await expect(proposal(page)).toContainText('Call the lens workshop back');
  // What was due before today finds a gap only after that, and only where that is said.
  await expect(proposal(page)).toContainText('Order wicks for Gull Point: 20 min without a time');
  await press(page.getByRole('checkbox', { name: 'Also after they are due' }));
  await expect(proposal(page)).not.toContainText('without a time');
  await expect(proposal(page)).toContainText('after it is due');
  // Five hours stand in a piece of their own, or in several; what is not chosen has none.
  await expect(proposal(page)).not.toContainText('Photographs of the north wall');
  await press(
    page.getByTestId('place-works').getByRole('checkbox', { name: /Photographs of the north wall/ }),
  );
  await expect(proposal(page)).toContainText('Photographs of the north wall');
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await press(page.getByRole('button', { name: /^Give \d+ times$/ }));
  await expect(notice(page)).toContainText('to-dos have a time');
  await expect(page.getByTestId('todo').filter({ hasText: 'Photographs' })).toContainText('1 h planned');
  await press(notice(page).getByRole('button', { name: 'Undo' }));
  await expect(page.getByTestId('todo').filter({ hasText: 'Photographs' })).not.toContainText('planned');
});

test('one to-do is given the first gap that suits it; its time stands in Plan, is done with it, and opened with it', async ({
  page,
}) => {
  await page.goto('/todos');
  const row = page.getByTestId('todo').filter({ hasText: 'Order rope' });
  await press(row.getByRole('button', { name: 'Give Order rope for the boat shed a time' }));
  const sheet = page.getByRole('dialog', { name: 'A time for it' });
  await sheet.getByRole('textbox', { name: 'Minutes' }).fill('half');
  await press(sheet.getByRole('button', { name: 'Give it this time' }));
  await expect(sheet).toContainText('A whole number of minutes, up to 1,440.');
  await sheet.getByRole('textbox', { name: 'Minutes' }).fill('60');
  await expect(sheet).toContainText('1 h of its estimate would be left.');
  await press(sheet.getByRole('button', { name: 'Give it this time' }));
  await expect(row).toContainText('1 h of 2 h planned');
  await expectKept(page, 'relatedTo');

  await openPlan(page, '/?view=days&day=2027-03-09');
  await press(card(page, /Order rope for the boat shed/).first());
  const tied = desk(page).getByTestId('tied-todo');
  await expect(tied).toContainText('1 h of its 2 h have no time yet');
  await press(tied.getByRole('checkbox'));
  await expect(card(page, /Order rope for the boat shed.*, done/)).toHaveCount(1);
  await page.reload();
  await expect(card(page, /Order rope for the boat shed.*, done/)).toHaveCount(1);
  await page.goto('/todos');
  await expect(row).toHaveCount(0);
});

test('what is due today stands on the desk and as a flag over its day', async ({ page, isMobile }) => {
  await openPlan(page, '/?view=day&day=2027-03-09');
  await expect(page.getByTestId('day-head')).toHaveAccessibleName(/2 to-dos due/);
  await expect(page.getByTestId('due-flag')).toHaveText('2');
  if (isMobile) {
    await press(page.getByRole('button', { name: /^View/ }));
    await press(page.getByRole('menuitem', { name: 'Rest of today' }));
  }
  await page
    .getByTestId('due-todos')
    .getByRole('checkbox', { name: /Receipts/ })
    .click();
  await expect(page.getByTestId('due-flag')).toHaveText('1');
  await press(notice(page).getByRole('button', { name: 'Undo' }));
  await expect(page.getByTestId('due-flag')).toHaveText('2');
});

test('beside the calendar to-dos are dragged into a day, at a time or into its first gap', async ({
  page,
  isMobile,
}) => {
  test.skip(isMobile, 'a phone has no room beside the calendar: a to-do is given its time by a button');
  await openPlan(page, '/?view=workdays&day=2027-03-09');
  await page.getByRole('button', { name: 'To-dos beside the calendar' }).click();
  const column = page.getByRole('region', { name: 'To-dos' });
  const carry = async (title: string, x: number, y: number) => {
    const from = await centre(column.getByTestId('todo-card').filter({ hasText: title }));
    await page.mouse.move(from.x, from.y);
    await page.mouse.down();
    await page.mouse.move(from.x + 20, from.y + 20, { steps: 3 });
    await page.mouse.move(x, y, { steps: 5 });
  };
  await expect(column).toContainText('Order rope');
  await expect(page.getByTestId('due-todos')).toHaveCount(0);
  const { violations } = await new AxeBuilder({ page }).include('[data-testid="todos-column"]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  const hours = await boxOf(page.getByTestId('hours'));
  const head = await centre(page.getByTestId('day-head').nth(3));
  const later = hours.y + hours.height * 0.6;

  // Escape half-way lets everything be.
  await carry('Order rope', head.x, later);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(notice(page)).toHaveCount(0);

  await carry('Order rope', head.x, later);
  await page.mouse.up();
  await expect(notice(page)).toContainText('“Order rope for the boat shed” has a time');
  await expect(card(page, /Thursday 11 March.*Order rope for the boat shed/)).toHaveCount(1);

  // Over the ribbons of a day it goes into the first gap of that day.
  await page.goto('/?view=weeks&day=2027-03-09');
  const cell = page
    .getByTestId('week-day')
    .filter({ has: page.getByRole('button', { name: /Tuesday 16 March/ }) });
  const at = await centre(cell);
  await carry('Read the keepers', at.x, at.y);
  await page.mouse.up();
  await expect(notice(page)).toContainText('“Read the keepers’ logs” has a time');
  await page.reload();
  await expect(column).toBeVisible();
  await column.getByRole('button', { name: 'Fold the to-dos away' }).click();
  await expect(column).toHaveCount(0);
});

test.describe('with a finger on a wide screen', () => {
  test.use({ hasTouch: true });

  test('a to-do is taken along after a moment’s hold, and a swipe scrolls the list', async ({
    page,
    isMobile,
  }) => {
    test.skip(isMobile, 'a phone has no room beside the calendar');
    await openPlan(page, '/?view=workdays&day=2027-03-09');
    await page.getByRole('button', { name: 'To-dos beside the calendar' }).tap();
    const column = page.getByRole('region', { name: 'To-dos' });
    const one = column.getByTestId('todo-card').filter({ hasText: 'Order rope' });
    const from = await centre(one);
    const hours = await boxOf(page.getByTestId('hours'));
    const head = await centre(page.getByTestId('day-head').nth(3));
    const to = { x: head.x, y: hours.y + hours.height * 0.6 };
    const finger = await Finger.on(page);
    await finger.swipe(from, { x: from.x, y: from.y - 120 });
    await expect(notice(page)).toHaveCount(0);
    const held = await centre(one);
    await finger.hold(held, 400);
    await finger.move(held, to);
    await finger.lift();
    await expect(notice(page)).toContainText('“Order rope for the boat shed” has a time');
    await expect(card(page, /Thursday 11 March.*Order rope for the boat shed/)).toHaveCount(1);
  });
});
