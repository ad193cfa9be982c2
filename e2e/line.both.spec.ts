import type { Page } from '@playwright/test';
import { card, centre, entry, expect, openPlan, press, test, writeLine } from './pages';

const line = (page: Page) => page.getByTestId('entry-line');
const chip = (page: Page, part: string) => page.getByTestId(`understood-${part}`);

/** Pastes a text into the entry line, as the clipboard does. */
const paste = (page: Page, text: string) =>
  line(page).evaluate((field, pasted) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', pasted);
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  }, text);

test('each chip corrects its own part, and the words follow what was picked', async ({ page }) => {
  await openPlan(page);
  await line(page).fill('Lens board thu 10:00 45 min at Lamp room');
  await expect(page.getByTestId('understood-title')).toHaveText('Lens board');

  await press(chip(page, 'time'));
  await press(page.getByRole('option', { name: '14:00', exact: true }));
  await expect(line(page)).toHaveValue('Lens board Thu 11 March 14:00 45 min at Lamp room');
  await expect(chip(page, 'time')).toContainText('14:00–14:45');

  await press(chip(page, 'length'));
  await press(page.getByRole('option', { name: '2 h', exact: true }));
  await press(chip(page, 'day'));
  await press(page.getByRole('dialog', { name: 'Day' }).getByRole('button', { name: /10 March/ }));
  await press(chip(page, 'place'));
  await page.getByTestId('line-place').fill('Boat shed');
  await press(page.getByRole('button', { name: 'Set the place' }));
  await press(chip(page, 'calendar'));
  await press(page.getByRole('option', { name: /Desk work/ }));
  await expect(line(page)).toHaveValue('Lens board Wed 10 March 14:00 2 h at Boat shed #DW');

  await line(page).press('Enter');
  await expect(entry(page, /14:00 to 16:00, Lens board, .*Desk work/).first()).toBeAttached();
});

test('a part that was none goes back into the title, and what does not exist is said', async ({ page }) => {
  await openPlan(page);
  await line(page).fill('Friday review');
  await expect(page.getByTestId('understood-title')).toHaveText('review');
  await press(chip(page, 'day'));
  await press(page.getByRole('button', { name: 'Keep these words in the title' }));
  await expect(page.getByTestId('understood-title')).toHaveText('Friday review');
  await expect(line(page)).toHaveValue('Friday review');

  await line(page).fill('Grant claim 31/04/2027');
  await expect(page.getByTestId('understood-title')).toHaveText('Grant claim 31/04/2027');
  await expect(page.getByRole('alert').filter({ hasText: 'There is no 31/04/2027' })).toBeVisible();
});

test('another meaning is a press away, and is remembered', async ({ page }) => {
  await openPlan(page);
  await line(page).fill('Call 12/04 10:00');
  await expect(chip(page, 'day')).toContainText('Mon 12 Apr');
  await line(page).fill('Dinner with Oona fri at 7');
  await expect(chip(page, 'time')).toContainText('19:00');
  await press(page.getByTestId('other-time'));
  await expect(chip(page, 'time')).toContainText('7:00');
  await expect(page.getByTestId('other-time')).toContainText('or 19:00');
  await line(page).fill('');

  await page.reload();
  await line(page).fill('Supper thu at 7');
  await expect(chip(page, 'time')).toContainText('7:00');
  await expect(page.getByTestId('other-time')).toContainText('19:00');
});

test('pasted lines become entries after a look at them, and are undone in one step', async ({ page }) => {
  await openPlan(page, '/?view=agenda&date=2027-03-09');
  const listed = (name: RegExp) => page.getByTestId('plan-view').getByText(name);
  await paste(
    page,
    [
      'Lens talk Wed 8:15 20 min',
      'Sail check Wed 18:00-18:30 in Boat shed',
      'Net order Thu 18:00',
      'Thu 19:00',
      'Ladder test Thu 19:30 #DW',
    ].join('\n'),
  );
  await expect(page.getByTestId('pasted-line')).toHaveCount(5);
  await expect(page.getByTestId('pasted-line').nth(3)).toContainText('Nothing is left for a title');
  await press(page.getByRole('checkbox', { name: 'Net order' }));
  await press(page.getByRole('button', { name: 'Make 3 entries' }));
  await expect(page.getByTestId('notice')).toContainText('3 entries made');
  for (const name of [/Lens talk/, /Sail check/, /Ladder test/])
    await expect(listed(name)).not.toHaveCount(0);
  await expect(listed(/Net order/)).toHaveCount(0);
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  for (const name of [/Lens talk/, /Sail check/, /Ladder test/]) await expect(listed(name)).toHaveCount(0);
});

test('a long list that is pasted is bounded, said, and left by Escape with nothing made', async ({
  page,
}) => {
  await openPlan(page);
  await paste(page, Array.from({ length: 1200 }, (_, number) => `Buoy ${number} Thu 18:00`).join('\n'));
  await expect(page.getByTestId('pasted-line')).toHaveCount(100);
  await expect(page.getByRole('status').filter({ hasText: '1100 are left out' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Write it as one line' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('pasted-line')).toHaveCount(0);
  await expect(line(page)).toHaveValue('');
});

test('the words of a draft over a pressed time say the rest of it', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-12');
  const hours = page.getByTestId('hours');
  const box = (await hours.boundingBox())!;
  const { y } = await centre(page.getByTestId('hours'));
  if (test.info().project.name === 'phone') await page.touchscreen.tap(box.x + box.width - 12, y);
  else await page.mouse.click(box.x + box.width - 12, y);
  const title = page.getByTestId('draft-title');
  await title.fill('Buoy call 12:15 30 min at Gull Point');
  await expect(page.getByTestId('draft-understood')).toContainText('Gull Point');
  await title.press('Enter');
  await expect(card(page, /12:15 to 12:45, Buoy call/)).toBeVisible();
});

test('by keys alone: a chip is reached, opened, changed and left', async ({ page }) => {
  test.skip(test.info().project.name === 'phone', 'keys are for the wide screen');
  await openPlan(page);
  await line(page).fill('Lens board thu 10:00');
  await expect(chip(page, 'time')).toContainText('10:00');
  await chip(page, 'time').focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('option', { name: '10:00', exact: true })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(chip(page, 'time')).toContainText('10:30');
  await expect(chip(page, 'time')).toBeFocused();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(line(page)).toHaveValue('Lens board Thu 11 March 10:30');
  await writeLine(page, await line(page).inputValue());
  await expect(line(page)).toHaveValue('');
});
