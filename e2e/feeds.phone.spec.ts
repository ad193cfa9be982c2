import { calendarAction, expect, expectKept, openPlan, openSetup, press, test } from './pages';

test('a feed is subscribed to, read only, and its own note outlasts what the feed does', async ({ page }) => {
  await openSetup(page);
  await press(page.getByRole('button', { name: 'Subscribe to a feed' }));
  const sheet = page.getByRole('dialog', { name: 'Subscribe to a feed' });
  await sheet.getByTestId('feed-address').fill('ftp://feeds.example/a');
  await press(sheet.getByRole('button', { name: 'Read it now' }));
  await expect(sheet.getByText('This is no address of the web.')).toBeVisible();
  await sheet.getByTestId('feed-address').fill('http://127.0.0.1/a.ics');
  await press(sheet.getByRole('button', { name: 'Read it now' }));
  await expect(sheet.getByRole('alert')).toContainText('not out on the network');
  await sheet.getByTestId('feed-address').fill('http://feeds.fennick.example/malformed.ics');
  await press(sheet.getByRole('button', { name: 'Read it now' }));
  await expect(sheet.getByRole('alert')).toContainText('can’t be read as a calendar');

  await sheet.getByTestId('feed-address').fill('');
  await press(sheet.getByRole('button', { name: /Days off, Fennick coast/ }));
  await press(sheet.getByRole('button', { name: 'Read it now' }));
  await expect(sheet.getByText('8 entries found')).toBeVisible();
  await press(sheet.getByRole('button', { name: 'Subscribe', exact: true }));
  await expect(sheet).toHaveCount(0);
  const feeds = page.getByRole('region', { name: 'Feeds' });
  await expect(feeds.getByRole('group', { name: 'Days off, Fennick coast' })).toContainText('8 entries');

  await openPlan(page, '/?view=day&date=2027-03-22');
  await press(page.getByRole('button', { name: /Spring tide day, Days off/ }).first());
  const desk = page.getByRole('complementary');
  await expect(desk.getByText(/is a feed: its entries are read only/)).toBeVisible();
  await expect(desk.getByRole('button', { name: 'Edit', exact: true })).toHaveCount(0);
  await desk.getByTestId('own-note').fill('The boat does not go');
  await press(desk.getByRole('button', { name: 'Keep the note' }));
  await expectKept(page, 'The boat does not go');
  await desk.getByTestId('copy-one').selectOption({ label: 'Desk work' });
  await expect(page.getByTestId('notice')).toContainText('1 entry copied to Desk work');

  await openSetup(page);
  await press(page.getByRole('button', { name: 'Read Days off, Fennick coast now' }));
  await expect(page.getByTestId('notice')).toContainText('nothing new');
  await openPlan(page, '/?view=day&date=2027-03-22');
  await press(page.getByRole('button', { name: /Spring tide day, Days off/ }).first());
  await expect(desk.getByTestId('own-note')).toHaveValue('The boat does not go');
});

test('a calendar is published at a level, changes reach the page, and it is withdrawn at once', async ({
  page,
  request,
}) => {
  await openSetup(page);
  await calendarAction(page, 'Meetings', /^Publish/);
  const sheet = page.getByRole('dialog', { name: 'Publish Meetings' });
  const seen = sheet.getByRole('region', { name: 'As others see it' });
  await expect(seen.getByText('Busy').first()).toBeVisible();
  await expect(seen).not.toContainText('Keeper rota call');
  await press(sheet.getByRole('radio', { name: 'Titles' }));
  await expect(seen).toContainText('Keeper rota call');
  await press(sheet.getByRole('button', { name: 'Publish', exact: true }));
  const address = sheet.getByRole('group', { name: 'Secret address of the page' });
  await expect(address).toContainText('/p/');
  const url = /http\S+\/p\/[\w-]+/.exec(await address.innerText())![0];
  const textOf = async (path: string) => (await request.get(path)).text();
  expect(await textOf(`${url}?from=2027-03-09`)).toContain('Keeper rota call');
  expect(await textOf(`${url}.ics`)).toContain('SUMMARY:Keeper rota call');
  expect(await textOf(`${url}.ics`)).not.toContain('Lamp room');
  await press(sheet.getByRole('radio', { name: 'Busy times only' }));
  await press(sheet.getByRole('button', { name: 'Keep the level' }));
  await expect.poll(() => textOf(`${url}.ics`)).not.toContain('Keeper rota call');
  await press(sheet.getByRole('button', { name: 'Close' }).last());
  await expect(page.getByRole('region', { name: 'Published' })).toContainText('Published: busy times only');

  // A new entry is on the page a moment later.
  await openPlan(page, '/?date=2027-03-09');
  const before = (await textOf(`${url}.ics`)).split('BEGIN:VEVENT').length;
  await page.getByTestId('entry-line').fill('Boat talk Tue 12:00 30 min');
  await page.getByTestId('entry-line').press('Enter');
  await expect
    .poll(async () => (await textOf(`${url}.ics`)).split('BEGIN:VEVENT').length, { timeout: 30_000 })
    .toBe(before + 1);

  await openSetup(page);
  await calendarAction(page, 'Meetings', /^Publish/);
  // A new address: the old one stops working at once.
  await press(sheet.getByRole('button', { name: 'New address' }));
  await expect(address).not.toContainText(url);
  const renewed = /http\S+\/p\/[\w-]+/.exec(await address.innerText())![0];
  expect((await request.get(url)).status()).toBe(404);
  expect((await request.get(renewed)).status()).toBe(200);
  await press(sheet.getByRole('button', { name: 'Withdraw' }));
  await expect.poll(async () => (await request.get(renewed)).status()).toBe(404);
  await expect(page.getByRole('region', { name: 'Published' })).toHaveCount(0);

  // Undone, it is there again at another address; the one that was withdrawn stays so.
  await press(sheet.getByRole('button', { name: /Close|Cancel/ }).last());
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(page.getByRole('region', { name: 'Published' })).toContainText('Published: busy times only');
  await expect(page.getByTestId('notice')).toContainText('published again, at a new address');
  expect((await request.get(renewed)).status()).toBe(404);
  await calendarAction(page, 'Meetings', /^Publish/);
  const again = /http\S+\/p\/[\w-]+/.exec(await address.innerText())![0];
  expect(again).not.toBe(renewed);
  await expect.poll(async () => (await request.get(again)).status()).toBe(200);
});
