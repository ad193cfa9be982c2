import { card, expect, expectKept, press, test } from './pages';

test('a colleague is let see a calendar, which is looked at with their eyes; what they enter comes in', async ({
  page,
  context,
}) => {
  await page.goto('/people');
  await press(page.getByRole('button', { name: 'What others see' }));
  await expect(page.getByTestId('shares')).toContainText('Nobody sees anything of yours yet.');
  await press(page.getByRole('button', { name: 'Choose what Tobias Rask sees. Sees nothing' }));
  const sharing = page.getByTestId('sharing');
  const depth = (calendar: string, name: string) =>
    sharing.getByRole('radiogroup', { name: `${calendar}: what is seen` }).getByRole('radio', { name });
  await press(depth('Meetings', 'Titles'));
  await press(depth('Site visits', 'Busy'));
  await press(sharing.getByRole('checkbox', { name: 'May add and change in Meetings' }));

  // Before it is given, it is seen as he would see it.
  await press(sharing.getByRole('button', { name: 'As Tobias Rask sees it' }));
  const seen = page.getByTestId('seen-plan');
  await expect(seen.getByTestId('card').filter({ hasText: 'Keeper' })).toHaveCount(1);
  await expect(seen.getByTestId('card').filter({ hasText: 'Busy' })).not.toHaveCount(0);
  await expect(seen).not.toContainText(/Gull Point|Lamp order|office/);
  await seen.getByTestId('card').first().click();
  await expect(page.getByRole('complementary')).toHaveCount(0);

  await press(page.getByTestId('keep-share'));
  await expect(page.getByTestId('notice')).toContainText('What Tobias Rask may see is kept');
  const address = sharing.getByRole('group', { name: 'Secret address of the page' });
  await expect(address).toContainText('/p/');
  const at = /http\S+/.exec(await address.innerText())![0];
  await expect.poll(async () => (await context.request.get(at)).status()).toBe(200);

  const his = await context.newPage();
  await his.goto(`${at}?from=2027-03-08`);
  await expect(his.getByText('Keeper rota call')).not.toHaveCount(0);
  await expect(his.locator('body')).not.toContainText(/Gull Point|Lamp order/);
  await press(his.getByText('Add an entry'));
  await his.getByLabel('Title').first().fill('Tide board with Tobias');
  await his.getByLabel('Date').first().fill('2027-03-11');
  await press(his.getByRole('button', { name: 'Hand in the entry' }));
  await expect(his.getByRole('status')).toContainText('Handed in.');
  await his.close();

  await page.goto('/?date=2027-03-11');
  await expect(page.getByTestId('notice')).toContainText('Tobias Rask added “Tide board with Tobias”');
  await expect(card(page, /Tide board with Tobias/)).toBeVisible();
  await expectKept(page, 'Tide board with Tobias');
  await press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));
  await expect(card(page, /Tide board with Tobias/)).toHaveCount(0);

  // What is taken away is gone from the address, too.
  await page.goto('/people?sees=all');
  await press(page.getByRole('button', { name: /^Choose what Tobias Rask sees\. Titles|Meetings: titles/ }));
  await press(depth('Meetings', 'Nothing'));
  await press(depth('Site visits', 'Nothing'));
  await press(page.getByTestId('keep-share'));
  await expect.poll(async () => (await context.request.get(at)).status()).toBe(404);
});
