import {
  boxOf,
  card,
  centre,
  drag,
  expect,
  expectKept,
  openEditor,
  openPlan,
  press,
  test,
  writeLine,
} from './pages';

test('one press drafts, also while something is selected; Escape puts aside what was written', async ({
  page,
}) => {
  await openPlan(page);
  await card(page, /Lens invoices/).click();
  const lens = await centre(card(page, /Lens invoices/));
  await page.mouse.click(lens.x, lens.y + 130);
  const title = page.getByTestId('draft-title');
  await expect(title).toBeFocused();
  // Nothing written is no entry, as in the line.
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary').getByRole('alert')).toBeVisible();
  await page.keyboard.type('Tide table');
  await page.keyboard.press('Escape');
  await expect(title).toHaveCount(0);
  await page
    .getByTestId('draft-bar')
    .getByRole('button', { name: /^Go on/ })
    .click();
  await expect(title).toHaveValue('Tide table');
  // Pressed elsewhere, it goes there with what was written.
  const before = await page.getByRole('complementary').innerText();
  await page.mouse.click(lens.x, lens.y + 200);
  await expect.poll(() => page.getByRole('complementary').innerText()).not.toBe(before);
  await expect(title).toHaveValue('Tide table');
  await expect(page.getByTestId('draft-bar')).toHaveCount(0);
  await title.press('Enter');
  await expect(page.getByTestId('notice')).toContainText('“Tide table” made');
  await expect(page.getByTestId('draft-bar')).toHaveCount(0);
});

test('a drop beside the view changes nothing', async ({ page }) => {
  await openPlan(page);
  const lens = await centre(card(page, /Lens invoices/));
  await drag(page, lens, { x: 1200, y: lens.y + 100 });
  await expect(page.getByTestId('ghost')).toHaveCount(0);
  await expect(card(page, /Monday 8 March, 10:00 to 12:00, Lens invoices/)).toBeVisible();
  await expect(page.getByTestId('notice')).toHaveCount(0);
});

test('to whole days and back, two hours are two hours', async ({ page }) => {
  await openPlan(page);
  const lens = await centre(card(page, /Lens invoices/));
  const ribbons = await boxOf(page.getByTestId('hours').getByRole('button', { name: /Tower paint, Skerry/ }));
  await drag(page, lens, { x: lens.x, y: ribbons.y + ribbons.height / 2 });
  const whole = page.getByTestId('hours').getByRole('button', { name: /all day, Lens invoices/ });
  await expect(whole).toBeVisible();
  await drag(page, await centre(whole), lens);
  await expect(card(page, /Monday 8 March, .*Lens invoices/)).toHaveAttribute('aria-label', /to 1\d:\d\d/);
  const said = await card(page, /Lens invoices/).getAttribute('aria-label');
  const [, from, to] = /(\d+:\d\d) to (\d+:\d\d)/.exec(said ?? '') ?? [];
  const minutes = (text = '') => Number(text.split(':')[0]) * 60 + Number(text.split(':')[1]);
  expect(minutes(to) - minutes(from)).toBe(120);
});

test('another calendar for one of a series asks which are meant, and the others stay', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-09');
  await card(page, /Keeper rota call/).click();
  await page.getByTestId('move-one').selectOption({ label: 'Desk work' });
  const question = page.getByRole('dialog', { name: 'This is one of a series' });
  await question.getByRole('button', { name: 'Just this one' }).click();
  await expect(card(page, /Keeper rota call, Desk work calendar/)).toBeVisible();
  await expect(page.getByTestId('notice')).toContainText('Desk work');
  await openPlan(page, '/?view=day&date=2027-04-06');
  await expect(card(page, /Keeper rota call, Meetings calendar/)).toBeVisible();
});

test('several selected move and are undone together, and stay selected', async ({ page }) => {
  await openPlan(page);
  await card(page, /Lens invoices/).click();
  await card(page, /Q1 works report/).click({ modifiers: ['Control'] });
  const desk = page.getByRole('complementary');
  await expect(desk.getByText('2 entries selected')).toBeVisible();
  await card(page, /Q1 works report/).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(card(page, /10:15 to 12:15, Lens invoices/)).toBeVisible();
  await expect(card(page, /10:45 to 12:15, Q1 works report/)).toBeVisible();
  await expect(page.getByTestId('notice')).toContainText('2 entries moved');
  await page.keyboard.press('Control+z');
  await expect(card(page, /10:00 to 12:00, Lens invoices/)).toBeVisible();
  await expect(desk.getByText('2 entries selected')).toBeVisible();
  // By mouse as well: both go along.
  const from = await centre(card(page, /Q1 works report/));
  await drag(page, from, { x: from.x, y: from.y + 47 });
  await expect(card(page, /11:00 to 13:00, Lens invoices/)).toBeVisible();
  await expect(card(page, /11:30 to 13:00, Q1 works report/)).toBeVisible();
});

test('the keys reach an empty hour, and Enter drafts there', async ({ page }) => {
  await openPlan(page);
  await card(page, /Lens invoices/).focus();
  await page.keyboard.press('ArrowDown');
  const slot = page.getByTestId('slot');
  await expect(slot).toBeFocused();
  await expect(slot).toHaveAttribute('aria-label', 'Monday 8 March, 12:00, free: new entry');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('draft-title')).toBeFocused();
  await page.keyboard.type('Tide table');
  await page.keyboard.press('Enter');
  await expect(card(page, /Monday 8 March, 12:00 to .*Tide table/)).toBeVisible();
});

test('a time that the clock skips, or has twice, is said with what becomes of it', async ({ page }) => {
  await openPlan(page);
  const editor = await openEditor(page, /Q1 works report/);
  await editor.getByRole('textbox', { name: 'Start date' }).fill('2027-03-28');
  await editor.getByRole('textbox', { name: 'Start time' }).fill('01:30');
  await expect(editor.getByText(/There is no 1:30 on this day.*read as 2:30/)).toBeVisible();
  await editor.getByRole('textbox', { name: 'Start date' }).fill('2027-10-31');
  await expect(editor.getByText(/1:30 comes twice on this day/)).toBeVisible();
  await expect(editor.getByRole('button', { name: 'Take the second 1:30' })).toBeVisible();
});

test('a changed occurrence is edited as one of its series, and nothing of the series is lost', async ({
  page,
}) => {
  await openPlan(page, '/?date=2027-03-23');
  const editor = await openEditor(page, /Tuesday 23 March.*Keeper rota call/);
  await editor.getByLabel('Title').fill('Rota call with Tobias');
  await press(editor.getByRole('button', { name: 'Save', exact: true }));
  await page
    .getByRole('dialog', { name: 'This is one of a series' })
    .getByRole('button', { name: 'Just this one' })
    .click();
  await expect(card(page, /Tuesday 23 March.*Rota call with Tobias/)).toBeVisible();
  await openPlan(page, '/?date=2027-04-06');
  await expect(card(page, /Keeper rota call/)).toBeVisible();
});

test('a reminder that was dismissed stays so after a reload, and one that was not waits', async ({
  page,
}) => {
  await openPlan(page, '/?now=2027-03-09T13:30:00');
  const editor = await openEditor(page, /Q1 works report/);
  await editor.getByRole('textbox', { name: 'Start time' }).fill('14:00');
  await editor.getByRole('textbox', { name: 'End time' }).fill('15:00');
  await editor.getByRole('button', { name: 'Add a reminder' }).click();
  await editor.getByRole('button', { name: '10 minutes before' }).click();
  await editor.getByRole('button', { name: 'Save', exact: true }).click();
  await expectKept(page, '\\"local\\":\\"2027-03-09T14:00:00');

  await openPlan(page, '/?now=2027-03-09T13:50:10');
  const region = page.getByRole('region', { name: 'Reminders' });
  await expect(region.getByText('Q1 works report')).toBeVisible();
  await expect(region.getByText(/and 1 more/)).toBeVisible();
  await region.getByRole('button', { name: 'Dismiss Q1 works report' }).click();
  await expect(region.getByText('Keeper rota call')).toBeVisible();
  await expect(region.getByText('Q1 works report')).toHaveCount(0);
  await expectKept(page, '\\"answer\\":\\"answered\\"');
  await page.reload();
  await expect(region.getByText('Keeper rota call')).toBeVisible();
  await expect(region.getByText(/and 1 more/)).toHaveCount(0);
});

test('a month from the 31st and back is the 31st again', async ({ page }) => {
  await openPlan(page, '/?view=weeks&weeks=0&date=2027-01-31');
  for (const date of ['2027-02-28', '2027-03-31']) {
    await page.keyboard.press(']');
    await expect(page).toHaveURL(new RegExp(`date=${date}`));
  }
});

test('an entry from another day of the year says its year, and a long word moves nothing aside', async ({
  page,
}) => {
  await openPlan(page);
  await writeLine(page, `${'Lantern'.repeat(14)} 9 March 2029 at 12:00`);
  const notice = page.getByTestId('notice');
  await expect(notice.getByRole('button', { name: 'Undo' })).toBeInViewport();
  await notice.getByRole('button', { name: 'Show' }).click();
  await expect(page).toHaveURL(/date=2029-03-09/);
  await expect(page.getByRole('complementary')).toContainText('2029');
});

test('from “Not at all” a rule of one’s own is one press away', async ({ page }) => {
  await openPlan(page);
  const editor = await openEditor(page, /Q1 works report/);
  await editor.getByTestId('repeat').click();
  const repeat = page.getByTestId('repeat-editor');
  await expect(repeat.getByRole('radio', { name: 'Not at all' })).toBeChecked();
  await repeat.getByTestId('own-rule').click();
  await expect(repeat.getByRole('radio', { name: 'Not at all' })).not.toBeChecked();
  await expect(repeat.getByTestId('next-dates')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await editor.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(card(page, /Q1 works report, .*repeats/)).toBeVisible();
});

test('what is written for folded hours opens them while it is, and stays in sight when it is kept', async ({
  page,
}) => {
  await openPlan(page);
  const morning = page.locator('[data-fold="before"]');
  await expect(morning).toBeVisible();
  const line = page.getByTestId('entry-line');
  await line.fill('Tide gauge Wed 5am-6am');
  await expect(page.getByTestId('ghost')).toBeInViewport();
  await expect(morning).toHaveCount(0);
  await line.fill('');
  await expect(morning).toBeVisible();
  await line.fill('Tide gauge Wed 5am-6am');
  await expect(page.getByTestId('understood-title')).toHaveText('Tide gauge');
  await line.press('Enter');
  await expect(card(page, /Tide gauge/)).toBeInViewport();
});
