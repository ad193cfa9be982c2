import type { Page } from '@playwright/test';
import { chooseView, expect, expectKept, openPlan, openTool, press, test } from './pages';

const isPhone = () => test.info().project.name === 'phone';
const title = (page: Page) => page.getByRole('heading', { level: 1 });
const close = (page: Page) =>
  press(page.getByRole('dialog').getByRole('button', { name: 'Close', exact: true }).first());

test('the address holds what is seen: back, reload and a second window show it again', async ({
  page,
  context,
}) => {
  await openPlan(page, '/?view=workdays&date=2027-03-09');
  await press(page.getByRole('button', { name: 'Step forward' }));
  await expect(title(page)).toContainText(/15.*19/);
  await chooseView(page, 'Weeks');
  await expect(page.getByTestId('weeks')).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('weeks')).toBeVisible();
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByTestId('weeks')).toBeVisible();
  await expect(title(second)).toContainText('March 2027');
  await second.close();
  await page.goBack();
  await expect(page.getByTestId('hours')).toBeVisible();
  await expect(title(page)).toContainText(/15.*19/);
  await page.goBack();
  await expect(title(page)).toContainText(/8.*12/);
  await page.goForward();
  await expect(title(page)).toContainText(/15.*19/);
});

test('a day is gone to in ordinary words', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  await press(title(page).getByRole('button'));
  const field = page.getByTestId('go-to');
  await field.fill('lamp');
  await expect(page.getByRole('alert')).toHaveText('No day could be read from this.');
  await field.fill('12 April');
  await expect(page.getByTestId('go-to-day')).toHaveText('Monday, 12 April 2027');
  await field.press('Enter');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(title(page)).toContainText(/12.*18 April/);
});

test('a swipe steps on and back', async ({ page }) => {
  test.skip(!isPhone(), 'a finger swipes');
  await openPlan(page, '/?view=days&date=2027-03-09');
  const box = (await page.getByTestId('hours').boundingBox())!;
  const session = await page.context().newCDPSession(page);
  const swipe = async (from: number, to: number) => {
    const y = box.y + box.height / 2;
    await session.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x: from, y }] });
    for (let step = 1; step <= 6; step++)
      await session.send('Input.dispatchTouchEvent', {
        type: 'touchMove',
        touchPoints: [{ x: from + ((to - from) * step) / 6, y: y + step }],
      });
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  };
  await swipe(box.x + box.width - 40, box.x + 60);
  await expect(title(page)).toContainText(/12.*14/);
  await swipe(box.x + 60, box.x + box.width - 40);
  await expect(title(page)).toContainText(/9.*11/);
});

test('the next 7 days and the next 4 weeks begin at today', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-17');
  const sheet = await openTool(page, /^Presets/);
  await press(sheet.getByRole('button', { name: 'Next 7 days' }));
  await expect(title(page)).toContainText(/9.*15/);
  const again = await openTool(page, /^Presets/);
  await press(again.getByRole('button', { name: 'Next 4 weeks' }));
  await expect(page.getByTestId('week-day')).toHaveCount(28);
});

test('a filter leaves entries out, says which and how many, and one press shows all', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  const sheet = await openTool(page, /^Filter/);
  await press(sheet.getByRole('radio', { name: 'Online' }));
  await press(sheet.getByRole('radio', { name: 'Answers missing' }));
  await close(page);
  await expect(page.getByTestId('filter-line')).toContainText(
    /Only Online · Answers missing, \d+ entries left out/,
  );
  await expect(page.getByTestId('card')).toHaveCount(2);
  await expect(page).toHaveURL(/where=online.*answers=unanswered/);
  await page.reload();
  await expect(page.getByTestId('card')).toHaveCount(2);
  await press(page.getByTestId('filter-line').getByRole('button', { name: 'Show all' }));
  await expect(page.getByTestId('filter-line')).toHaveCount(0);
  await expect.poll(() => page.getByTestId('card').count()).toBeGreaterThan(10);
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
  await press(list.getByRole('button', { name: 'Open Plan with Boat weeks' }));
  await expectKept(page, 'startPresetId');
  await page.goto('/');
  await expect(page.getByTestId('week-day')).toHaveCount(21);
  const last = await openTool(page, /^Presets/);
  await press(last.getByRole('button', { name: 'Delete Boat weeks' }));
  await expect(last.getByTestId('preset')).toHaveCount(3);
  await close(page);
  await press(page.getByRole('button', { name: 'Undo', exact: true }));
  const back = await openTool(page, /^Presets/);
  await expect(back.getByRole('group', { name: 'Boat weeks' })).toBeVisible();
});

test('G and a digit apply a preset', async ({ page }) => {
  test.skip(isPhone(), 'keys are for wide screens');
  await openPlan(page, '/?view=week&date=2027-05-01');
  await page.keyboard.press('g');
  await page.keyboard.press('3');
  await expect(page.getByTestId('agenda')).toBeVisible();
  await expect(page.getByTestId('filter-line')).toContainText('Only Online');
  await page.keyboard.press('5');
  await expect(page.getByTestId('weeks')).toBeVisible();
});

test('a period is shown and stepped through, from 1 March to 4 April first', async ({ page }) => {
  await openPlan(page);
  const sheet = await openTool(page, /^Presets/);
  await press(sheet.getByRole('button', { name: 'Apply Report period' }));
  await expect(title(page).getByRole('button')).toHaveAccessibleName(/Period 3 of 2027, 1 Mar.*4 Apr/);
  await expect(page.getByTestId('week-day')).toHaveCount(35);
  await press(page.getByRole('button', { name: 'Step forward' }));
  await expect(title(page).getByRole('button')).toHaveAccessibleName(/Period 4 of 2027, 5 Apr.*2 May/);
  await press(page.getByRole('button', { name: 'Step back' }));
  await press(page.getByRole('button', { name: 'Step back' }));
  await expect(title(page).getByRole('button')).toHaveAccessibleName(/Period 2 of 2027, 1.*28 Feb/);
});

test('a period set is made by a rule, and its year is seen before it is kept', async ({ page }) => {
  await page.goto('/setup');
  await press(page.getByRole('button', { name: 'New period set' }));
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox', { name: 'Name' }).fill('Five weeks');
  await press(sheet.getByRole('radio', { name: 'Weeks without end' }));
  await sheet.getByLabel('Weeks in a period').fill('5');
  await sheet.getByLabel('One of them begins on').fill('2027-03-01');
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

test('the day heads show a second calendar', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-09');
  const sheet = await openTool(page, /^How it looks/);
  await sheet.getByLabel('Second calendar in the day heads').selectOption('hebrew');
  await close(page);
  await expect(page.getByTestId('day-head')).toContainText('30 Adar I');
});
