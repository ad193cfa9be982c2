import type { Page } from '@playwright/test';
import { drag, expect, openPlan, press, test } from './pages';
import { Finger } from './touch';

const range = (page: Page) => page.getByRole('heading', { level: 1 });
const strip = (page: Page) => page.getByTestId('load-strip');
const isPhone = () => test.info().project.name === 'phone';

/** The middle of a week of the strip, counted from the one that is shown. */
async function weekAt(page: Page, weeksOn: number): Promise<{ x: number; y: number }> {
  const box = (await strip(page).boundingBox())!;
  const shown = (await page.getByTestId('strip-shown').boundingBox())!;
  const week = box.width / Math.floor(box.width / 64);
  const index = Math.floor((shown.x + shown.width / 2 - box.x) / week) + weeksOn;
  return { x: box.x + (index + 0.5) * week, y: box.y + box.height / 2 };
}

test('a pressed week is gone to, and the strip brackets it', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  await expect(page.getByTestId('strip-shown')).toBeVisible();
  const { x, y } = await weekAt(page, 2);
  if (isPhone()) await page.touchscreen.tap(x, y);
  else await page.mouse.click(x, y);
  await expect(range(page)).toContainText(/22.*28 March/);
  await expect(page).toHaveURL(/date=2027-03-23/);
  await press(page.getByRole('button', { name: 'Today' }));
  await expect(range(page)).toContainText(/8.*14 March/);
});

test('as a slider of weeks it is walked by keys and read out in words', async ({ page }) => {
  test.skip(isPhone(), 'keys are for wide screens');
  await openPlan(page, '/?view=week&date=2027-03-09');
  await expect(strip(page)).toHaveAttribute('aria-valuetext', /^Week of 8 March 2027, \d+ h.* of .* booked$/);
  await strip(page).focus();
  await page.keyboard.press('ArrowRight');
  await expect(range(page)).toContainText(/15.*21 March/);
  await expect(strip(page)).toHaveAttribute('aria-valuetext', /^Week of 15 March 2027/);
  await page.keyboard.press('PageDown');
  await expect(range(page)).toContainText(/12.*18 April/);
  await page.keyboard.press('Home');
  await expect(range(page)).toContainText(/8.*14 March/);
});

test('it moves on without end by wheel or swipe, and the shown days stay', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  const at = await weekAt(page, 0);
  if (isPhone()) {
    const finger = await Finger.on(page);
    const [right, left] = [
      { x: 340, y: at.y },
      { x: 40, y: at.y },
    ];
    // Three do on a page that keeps up; one that is held up may take some for none.
    for (let swipe = 0; swipe < 9 && (await page.getByTestId('strip-shown').count()) > 0; swipe++) {
      await finger.draw(right, left);
      // The finger rests before it lifts: a flung one would make the browser swallow the next tap.
      await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 200)));
      await finger.move(left, left);
      await finger.lift();
    }
  } else {
    await page.mouse.move(at.x, at.y);
    for (let turn = 0; turn < 3; turn++) await page.mouse.wheel(0, 240);
  }
  await expect(page.getByTestId('strip-shown')).toHaveCount(0);
  await expect(strip(page)).toContainText(/Apr|May/);
  await expect(range(page)).toContainText(/8.*14 March/);
  await press(page.getByRole('button', { name: 'Step forward' }));
  await expect(page.getByTestId('strip-shown')).toBeVisible();
});

test('days that the mouse or a held finger goes over are shown, just those', async ({ page }) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  const shown = (await page.getByTestId('strip-shown').boundingBox())!;
  const day = shown.width / 7;
  const y = shown.y + 10;
  const from = { x: shown.x + shown.width + day * 1.5, y };
  const to = { x: shown.x + shown.width + day * 4.5, y };
  const isChosen = () => expect(page.getByTestId('strip-selection')).toBeVisible();
  if (isPhone()) {
    const finger = await Finger.on(page);
    await finger.hold(from, 300);
    await finger.move(from, to);
    await isChosen();
    await finger.lift();
  } else await drag(page, from, to, isChosen);
  await expect(page.getByTestId('day-head')).toHaveCount(4);
  await expect(page.getByTestId('day-head').first()).toContainText('16');
  await expect(page).toHaveURL(/view=days/);
  await expect(page.getByTestId('strip-selection')).toHaveCount(0);
});
