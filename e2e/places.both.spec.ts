import { card, expect, openEditor, openPlan, press, test } from './pages';

test('known places are offered while one is typed, and taken by a press', async ({ page }) => {
  await openPlan(page, '/?view=day&day=2027-03-09');
  const editor = await openEditor(page, /Keeper rota call/);
  const place = editor.getByTestId('place-field');
  // What stands there from before asks for nothing.
  await expect(editor.getByTestId('known-places')).toHaveCount(0);
  await place.fill('chart');
  const offered = editor.getByTestId('known-places');
  await press(offered.getByRole('button', { name: /^Chart room, in \d+ entries$/ }));
  await expect(place).toHaveValue('Chart room');
  await expect(offered).toHaveCount(0);
  await place.fill('nowhere that is known');
  await expect(offered).toHaveCount(0);
});

test('a to-do is offered the same places, by keys alone, too', async ({ page }) => {
  await page.goto('/todos');
  await page.getByRole('button', { name: 'Open Order wicks for Gull Point' }).click();
  const sheet = page.getByRole('dialog', { name: 'To-do' });
  await sheet.getByTestId('place-field').fill('lamp');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(sheet.getByTestId('place-field')).toHaveValue('Lamp room');
});

test('a place of which a file says where it is opens in the device’s program of maps, from every entry there', async ({
  page,
}) => {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'X-WR-CALNAME:Survey',
    'BEGIN:VEVENT',
    'UID:1@survey',
    'DTSTAMP:20270301T000000Z',
    'DTSTART:20270309T123000Z',
    'DTEND:20270309T133000Z',
    'SUMMARY:Look at the chart table',
    'LOCATION:Chart room',
    'GEO:38.7;-9.1',
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ];
  await page.addInitScript(() => {
    window.open = (address) => {
      document.documentElement.dataset.opened = String(address);
      return null;
    };
  });
  await openPlan(page, '/?view=day&day=2027-03-09');
  const data = await page.evaluateHandle((text) => {
    const transfer = new DataTransfer();
    transfer.items.add(new File([text], 'survey.ics', { type: 'text/calendar' }));
    return transfer;
  }, lines.join('\r\n'));
  await page.dispatchEvent('body', 'drop', { dataTransfer: data });
  const sheet = page.getByRole('dialog', { name: 'Import' });
  await press(sheet.getByRole('button', { name: /^Import 1 entr/ }));
  await expect(sheet).toHaveCount(0);
  await press(card(page, /Look at the chart table/));
  await press(page.getByRole('button', { name: 'Open in the map program' }));
  await expect(page.locator('html')).toHaveAttribute(
    'data-opened',
    'geo:38.7,-9.1?q=38.7,-9.1(Chart%20room)',
  );
});
