import { expect, expectKept, press, test } from './pages';

test('free times are held and offered on a page; the one that is pressed there is booked as an invitation', async ({
  page,
  context,
}) => {
  await page.goto('/people?free=1');
  const offer = page.getByTestId('offer-times');
  await press(offer.getByRole('button', { name: '15:00' }).first());
  await press(offer.getByRole('button', { name: '13:30' }).last());
  await offer.getByTestId('offer-title').fill('Boat plans');
  await press(page.getByTestId('make-offer'));
  await expect(page.getByTestId('notice')).toContainText('2 times offered for “Boat plans”');
  const offers = page.getByTestId('offers');
  await expect(offers).toContainText('/o/');
  const at = /http\S+/.exec(await offers.innerText())![0];

  const theirs = await context.newPage();
  await theirs.goto(at);
  await expect(theirs.getByRole('heading', { name: 'Boat plans' })).toBeVisible();
  await theirs.getByRole('radio').last().check();
  await theirs.getByLabel('Your name').fill('Salma');
  await theirs.getByLabel('Your e-mail address').fill('salma.wray@fennick.example');
  await press(theirs.getByRole('button', { name: 'Book this time' }));
  await expect(theirs.getByRole('status')).toContainText('Booked.');
  await theirs.close();

  await page.goto('/?date=2027-03-11&view=day');
  await expect(page.getByTestId('notice')).toContainText('Salma chose a time for “Boat plans”');
  const booked = page.getByTestId('card').filter({ hasText: 'Boat plans' });
  await expect(booked).toHaveAccessibleName(/13:30 to 14:00, Boat plans, .*busy/);
  await press(booked);
  await expect(page.getByTestId('entry-guests')).toContainText('Salma Wray');
  // The other that was held is let go.
  await page.goto('/?date=2027-03-09&view=day');
  await expect(page.getByTestId('card').first()).toBeVisible();
  await expect(page.getByTestId('card').filter({ hasText: 'Boat plans' })).toHaveCount(0);
  await expectKept(page, 'Boat plans');
});
