import { card, expect, openEditor, openPlan, press, test } from './pages';

test('a zone is found by city, country, abbreviation and offset, and both local times are said', async ({
  page,
}) => {
  await openPlan(page, '/?date=2027-03-11&view=day');
  const editor = await openEditor(page, /Order lantern glass/);
  await press(editor.getByTestId('zone'));
  const search = page.getByTestId('zone-search');
  await expect(search).toBeFocused();
  const first = page.getByRole('listbox').getByRole('option').first();
  for (const [words, found] of [
    ['warsaw', /^Warsaw, Poland/],
    ['AST', /UTC-04:00/],
    ['+5:45', /^Kathmandu, Nepal/],
    ['azor', /^Azores, Portugal/],
  ] as const) {
    await search.fill(words);
    await expect(first).toHaveAttribute('aria-label', found);
  }
  await search.fill('xyzzy');
  await expect(page.getByText('No time zone goes by “xyzzy”.')).toBeVisible();
  await search.fill('oslo');
  await press(page.getByRole('listbox').getByRole('option').first());
  await expect(editor.getByTestId('zone')).toBeFocused();
  await expect(editor.getByText('That is 9:30 in Fennick.')).toBeVisible();
  await press(editor.getByTestId('end-zone'));
  await search.fill('halifax');
  await press(page.getByRole('listbox').getByRole('option', { name: /^Halifax/ }));
  await editor.getByRole('textbox', { name: 'End time' }).fill('12:00');
  await expect(editor.getByText('That is 16:00 in Fennick.')).toBeVisible();
  await press(editor.getByRole('button', { name: 'Save' }));
  await expect(
    card(
      page,
      /Thursday 11 March, 09:30 to 16:00, Order lantern glass|Thursday 11 March, 9:30 to 16:00, Order lantern glass/,
    ),
  ).toBeVisible();
});

test('the calendar is seen from elsewhere with a banner, and one press leads back', async ({ page }) => {
  await openPlan(page, '/?view=day&zone=America/Halifax');
  const banner = page.getByTestId('zone-banner');
  await expect(banner).toContainText('As seen in Halifax · 6:20 now');
  await expect(card(page, /10:00 to 11:00, Keeper rota call/)).toBeVisible();
  await expect(page.getByTestId('zone-rail')).toHaveCount(1);
  // What is written now is meant there.
  await page.getByTestId('entry-line').fill('Lamp price 9:00 30 min');
  await press(page.getByRole('button', { name: 'Save', exact: true }));
  await expect(card(page, /09:00 to 09:30, Lamp price|9:00 to 9:30, Lamp price/)).toBeVisible();
  await press(banner.getByRole('button', { name: 'Back to Fennick' }));
  await expect(banner).toHaveCount(0);
  await expect(card(page, /14:00 to 15:00, Keeper rota call/)).toBeVisible();
  await expect(card(page, /13:00 to 13:30, Lamp price/)).toBeVisible();
  await expect(page).not.toHaveURL(/zone=/);
});

test('columns of hours are added, named and taken away in Setup', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openPlan(page, '/?view=day');
  await expect(page.getByTestId('zone-rail')).toHaveCount(1);
  await press(page.getByRole('link', { name: 'Setup' }));
  await press(page.getByRole('button', { name: 'Add a column of hours' }));
  await page.getByTestId('zone-search').fill('warsaw');
  await press(page.getByRole('listbox').getByRole('option', { name: /^Warsaw/ }));
  await page.getByLabel('Name for Warsaw').fill('Lens shop');
  await page.getByLabel('Name for Warsaw').press('Enter');
  await press(page.getByRole('link', { name: 'Plan' }));
  await expect(page.getByRole('button', { name: /^Lens shop, 11:20 now/ })).toBeVisible();
  await press(page.getByRole('link', { name: 'Setup' }));
  await press(page.getByRole('button', { name: 'Remove the column for Halifax' }));
  await press(page.getByRole('link', { name: 'Plan' }));
  await expect(page.getByTestId('zone-rail')).toHaveCount(1);
  await expect(page.getByRole('button', { name: /^Halifax/ })).toHaveCount(0);
});

test('a week of a clock change says from when on a rail differs', async ({ page }) => {
  await openPlan(page, '/?date=2027-03-13&view=days&days=2');
  await expect(page.getByRole('button', { name: /^Halifax, .*from Sun on \+1 h/ })).toBeVisible();
});

test.describe('on a device elsewhere', () => {
  test.use({ timezoneId: 'America/Halifax' });

  test('the zone is asked about once', async ({ page }) => {
    test.skip(test.info().project.name !== 'wide', 'the same on the phone');
    await openPlan(page);
    const question = page.getByTestId('device-zone');
    await expect(question).toContainText(
      'This device goes by the time of Halifax; your calendar by that of Fennick.',
    );
    await press(question.getByRole('button', { name: 'See it as in Halifax' }));
    await expect(question).toHaveCount(0);
    await expect(page.getByTestId('zone-banner')).toContainText('As seen in Halifax');
    await page.goto('/');
    await expect(card(page, /Keeper rota call/)).toBeVisible();
    await expect(question).toHaveCount(0);
  });

  test('and can become home', async ({ page }) => {
    test.skip(test.info().project.name !== 'wide', 'the same on the phone');
    await openPlan(page);
    await press(page.getByRole('button', { name: 'Make Halifax the home zone' }));
    await expect(card(page, /Tuesday 9 March, 10:00 to 11:00, Keeper rota call/)).toBeVisible();
    await expect(page.getByTestId('zone-banner')).toHaveCount(0);
    await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
    await expect(card(page, /Tuesday 9 March, 14:00 to 15:00, Keeper rota call/)).toBeVisible();
  });
});
