import { card, entry, expect, expectKept, openEditor, openPlan, press, test } from './pages';

test('a repeat is set up from what fits the start to a whole rule, with its words and dates live', async ({
  page,
}) => {
  await openPlan(page, '/?date=2027-03-11&view=day');
  const editor = await openEditor(page, /Order lantern glass/);
  await press(editor.getByTestId('repeat'));
  const repeat = page.getByTestId('repeat-editor');
  const next = repeat.getByTestId('next-dates');
  const choose = (name: string | RegExp) => press(repeat.getByRole('radio', { name, exact: true }));

  await choose('Every other Thursday');
  await expect(next).toContainText('Every other Thursday');
  await expect(next).toContainText('Thu 25 Mar');
  await choose('Monthly on the second Thursday');
  await expect(next).toContainText('Monthly on the second Thursday');
  await expect(next).toContainText('Thu 8 Apr');

  // The full rule: every three months on the 1st and the last day, four times.
  await choose('months');
  await repeat.getByTestId('repeat-interval').fill('3');
  await press(repeat.getByRole('button', { name: 'the 1st', exact: true }));
  await press(repeat.getByRole('button', { name: 'the 11th', exact: true }));
  await press(repeat.getByRole('button', { name: 'the last day', exact: true }));
  await choose('After a number');
  await repeat.getByTestId('repeat-count').fill('4');
  await expect(next).toContainText('Every 3 months on the 1st and the last day, 4 times');
  await expect(next).toContainText('Wed 31 Mar');
  await expect(next).toContainText('Tue 1 Jun');

  // What can't be is told at its field, and nothing can be taken over until it is right.
  await repeat.getByTestId('repeat-interval').fill('0');
  await expect(repeat.getByText('From 1 to 9999.')).toBeVisible();
  await expect(repeat.getByRole('button', { name: 'Done' })).toBeDisabled();
  await repeat.getByTestId('repeat-interval').fill('2');
  await choose('On a date');
  await repeat.getByTestId('repeat-until').fill('2027-03-01');
  await expect(repeat.getByText('The last date is before the start.')).toBeVisible();
  await repeat.getByTestId('repeat-until').fill('2027-06-30');

  // Every weekday, leaving days off out: Good Friday is struck from the dates.
  await choose('Every weekday');
  await press(repeat.getByRole('switch', { name: 'Skip days off' }));
  await expect(repeat.getByTestId('skip-calendar')).toHaveValue('daysoff');
  await expect(next.getByLabel('Fri 12 Mar, left out')).toBeVisible();
  await repeat.getByTestId('skip-handling').selectOption({ label: 'Next working day' });
  await press(repeat.getByRole('button', { name: 'Done' }));
  await expect(editor.getByTestId('repeat')).toContainText('Every weekday, until 30 June 2027');
  await press(editor.getByRole('button', { name: 'Save' }));
  await expect(editor).toHaveCount(0);
  await expectKept(page, 'FREQ=WEEKLY;UNTIL=20270630;BYDAY=MO,TU,WE,TH,FR');
  await page.goto('/?date=2027-03-26&view=day');
  // The day's own entries are there, so that what is missing is missing.
  await expect(entry(page, /Friday 26 March, all day, Good Friday/)).toBeVisible();
  await expect(card(page, /Lens workshop|Order lantern glass/)).toHaveCount(0);
  await page.goto('/?date=2027-03-25&view=day');
  await expect(card(page, /Order lantern glass/)).toBeVisible();
});

test('this and later ones: the place changes from one date on, before it nothing, and undo brings it back', async ({
  page,
}) => {
  await openPlan(page, '/?date=2027-03-16&view=day');
  const editor = await openEditor(page, /Rota check/);
  await editor.getByLabel('Place').fill('Boat shed');
  await press(editor.getByRole('button', { name: 'Save' }));
  const question = page.getByRole('dialog', { name: 'This is one of a series' });
  await press(question.getByRole('button', { name: 'This and later ones' }));
  await expect(card(page, /Rota check, .*Boat shed/)).toBeVisible();
  await expectKept(page, 'Boat shed');
  await openPlan(page, '/?date=2027-03-23&view=day');
  await expect(card(page, /Tuesday 23 March, .*Rota check, .*Boat shed/)).toBeVisible();
  await openPlan(page, '/?date=2027-03-09&view=day');
  await expect(card(page, /Tuesday 9 March, .*Rota check, .*Lamp room/)).toBeVisible();
  await openPlan(page, '/?date=2027-03-16&view=day');
  await page.keyboard.press('Control+z');
  await expect(card(page, /Tuesday 16 March, .*Rota check, .*Lamp room/)).toBeVisible();
});

test('the question is let be, and the later half goes to the bin', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openPlan(page, '/?date=2027-03-15&view=day');
  const bin = async (answer: string) => {
    await press(card(page, /Works round/));
    await press(page.getByRole('complementary').getByRole('button', { name: 'Bin', exact: true }));
    const question = page.getByRole('dialog', { name: 'This is one of a series' });
    await press(question.getByRole('button', { name: answer, exact: true }).last());
    await expect(question).toHaveCount(0);
  };
  await bin('Cancel');
  await expect(card(page, /Works round/)).toBeVisible();
  await bin('This and later ones');
  await expect(card(page, /Works round/)).toHaveCount(0);
  await expectKept(page, 'UNTIL=20270308T090000');
  await page.goto('/?date=2027-03-22&view=day');
  await expect(card(page, /Monday 22 March, .*Order book/)).toBeVisible();
  await expect(card(page, /Works round/)).toHaveCount(0);
  await page.goto('/?date=2027-03-08&view=day');
  await expect(card(page, /Works round/)).toBeVisible();
});

test("the series' own page lists its exceptions, sets one back and brings one back", async ({ page }) => {
  await openPlan(page, '/?date=2027-03-09&view=day');
  await press(card(page, /Keeper rota call/));
  await press(page.getByRole('complementary').getByRole('button', { name: 'Series and exceptions' }));
  const series = page.getByTestId('series-page');
  await expect(series.getByText('Every other Tuesday, until 29 June 2027')).toBeVisible();
  await expect(series.getByRole('group', { name: 'Changed (2)' })).toContainText('now 15:30 · Chart room');
  await expect(series.getByRole('group', { name: 'Left out (1)' })).toContainText('29 December 2026');
  await expect(series.getByRole('group', { name: 'On days off (1)' })).toContainText('4 May 2027');

  await press(series.getByRole('button', { name: 'Set the occurrence of 23 March 2027 back to its series' }));
  await expect(series.getByRole('group', { name: 'Changed (1)' })).toBeVisible();
  await press(series.getByRole('button', { name: 'Bring the occurrence of 29 December 2026 back' }));
  await expect(series.getByRole('group', { name: /Left out/ })).toHaveCount(0);

  // A date leads to its place in the view.
  await press(series.getByRole('button', { name: /Go to 23 March 2027/ }).first());
  await press(series.getByRole('button', { name: 'Close' }));
  await expect(card(page, /Tuesday 23 March, 14:00 to 15:00, Keeper rota call/)).toBeVisible();
});
