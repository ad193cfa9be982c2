import type { Page } from '@playwright/test';
import { boxOf, centre, chooseView, drag, expect, expectKept, openPlan, press, test } from './pages';

const isPhone = () => test.info().project.name === 'phone';
const title = (page: Page) => page.getByRole('heading', { level: 1 });
const day = (page: Page, name: RegExp) => page.getByRole('gridcell', { name });

test.describe('Weeks', () => {
  test('shows the month with ribbons over its days; “+n” and the date open the day', async ({ page }) => {
    await openPlan(page);
    await chooseView(page, 'Weeks');
    await expect(title(page)).toContainText('March 2027');
    await expect(page.getByTestId('week-day')).toHaveCount(35);
    await expect(day(page, /^Tuesday 9 March, \d+ entries, .* booked/)).toHaveAttribute(
      'aria-selected',
      'true',
    );
    await expect(page.getByRole('button', { name: /^Thursday 18 March, all day, .*Halifax/ })).toBeVisible();
    await press(page.getByRole('button', { name: 'Open Wednesday 17 March' }));
    await expect(title(page)).toContainText('17 March');
    await expect(page.getByTestId('hours')).toBeVisible();
    await page.goBack();
    await expect(page.getByTestId('weeks')).toBeVisible();
    await press(page.getByRole('button', { name: 'Step forward' }));
    await expect(title(page)).toContainText('April 2027');
    await expect(page).toHaveURL(/date=2027-04-09/);
  });

  test('at three levels of detail, from bars to places', async ({ page }) => {
    test.skip(isPhone(), 'a phone has room for bars alone');
    await openPlan(page, '/?view=weeks&weeks=2');
    await page.goto('/?view=weeks&weeks=2&detail=full&date=2027-03-09');
    await expect(page.getByTestId('week-day')).toHaveCount(14);
    await expect(page.getByRole('button', { name: /Gull Point inspection/ })).toContainText('8:30–16:30');
    await page.goto('/?view=weeks&weeks=2&detail=bars&date=2027-03-09');
    await expect(page.getByTestId('week-day')).toHaveCount(14);
    await expect(page.getByTestId('card')).toHaveCount(0);
  });

  test('an entry is dragged to another day and keeps its time; so does a ribbon', async ({ page }) => {
    test.skip(isPhone(), 'a phone shows bars, which are not taken hold of');
    await openPlan(page, '/?view=weeks&weeks=2&date=2027-03-09');
    const inspection = page.getByRole('button', { name: /^Wednesday 10 March, 8:30 to 16:30, Gull Point/ });
    await drag(page, await centre(inspection), await centre(day(page, /^Saturday 13 March/)));
    await expect(
      page.getByRole('button', { name: /^Saturday 13 March, 8:30 to 16:30, Gull Point/ }),
    ).toBeVisible();
    const trip = page.getByRole('button', { name: /^Thursday 18 March, all day, .*Halifax: lamp makers/ });
    const from = await boxOf(trip);
    await drag(page, { x: from.x + 40, y: from.y + 10 }, await centre(day(page, /^Wednesday 17 March/)));
    await expect(
      page.getByRole('button', { name: /^Wednesday 17 March, all day, until Saturday 20 March/ }),
    ).toBeVisible();
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await expect(inspection).toBeVisible();
  });

  test('is walked by keys: arrows from day to day, Enter opens', async ({ page }) => {
    await openPlan(page, '/?view=weeks&date=2027-03-09');
    await day(page, /^Tuesday 9 March/).focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowDown');
    await expect(day(page, /^Wednesday 17 March/)).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(title(page)).toContainText('17 March');
  });
});

test('the year shows how booked each day is, with a legend in words, and leads to a day', async ({
  page,
}) => {
  await openPlan(page);
  await chooseView(page, 'Year');
  await expect(page.getByTestId('year-day')).toHaveCount(365);
  await expect(page.getByRole('list', { name: 'Booked share of the working hours' })).toContainText(
    'beyond working hours',
  );
  const wednesday = page.getByRole('button', { name: /^Wednesday 10 March, beyond working hours, / });
  await expect(wednesday).toBeVisible();
  await page.getByRole('button', { name: /^Tuesday 9 March, / }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('button', { name: /^Tuesday 16 March, / })).toBeFocused();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: /^Friday 16 April, / })).toBeFocused();
  await press(wednesday);
  await expect(title(page)).toContainText('10 March');
  await expect(page.getByRole('button', { name: /Gull Point inspection/ }).first()).toBeVisible();
});

test.describe('Agenda', () => {
  test('says entries in order with the free times between them, and now', async ({ page }) => {
    await openPlan(page);
    await chooseView(page, 'Agenda');
    const today = page.getByRole('article', { name: 'Today, Tue 9 March' });
    await expect(today.getByTestId('agenda-now')).toHaveText('now, 10 min to the next');
    await expect(today.getByTestId('agenda-gap').last()).toContainText(/free/);
    const names = await today
      .getByTestId('card')
      .evaluateAll((cards) => cards.map((card) => card.getAttribute('aria-label')!.replace(/^[^,]*, /, '')));
    const starts = names
      .map((name) => /^(\d+):(\d\d) to /.exec(name))
      .flatMap((match) => (match ? [Number(match[1]) * 60 + Number(match[2])] : []));
    expect(starts.length).toBeGreaterThan(4);
    expect(starts).toEqual([...starts].sort((one, other) => one - other));
  });

  test('goes on both ways when it is scrolled, and the selected day follows', async ({ page }) => {
    await openPlan(page, '/?view=agenda&date=2027-03-09');
    const list = page.getByRole('feed');
    await expect(list.getByRole('article', { name: 'Today, Tue 9 March' })).toBeInViewport();
    await list.getByRole('article').last().scrollIntoViewIfNeeded();
    await expect(async () => {
      await list.evaluate((element) => element.scrollBy(0, 900));
      await expect(list.getByRole('article', { name: 'Tue 30 March', exact: true })).toBeInViewport({
        timeout: 100,
      });
    }).toPass({ intervals: [50] });
    await expect(page).toHaveURL(/date=2027-03-(2[5-9]|3\d)/);
    await expect(async () => {
      await list.evaluate((element) => element.scrollBy(0, -900));
      await expect(list.getByRole('article', { name: 'Mon 1 March', exact: true })).toBeInViewport({
        timeout: 100,
      });
    }).toPass({ intervals: [50] });
    await expect(page).toHaveURL(/date=2027-0(2|3-0)/);
    await press(page.getByRole('button', { name: 'Today' }));
    await expect(list.getByRole('article', { name: 'Today, Tue 9 March' })).toBeInViewport();
  });

  test('is walked by arrows over the days, and an entry opens with Enter', async ({ page }) => {
    test.skip(isPhone(), 'keys are for wide screens');
    await openPlan(page, '/?view=agenda&date=2027-03-09');
    await page.getByRole('button', { name: /^Tuesday 9 March, 17:00 to 17:30, Halifax call/ }).click();
    await page.getByRole('button', { name: /^Tuesday 9 March, 17:00 to 17:30, Halifax call/ }).focus();
    await page.keyboard.press('ArrowDown');
    await expect(page.getByRole('button', { name: /^Wednesday 10 March, 6:00 to 8:00/ })).toBeFocused();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    await expect(page.getByTestId('editor')).toBeVisible();
  });
});

test.describe('Lanes', () => {
  test('has a lane for each shown calendar, and the times at which none is taken', async ({ page }) => {
    await openPlan(page, '/?view=lanes&date=2027-03-09');
    await expect(page.getByTestId('lane')).toHaveCount(7);
    const meetings = page.getByRole('group', { name: 'Meetings calendar' });
    await expect(meetings.getByTestId('card').first()).toBeAttached();
    const free = page.getByRole('button', { name: /^Free 12:00–14:00/ });
    await free.scrollIntoViewIfNeeded();
    await press(free);
    await expect(page.getByRole('complementary').getByRole('textbox').first()).toBeVisible();
    await page.goto('/?view=lanes&date=2027-03-09&hide=home,rota');
    await expect(page.getByTestId('lane')).toHaveCount(5);
  });

  test('overlapping entries are stacked, side by side, or laid over each other', async ({ page }) => {
    await openPlan(page, '/?view=lanes&date=2027-03-11');
    for (const words of ['Rope talk 9-11 #ME', 'Sail talk 10-12 #ME']) {
      await page.getByTestId('entry-line').fill(words);
      await expect(page.getByTestId('understood-title')).toHaveText(new RegExp(words.slice(0, 9)));
      await page.getByTestId('entry-line').press('Enter');
      await expect(
        page.getByRole('button', { name: new RegExp(`to 1\\d:00, ${words.slice(0, 9)}`) }),
      ).toBeAttached();
    }
    await expectKept(page, 'Sail talk');
    const boxes = async (mode: string) => {
      await page.goto(`/?view=lanes&date=2027-03-11&lanes=${mode}`);
      const cards = page.getByRole('group', { name: 'Meetings calendar' }).getByTestId('card');
      await expect(cards.filter({ hasText: 'talk' })).toHaveCount(2);
      return cards.evaluateAll((all) =>
        all.map((card) => {
          const { top, bottom, left, right } = card.getBoundingClientRect();
          return { top, bottom, left, right };
        }),
      );
    };
    const overlapping = (all: Awaited<ReturnType<typeof boxes>>) =>
      all.some((a, index) =>
        all.some(
          (b, other) =>
            other > index &&
            a.left < b.right - 1 &&
            b.left < a.right - 1 &&
            a.top < b.bottom - 1 &&
            b.top < a.bottom - 1,
        ),
      );
    expect(overlapping(await boxes('stacked'))).toBe(false);
    expect(overlapping(await boxes('side-by-side'))).toBe(false);
    expect(overlapping(await boxes('laid-over'))).toBe(true);
  });

  test('an entry is dragged along the hours, and to another lane', async ({ page }) => {
    test.skip(isPhone(), 'the drag by finger is the same as in the hours');
    await openPlan(page, '/?view=lanes&date=2027-03-09');
    const report = page.getByRole('button', { name: /10:30 to 12:00, Q1 works report/ });
    const box = await boxOf(report);
    await drag(page, { x: box.x + 40, y: box.y + 20 }, { x: box.x + 40 + box.width, y: box.y + 22 });
    const moved = page.getByRole('button', { name: /12:00 to 13:30, Q1 works report/ });
    await expect(moved).toBeVisible();
    const meetings = (await page.getByRole('group', { name: 'Meetings calendar' }).boundingBox())!;
    const { x, y } = await centre(moved);
    await drag(page, { x, y }, { x, y: meetings.y + meetings.height / 2 });
    await expect(
      page
        .getByRole('group', { name: 'Meetings calendar' })
        .getByRole('button', { name: /12:00 to 13:30, Q1 works report, Meetings calendar/ }),
    ).toBeVisible();
    await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
    await expect(
      page.getByRole('button', { name: /12:00 to 13:30, Q1 works report, Desk work calendar/ }),
    ).toBeVisible();
  });
});

test('calendars of a day stand side by side as columns', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-09&columns=on&hide=home,rota,daysoff');
  await expect(page.getByTestId('calendar-head')).toHaveCount(4);
  const heads = page.getByTestId('calendar-head');
  const meetings = (await heads.filter({ has: page.getByText('ME') }).boundingBox())!;
  const call = (await page
    .getByRole('button', { name: /Keeper rota call/ })
    .first()
    .boundingBox())!;
  expect(call.x).toBeGreaterThanOrEqual(meetings.x);
  expect(call.x + call.width).toBeLessThanOrEqual(meetings.x + meetings.width + 1);
});

test('the days of a clock change have 23 and 25 hours', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openPlan(page, '/?view=day&date=2027-03-09');
  const hours = page.getByTestId('hours');
  await page.goto('/?view=day&date=2027-03-28');
  await press(hours.getByRole('button', { name: /before 8:00/ }));
  await expect(page.getByTestId('missing-hour')).toBeVisible();
  const height = async () =>
    hours.evaluate((element) => {
      const column = element.querySelector('[data-testid="missing-hour"]');
      return column ? column.getBoundingClientRect().height : 0;
    });
  const skipped = await height();
  await page.goto('/?view=day&date=2027-10-31');
  await press(hours.getByRole('button', { name: /before 8:00/ }));
  await expect(page.getByTestId('hour-rail').getByText('1:00', { exact: true })).toHaveCount(2);
  await expect(page.getByTestId('missing-hour')).toHaveCount(0);
  expect(skipped).toBeGreaterThan(30);
});

test('grid step, height of hours and weekends are chosen, and a drag snaps to the step', async ({ page }) => {
  test.skip(isPhone(), 'a mouse drags here');
  await openPlan(page, '/?view=week&date=2027-03-09&step=10&rows=roomy&weekends=off');
  await expect(page.getByTestId('day-head')).toHaveCount(5);
  const report = page.getByRole('button', { name: /10:30 to 12:00, Q1 works report/ });
  const box = await boxOf(report);
  const minute = box.height / 90;
  await drag(page, { x: box.x + 30, y: box.y + 40 }, { x: box.x + 30, y: box.y + 40 + 10 * minute });
  await expect(page.getByRole('button', { name: /10:40 to 12:10, Q1 works report/ })).toBeVisible();
});
