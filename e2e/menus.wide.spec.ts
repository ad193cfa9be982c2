import { card, expect, openPlan, press, test } from './pages';

test.use({ pressesRight: true });

test('the right button offers on an entry what can be done with it, and does it', async ({ page }) => {
  await openPlan(page);
  const call = card(page, /Keeper rota call/);
  await card(page, /Order lantern glass/).click({ button: 'right' });
  const menu = page.getByRole('menu', { name: 'Order lantern glass' });
  await expect(menu.getByRole('menuitem').first()).toBeFocused();
  await press(menu.getByRole('menuitem', { name: 'Availability' }));
  await press(page.getByRole('menuitem', { name: 'tentative' }));
  await expect(card(page, /Order lantern glass.*tentative/)).toBeVisible();
  await card(page, /Order lantern glass/).click({ button: 'right' });
  await press(page.getByRole('menuitem', { name: 'Put in the bin' }));
  await expect(card(page, /Order lantern glass/)).toHaveCount(0);
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(card(page, /Order lantern glass.*tentative/)).toBeVisible();
  await expect(call).toBeVisible();
});

test('by keys alone: the Menu key, arrows, a letter, Enter; Escape gives the focus back', async ({
  page,
}) => {
  await openPlan(page);
  const glass = card(page, /Order lantern glass/);
  await glass.focus();
  await page.keyboard.press('ContextMenu');
  const menu = page.getByRole('menu', { name: 'Order lantern glass' });
  await expect(menu.getByRole('menuitem', { name: 'Edit' })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(menu.getByRole('menuitem', { name: 'Copy' })).toBeFocused();
  await page.keyboard.press('End');
  await expect(menu.getByRole('menuitem', { name: 'Put in the bin' })).toBeFocused();
  await page.keyboard.press('m');
  await expect(menu.getByRole('menuitem', { name: 'Move to calendar' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem', { name: 'Back' })).toBeFocused();
  await page.keyboard.press('g');
  await page.keyboard.press('Enter');
  await expect(card(page, /Order lantern glass.*Grants/)).toBeVisible();
  await card(page, /Order lantern glass/).focus();
  await page.keyboard.press('ContextMenu');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('menu')).toHaveCount(0);
  await expect(card(page, /Order lantern glass/)).toBeFocused();
});

test('what was copied is pasted on a free time and on a day, as an entry of its own', async ({ page }) => {
  await openPlan(page);
  await card(page, /Order lantern glass/).click({ button: 'right' });
  await press(page.getByRole('menuitem', { name: 'Copy', exact: true }));
  await expect(page.getByTestId('notice')).toContainText('is copied');
  const friday = (await page.getByTestId('day-head').nth(4).boundingBox())!;
  const hours = (await page.getByTestId('hours').boundingBox())!;
  await page.mouse.click(friday.x + friday.width - 6, hours.y + hours.height * 0.6, { button: 'right' });
  await press(page.getByRole('menuitem', { name: 'Paste “Order lantern glass”' }));
  await expect(card(page, /Friday 12 March.*Order lantern glass/)).toBeVisible();
  await page.getByTestId('day-head').nth(0).click({ button: 'right' });
  await press(page.getByRole('menuitem', { name: 'Paste “Order lantern glass”' }));
  await expect(card(page, /Monday 8 March, 10:30 to 12:30, Order lantern glass/)).toBeVisible();
  await expect(card(page, /Thursday 11 March.*Order lantern glass/)).toBeVisible();
});

test('a week of the strip, a day and a free time have lists of their own', async ({ page }) => {
  await openPlan(page);
  await page.getByTestId('load-strip').click({ button: 'right', position: { x: 600, y: 20 } });
  await press(page.getByRole('menuitem', { name: 'Show this week whole' }));
  await expect(page).toHaveURL(/view=week/);
  await expect(page.getByTestId('day-head')).toHaveCount(7);
  await page.getByTestId('day-head').nth(2).click({ button: 'right' });
  await press(page.getByRole('menuitem', { name: 'Write an entry of the whole day' }));
  await expect(page.getByTestId('draft-title')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByTestId('day-head').nth(2).click({ button: 'right' });
  await press(page.getByRole('menuitem', { name: 'Print this day' }));
  await expect(page).toHaveURL(/\/print\?.*view=day/);
});

test('a day of a shown period is printed by itself', async ({ page }) => {
  await openPlan(page, '/?view=weeks&date=2027-03-09&periods=report-periods');
  await page.locator('[data-day="20895"]').click({ button: 'right', position: { x: 40, y: 4 } });
  await press(page.getByRole('menuitem', { name: 'Print this day' }));
  const field = (name: string) => page.getByRole('textbox', { name, exact: true });
  await expect(field('From')).toHaveValue('Thu, 18 Mar 2027');
  await expect(field('To')).toHaveValue('Thu, 18 Mar 2027');
  // A page that takes whole dates alone leaves what is half-typed in the field.
  await field('To').click();
  await page.keyboard.type('20 mar');
  await expect(field('To')).toHaveValue('20 mar');
  await page.keyboard.press('Tab');
  await expect(field('To')).toHaveValue('Sat, 20 Mar 2027');
});

test('entries of a calendar that can’t be changed are offered to be seen and copied, no more', async ({
  page,
}) => {
  await openPlan(page, '/?view=agenda&date=2027-03-09');
  await card(page, /Founders’ day/).click({ button: 'right' });
  await expect(page.getByRole('menuitem')).toHaveCount(2);
  await press(page.getByRole('menuitem', { name: 'Copy' }));
  // What is pasted goes where new entries go.
  await card(page, /Keeper rota call/).click();
  await page
    .getByTestId('agenda')
    .locator('[data-menu-day], [data-slot^="gap"]')
    .first()
    .click({ button: 'right' });
  await press(page.getByRole('menuitem', { name: /^Paste “Founders’ day/ }));
  await expect(card(page, /Founders’ day.*Meetings/)).toBeVisible();
});
