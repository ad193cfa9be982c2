import AxeBuilder from '@axe-core/playwright';
import { card, expect, expectKept, openPlan, openSetup, press, test } from './pages';

test('the weather stands in the day heads once it is wanted, in either scale, and warns of what is outdoors', async ({
  page,
}) => {
  await openPlan(page, '/?view=day&day=2027-03-09');
  await expect(page.getByTestId('day-head')).not.toHaveAccessibleName(/made up/);

  await openSetup(page);
  const settings = page.getByTestId('weather-settings');
  await expect(settings).toContainText('A made-up forecast');
  await press(settings.getByRole('checkbox', { name: /Say the weather/ }));
  await expect(settings.getByRole('textbox', { name: 'Place of the office' })).toHaveValue('Fennick');
  // A place that is written is asked about when the field is left.
  await settings.getByRole('textbox', { name: 'Place of the office' }).fill('Storm Head');
  await settings.getByRole('textbox', { name: 'Place of the home' }).click();
  await settings.getByTestId('outdoors').selectOption('report');
  await expectKept(page, 'Storm Head');
  const { violations } = await new AxeBuilder({ page }).include('[data-testid="weather-settings"]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);

  await openPlan(page, '/?view=day&day=2027-03-09');
  await expect(page.getByTestId('day-head')).toHaveAccessibleName(/ at night -?\d+°, in Storm Head, made up/);
  await expect(page.getByTestId('day-head')).toContainText(/[a-z]+ -?\d+°/);
  const celsius = Number(/ (-?\d+)°/.exec((await page.getByTestId('day-head').textContent())!)![1]);

  await openSetup(page);
  await press(settings.getByRole('radio', { name: 'Fahrenheit' }));
  await expectKept(page, 'fahrenheit');
  await openPlan(page, '/?view=day&day=2027-03-09');
  await expect(page.getByTestId('day-head')).toContainText(`${Math.round(celsius * 1.8 + 32)}°`);
});

test('an entry outdoors on a rough day is marked, and its desk says what is made up of it', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await page.route('**/api/forecast?*', (route) =>
    route.fulfill({
      json: { isSimulated: true, days: [{ date: '2027-03-09', weather: 'storm', high: 7, low: 2 }] },
    }),
  );
  await openSetup(page);
  const settings = page.getByTestId('weather-settings');
  await press(settings.getByRole('checkbox', { name: /Say the weather/ }));
  await settings.getByTestId('outdoors').selectOption('report');
  await expectKept(page, '\\"outdoors\\"');
  await openPlan(page, '/?view=day&day=2027-03-09');
  const report = card(page, /Q1 works report.*outdoors in rough weather/);
  await expect(report).toBeVisible();
  await press(report);
  await expect(page.getByTestId('outdoors-warning')).toHaveText(
    'Outdoors, and the made-up forecast for Fennick says storm 7°.',
  );
});

test('weeks and the agenda say the weather, too: seen where there is room, read out everywhere', async ({
  page,
}) => {
  await openSetup(page);
  await press(page.getByTestId('weather-settings').getByRole('checkbox', { name: /Say the weather/ }));
  await expectKept(page, '\\"degrees\\"');
  await openPlan(page, '/?view=weeks&date=2027-03-09&now=2027-03-09T10:20');
  await expect(page.locator('[data-testid="week-day"][data-day="20886"]')).toHaveAccessibleName(
    /Tuesday 9 March.* at night -?\d+°, in Fennick, made up/,
  );
  await openPlan(page, '/?view=agenda&date=2027-03-09&now=2027-03-09T10:20');
  await expect(page.getByRole('article', { name: /^Today/ })).toContainText(/[a-z] -?\d+°/);
});

test('where no forecast comes, nothing of it is shown and everything else is', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await page.route('**/api/forecast?*', (route) => route.fulfill({ json: { days: 'sunny' } }));
  await openSetup(page);
  await press(page.getByTestId('weather-settings').getByRole('checkbox', { name: /Say the weather/ }));
  await expectKept(page, '\\"degrees\\"');
  await openPlan(page, '/?view=day&day=2027-03-09');
  await expect(page.getByTestId('day-head')).toHaveAccessibleName(/Tuesday 9 March/);
  await expect(page.getByTestId('day-head')).not.toContainText('°');
});
