import { calendarAction, card, expect, openPlan, test, writeLine } from './pages';

test('a tab killed before the records are written loses nothing that it said', async ({
  context,
  baseURL,
}) => {
  const page = await context.newPage();
  await openPlan(page, baseURL);
  // From here on nothing that the page itself writes is ever answered, as if it died there.
  await page.evaluate(() => {
    Storage.prototype.setItem = () => undefined;
    IDBObjectStore.prototype.put = () =>
      Object.setPrototypeOf(new EventTarget(), IDBRequest.prototype) as IDBRequest<IDBValidKey>;
  });
  await writeLine(page, 'Buoy log Tue 12:30 30 min');
  await expect(page.getByTestId('notice')).toContainText('“Buoy log” made');
  await page.close({ runBeforeUnload: false });

  const again = await context.newPage();
  await openPlan(again, baseURL);
  await expect(card(again, /Buoy log/)).toBeVisible();
  await again.reload();
  await expect(card(again, /Buoy log/)).toBeVisible();
});

test('a change is kept though the page is left before it is kept, and is not said before', async ({
  context,
  baseURL,
}) => {
  const page = await context.newPage();
  await openPlan(page, baseURL);
  // What is to be kept never arrives.
  await page.evaluate(() => {
    const post = Worker.prototype.postMessage as (this: Worker, ...given: unknown[]) => void;
    Worker.prototype.postMessage = function (this: Worker, ...given: unknown[]) {
      const [message] = given as [{ path?: string[] }];
      if (message.path?.[0] !== 'append') post.apply(this, given);
    };
  });
  await writeLine(page, 'Buoy log Tue 12:30 30 min');
  await expect(card(page, /Buoy log/)).toBeVisible();
  await expect(page.getByText('“Buoy log” made')).toHaveCount(0);
  await page.goto('about:blank');
  await openPlan(page, baseURL);
  await expect(card(page, /Buoy log/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(card(page, /Buoy log/)).toHaveCount(0);
});

test('another open tab follows', async ({ context, baseURL }) => {
  const first = await context.newPage();
  await openPlan(first, baseURL);
  const second = await context.newPage();
  await openPlan(second, baseURL);
  await writeLine(first, 'Fog signal test Tue 12:30 30 min');
  await expect(card(second, /Fog signal test/)).toBeVisible();
  // What was done in one can be undone in the other.
  await second.keyboard.press('Control+z');
  await expect(card(first, /Fog signal test/)).toHaveCount(0);
});

test.describe('with everything fetched ahead', () => {
  test.use({ savesData: false });
  test('the page works when the server is gone', async ({ page, context }) => {
    await openPlan(page);
    await expect(page.locator('html')).toHaveAttribute('data-loaded', 'all');
    await context.setOffline(true);
    for (const key of ['5', '6', '7', '8', '3']) await page.keyboard.press(key);
    await page.getByRole('button', { name: 'Step forward' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('15–19 March');
    await writeLine(page, 'Ladder check Tue 16 March 12:30');
    await card(page, /Ladder check/).click();
    await page.getByRole('button', { name: 'Edit', exact: true }).click();
    await expect(page.getByTestId('editor')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Setup' }).click();
    await expect(page.getByRole('heading', { name: 'Calendars' })).toBeVisible();
  });
});

const wrongFiles: [string, Buffer, RegExp][] = [
  ['letter.ics', Buffer.from('Dear keepers,\nthe boat is late.\n'), /not a calendar file/],
  ['half.ics', Buffer.from('BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nSUMMARY:Half'), /cut off/],
  ['wide.ics', Buffer.from('\ufeffBEGIN:VCALENDAR', 'utf16le'), /cut off/],
  ['large.ics', Buffer.alloc(201 * 1024 * 1024, 65), /larger than 200 MB/],
  ['packed.ics', Buffer.from([0x50, 0x4b, 3, 4, 0, 0]), /archive can’t be unpacked/],
  ['nothing.ics', Buffer.alloc(0), /empty/],
];

test('wrong files get a clear message and change nothing', async ({ page }, info) => {
  await page.goto('/setup');
  await expect(page.getByRole('heading', { name: 'Calendars' })).toBeVisible();
  for (const [name, buffer, message] of wrongFiles) {
    const file = info.outputPath(name);
    await (await import('node:fs/promises')).writeFile(file, buffer);
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Import a file' }).click(),
    ]);
    await chooser.setFiles(file);
    await expect(page.getByRole('alert').getByText(message)).toBeVisible();
    await expect(page.getByText('Nothing was changed.')).toBeVisible();
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).last().click();
  }
  await expect(page.getByRole('group', { name: /./ }).filter({ hasText: /\d entr/ })).toHaveCount(9);
});

test('calendars are made with a free colour and mark, made the target, and deleted with their entries moved', async ({
  page,
}) => {
  await page.goto('/setup');
  await page.getByRole('button', { name: 'New calendar' }).click();
  const sheet = page.getByRole('dialog', { name: 'New calendar' });
  await sheet.getByLabel('Name').fill('Meeting notes');
  // ME is taken by Meetings.
  await expect(sheet.getByLabel('Mark')).toHaveValue('MN');
  await sheet.getByLabel('Mark').fill('ME');
  await expect(sheet.getByText('Meetings has this mark already.')).toBeVisible();
  await sheet.getByLabel('Mark').fill('MN');
  await sheet.getByRole('button', { name: 'Save' }).click();
  const group = page.getByRole('group', { name: 'Meeting notes' });
  await calendarAction(page, 'Meeting notes', /Make it the target/);
  await expect(group.getByText('New entries go here')).toBeVisible();

  await page.getByRole('link', { name: 'Plan' }).click();
  await writeLine(page, 'Minutes Tue 12:30 30 min');
  await expect(card(page, /Minutes, Meeting notes calendar/)).toBeVisible();
  await page.getByRole('link', { name: 'Setup' }).click();
  await calendarAction(page, 'Meeting notes', /Delete calendar/);
  await page.getByRole('radio', { name: 'Move them to Desk work' }).click();
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(group).toHaveCount(0);
  await page.getByRole('link', { name: 'Plan' }).click();
  await expect(card(page, /Minutes, Desk work calendar/)).toBeVisible();
});

test('a reminder shows on the page when it is due, until it is dismissed', async ({ page }) => {
  await openPlan(page, '/?now=2027-03-09T13:49:57');
  const region = page.getByRole('region', { name: 'Reminders' });
  await expect(region.getByText('Keeper rota call')).toBeVisible();
  await expect(region.getByText(/in 10 min/)).toBeVisible();
  await region.getByRole('button', { name: 'Dismiss Keeper rota call' }).click();
  await expect(region).toHaveCount(0);
});

test('someone new begins with an empty calendar that says what to do', async ({ page, baseURL }) => {
  const empty = new URL(baseURL!);
  empty.port = String(Number(empty.port) + 1);
  await page.goto(empty.href);
  await expect(page.getByText('Nothing on these days yet.')).toBeVisible();
  await writeLine(page, 'First entry today 12:00');
  await expect(
    page
      .getByTestId('hours')
      .getByRole('button', { name: /First entry, Work calendar/ })
      .or(page.getByText(/“First entry” made/))
      .first(),
  ).toBeVisible();
});
