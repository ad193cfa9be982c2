import { expect, expectKept, openPlan, press, saved, test } from './pages';
import type { Page } from '@playwright/test';

const choose = (page: Page, name: string) => press(page.getByRole('checkbox', { name: `Choose ${name}` }));

test('a time that suits two colleagues is found, taken, and kept as an entry with them', async ({ page }) => {
  await page.goto('/people');
  // What each is at now, as the directory says, and what their clock shows.
  const salma = page.getByTestId('person').filter({ hasText: 'Salma Wray' });
  await expect(salma).toContainText('6:20 in Halifax');
  await expect(salma).toContainText('Not at work');
  await choose(page, 'Oona Pell');
  await choose(page, 'Marek Dunne');
  await press(page.getByTestId('find-time-with'));
  const find = page.getByTestId('find-time');
  await expect(find.getByTestId('proposal').first()).toContainText('all three free');
  await expect(find.getByRole('img', { name: /^Marek Dunne: / })).toBeVisible();
  // Within a week and four hours long nothing suits all; it is said what to try.
  await find.getByTestId('find-length').selectOption('240');
  await find.getByTestId('find-weeks').selectOption('1');
  await expect(find.getByTestId('proposal').filter({ hasText: 'all three free' })).toHaveCount(0);
  await find.getByTestId('find-length').selectOption('30');
  await find.getByTestId('find-weeks').selectOption('4');
  await press(find.getByRole('button', { name: 'Marek Dunne has to come' }));
  await expect(find.getByRole('button', { name: 'Marek Dunne need not come' })).toBeVisible();
  // For a series it is the slot that suits the most of its dates, with its exceptions; any other time can be moved over the lanes.
  await find.getByTestId('find-repeats').selectOption('1');
  await expect(find.getByTestId('series-slot').first()).toContainText(/suits \d+ of the next 10 .*without/);
  await find.getByTestId('find-repeats').selectOption('0');
  await find.getByTestId('lane-cursor').press('ArrowRight');
  await expect(find.getByTestId('own-proposal')).toContainText(/Everybody can come then\.|: /);
  const best = find.getByTestId('proposal').first();
  await expect(best).toContainText('best');
  await press(best.getByRole('button', { name: /^Take this time/ }));

  const guests = page.getByTestId('guests');
  await expect(guests.getByTestId('guest')).toHaveCount(2);
  await expect(guests.getByRole('button', { name: 'Marek Dunne need not come' })).toBeVisible();
  await page.getByTestId('guest-name').fill('sal');
  await press(guests.getByRole('button', { name: 'Add Salma Wray' }));
  await page.getByTestId('guest-name').fill('harbour@tern.example');
  await page.getByTestId('guest-name').press('Enter');
  await expect(guests.getByTestId('guest')).toHaveCount(4);
  await press(guests.getByRole('button', { name: 'Leave Salma Wray out' }));
  await page.getByTestId('editor-title').fill('Lens plans');
  await press(page.getByRole('button', { name: 'Save', exact: true }));
  const shown = page.getByTestId('entry-guests');
  await expect(shown.getByTestId('guest')).toHaveCount(3);
  await expect(shown).toContainText('harbour@tern.example');
  await expectKept(page, 'Lens plans');
});

test('somebody is added, changed, looked for and taken out; cards go out and come in', async ({ page }) => {
  await page.goto('/people');
  await press(page.getByRole('button', { name: 'Add somebody' }));
  const sheet = page.getByRole('dialog');
  await press(sheet.getByRole('button', { name: 'Save' }));
  await expect(sheet).toContainText('A name is missing.');
  await sheet.getByLabel('Name').fill('Edda Quist');
  await sheet.getByLabel('E-mail addresses').fill('edda quist');
  await press(sheet.getByRole('button', { name: 'Save' }));
  await expect(sheet).toContainText('“edda quist” is no address.');
  await sheet.getByLabel('E-mail addresses').fill('edda.quist@tern.example');
  await sheet.getByLabel('Role').fill('Harbour office');
  await press(sheet.getByRole('button', { name: 'Save' }));
  const card = page.getByTestId('person-page');
  await expect(card).toContainText('Harbour office');
  await expect(card).toContainText('Nothing with them.');
  await expectKept(page, 'Edda Quist');
  await press(card.getByRole('button', { name: 'Close' }));

  const { text } = await saved(page, () => press(page.getByRole('button', { name: 'Save cards' })));
  expect(text).toContain('EMAIL:edda.quist@tern.example');
  await page.getByTestId('find-person').fill('harbour');
  await expect(page.getByTestId('person')).toHaveCount(1);
  await choose(page, 'Edda Quist');
  await press(page.getByRole('button', { name: 'Take out' }));
  await expect(page.getByText('Nobody is called that.')).toBeVisible();
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(page.getByTestId('person')).toHaveCount(1);

  const opened = page.waitForEvent('filechooser');
  await press(page.getByRole('button', { name: 'Open cards (.vcf)' }));
  await (await opened).setFiles({ name: 'people.vcf', mimeType: 'text/vcard', buffer: Buffer.from(text) });
  await expect(page.getByTestId('notice')).toContainText('Nothing new');
});

test('an online meeting is started at once, and whoever is there is asked', async ({ page, context }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.goto('/people');
  await press(page.getByRole('checkbox', { name: 'Choose Oona Pell' }));
  const [room] = await Promise.all([
    context.waitForEvent('page'),
    press(page.getByRole('button', { name: 'Meet online now' })),
  ]);
  await expect(room.getByRole('heading', { name: 'Online meeting' })).toBeVisible();
  await room.close();
  await expect(page.getByTestId('invitation-title')).toHaveValue('Meeting with Oona');
  await press(page.getByTestId('send-invitation'));
  const card = page.getByTestId('card').filter({ hasText: 'Meeting with Oona' });
  await expect(card).toHaveAccessibleName(/10:20 to/);
  await press(card);
  await expect(page.getByTestId('join').getByRole('button', { name: 'Join now' })).toBeVisible();
});

test('where the directory can’t be read, what was read before is shown, and it is said', async ({
  page,
  context,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.goto('/people');
  const dev = page.getByTestId('person').filter({ hasText: 'Dev Arlen' });
  await expect(dev).toContainText('until');
  const said = (await dev.textContent())!;
  await context.route('**/api/directory/**', (route) => route.fulfill({ body: 'out of order' }));
  await openPlan(page);
  await page.goto('/people');
  await expect(page.getByText('The directory is out of reach.')).toBeVisible();
  await expect(dev).toHaveText(said);
});

test('people are named in the entry line, completed as one types', async ({ page }) => {
  await openPlan(page);
  const line = page.getByTestId('entry-line');
  await line.fill('Lens plans Thu 15:00 with tob');
  await press(page.getByTestId('complete-guest'));
  await line.pressSequentially('optional oona');
  await expect(page.getByTestId('understood-people')).toContainText('Tobias Rask, (Oona Pell)');
  await expect(page.getByTestId('understood-title')).toHaveText('Lens plans');
  await line.press('Enter');
  const guests = page.getByTestId('entry-guests').getByTestId('guest');
  await expect(guests).toHaveCount(2);
  await expect(guests.last()).toContainText('need not come');
});
