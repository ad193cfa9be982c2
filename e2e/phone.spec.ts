import type { Page } from '@playwright/test';
import { card, CALENDAR_FILE, centre, expect, openPlan, test } from './pages';
import { Finger, type Point } from './touch';

/** A card is picked up by a held finger, moved and let go: the ghost comes with the first movement after the hold. */
async function fingerDrag(page: Page, from: Point, to: Point) {
  const finger = await Finger.on(page);
  await finger.hold(from, 260);
  await finger.move(from, to);
  await finger.lift();
}

test('the whole job by touch: written, moved, edited, deleted, undone and imported', async ({ page }) => {
  await openPlan(page);

  // Written in one line, with what was understood spelled out.
  await page.getByTestId('entry-line').tap();
  await page.getByTestId('entry-line').fill('Crane survey review Wed 17:00 45 min at Lamp room #DW');
  await expect(page.getByTestId('understood-title')).toHaveText('Crane survey review');
  await expect(page.getByTestId('understood-time')).toContainText('17:00');
  await expect(page.getByTestId('understood-length')).toContainText('45 min');
  await expect(page.getByTestId('understood-place')).toContainText('Lamp room');
  await expect(page.getByTestId('understood-calendar')).toContainText('Desk work');
  await page.getByRole('button', { name: 'Save', exact: true }).tap();
  await expect(
    card(page, /Wednesday 10 March, 17:00 to 17:45, Crane survey review, Desk work calendar/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Close the desk' }).tap();

  // Moved by a held finger; a swipe without holding scrolls and moves nothing.
  const glass = await centre(card(page, /Order lantern glass/));
  await fingerDrag(page, glass, { x: glass.x, y: glass.y + 100 });
  await expect(page.getByTestId('notice')).toContainText('“Order lantern glass” moved');
  await expect(
    card(page, /12:30 to 14:30, Order lantern glass|12:45 to 14:45, Order lantern glass/),
  ).toBeVisible();

  // Edited in the whole editor.
  await card(page, /Gull Point inspection/).tap();
  await page.getByTestId('sheet').getByRole('button', { name: 'Edit' }).tap();
  const editor = page.getByTestId('editor');
  await editor.getByLabel('Title').fill('Gull Point lens');
  await editor.getByRole('button', { name: 'Save' }).tap();
  await expect(card(page, /Gull Point lens/)).toBeVisible();

  // Deleted and brought back.
  await page.getByTestId('sheet').getByRole('button', { name: 'Bin' }).tap();
  await expect(card(page, /Gull Point lens/)).toHaveCount(0);
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).tap();
  await expect(card(page, /Gull Point lens/)).toBeVisible();

  // Imported from a file.
  await page.getByRole('link', { name: 'Setup' }).tap();
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Import a file' }).tap(),
  ]);
  await chooser.setFiles({
    name: 'stores.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(CALENDAR_FILE),
  });
  await page.getByRole('button', { name: 'Import 2 entries' }).tap();
  await expect(page.getByText('2 entries imported into Stores and boats')).toBeVisible();
  await page.getByRole('link', { name: 'Plan' }).tap();
  await expect(card(page, /Thursday 11 March, 12:00 to 12:30, Stock list/)).toBeVisible();
});

test('a press on an empty hour makes a draft in the sheet, and all fields are one press away', async ({
  page,
}) => {
  await openPlan(page);
  const check = await centre(card(page, /Rota check/));
  await page.touchscreen.tap(check.x, check.y + 190);
  await page.getByTestId('draft-title').fill('Ladder check');
  await page.getByRole('button', { name: 'All fields' }).tap();
  await expect(page.getByTestId('editor').getByLabel('Title')).toHaveValue('Ladder check');
  await page.getByTestId('editor').getByRole('button', { name: 'Save' }).tap();
  await expect(card(page, /Ladder check/)).toBeVisible();
});

test('the back button closes what lies over the page, and loses nothing unasked', async ({ page }) => {
  await openPlan(page);
  await page.getByRole('button', { name: 'Step forward' }).tap();
  await expect(page).toHaveURL(/date=2027-03-12/);
  const address = page.url();
  const editor = page.getByTestId('editor');

  // An editor without changes closes; one with changes asks first.
  await card(page, /Report periods/).tap();
  await page.getByTestId('sheet').getByRole('button', { name: 'Edit', exact: true }).tap();
  await expect(editor).toBeVisible();
  await page.goBack();
  await expect(editor).toBeHidden();
  await page.getByTestId('sheet').getByRole('button', { name: 'Edit', exact: true }).tap();
  await editor.getByLabel('Place').fill('Boat shed');
  await page.goBack();
  await expect(editor.getByRole('alert')).toBeVisible();
  await page.goBack();
  await expect(editor.getByRole('alert')).toBeHidden();
  await expect(editor.getByLabel('Place')).toHaveValue('Boat shed');
  await page.goBack();
  await editor.getByRole('button', { name: 'Throw away' }).tap();
  await expect(editor).toBeHidden();

  // Dialogs over one another close one by one.
  await page.getByRole('button', { name: 'Search' }).tap();
  await expect(page.getByTestId('search')).toBeVisible();
  await page.goBack();
  await expect(page.getByTestId('search')).toBeHidden();
  expect(page.url()).toBe(address);

  // With nothing open, it leads to what was shown before.
  await page.goBack();
  await expect(page).not.toHaveURL(/date=2027-03-12/);
  await expect(card(page, /Rota check/)).toBeVisible();
});

test('a long press adds to the selection', async ({ page }) => {
  await openPlan(page);
  await card(page, /Rota check/).tap();
  // The sheet lies over the lower part of the hours: the other card is above it.
  await expect(page.getByTestId('sheet')).toBeVisible();
  const panel = await centre(card(page, /Halifax grant panel/));
  const finger = await Finger.on(page);
  await finger.hold(panel, 480);
  await finger.lift();
  await expect(page.getByTestId('sheet').getByText('2 entries selected')).toBeVisible();
});

test('the view changes from its menu, and steps keep the number of days', async ({ page }) => {
  await openPlan(page);
  await page.getByRole('button', { name: 'Step forward' }).tap();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('12–14 March');
  await page.getByRole('button', { name: 'View: Days' }).tap();
  await page.getByRole('menuitem', { name: 'Day', exact: true }).tap();
  await expect(page.getByTestId('day-head')).toHaveCount(1);
  await page.getByRole('button', { name: 'Today' }).tap();
  await expect(page.getByRole('heading', { name: /Tuesday 9 March/ })).toBeVisible();
});
