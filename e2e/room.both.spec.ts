import type { Locator, Page } from '@playwright/test';
import { card, expect, openPlan, press, test, writeLine } from './pages';

const isPhone = () => test.info().project.name === 'phone';
const CALENDARS = ['Desk work', 'Meetings', 'Site visits', 'Keeper rota', 'Grants', 'Home', 'Days off'];
const chips = (page: Page) => page.getByRole('group', { name: 'Calendars' });

/** Whether two elements lie over one another by more than their edges. */
async function overlap(one: Locator, other: Locator): Promise<boolean> {
  const [a, b] = [(await one.boundingBox())!, (await other.boundingBox())!];
  return (
    Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x) > 3 &&
    Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y) > 3
  );
}

test('calendar chips shrink to the room that there is, and the list holds all of them', async ({ page }) => {
  await openPlan(page, '/?date=2027-03-09');
  const row = chips(page);
  if (isPhone()) await expect(row.getByRole('button', { name: 'All calendars' })).toHaveText(/^\+\d$/);
  else await expect(row.getByRole('switch')).toHaveCount(CALENDARS.length);
  // Nothing of the row is cut off.
  const { x, width } = (await row.boundingBox())!;
  for (const chip of await row.getByRole('switch').all()) {
    const box = (await chip.boundingBox())!;
    expect(box.x + box.width).toBeLessThanOrEqual(x + width + 1);
  }
  await press(row.getByRole('button', { name: 'All calendars' }));
  const list = page.getByRole('dialog', { name: 'Calendars' });
  for (const name of CALENDARS) await expect(list.getByRole('switch', { name })).toBeChecked();
  await press(list.getByRole('switch', { name: 'Meetings' }));
  await expect(list.getByRole('switch', { name: 'Meetings' })).not.toBeChecked();
  await press(list.getByRole('button', { name: 'Close', exact: true }).last());
  await expect(row.getByRole('switch', { name: 'Meetings' })).not.toBeChecked();
  await expect(card(page, /Keeper rota call/)).toHaveCount(0);
  await press(row.getByRole('switch', { name: 'Meetings' }));
  await expect(card(page, /Keeper rota call/)).toBeVisible();
});

test.describe('the right button', () => {
  test.use({ pressesRight: true });

  test('a shrunk chip has its menu by the right button', async ({ page }) => {
    test.skip(isPhone(), 'a finger holds instead');
    await openPlan(page, '/?date=2027-03-09');
    await chips(page).getByRole('switch', { name: 'Site visits' }).click({ button: 'right' });
    await page.getByRole('menuitem', { name: 'Show this one alone' }).click();
    await expect(card(page, /Gull Point inspection/)).toBeVisible();
    await expect(card(page, /Keeper rota call/)).toHaveCount(0);
  });
});

test('what can be done with an entry is in sight, however much it says', async ({ page }) => {
  await openPlan(page, '/?date=2027-03-09');
  await writeLine(page, 'Long story Tue 12:30 30 min');
  // On a phone the sheet shows what was just made.
  if (!isPhone()) await press(card(page, /Long story/));
  await press(page.getByRole('complementary').getByRole('button', { name: 'Edit' }));
  const editor = page.getByTestId('editor');
  await editor.getByLabel('Notes').fill(Array.from({ length: 40 }, (_, line) => `Line ${line}`).join('\n'));
  await press(editor.getByRole('button', { name: 'Save' }));
  await expect(editor).toHaveCount(0);
  const desk = page.getByRole('complementary', { name: 'Desk' });
  await expect(desk.getByText('Line 1', { exact: false }).first()).toBeVisible();
  for (const name of ['Edit', 'Copy', 'Bin'])
    await expect(desk.getByRole('button', { name, exact: true })).toBeInViewport({ ratio: 1 });
});

test('a draft lies beside the other entries, not over them', async ({ page }) => {
  test.skip(isPhone(), 'a line and a sheet leave a phone no room to see it');
  await openPlan(page, '/?view=workdays&date=2027-03-09');
  const call = card(page, /Keeper rota call/);
  const before = (await call.boundingBox())!;
  await page.getByTestId('entry-line').fill('Crane survey Tue 14:15 30 min');
  const draft = page.getByTestId('ghost');
  await expect(draft).toBeVisible();
  expect(await overlap(draft, call)).toBe(false);
  // An entry of whole days lies in a row of its own.
  await page.getByTestId('entry-line').fill('Paint order Tue all day');
  await expect(draft).toContainText('Paint order');
  expect(await overlap(draft, page.getByTestId('ribbon').filter({ hasText: 'Tower paint' }))).toBe(false);
  await page.getByTestId('entry-line').fill('');
  await expect(draft).toHaveCount(0);
  expect(await call.boundingBox()).toEqual(before);
});

test('in weeks a daily series is one line, and each of its days an entry of its own', async ({ page }) => {
  test.skip(isPhone(), 'a phone has no room for titles');
  await openPlan(page, '/?view=weeks&date=2027-03-09');
  const week = page.getByRole('row').filter({ has: page.locator('[data-day="20886"]') });
  const boats = week.getByRole('button', { name: /Relief boat/ });
  await expect(week.getByText('Relief boat 6:00 each day')).toHaveCount(1);
  await expect(boats).toHaveCount(5);
  await boats.nth(2).click();
  await expect(page.getByRole('complementary').getByText('Wednesday 10 March')).toBeVisible();
  // A draft takes a line of its day.
  await page.getByTestId('entry-line').fill('Crane survey Fri 9:00');
  await expect(page.getByTestId('ghost')).toContainText('Crane');
});
