import { zipSync, strToU8 } from 'fflate';
import {
  calendarAction,
  CALENDAR_FILE,
  card,
  expect,
  giveFiles,
  openPlan,
  openSetup,
  press,
  saved,
  test,
  textFile,
} from './pages';

const TABLE = [
  'What;On;At;Up to;Where',
  'Lamp test;9/3/2027;14:00;15:30;Works',
  'Q1 works report;9/3/2027;10:30;12:00;',
  'Night watch;32/3/2027;22:00;02:00;',
].join('\n');

test('several files and an archive are imported at once; a table’s columns are shown and corrected', async ({
  page,
}) => {
  await openSetup(page);
  const packed = zipSync({
    'in/boats.ics': strToU8(
      CALENDAR_FILE.replaceAll('@stores', '@boats').replace('Stores and boats', 'Boats'),
    ),
    'in/readme.txt': strToU8('nothing to import'),
  });
  await giveFiles(page, page.getByRole('button', { name: 'Import a file' }), [
    textFile('stores.ics', CALENDAR_FILE),
    { name: 'more.zip', mimeType: 'application/zip', buffer: Buffer.from(packed) },
    textFile('works.csv', TABLE, 'text/csv'),
    textFile('letter.ics', 'Dear keepers'),
  ]);
  const table = page.getByRole('dialog', { name: 'Columns of the table' });
  await expect(table.getByText('3 rows')).toBeVisible();
  await expect(table.getByText(/can be read both ways/)).toBeVisible();
  await expect(table.getByLabel('Column “What”')).toHaveValue('title');
  // “Up to” is not known by that name: it is said.
  await expect(table.getByLabel('Column “Up to”')).toHaveValue('');
  await table.getByLabel('Column “On”').selectOption({ label: 'Start date' });
  await table.getByLabel('Column “Up to”').selectOption({ label: 'End time' });
  await press(table.getByRole('radio', { name: 'day before month' }));
  await press(table.getByRole('button', { name: 'Go on' }));

  const sheet = page.getByRole('dialog', { name: 'Import' });
  await expect(sheet.getByText('3 files to import')).toBeVisible();
  // Also what an archive holds beside calendars.
  for (const name of ['letter.ics', 'readme.txt'])
    await expect(sheet.getByRole('alert').filter({ hasText: `${name} was left out` })).toBeVisible();
  await expect(sheet.getByText('This date can’t be read; the row was left out.')).toBeVisible();
  await expect(sheet.getByTestId('import-doubles')).toContainText('Q1 works report');
  await press(sheet.getByRole('button', { name: 'Import 5 entries' }));
  await expect(sheet).toHaveCount(0);
  for (const name of ['Stores and boats', 'Boats', 'works'])
    await expect(page.getByRole('group', { name, exact: true })).toBeVisible();
  await openPlan(page, '/?view=day&date=2027-03-09');
  await expect(card(page, /14:00 to 15:30, Lamp test, works calendar/)).toBeVisible();

  // The same once more: all of it is here, and nothing is imported twice.
  await openSetup(page);
  await giveFiles(page, page.getByRole('button', { name: 'Import a file' }), [
    textFile('stores.ics', CALENDAR_FILE.replace('Rope delivery', 'Rope and chain')),
  ]);
  await expect(sheet.getByTestId('import-doubles')).toContainText('2 entries are here already');
  await expect(sheet.getByRole('button', { name: 'Keep 1 part' })).toBeVisible();
  await press(sheet.getByRole('radio', { name: 'Replace' }));
  await sheet.getByTestId('import-into').selectOption({ label: 'Stores and boats' });
  await press(sheet.getByRole('button', { name: 'Import 2 entries' }));
  await expect(sheet).toHaveCount(0);
  await expect(page.getByRole('group', { name: 'Stores and boats' })).toContainText('2 entries');
  await openPlan(page, '/?view=agenda&date=2027-03-10');
  await expect(card(page, /Rope and chain/)).toBeVisible();
  await expect(card(page, /Rope delivery, Stores/)).toHaveCount(0);
});

test('files are attached by choosing, dropping and pasting, shown, saved, exported and removed in bulk', async ({
  page,
}) => {
  await openPlan(page, '/?date=2027-03-09');
  await press(card(page, /Rota check/));
  // The whole series gets them.
  const list = page.getByTestId('attachments');
  const every = () => press(page.getByRole('dialog').getByRole('button', { name: /Every one/ }));
  await giveFiles(page, list.getByRole('button', { name: 'Attach files' }), [
    textFile('lamps.txt', 'nine lamps', 'text/plain'),
    textFile('wicks.txt', 'forty wicks', 'text/plain'),
  ]);
  await every();
  await press(card(page, /Rota check/));
  await expect(list.getByText('lamps.txt')).toBeVisible();
  const transfer = await page.evaluateHandle(() => {
    const data = new DataTransfer();
    data.items.add(
      new File(['<svg xmlns="http://www.w3.org/2000/svg"/>'], 'plan.svg', { type: 'image/svg+xml' }),
    );
    return data;
  });
  await list.dispatchEvent('drop', { dataTransfer: transfer });
  await every();
  await press(card(page, /Rota check/));
  await expect(list.getByText('plan.svg')).toBeVisible();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.items.add(new File(['pasted'], 'pasted.txt', { type: 'text/plain' }));
    window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data }));
  });
  await every();
  await press(card(page, /Rota check/));
  await press(list.getByRole('button', { name: 'Show pasted.txt' }));
  await expect(page.getByRole('dialog').getByText('pasted', { exact: true })).toBeVisible();
  await press(page.getByRole('dialog').getByRole('button', { name: 'Close' }).last());
  const { text } = await saved(page, () => press(list.getByRole('button', { name: 'Save wicks.txt' })));
  expect(text).toBe('forty wicks');

  await openSetup(page);
  await calendarAction(page, 'Meetings', /Save as file/);
  const exported = await saved(page, () =>
    press(page.getByRole('dialog').getByRole('button', { name: 'Save', exact: true })),
  );
  expect(exported.text.replaceAll('\r\n ', '')).toMatch(
    /ATTACH;[^\r]*FILENAME=lamps.txt[^\r]*:bmluZSBsYW1wcw==/,
  );

  for (const name of ['lamps.txt', 'wicks.txt', 'plan.svg'])
    await press(page.getByRole('checkbox', { name: `Choose ${name}` }));
  await press(page.getByRole('button', { name: 'Remove 3 files' }));
  await expect(page.getByText('lamps.txt')).toHaveCount(0);
  await expect(page.getByText('pasted.txt')).toBeVisible();
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(page.getByText('lamps.txt')).toBeVisible();
});
