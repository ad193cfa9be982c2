import { chooseView, expect, openPlan, press, test } from './pages';

test('colleagues stand beside one’s own day, in lanes, and over one’s own days; the address keeps them', async ({
  page,
}) => {
  await openPlan(page, '/?view=day');
  await press(page.getByRole('button', { name: 'Colleagues in Plan' }));
  const sheet = page.getByRole('dialog', { name: 'Colleagues in Plan' });
  await press(sheet.getByRole('checkbox', { name: 'Oona Pell' }));
  await press(sheet.getByRole('checkbox', { name: 'Salma Wray' }));
  await press(sheet.getByRole('button', { name: 'Close' }));
  const theirs = page.getByTestId('colleague-time');
  await expect(page.getByTestId('calendar-head')).toHaveCount(2);
  // One lets titles be seen, the other only that she is busy.
  await expect(theirs.filter({ hasText: 'Survey' })).toHaveCount(1);
  await expect(page.getByRole('img', { name: /13:00 to 14:00, Busy, Salma Wray, busy$/ })).toBeVisible();

  // They are only looked at: a press neither opens nor drafts.
  await press(theirs.filter({ hasText: 'Survey' }));
  await press(page.getByTestId('card').filter({ hasText: 'Rota' }).first());
  await expect(page.getByRole('complementary')).toContainText('Rota check');
  await expect(page.getByTestId('draft-title')).toHaveCount(0);

  await chooseView(page, 'Lanes');
  await expect(page.getByTestId('lane').filter({ hasText: 'OP' })).toHaveCount(1);
  await expect(page).toHaveURL(/with=/);
  await page.reload();
  await expect(page.getByTestId('lane').filter({ hasText: 'SW' })).toHaveCount(1);

  await chooseView(page, 'Days');
  // Over one's own only how taken they are is said.
  await expect(theirs.filter({ hasText: 'Survey' })).toHaveCount(0);
  await expect(theirs.filter({ hasText: 'Busy' })).not.toHaveCount(0);
  await press(page.getByRole('button', { name: 'Colleagues in Plan' }));
  await press(sheet.getByRole('checkbox', { name: 'Oona Pell' }));
  await press(sheet.getByRole('checkbox', { name: 'Salma Wray' }));
  await press(sheet.getByRole('button', { name: 'Close' }));
  await expect(theirs).toHaveCount(0);
});
