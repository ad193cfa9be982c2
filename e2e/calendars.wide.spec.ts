import {
  calendarAction,
  card,
  centre,
  drag,
  entry,
  expect,
  giveFiles,
  openPlan,
  openSetup,
  press,
  test,
  textFile,
} from './pages';

test('calendars are put in another order by the handle, by keys and by the menu', async ({ page }) => {
  await openSetup(page);
  const names = () =>
    page
      .getByRole('region', { name: 'Kept here' })
      .getByRole('group')
      .evaluateAll((rows) => rows.map((row) => row.getAttribute('aria-label')));
  const first = ['Desk work', 'Meetings', 'Site visits', 'Grants', 'Home', 'Inspections'];
  expect(await names()).toEqual(first);
  await page.getByRole('button', { name: /^Move Home:/ }).focus();
  await page.keyboard.press('ArrowUp');
  await expect.poll(names).toEqual([...first.slice(0, 3), 'Home', 'Grants', 'Inspections']);
  const handle = await centre(page.getByRole('button', { name: /^Move Desk work:/ }));
  const under = await centre(page.getByRole('group', { name: 'Site visits' }));
  await drag(page, handle, { x: handle.x, y: under.y + 10 });
  await expect.poll(names).toEqual(['Meetings', 'Site visits', 'Desk work', 'Home', 'Grants', 'Inspections']);
  await calendarAction(page, 'Grants', /Move up/);
  await expect.poll(names).toEqual(['Meetings', 'Site visits', 'Desk work', 'Grants', 'Home', 'Inspections']);
  await page.getByRole('link', { name: 'Plan' }).click();
  const chips = page.getByRole('group', { name: 'Calendars' });
  await expect(chips.getByRole('switch').first()).toHaveAccessibleName('Meetings');
});

test('the index of Setup leads to its sections', async ({ page }) => {
  await openSetup(page);
  const index = page.getByRole('navigation', { name: 'Sections of Setup' });
  for (const name of ['Set aside', 'Periods', 'Calendars']) {
    await index.getByRole('link', { name }).click();
    await expect(page.getByRole('region', { name, exact: true })).toBeFocused();
    await expect(page.getByRole('heading', { name, exact: true })).toBeInViewport();
  }
});

test('a calendar has a zone and a length of its own, is put away without being lost, or is read only', async ({
  page,
}) => {
  await openSetup(page);
  await page.getByRole('button', { name: 'Details of Grants' }).click();
  const sheet = page.getByRole('dialog', { name: 'Details of Grants' });
  await sheet.getByTestId('calendar-length').selectOption({ label: '30 min' });
  await sheet.getByRole('button', { name: /Time zone of new entries/ }).click();
  await page.getByTestId('zone-search').fill('halifax');
  await page.keyboard.press('Enter');
  await expect(sheet.getByRole('button', { name: /Time zone of new entries.*Halifax/ })).toBeVisible();
  await sheet.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await openPlan(page, '/?date=2027-03-09');
  await page.getByTestId('entry-line').fill('Panel call Tue 13:00 #grants');
  await page.getByTestId('entry-line').press('Enter');
  await card(page, /13:00 to 13:30, Panel call/).click();
  await expect(page.getByRole('complementary')).toContainText('9:00 in Halifax');

  // Put away: neither on the chips nor in the view, and all there when it is brought back.
  await openSetup(page);
  await page.getByRole('button', { name: 'Details of Site visits' }).click();
  const visits = page.getByRole('dialog', { name: 'Details of Site visits' });
  await visits.getByRole('button', { name: /^On the chips and in the views/ }).click();
  await visits.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('group', { name: 'Site visits' })).toContainText('87 entries');
  await openPlan(page, '/?date=2027-03-09');
  await expect(card(page, /Gull Point inspection/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'More for Site visits' })).toHaveCount(0);
  await openSetup(page);
  await page.getByRole('button', { name: 'Details of Site visits' }).click();
  await visits.getByRole('button', { name: /^On the chips and in the views/ }).click();
  await visits.getByRole('button', { name: 'Read only' }).click();
  await visits.getByRole('button', { name: 'Save' }).click();
  await openPlan(page, '/?date=2027-03-09');
  const inspection = card(page, /Gull Point inspection/);
  const from = await centre(inspection);
  await drag(page, from, { x: from.x, y: from.y + 60 });
  await expect(page.getByTestId('notice')).toContainText('“Site visits” is read only');
  await expect(card(page, /Wednesday 10 March, 8:30 to 16:30, Gull Point inspection/)).toBeVisible();
});

test('an entry has a colour of its own, is duplicated, moved and copied to other calendars', async ({
  page,
}) => {
  await openPlan(page, '/?view=day&date=2027-03-09');
  await card(page, /Q1 works report/).click();
  const desk = page.getByRole('complementary');
  const colourOf = () => card(page, /Q1 works report/).evaluate((el) => getComputedStyle(el).backgroundColor);
  const plain = await colourOf();
  await desk.getByRole('button', { name: 'Edit', exact: true }).click();
  const editor = page.getByTestId('editor');
  await editor.getByRole('button', { name: /^Colour:/ }).click();
  await editor.getByRole('radio', { name: 'Moss' }).click();
  await editor.getByRole('button', { name: 'Save', exact: true }).click();
  await expect.poll(colourOf).not.toBe(plain);
  await desk.getByTestId('copy-one').selectOption({ label: 'Grants' });
  await expect(entry(page, /Q1 works report, Grants calendar/)).toBeVisible();
  await card(page, /Q1 works report, Desk work/).click();
  await desk.getByTestId('move-one').selectOption({ label: 'Home' });
  await expect(entry(page, /Q1 works report, Home calendar/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Q1 works report, Desk work calendar/ })).toHaveCount(0);
  await desk.getByRole('button', { name: 'Duplicate' }).click();
  await expect(
    page.getByTestId('card').and(page.getByRole('button', { name: /Q1 works report, Home/ })),
  ).toHaveCount(2);
});

test('a feed that fails says so and keeps what it brought; the next reading clears it', async ({ page }) => {
  await openSetup(page);
  const group = page.getByRole('group', { name: 'Old boat bookings' });
  await expect(group).toContainText('The feed has vanished from its address, since 14 January 2027');
  await expect(group).toContainText('2 entries');
  await press(page.getByRole('button', { name: 'Read Old boat bookings now' }));
  await expect(page.getByTestId('notice')).toContainText('Its last entries are kept.');
  await expect(group).toContainText('2 entries');

  // A host that fails, and answers again.
  await page.route('**/api/feed', (route) =>
    route.fulfill({ json: { kind: 'failed', code: 'refused-by-host', detail: '503' } }),
  );
  const rota = page.getByRole('group', { name: 'Keeper rota', exact: true });
  await press(page.getByRole('button', { name: 'Read Keeper rota now' }));
  await expect(rota).toContainText('The host answered with an error');
  await expect(rota).toContainText('5 entries');
  await page.unroute('**/api/feed');
  await press(page.getByRole('button', { name: 'Read Keeper rota now' }));
  await expect(rota).toContainText('Read 9 March 2027');
  await expect(rota).not.toContainText('answered with an error');
  await expect(rota).toContainText('5 entries');
});

test('one calendar is merged into another, doubles side by side, and one step takes it back', async ({
  page,
}) => {
  await openSetup(page);
  const file = [
    'BEGIN:VCALENDAR',
    'BEGIN:VEVENT',
    'UID:other-1',
    'DTSTART;TZID=Europe/Lisbon:20270308T100000',
    'DTEND;TZID=Europe/Lisbon:20270308T120000',
    'SUMMARY:Lens invoices',
    'END:VEVENT',
    'BEGIN:VEVENT',
    'UID:other-2',
    'DTSTART;TZID=Europe/Lisbon:20270309T123000',
    'DTEND;TZID=Europe/Lisbon:20270309T130000',
    'SUMMARY:Post',
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n');
  await giveFiles(page, page.getByRole('button', { name: 'Import a file' }), [
    textFile('Old desk.ics', file),
  ]);
  const sheet = page.getByRole('dialog', { name: 'Import' });
  await expect(sheet.getByTestId('import-doubles')).toContainText('1 entry is here already');
  await press(sheet.getByRole('radio', { name: 'Keep both' }));
  await press(sheet.getByRole('button', { name: 'Import 2 entries' }));
  await expect(page.getByRole('group', { name: 'Old desk' })).toContainText('2 entries');

  await calendarAction(page, 'Old desk', /Merge/);
  const merge = page.getByRole('dialog', { name: 'Merge Old desk' });
  await merge.getByTestId('merge-into').selectOption({ label: 'Desk work' });
  await expect(merge.getByTestId('merge-doubles')).toContainText('Lens invoices');
  await expect(merge.getByRole('status')).toContainText('2 entries move to Desk work');
  const desk = page.getByRole('group', { name: 'Desk work' });
  const count = Number(/(\d+) entries/.exec(await desk.innerText())![1]);
  await press(merge.getByRole('button', { name: 'Merge', exact: true }));
  await expect(page.getByRole('group', { name: 'Old desk' })).toHaveCount(0);
  // One moved, the double went to the bin.
  await expect(desk).toContainText(`${count + 1} entries`);
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(page.getByRole('group', { name: 'Old desk' })).toContainText('2 entries');
  await expect(desk).toContainText(`${count} entries`);
});

test('categories get colours and new names over all entries; the same entry comes again on other days', async ({
  page,
}) => {
  await openSetup(page);
  await press(page.getByRole('button', { name: 'Change category report' }));
  const sheet = page.getByRole('dialog', { name: 'Change category report' });
  await press(sheet.getByRole('radio', { name: 'Lagoon' }));
  await sheet.getByLabel('Name').fill('deadline');
  await expect(sheet.getByText(/“deadline” is there already/)).toBeVisible();
  await sheet.getByLabel('Name').fill('reports');
  await press(sheet.getByRole('button', { name: 'Save' }));
  await expect(page.getByRole('button', { name: 'Change category reports' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change category report', exact: true })).toHaveCount(0);

  await openPlan(page, '/?date=2027-03-09');
  await press(card(page, /Q1 works report/));
  const desk = page.getByRole('complementary');
  await expect(desk.getByRole('group', { name: 'Categories' })).toContainText('reports');
  await press(desk.getByRole('button', { name: 'Again on …' }));
  const again = page.getByRole('dialog', { name: /again on/ });
  await expect(again.getByTestId('again-2027-03-09')).toBeDisabled();
  await press(again.getByTestId('again-2027-03-10'));
  await press(again.getByTestId('again-2027-04-06'));
  await press(again.getByRole('button', { name: 'Make 2 entries' }));
  await expect(page.getByTestId('notice')).toContainText('again on 2 days');
  await openPlan(page, '/?view=day&date=2027-04-06');
  await expect(card(page, /10:30 to 12:00, Q1 works report/)).toBeVisible();
});
