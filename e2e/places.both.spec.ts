import AxeBuilder from '@axe-core/playwright';
import { card, expect, expectKept, openEditor, openPlan, openSetup, press, test } from './pages';

test('known places are offered while one is typed, and taken by a press', async ({ page }) => {
  await openPlan(page, '/?view=day&day=2027-03-09');
  const editor = await openEditor(page, /Keeper rota call/);
  const place = editor.getByTestId('place-field');
  // What stands there from before asks for nothing.
  await expect(editor.getByTestId('known-places')).toHaveCount(0);
  await place.fill('chart');
  const offered = editor.getByTestId('known-places');
  await expect(offered).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).include('[data-testid="editor"]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
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

test('a place has a page: what is known of it, a drawn map, what is held there next, and all of it in Tidy', async ({
  page,
}) => {
  await openPlan(page, '/?view=day&date=2027-03-11&now=2027-03-09T10:20');
  await press(card(page, /Crane test, boat shed/));
  await press(page.getByRole('button', { name: 'Boat shed', exact: true }));
  const sheet = page.getByRole('dialog', { name: 'Boat shed' });
  await expect(sheet).toContainText('20 seats · screen · workbench');
  await expect(sheet.getByRole('img', { name: /^Map about Boat shed/ })).toBeVisible();
  // Land is drawn: its outlines have come.
  await expect(sheet.getByTestId('place-map').locator('path')).toHaveAttribute('d', /^M/);
  await expect(sheet.getByRole('group', { name: 'Next here' })).toContainText('Crane test, boat shed');
  const { violations } = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
  await press(sheet.getByRole('button', { name: 'All entries with this place' }));
  await expect(page.getByTestId('table-row').filter({ hasText: 'Winch check' })).toHaveCount(1);

  await openSetup(page);
  const place = page.getByTestId('known-place').filter({ hasText: 'Halifax' });
  await expect(place).toContainText('on the map');
  await press(place);
  await expect(page.getByRole('dialog', { name: 'Halifax' })).toContainText('Halifax: lamp makers');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('a way that was written before is proposed for the same place, and says what it is known from', async ({
  page,
}) => {
  await openPlan(page, '/?view=day&date=2027-03-10&now=2027-03-09T10:20');
  const write = async (line: string) => {
    await page.getByTestId('entry-line').fill(line);
    await page.getByTestId('entry-line').press('Shift+Enter');
    await expect(page.getByTestId('editor')).toBeVisible();
    await page.getByTestId('editor').getByTestId('place-field').fill('Skerry pier');
    return page.getByTestId('editor');
  };
  const first = await write('Look at the pier tomorrow 17:30');
  await expect(first.getByTestId('travel-proposals')).toHaveCount(0);
  await first.getByTestId('editor-there').fill('35');
  await first.getByTestId('editor-back').fill('25');
  await press(first.getByRole('button', { name: 'Save', exact: true }));
  await expectKept(page, 'Skerry pier');
  const second = await write('Mend the pier Thursday 17:30');
  const proposals = second.getByTestId('travel-proposals');
  await expect(proposals).toContainText('35 min there, 25 back');
  await press(proposals.getByRole('button', { name: '35 min there, 25 back, as in 1 entry here' }));
  await expect(second.getByTestId('editor-there')).toHaveValue('35');
  await expect(second.getByTestId('editor-back')).toHaveValue('25');
  await expect(proposals).toHaveCount(0);
});
