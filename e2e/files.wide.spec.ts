import {
  calendarAction,
  card,
  expect,
  expectKept,
  giveFiles,
  openPlan,
  openSetup,
  openTool,
  press,
  saved,
  test,
} from './pages';

test('what Plan shows is saved as a file: by the filter, of a range, as a table or a calendar file', async ({
  page,
}) => {
  await openPlan(page, '/?date=2027-03-09&text=report');
  const look = await openTool(page, /^Look|How it looks|View options/);
  await press(look.getByRole('button', { name: 'Save as file' }));
  const sheet = page.getByRole('dialog', { name: 'Save as file' });
  await expect(sheet.getByRole('button', { name: /Only what the filter of Plan shows/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await press(sheet.getByRole('radio', { name: 'Table (.csv)' }));
  await press(sheet.getByRole('button', { name: 'Only a range of days' }));
  await sheet.getByRole('textbox', { name: 'To', exact: true }).fill('2027-03-12');
  await expect(sheet.getByRole('status')).toContainText(/entr/);
  const { download, text } = await saved(page, () =>
    press(sheet.getByRole('button', { name: 'Save', exact: true })),
  );
  expect(download.suggestedFilename()).toBe('orderly-week.csv');
  expect(text).toContain('Q1 works report,2027-03-09,10:30');
  expect(text).not.toContain('Keeper rota call');
  for (const line of text.trim().split('\r\n').slice(1)) expect(line.toLowerCase()).toContain('report');
});

test('a backup holds everything; restored, it is all there again, with the attached files', async ({
  page,
}) => {
  await openSetup(page);
  const { download, text } = await saved(page, () =>
    press(page.getByRole('button', { name: 'Save a backup' })),
  );
  expect(download.suggestedFilename()).toBe('orderly-week-backup-2027-03-09.json');
  expect(JSON.parse(text)).toMatchObject({ format: 'orderly-week-backup', version: 1 });
  await expect(page.getByText(/Last saved 9 March 2027/)).toBeVisible();

  await press(page.getByRole('button', { name: 'Start with an empty calendar' }));
  await expect(page.getByRole('group', { name: 'Work', exact: true })).toBeVisible();
  await expectKept(page, '"name\\":\\"Work\\"');
  const file = { name: 'backup.json', mimeType: 'application/json', buffer: Buffer.from(text) };
  await giveFiles(page, page.getByRole('button', { name: 'Restore a backup' }), [file]);
  const sheet = page.getByRole('dialog', { name: 'Restore a backup' });
  await press(sheet.getByRole('radio', { name: 'Replace everything' }));
  await expect(sheet.getByTestId('restore-effects')).toContainText('9 added, 1 removed');
  await press(sheet.getByRole('button', { name: 'Restore', exact: true }));
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('group', { name: 'Work', exact: true })).toHaveCount(0);
  await openPlan(page, '/?date=2027-03-09');
  await press(card(page, /Q1 works report/));
  await press(page.getByRole('button', { name: 'Show skerry tower.svg' }));
  await expect(page.getByRole('img', { name: 'skerry tower.svg' })).toBeVisible();

  // What is no backup, or one of a later version, changes nothing.
  await openSetup(page);
  for (const [wrong, message] of [
    ['{"format":"other"}', /no backup/],
    [text.replace('"version":1', '"version":9'), /later version/],
  ] as const) {
    await giveFiles(page, page.getByRole('button', { name: 'Restore a backup' }), [
      { ...file, buffer: Buffer.from(wrong) },
    ]);
    await expect(page.getByRole('alert')).toContainText(message);
    await press(page.getByRole('dialog').getByRole('button', { name: 'Close' }).last());
  }
});

test('a file of to-dos is imported, once, stands in To-dos, and is saved with its calendar as it was', async ({
  page,
}) => {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'X-WR-CALNAME:Stores',
    'BEGIN:VTODO',
    'UID:1@stores',
    'DTSTAMP:20270301T000000Z',
    'DUE;VALUE=DATE:20270311',
    'SUMMARY:Count the coils',
    'PRIORITY:1',
    'X-STORES-SHELF:12',
    'END:VTODO',
    'END:VCALENDAR',
    '',
  ];
  const drop = async () => {
    const data = await page.evaluateHandle((text) => {
      const transfer = new DataTransfer();
      transfer.items.add(new File([text], 'stores.ics', { type: 'text/calendar' }));
      return transfer;
    }, lines.join('\r\n'));
    await page.dispatchEvent('body', 'drop', { dataTransfer: data });
  };
  await openPlan(page);
  await drop();
  const sheet = page.getByRole('dialog', { name: 'Import' });
  await expect(sheet.getByText('1 to-do', { exact: true })).toBeVisible();
  await press(sheet.getByRole('button', { name: /^Import 1 entr/ }));
  await expect(sheet).toHaveCount(0);
  await press(page.getByRole('link', { name: 'To-dos' }));
  const row = page.getByTestId('todo').filter({ hasText: 'Count the coils' });
  await expect(row).toContainText('due Thursday 11 March · important');
  // The same file once more brings nothing twice.
  await drop();
  await press(sheet.getByRole('button', { name: /^Import 1 entr/ }));
  await expect(sheet).toHaveCount(0);
  await expect(row).toHaveCount(1);

  await page.getByRole('link', { name: 'Setup' }).click();
  await calendarAction(page, 'Stores', /Save as file/);
  const { text } = await saved(page, () =>
    press(page.getByRole('dialog').getByRole('button', { name: 'Save', exact: true })),
  );
  for (const line of ['BEGIN:VTODO', 'DUE;VALUE=DATE:20270311', 'PRIORITY:1', 'X-STORES-SHELF:12'])
    expect(text).toContain(line);
});
