import { expect } from '@playwright/test';
import { BROWSER_WITH_WINDOW, launchOptions } from '../playwright.config';
import { kept, test } from './ownServer';
import { openPlan } from './pages';

test.use({
  serviceWorkers: 'allow',
  // The one without a window has no notifications.
  launchOptions: { ...launchOptions, executablePath: BROWSER_WITH_WINDOW },
});

test('a due reminder is a notification of the browser, too, with what can be done about it', async ({
  page,
  context,
  server,
}) => {
  await context.grantPermissions(['notifications'], { origin: server.address });
  await openPlan(page, `${server.address}/?now=2027-03-09T13:49:45`);
  await kept(page);
  const shown = () =>
    page.evaluate(async () => {
      const registration = await navigator.serviceWorker.ready;
      return (await registration.getNotifications()).map(({ title, body }) => `${title}: ${body}`);
    });
  await expect(page.getByRole('region', { name: 'Reminders' })).toContainText('Keeper rota call', {
    timeout: 60_000,
  });
  await expect
    .poll(shown)
    .toEqual([expect.stringMatching(/^Keeper rota call: 14:00 · in 10 min · Lamp room/)]);
});
