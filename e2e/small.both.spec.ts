import AxeBuilder from '@axe-core/playwright';
import { expect, expectKept, openPlan, press, test } from './pages';

test('the small window says what is next, lists the day, jumps by a month, and takes a line', async ({
  page,
}) => {
  await page.setViewportSize({ width: 320, height: 480 });
  await page.goto('/small');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tuesday 9 March');
  await expect(page.getByTestId('small-next')).toContainText('in 10 min');
  await expect(page.getByTestId('small-next')).toContainText('Q1 works report');
  const day = page.getByTestId('small-day');
  await expect(day).toContainText('Keeper rota call');
  await expect(page.getByTestId('due-todos')).toContainText('Order wicks for Gull Point');
  await expect(page.getByRole('navigation', { name: 'Places' })).toHaveCount(0);

  await press(page.getByRole('button', { name: /^Thursday 11 March/ }));
  await expect(day).toContainText('Order lantern glass');
  await press(page.getByRole('button', { name: 'Back to today' }));
  await expect(day).toContainText('Keeper rota call');
  // By keys: a week on, and another.
  await page.getByRole('button', { name: /^Tuesday 9 March/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('button', { name: /^Tuesday 16 March/ })).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('button', { name: /^Tuesday 9 March/ })).toBeFocused();
  await press(page.getByRole('button', { name: 'The month after' }));
  await expect(page.getByTestId('small-month')).toContainText('April 2027');

  await page.getByRole('textbox', { name: 'Write an entry' }).fill('Mend the flag today 18:00');
  await page.keyboard.press('Enter');
  await expect(day).toContainText('Mend the flag');
  await expect(page.getByTestId('notice')).toContainText('Undo');
  await expectKept(page, 'Mend the flag');
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(320);
});

test('it opens beside the calendar and follows it at once; an entry pressed there is seen in Plan', async ({
  page,
  isMobile,
}) => {
  test.skip(isMobile, 'a phone has no windows beside each other');
  // Without a window that stands over others it is one of its own.
  await page.addInitScript(() => Reflect.deleteProperty(window, 'documentPictureInPicture'));
  await openPlan(page, '/?view=day&day=2027-03-09');
  const opening = page.waitForEvent('popup');
  await page.getByRole('button', { name: 'Small window' }).click();
  const small = await opening;
  await expect(small.getByTestId('small-day')).toContainText('Keeper rota call');
  await page.getByRole('textbox', { name: 'Write an entry' }).fill('Count the oars today 18:00');
  await page.keyboard.press('Enter');
  await expect(small.getByTestId('small-day')).toContainText('Count the oars');
  await small.getByRole('checkbox', { name: /Receipts of the winter repairs/ }).click();
  await expect(page.getByTestId('due-flag')).toHaveText('1');
  await small
    .getByTestId('small-day')
    .getByRole('button', { name: /Keeper rota call/ })
    .click();
  await expect(small.getByRole('complementary')).toContainText('Keeper rota call');
});

test('where the browser has a window that stands over others, it stands in that', async ({
  page,
  isMobile,
}) => {
  test.skip(isMobile, 'a phone has no windows beside each other');
  await page.addInitScript(() => {
    Object.defineProperty(window, 'documentPictureInPicture', {
      value: {
        requestWindow: () => {
          const frame = document.createElement('iframe');
          frame.id = 'over';
          document.body.append(frame);
          return Promise.resolve(frame.contentWindow);
        },
      },
    });
  });
  await openPlan(page, '/?view=day&day=2027-03-09');
  await page.getByRole('button', { name: 'Small window' }).click();
  const inside = page.frameLocator('#over').frameLocator('iframe');
  await expect(inside.getByTestId('small-day')).toContainText('Keeper rota call');
});
