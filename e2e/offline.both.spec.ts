import { expect } from '@playwright/test';
import { kept, test } from './ownServer';
import { openPlan, press, writeLine } from './pages';

test.use({ serviceWorkers: 'allow' });

test('with the server stopped the application reloads, opens at any address, and keeps what is written', async ({
  page,
  server,
}) => {
  await openPlan(page, `${server.address}/`);
  await kept(page);
  await server.stop();
  await page.reload();
  await expect(page.getByTestId('hours')).toBeVisible();
  await writeLine(page, 'Boat check today 18:00');
  await expect(page.getByTestId('notice')).toContainText('“Boat check” made');
  await page.goto(`${server.address}/?view=agenda&date=2027-03-09`);
  await expect(page.getByTestId('agenda')).toContainText('Boat check');
  await page.goto(`${server.address}/setup`);
  await expect(page.getByRole('heading', { name: 'Setup' })).toBeVisible();
  await expect(page.getByTestId('kept-offline')).toContainText('works without the network');
});

test('a new version is offered by a line, and taken when the person says so', async ({ page, server }) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await openPlan(page, `${server.address}/`);
  await kept(page);
  await page.reload();
  await expect(page.getByTestId('hours')).toBeVisible();
  server.publishAnother();
  const editing = page.getByTestId('entry-line');
  await editing.fill('Boat check today 18:00');
  await editing.press('Shift+Enter');
  await expect(page.getByTestId('editor')).toBeVisible();
  await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
  await expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null))
    .toBe(true);
  // Nothing is offered while something is being written.
  await expect(page.getByTestId('new-version')).toHaveCount(0);
  await press(page.getByTestId('editor').getByRole('button', { name: 'Save', exact: true }));
  await expect(page.getByTestId('new-version')).toBeVisible();
  await expect(page.locator('html')).not.toHaveAttribute('data-edition', 'second');
  await press(page.getByRole('button', { name: 'Take it' }));
  await expect(page.locator('html')).toHaveAttribute('data-edition', 'second');
  await expect(page.getByTestId('hours')).toBeVisible();
  const caches = await page.evaluate(async () => (await window.caches.keys()).length);
  expect(caches).toBe(1);
});

test('messages wait while the server is away, which is said, and are handed over when it is back', async ({
  page,
  server,
}) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await openPlan(page, `${server.address}/`);
  await kept(page);
  await page.goto(`${server.address}/setup`);
  await page.getByLabel('E-mail address').fill('juna.marsh@fennick.example');
  await press(page.getByTestId('save-addresses'));
  await expect(page.getByTestId('handover')).toContainText('Nothing is to be sent');
  await server.stop();
  await press(page.getByRole('link', { name: 'Plan' }));
  await writeLine(page, 'Boat check tomorrow 11:00 mail me an hour before');
  await press(page.getByRole('link', { name: 'Setup' }));
  await expect(page.getByTestId('handover')).toContainText('out of reach');
  await server.run();
  await expect(page.getByTestId('handover')).toContainText('1 message for the next fourteen days', {
    timeout: 60_000,
  });
  const address = await page.getByRole('link', { name: 'Open the outbox' }).getAttribute('href');
  const outbox = await page.request.get(`${server.address}${address}`);
  expect(await outbox.text()).toContain('E-mail to juna.marsh@fennick.example');
});

test('it can be installed: a manifest with icons of its own, and ways to a new entry, a small window and today', async ({
  page,
  server,
}) => {
  await openPlan(page, `${server.address}/`);
  const manifest = await (await page.request.get(`${server.address}/manifest.webmanifest`)).json();
  for (const { src } of manifest.icons) {
    const icon = await page.request.get(`${server.address}${src}`);
    expect(icon.ok()).toBe(true);
  }
  expect(manifest.shortcuts.map(({ name }: { name: string }) => name)).toEqual([
    'New entry',
    'Small window',
    'Today',
  ]);
  await page.goto(`${server.address}${manifest.shortcuts[0].url}`);
  await expect(page.getByTestId('entry-line')).toBeFocused();
  await page.goto(`${server.address}${manifest.shortcuts[1].url}`);
  await expect(page.getByTestId('small-day')).toContainText('Keeper rota call');
});
