import { card, expect, openPlan, openSetup, press, test } from './pages';

test('hours are set for each weekday, and Plan goes by them', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openSetup(page);
  const working = page.getByRole('region', { name: 'Working pattern' });
  const monday = working.getByRole('group', { name: 'Monday', exact: true });
  await expect(monday.getByRole('textbox', { name: 'Monday, hours 1 from' })).toHaveValue('8:30');
  await monday.getByRole('textbox', { name: 'Monday, hours 2 to' }).fill('12:00');
  await monday.getByLabel('Where Monday is worked').focus();
  // Within the day nothing is said yet; it is when the day is left.
  await working.getByLabel('Where Tuesday is worked').focus();
  await expect(monday.getByRole('alert')).toHaveText(
    'These hours end before they begin. They are not kept yet.',
  );
  await monday.getByRole('textbox', { name: 'Monday, hours 2 to' }).fill('19:00');
  await working.getByLabel('Where Tuesday is worked').focus();
  await expect(monday.getByRole('alert')).toHaveCount(0);
  await press(monday.getByRole('button', { name: 'Remove hours 1 of Monday' }));
  await expect(monday.getByRole('textbox', { name: 'Monday, hours 1 from' })).toHaveValue('13:30');
  await working.getByLabel('Where Friday is worked').selectOption('Not worked');
  await expect(working.getByRole('textbox', { name: 'Friday, hours 1 from' })).toHaveCount(0);
  await press(page.getByRole('link', { name: 'Plan' }));
  await expect(card(page, /Keeper rota call/)).toBeVisible();
  await page.goto('/?view=workdays&date=2027-03-09');
  await expect(page.getByTestId('day-head')).toHaveCount(4);
  await expect(page.getByTestId('day-head').first()).toHaveAccessibleName(/^Monday 8 March.* of 5 h 30/);
  await expect(page.getByRole('button', { name: /after 19:00/ }).first()).toBeVisible();
});

test('all working days take the hours of the first, and a day that differs stands by itself', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the fields are the same on the phone');
  await openSetup(page);
  const working = page.getByRole('region', { name: 'Working pattern' });
  await press(working.getByRole('button', { name: 'Monday’s hours on every working day' }));
  await expect(working.getByRole('textbox', { name: 'Thursday, hours 2 to' })).toHaveValue('17:00');
  await working.getByRole('textbox', { name: 'Date' }).fill('2027-03-10');
  await press(working.getByRole('button', { name: 'Add a day' }));
  const differs = working.getByRole('group', { name: /^Wednesday,? 10 March 2027$/ });
  await expect(differs.getByRole('combobox')).toHaveValue('off');
  await expect(working.getByRole('textbox', { name: 'Date' })).toHaveValue('Thu, 11 Mar 2027');
  await working.getByRole('textbox', { name: 'Date' }).fill('2027-03-10');
  await expect(working.getByRole('button', { name: 'Add a day' })).toBeDisabled();
  await press(page.getByRole('link', { name: 'Plan' }));
  await expect(card(page, /Keeper rota call/)).toBeVisible();
  await page.goto('/?view=day&date=2027-03-10');
  await expect(page.getByTestId('day-head')).toHaveAccessibleName(/day off/i);
  await openSetup(page);
  await press(working.getByRole('button', { name: /^Remove Wednesday,? 10 March 2027$/ }));
  await expect(differs).toHaveCount(0);
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(differs.getByRole('combobox')).toHaveValue('off');
});

test('times are written by the clock that is chosen, until that is undone', async ({ page }) => {
  await openSetup(page);
  const general = page.getByRole('region', { name: 'General' });
  await general.getByLabel('Times are written').selectOption({ label: '12:00 am to 11:59 pm' });
  await press(page.getByRole('link', { name: 'Plan' }));
  await expect(card(page, /Tuesday 9 March, 2:00 pm to 3:00 pm, Keeper rota call/)).toBeVisible();
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(card(page, /Tuesday 9 March, 14:00 to 15:00, Keeper rota call/)).toBeVisible();
});

test('colours are chosen against the system’s, and a page begins in them', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.emulateMedia({ colorScheme: 'light' });
  await openSetup(page);
  const colours = page.getByRole('radiogroup', { name: 'Colours' });
  await press(colours.getByRole('radio', { name: 'Dark' }));
  const background = () =>
    page.evaluate(() => getComputedStyle(document.getElementById('root')!).backgroundColor);
  await expect.poll(background).toBe('rgb(18, 24, 21)');
  await openPlan(page);
  await expect.poll(background).toBe('rgb(18, 24, 21)');
  await openSetup(page);
  await press(colours.getByRole('radio', { name: 'As the system' }));
  await expect.poll(background).toBe('rgb(238, 241, 236)');
});

test('new entries are as long as is usual', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openSetup(page);
  await page
    .getByRole('region', { name: 'General' })
    .getByLabel('Length of new entries')
    .selectOption('45 min');
  await press(page.getByRole('link', { name: 'Plan' }));
  await page.getByTestId('entry-line').fill('Buoy log Tue 12:30');
  await page.getByTestId('entry-line').press('Enter');
  await expect(card(page, /12:30 to 13:15, Buoy log/)).toBeVisible();
});

test('the licences of all that it is built with are a press away', async ({ page, request }) => {
  await openSetup(page);
  const link = page.getByRole('link', { name: 'What this is built with, and its licences' });
  const [opened] = await Promise.all([page.waitForEvent('popup'), press(link)]);
  await expect(opened.getByRole('heading', { name: /^ical\.js \d.* MPL-2\.0/ })).toBeAttached();
  await expect(opened.getByText('Mozilla Public License Version 2.0').first()).toBeAttached();
  expect(await (await request.get('/notices.txt')).text()).toMatch(/^react \d/m);
});
