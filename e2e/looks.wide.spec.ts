import type { Page } from '@playwright/test';
import { card, chooseView, expect, expectKept, openPlan, openTool, press, test, writeLine } from './pages';

const title = (page: Page) => page.getByRole('heading', { level: 1 });
const close = (page: Page) =>
  press(page.getByRole('dialog').getByRole('button', { name: 'Close', exact: true }).first());

test('the next 7 days and the next 4 weeks begin at today', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-17');
  const sheet = await openTool(page, /^Presets/);
  await press(sheet.getByRole('button', { name: 'Next 7 days' }));
  await expect(title(page)).toContainText(/9.*15/);
  const again = await openTool(page, /^Presets/);
  await press(again.getByRole('button', { name: 'Next 4 weeks' }));
  await expect(page.getByTestId('week-day')).toHaveCount(28);
});

test('words and categories filter too, and what leaves nothing says so', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  const sheet = await openTool(page, /^Filter/);
  await sheet.getByRole('textbox').fill('salma');
  await expect(page.getByTestId('filter-line')).toContainText('with “salma”');
  await press(sheet.getByRole('button', { name: 'report', exact: true }));
  await close(page);
  await expect(page.getByTestId('card')).toHaveCount(1);
  await expect(page.getByTestId('card')).toHaveAccessibleName(/Halifax grant panel/);
  await press(page.getByRole('button', { name: 'Step forward' }));
  await expect(page.getByText('The filter leaves nothing here.')).toBeVisible();
});

test('the view is kept as a preset, applied, changed, renamed, put in order and deleted', async ({
  page,
}) => {
  await openPlan(page, '/?view=weeks&weeks=3&date=2027-03-09&hide=rota');
  const sheet = await openTool(page, /^Presets/);
  await expect(sheet.getByTestId('preset')).toHaveCount(3);
  await sheet.getByTestId('preset-name').fill('Three weeks');
  await press(sheet.getByRole('button', { name: 'Keep', exact: true }));
  const own = sheet.getByRole('group', { name: 'Three weeks' });
  await expect(own).toContainText('keys G 4');
  await expectKept(page, 'Three weeks');
  await close(page);

  // What is seen is another now; the preset says so, and is kept anew or gone back to.
  await chooseView(page, 'Year');
  const changed = await openTool(page, /^Presets/);
  await expect(changed.getByRole('group', { name: 'Three weeks' })).toContainText('changed since');
  await press(changed.getByRole('button', { name: 'Apply Three weeks' }));
  await expect(page.getByTestId('week-day')).toHaveCount(21);
  await expect(page).toHaveURL(/hide=rota/);

  const list = await openTool(page, /^Presets/);
  await press(list.getByRole('button', { name: 'Move Three weeks up' }));
  await expect(list.getByTestId('preset').nth(2)).toContainText('Three weeks');
  await press(list.getByRole('button', { name: 'Rename Three weeks' }));
  await list.getByRole('group', { name: 'Three weeks' }).getByRole('textbox').fill('Boat weeks');
  await list.getByRole('group', { name: 'Three weeks' }).getByRole('textbox').press('Enter');
  await expect(list.getByRole('group', { name: 'Boat weeks' })).toBeVisible();
  await press(list.getByRole('button', { name: 'Show Boat weeks at the start' }));
  await expectKept(page, 'startPresetId');
  await page.goto('/');
  await expect(page.getByTestId('week-day')).toHaveCount(21);
  const last = await openTool(page, /^Presets/);
  await press(last.getByRole('button', { name: 'Delete Boat weeks' }));
  await expect(last.getByTestId('preset')).toHaveCount(3);
  await close(page);
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  const back = await openTool(page, /^Presets/);
  await expect(back.getByRole('group', { name: 'Boat weeks' })).toBeVisible();
});

test('G and a digit apply a preset', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-05-01');
  await page.keyboard.press('g');
  await page.keyboard.press('3');
  await expect(page.getByTestId('agenda')).toBeVisible();
  await expect(page.getByTestId('filter-line')).toContainText('Only Online');
  await page.keyboard.press('5');
  await expect(page.getByTestId('weeks')).toBeVisible();
});

test('a period set is made by a rule, and its year is seen before it is kept', async ({ page }) => {
  await page.goto('/setup');
  await press(page.getByRole('button', { name: 'New period set' }));
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox', { name: 'Name' }).fill('Five weeks');
  await press(sheet.getByRole('radio', { name: 'Weeks without end' }));
  await sheet.getByLabel('Weeks in a period').fill('5');
  await sheet.getByRole('textbox', { name: 'One of them begins on' }).fill('2027-03-01');
  await expect(sheet.getByTestId('period-row').filter({ hasText: 'Mon 1 Mar' })).toContainText(
    /Sun 4 Apr.*5 weeks/s,
  );
  await press(sheet.getByRole('button', { name: 'Save' }));
  await expect(page.getByRole('group', { name: 'Five weeks' })).toContainText(/Now: .*1 Mar.*4 Apr/);
});

test('a list of dates is read line by line; gaps and overlaps are pointed out', async ({ page }) => {
  await page.goto('/setup');
  await press(page.getByRole('button', { name: 'New period set' }));
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox', { name: 'Name' }).fill('Boat seasons');
  await press(sheet.getByRole('radio', { name: 'List of dates' }));
  const list = sheet.getByTestId('period-list');
  await list.fill('2027-03-01 2027-04-04 Spring\nsome day');
  await expect(sheet.getByRole('alert')).toContainText('Line 2');
  await list.fill('2027-03-01 2027-04-04 Spring\n2027-04-10 2027-06-30 Summer\n2027-06-28 2027-09-30 Late');
  await expect(sheet.getByTestId('period-fault')).toHaveText([
    /^Gap: 5.*9 Apr.* \(5 days\) is in no period\.$/,
    /^Overlap: 28.*30 June 2027 \(3 days\) is in two periods\.$/,
  ]);
  await expect(sheet.getByTestId('period-row')).toHaveCount(3);
  await press(sheet.getByRole('button', { name: 'Save' }));
  await expect(page.getByRole('group', { name: 'Boat seasons' })).toContainText('Now: Spring');
});

test('parts of Plan are folded away, and stay so', async ({ page }) => {
  await openPlan(page);
  const sheet = await openTool(page, /^How it looks/);
  await press(sheet.getByRole('button', { name: 'Load strip' }));
  await press(sheet.getByRole('button', { name: 'Calendar chips' }));
  await close(page);
  await expect(page.getByTestId('load-strip')).toHaveCount(0);
  await expect(page.getByRole('switch', { name: 'Meetings' })).toHaveCount(0);
  await expectKept(page, '\\"strip\\",\\"chips\\"');
  await page.reload();
  await expect(page.getByTestId('card').first()).toBeVisible();
  await expect(page.getByTestId('load-strip')).toHaveCount(0);
  const again = await openTool(page, /^How it looks/);
  await press(again.getByRole('button', { name: 'Load strip' }));
  await close(page);
  await expect(page.getByTestId('load-strip')).toBeVisible();
});

test('weeks begin with the day that is chosen, in every view and in repeats', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  await expect(page.getByTestId('day-head').first()).toHaveAccessibleName(/^Monday 8 March/);
  const sheet = await openTool(page, /^How it looks/);
  await sheet.getByLabel('Weeks begin on').selectOption('Sunday');
  await close(page);
  await expect(page.getByTestId('day-head').first()).toHaveAccessibleName(/^Sunday 7 March/);
  await expect(page.getByTestId('day-head').last()).toHaveAccessibleName(/^Saturday 13 March/);
  await expect(page.getByTestId('load-strip')).toHaveAttribute('aria-valuetext', /^Week of 7 March/);
  await page.keyboard.press(']');
  await expect(page.getByTestId('day-head').first()).toHaveAccessibleName(/^Sunday 14 March/);
  await page.goto('/?view=weeks&weeks=2&date=2027-03-09');
  const cells = page.getByTestId('weeks').getByRole('gridcell');
  await expect(cells.first()).toHaveAccessibleName(/^Sunday 7 March/);
  await expect(page.getByTestId('weeks').getByRole('rowheader').first()).toHaveText(/^W10/);
  await page.goto('/?view=day&date=2027-03-09');
  await writeLine(page, 'Buoy log every other Tue and Sun 12:30 30 min');
  await press(card(page, /Buoy log/));
  await expect(page.getByText(/every other week on .*, in weeks from Sunday on/i).first()).toBeVisible();
});

test('the day heads show a second calendar', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-09');
  const sheet = await openTool(page, /^How it looks/);
  await sheet.getByLabel('Second calendar in the day heads').selectOption('hebrew');
  await close(page);
  await expect(page.getByTestId('day-head')).toContainText('30 Adar I');
  await page.goto('/?view=weeks&date=2027-03-09');
  await expect(page.getByRole('gridcell', { name: /^Tuesday 9 March.*, 30 Adar I, / })).toContainText(
    '30 Adar I',
  );
});
