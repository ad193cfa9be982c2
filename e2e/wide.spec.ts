import {
  boxOf,
  calendarAction,
  card,
  CALENDAR_FILE,
  centre,
  drag,
  entry,
  expect,
  expectKept,
  openPlan,
  test,
  saved,
} from './pages';

test('a week planned by mouse: made, moved, stretched, copied, edited, binned and undone', async ({
  page,
}) => {
  await openPlan(page);
  const lens = card(page, /Lens invoices/);

  // Moved to the next day and an hour later, dropped with a say of what happened.
  const hour = 47;
  const from = await centre(lens);
  const column =
    (await page.getByTestId('day-head').nth(1).boundingBox())!.x -
    (await page.getByTestId('day-head').first().boundingBox())!.x;
  await drag(page, from, { x: from.x + column * 3, y: from.y + hour * 3 }, async () => {
    await expect(page.getByTestId('ghost')).toContainText('13:00–15:00');
  });
  await expect(page.getByTestId('notice')).toContainText('“Lens invoices” moved');
  await expect(card(page, /Thursday 11 March, 13:00 to 15:00, Lens invoices/)).toBeVisible();
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click();
  await expect(card(page, /Monday 8 March, 10:00 to 12:00, Lens invoices/)).toBeVisible();

  // Escape lets a drag be as if it had not begun.
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + column, from.y + 30, { steps: 5 });
  await expect(page.getByTestId('ghost')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('ghost')).toHaveCount(0);
  await page.mouse.up();
  await expect(card(page, /Monday 8 March, 10:00 to 12:00, Lens invoices/)).toBeVisible();

  // Stretched at its lower edge.
  const box = await boxOf(card(page, /Lens invoices/));
  await drag(
    page,
    { x: box.x + box.width / 2, y: box.y + box.height - 3 },
    { x: box.x + box.width / 2, y: box.y + box.height - 3 + hour },
  );
  await expect(card(page, /10:00 to 13:00, Lens invoices/)).toBeVisible();

  // Copied with Alt.
  await page.keyboard.down('Alt');
  const at = await centre(card(page, /Lens invoices/));
  await drag(page, at, { x: at.x + column, y: at.y + hour * 4 });
  await page.keyboard.up('Alt');
  await expect(page.getByTestId('notice')).toContainText('copied');
  await expect(page.getByTestId('card').and(page.getByRole('button', { name: /Lens invoices/ }))).toHaveCount(
    2,
  );

  // The desk shows the copy; it goes to the bin from there, and comes back with the key.
  await page.getByRole('complementary').getByRole('button', { name: 'Bin' }).click();
  await expect(page.getByTestId('card').and(page.getByRole('button', { name: /Lens invoices/ }))).toHaveCount(
    1,
  );
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('card').and(page.getByRole('button', { name: /Lens invoices/ }))).toHaveCount(
    2,
  );
});

test('dragging over empty time makes a draft there, and the entry is kept over a reload', async ({
  page,
}) => {
  await openPlan(page);
  const free = await centre(card(page, /Lens invoices/));
  await drag(page, { x: free.x, y: free.y + 94 }, { x: free.x, y: free.y + 94 + 46 });
  await page.getByTestId('draft-title').fill('Lamp oil order');
  await page.getByTestId('draft-title').press('Enter');
  await expect(card(page, /Monday 8 March, .*Lamp oil order/)).toBeVisible();
  await expectKept(page, 'Lamp oil order');
  await page.reload();
  await expect(card(page, /Lamp oil order/)).toBeVisible();
  // Undo reaches back over the reload.
  await page.keyboard.press('Control+z');
  await expect(card(page, /Lamp oil order/)).toHaveCount(0);
  await page.keyboard.press('Control+Shift+z');
  await expect(card(page, /Lamp oil order/)).toBeVisible();
});

test('an occurrence of a series moves alone or with every one', async ({ page }) => {
  await openPlan(page);
  const call = await centre(card(page, /Keeper rota call/));
  await drag(page, call, { x: call.x, y: call.y + 47 });
  await page.getByRole('button', { name: 'Just this one' }).click();
  await expect(
    card(page, /Tuesday 9 March, 15:00 to 16:00, Keeper rota call.*differs from its series/),
  ).toBeVisible();

  const check = await centre(card(page, /Rota check/));
  await drag(page, check, { x: check.x, y: check.y + 47 * 3 });
  await page.getByRole('button', { name: 'Every one' }).click();
  await expect(card(page, /Tuesday 9 March, 12:00 to 12:30, Rota check/)).toBeVisible();
  await page.getByRole('button', { name: 'Step forward' }).click();
  await expect(card(page, /Tuesday 16 March, 12:00 to 12:30, Rota check/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(
    card(page, /Tuesday 16 March, 9:00 to 9:30, Rota check/i).or(
      card(page, /Tuesday 16 March, 09:00 to 09:30, Rota check/),
    ),
  ).toBeVisible();
});

test('the editor sets every field, says the first problem beside its field, and warns before changes are lost', async ({
  page,
}) => {
  await openPlan(page);
  await card(page, /Order lantern glass/).click();
  await page.getByRole('button', { name: 'Edit', exact: true }).click();
  const editor = page.getByTestId('editor');
  await editor.getByRole('textbox', { name: 'End date' }).fill('2027-03-10');
  await editor.getByRole('button', { name: 'Save' }).click();
  await expect(editor.getByText('The end is before the start.')).toBeVisible();
  await expect(editor.getByRole('textbox', { name: 'End date' })).toBeFocused();
  await editor.getByRole('textbox', { name: 'End date' }).fill('2027-03-11');

  await editor.getByLabel('Title').fill('Lantern glass ordered');
  await editor.getByRole('textbox', { name: 'Start time' }).fill('11:00');
  await expect(editor.getByRole('textbox', { name: 'End time' })).toHaveValue('13:00');
  await editor.getByTestId('zone').click();
  await page.getByTestId('zone-search').fill('oslo');
  await page.getByTestId('zone-search').press('Enter');
  await expect(editor.getByText('That is 10:00 in Fennick.')).toBeVisible();
  await editor.getByLabel('Place').fill('Lamp room');
  await editor.getByRole('radio', { name: 'private' }).click();
  await editor.getByLabel('Categories').fill('orders, glass, orders');
  await editor.getByRole('button', { name: 'Add a reminder' }).click();
  await editor.getByRole('button', { name: '30 minutes before' }).click();
  await editor.getByTestId('repeat').click();
  await page.getByRole('radio', { name: 'Every Thursday' }).click();
  await expect(page.getByTestId('next-dates').getByText('Thu 18 Mar')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(editor.getByTestId('repeat')).toContainText('Every Thursday');

  await page.keyboard.press('Escape');
  await expect(editor.getByText('Leave without saving?')).toBeVisible();
  await editor.getByRole('button', { name: 'Stay' }).click();
  await editor.getByRole('button', { name: 'Save' }).click();
  await expect(editor).toHaveCount(0);
  await expect(
    card(page, /10:00 to 12:00, Lantern glass ordered, .*private, repeats, Lamp room/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Step forward' }).click();
  await expect(card(page, /Thursday 18 March, 10:00 to 12:00, Lantern glass ordered/)).toBeVisible();
});

test('what is made out of sight can be gone to from the line that says so', async ({ page }) => {
  await openPlan(page);
  await page.getByTestId('entry-line').fill('Lamp oil order 6 April 10:00');
  await page.getByTestId('entry-line').press('Enter');
  const notice = page.getByTestId('notice');
  await expect(notice).toContainText('“Lamp oil order” made');
  await notice.getByRole('button', { name: 'Show' }).click();
  await expect(card(page, /Tuesday 6 April, 10:00 to 11:00, Lamp oil order/)).toBeVisible();
  await expect(
    page.getByRole('complementary').getByRole('heading', { name: 'Lamp oil order' }),
  ).toBeVisible();
  await expect(notice.getByRole('button', { name: 'Show' })).toHaveCount(0);
});

test('several selected entries move to another calendar, shift and go to the bin, each in one undoable step', async ({
  page,
}) => {
  await openPlan(page);
  await card(page, /Lens invoices/).click();
  await card(page, /Report periods/).click({ modifiers: ['Control'] });
  const desk = page.getByRole('complementary');
  await expect(desk.getByText('2 entries selected')).toBeVisible();
  await desk.getByTestId('move-to-calendar').selectOption({ label: 'Grants' });
  await expect(card(page, /Lens invoices, Grants calendar/)).toBeVisible();
  await desk.getByRole('button', { name: 'A day earlier' }).click();
  await expect(card(page, /Thursday 11 March, .*Report periods/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(card(page, /Friday 12 March, .*Report periods/)).toBeVisible();
  await desk.getByRole('button', { name: 'Bin' }).click();
  await expect(page.getByTestId('notice')).toContainText('2 entries are in the bin');
  await page.keyboard.press('Control+z');
  await expect(card(page, /Lens invoices, Grants calendar/)).toBeVisible();
});

test('a lasso selects what it goes over, and the others are drawn along while one of them is dragged', async ({
  page,
}) => {
  await openPlan(page, '/?view=workdays&date=2027-03-09');
  const [first, last] = [await boxOf(card(page, /Lens invoices/)), await boxOf(card(page, /Glass supplier/))];
  const draw = async () => {
    await page.keyboard.down('Shift');
    // From the free time below the two, up to the upper one's middle.
    await page.mouse.move(last.x + 10, last.y + last.height + 12);
    await page.mouse.down();
    await page.mouse.move(last.x + 30, last.y + 10, { steps: 3 });
    await page.mouse.move(first.x + 60, first.y + first.height / 2, { steps: 4 });
    await expect(page.getByTestId('lasso')).toBeVisible();
  };
  const release = async () => {
    await page.mouse.up();
    await page.keyboard.up('Shift');
    await expect(page.getByTestId('lasso')).toHaveCount(0);
  };
  const desk = page.getByRole('complementary');
  await draw();
  await expect(desk).toContainText('2 entries selected');
  await page.keyboard.press('Escape');
  await release();
  await expect(desk).not.toContainText('selected');
  await draw();
  await release();

  const { x, y } = await centre(card(page, /Lens invoices/));
  await drag(page, { x, y }, { x: x + first.width + 12, y }, async () => {
    await expect(page.getByTestId('ghost')).toHaveCount(2);
    await expect(page.getByTestId('ghost').filter({ hasText: 'Glass supplier' })).toBeVisible();
  });
  await expect(page.getByTestId('notice')).toContainText('2 entries moved');
  await expect(card(page, /Tuesday 9 March, .*Glass supplier/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(card(page, /Monday 8 March, .*Glass supplier/)).toBeVisible();
});

test.describe('the right button', () => {
  test.use({ pressesRight: true });

  test('chips show, hide and single out calendars; with one alone it is the target of new entries', async ({
    page,
  }) => {
    await openPlan(page);
    await page.getByRole('switch', { name: 'Meetings' }).click();
    await expect(card(page, /Works round/)).toHaveCount(0);
    await expect(page.getByRole('switch', { name: 'Meetings' })).not.toBeChecked();
    await page.reload();
    await expect(page.getByRole('switch', { name: 'Meetings' })).not.toBeChecked();
    await page.getByRole('switch', { name: 'Desk work' }).click({ button: 'right' });
    await page.getByRole('menuitem', { name: 'Show this one alone' }).click();
    await expect(page.getByRole('img', { name: 'goes to Desk work' })).toBeVisible();
    await expect(card(page, /Lens invoices/)).toBeVisible();
    await expect(card(page, /Gull Point inspection/)).toHaveCount(0);
  });
});

test('a file dropped on the page is previewed, imported, found again and exported with what it held', async ({
  page,
}) => {
  await openPlan(page);
  const data = await page.evaluateHandle((text) => {
    const transfer = new DataTransfer();
    transfer.items.add(new File([text], 'stores.ics', { type: 'text/calendar' }));
    return transfer;
  }, CALENDAR_FILE);
  await page.dispatchEvent('body', 'drop', { dataTransfer: data });
  const sheet = page.getByRole('dialog', { name: 'Import' });
  await expect(sheet.getByText('1 single event, 1 series')).toBeVisible();
  await expect(sheet.getByText('Line 21')).toBeVisible();
  await sheet.getByRole('button', { name: 'Import 2 entries' }).click();
  await expect(sheet).toHaveCount(0);
  await expect(page.getByTestId('notice')).toContainText('2 entries imported into Stores and boats');
  await expect(card(page, /Wednesday 10 March, 18:00 to 19:30, Rope delivery|Stock list/)).toBeVisible();

  await page.getByRole('link', { name: 'Setup' }).click();
  await calendarAction(page, 'Stores and boats', /Save as file/);
  const { download, text } = await saved(page, () =>
    page.getByRole('dialog').getByRole('button', { name: 'Save', exact: true }).click(),
  );
  expect(download.suggestedFilename()).toBe('stores-and-boats.ics');
  expect(text).toContain('X-STORES-SHELF:12');
  expect(text).toContain('RRULE:FREQ=WEEKLY;BYDAY=TH');
  expect(text).toContain('BEGIN:VTIMEZONE');
});

test('a folded morning opens, shows what it hid, and folds again', async ({ page }) => {
  await openPlan(page);
  await expect(card(page, /Relief boat/)).toHaveCount(0);
  await page.getByRole('button', { name: /5 before 8:00|5 before 08:00/ }).click();
  await page.getByTestId('hours').evaluate((frame) => frame.querySelector('[data-key]')?.scrollIntoView());
  await expect(card(page, /Relief boat/)).toBeVisible();
  await page.getByRole('button', { name: /Fold the hours before/ }).click();
  await expect(card(page, /Relief boat/)).toHaveCount(0);
});

test('an all-day entry is made above the hours and takes its day', async ({ page }) => {
  await openPlan(page);
  const head = (await page.getByTestId('day-head').nth(2).boundingBox())!;
  await page.mouse.click(head.x + head.width / 2, head.y + head.height + 14);
  await page.getByTestId('draft-title').fill('Harbour closed');
  await page.getByRole('complementary').getByRole('button', { name: 'Save' }).click();
  await expect(entry(page, /Wednesday 10 March, all day, Harbour closed/)).toBeVisible();
});
