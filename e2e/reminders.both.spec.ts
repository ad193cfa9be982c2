import type { Page } from '@playwright/test';
import { boxOf, expect, expectKept, openEditor, openPlan, press, test, writeLine } from './pages';

const due = (page: Page) => page.getByRole('region', { name: 'Reminders' });
const NOW = '/?now=2027-03-09T10:20';

/** Opens Plan with a clock that can be put on; reminders are kept as soon as the page has come to rest. */
async function openWithClock(page: Page, path = NOW): Promise<void> {
  await page.clock.install();
  await openPlan(page, path);
  await expect(page.locator('html')).toHaveAttribute('data-attending', 'true');
}

/** The editor of an entry, from the line that says the rest of it. */
async function editorOf(page: Page, line: string) {
  await page.getByTestId('entry-line').fill(line);
  await page.getByTestId('entry-line').press('Shift+Enter');
  const editor = page.getByTestId('editor');
  await expect(editor).toBeVisible();
  return editor;
}
const save = (page: Page) =>
  press(page.getByTestId('editor').getByRole('button', { name: 'Save', exact: true }));

test('a reminder that was set by words comes in time, is put off, comes again, and is dismissed for good', async ({
  page,
}) => {
  await openWithClock(page);
  await writeLine(page, 'Boat check today 11:00 30 min remind me 10 minutes before');
  await expectKept(page, 'Boat check');
  await expect(due(page)).toHaveCount(0);
  await page.clock.fastForward('30:30');
  await expect(due(page)).toContainText('Boat check');
  await expect(due(page)).toContainText(/in (9|10) min/);
  await expect(page).toHaveTitle('(1) Orderly Week');

  await press(due(page).getByRole('button', { name: 'Put off Boat check' }));
  await press(page.getByRole('menuitem', { name: 'For 5 minutes' }));
  await expect(due(page)).toHaveCount(0);
  await expect(page).toHaveTitle('Orderly Week');
  await page.clock.fastForward('05:30');
  await expect(due(page)).toContainText('Boat check');

  await press(due(page).getByRole('button', { name: 'Dismiss Boat check' }));
  await expect(due(page)).toHaveCount(0);
  await expectKept(page, '\\"answer\\":\\"answered\\"');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-attending', 'true');
  await page.clock.fastForward('45:00');
  await expect(due(page)).toHaveCount(0);
});

test('in the editor two presses set a reminder, any other is said in full, and what can’t be is told', async ({
  page,
}) => {
  await openPlan(page, NOW);
  const editor = await editorOf(page, 'Lamp order 13:00');
  await press(editor.getByRole('button', { name: 'Add a reminder' }));
  // What is offered wraps within the editor.
  const choice = await boxOf(editor.getByRole('button', { name: 'Another time…' }));
  const room = (await editor.boundingBox())!;
  expect(choice.x + choice.width).toBeLessThanOrEqual(room.x + room.width);
  await press(editor.getByRole('button', { name: '10 minutes before' }));
  await press(editor.getByRole('button', { name: 'Another reminder' }));
  await press(editor.getByRole('button', { name: 'Another time…' }));
  const form = page.getByRole('dialog', { name: 'Reminder', exact: true });
  await form.getByLabel('How long').fill('two');
  await form.getByLabel('By').selectOption('by e-mail');
  await press(form.getByRole('button', { name: 'Save' }));
  await expect(form.getByRole('alert')).toContainText('A whole number');
  await form.getByLabel('How long').fill('2');
  await form.getByLabel('Unit').selectOption('hours');
  await form.getByLabel('Counted from').selectOption('after the end');
  await press(form.getByRole('button', { name: 'Save' }));
  await expect(editor.getByTestId('reminder')).toHaveText([
    /10 minutes before/,
    /2 hours after the end · by e-mail/,
  ]);
  await save(page);
  await expectKept(page, 'Lamp order');
  await openPlan(page, NOW);
  const again = await openEditor(page, /Lamp order/);
  await expect(again.getByTestId('reminder')).toHaveCount(2);
  await press(again.getByRole('button', { name: 'Remove the reminder 10 minutes before' }));
  await expect(again.getByTestId('reminder')).toHaveText([/2 hours after the end/]);
});

test('what is usual in a calendar holds for its entries, until one has its own', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.clock.install();
  await page.goto('/setup?now=2027-03-09T10:20');
  await press(page.getByRole('button', { name: 'Details of Meetings' }));
  const sheet = page.getByRole('dialog', { name: 'Details of Meetings' });
  const timed = sheet.getByTestId('usual-timed');
  await press(timed.getByRole('button', { name: 'Add a reminder' }));
  await press(timed.getByRole('button', { name: '15 minutes before' }));
  await press(sheet.getByRole('button', { name: 'Save', exact: true }));
  await expect(sheet).toHaveCount(0);
  await expectKept(page, 'usualReminders');

  await openPlan(page, NOW);
  const editor = await editorOf(page, 'Crane talk today 12:00 #ME');
  await expect(editor.getByTestId('reminders-from')).toHaveText('As usual in Meetings: 15 minutes before');
  await save(page);
  const own = await editorOf(page, 'Quiet hour today 12:00 #ME');
  await press(own.getByTestId('no-reminders'));
  await expect(own.getByTestId('reminders-from')).toHaveText('Its own: None');
  await press(own.getByTestId('usual-reminders'));
  await expect(own.getByTestId('reminders-from')).toContainText('As usual in Meetings');
  await press(own.getByTestId('no-reminders'));
  await save(page);
  await expectKept(page, 'Quiet hour');

  await expect(page.locator('html')).toHaveAttribute('data-attending', 'true');
  await page.clock.fastForward('01:25:30');
  await expect(due(page)).toContainText('Crane talk');
  await expect(due(page)).not.toContainText('Quiet hour');
});

test('a page whose clock goes on by three hours shows what it missed: still to come apart from over', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openWithClock(page);
  await writeLine(page, 'Lens board today 11:00 30 min remind me 10 minutes before');
  await writeLine(page, 'Stores count today 13:25 30 min remind me 10 minutes before');
  await expectKept(page, 'Stores count');
  await page.clock.fastForward('03:00:00');
  await expect(due(page)).toContainText('Stores count');
  await press(due(page).getByTestId('more-reminders'));
  await expect(due(page).getByTestId('due-reminder')).toHaveText([/Stores count/, /Lens board/]);
  await expect(due(page).getByText('Still to come')).toBeVisible();
  await expect(due(page).getByText('Over by now')).toBeVisible();
  await press(due(page).getByRole('button', { name: 'Dismiss all' }));
  await expect(due(page)).toHaveCount(0);
});

test('what fell due while no page was open is listed at the next start, oldest first', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openPlan(page, NOW);
  await expect(page.locator('html')).toHaveAttribute('data-attending', 'true');
  await writeLine(page, 'Lens board today 11:00 30 min remind me 10 minutes before');
  await writeLine(page, 'Tower look today 11:30 30 min remind me 10 minutes before');
  await expectKept(page, 'Tower look');
  await page.goto('about:blank');
  await openPlan(page, '/?now=2027-03-09T12:10');
  await expect(due(page)).toContainText('Lens board');
  await press(due(page).getByTestId('more-reminders'));
  await expect(due(page).getByTestId('due-reminder')).toHaveText([/Lens board/, /Tower look/]);
  await press(due(page).getByRole('button', { name: 'Show Tower look' }));
  await expect(page.getByRole('complementary')).toContainText('Tower look');
});

test('in quiet hours nothing is heard, and what was held back comes afterwards', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.clock.install();
  await page.goto('/setup?now=2027-03-09T10:20');
  await press(page.getByRole('button', { name: 'Quiet hours' }));
  await page.getByRole('textbox', { name: 'Quiet from' }).fill('10:30');
  await page.getByRole('textbox', { name: 'Quiet until' }).fill('11:30');
  await page.getByRole('textbox', { name: 'Quiet until' }).press('Tab');
  await expectKept(page, '\\"from\\":630,\\"to\\":690');
  await page.getByRole('link', { name: 'Plan' }).click();
  await writeLine(page, 'Boat check today 11:00 30 min remind me 10 minutes before');
  await expectKept(page, 'Boat check');
  await expect(page.locator('html')).toHaveAttribute('data-attending', 'true');
  await page.clock.fastForward('35:00');
  await expectKept(page, '\\"answer\\":\\"waiting\\"');
  await expect(due(page)).toHaveCount(0);
  await page.clock.fastForward('40:00');
  await expect(due(page)).toContainText('Boat check');
});

test('the way is told where one leaves, and a reminder may count from it', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openWithClock(page, `${NOW}&view=day`);
  const editor = await editorOf(page, 'Skerry inspection today 14:00 2h remind me 10 min before leaving');
  await editor.getByTestId('editor-there').fill('four');
  await save(page);
  await expect(editor.getByRole('alert')).toContainText('Minutes');
  await editor.getByTestId('editor-there').fill('40');
  await editor.getByTestId('editor-back').fill('45');
  await expect(editor.getByTestId('travel-said')).toHaveText('Leave 13:20. Back 16:45.');
  await save(page);
  await expect(page.getByTestId('travel-flag')).toHaveAccessibleName('Leave 13:20 for Skerry inspection');
  await page.clock.fastForward('02:50:30');
  await expect(due(page)).toContainText(/Skerry inspection.*leave in (9|10) min/);
});

test('several entries get, lose and return to their reminders in one step', async ({ page }) => {
  test.skip(test.info().project.name === 'phone', 'Several are selected by keys here.');
  await openPlan(page, NOW);
  for (const name of [/Q1 works report/, /Tobias: crane survey/]) {
    const found = page.getByTestId('card').and(page.getByRole('button', { name })).first();
    await found.focus();
    await found.press('x');
  }
  const desk = page.getByRole('complementary');
  await desk.getByTestId('several-reminders').selectOption('One more: 30 minutes before');
  await expect(page.getByTestId('notice')).toContainText('Reminders of 2 entries changed');
  await desk.getByTestId('several-reminders').selectOption('No reminder');
  await desk.getByTestId('several-reminders').selectOption('One more: 5 minutes before');
  await desk.getByTestId('several-reminders').selectOption('One more: 1 hour before');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Escape');
  const editor = await openEditor(page, /Q1 works report/);
  await expect(editor.getByTestId('reminder')).toHaveText([/5 minutes before/]);
  await page.keyboard.press('Escape');
  for (const name of [/Q1 works report/, /Tobias: crane survey/]) {
    const found = page.getByTestId('card').and(page.getByRole('button', { name })).first();
    await found.focus();
    await found.press('x');
  }
  await desk.getByTestId('several-reminders').selectOption('As usual in their calendars');
  await page.keyboard.press('Escape');
  await expect((await openEditor(page, /Q1 works report/)).getByTestId('reminders-from')).toContainText(
    'As usual in Desk work',
  );
});

test('of two pages one keeps the reminders, and where it is killed the other shows the next', async ({
  page,
  context,
}) => {
  test.skip(test.info().project.name !== 'wide', 'nothing of it hangs on the size');
  await openWithClock(page);
  await writeLine(page, 'Boat check today 11:00 30 min remind me 10 minutes before');
  await expectKept(page, 'Boat check');
  const second = await context.newPage();
  await second.addInitScript(() =>
    Object.defineProperty(Navigator.prototype, 'connection', { value: { saveData: true } }),
  );
  await openPlan(second, NOW);
  await expect(second.locator('html')).toHaveAttribute('data-attending', 'true');
  // One of them has the lock, and the other waits for it.
  const locks = () =>
    second.evaluate(async () => {
      const { held = [], pending = [] } = await navigator.locks.query();
      const count = (all: LockInfo[]) => all.filter(({ name }) => name === 'orderly-week-reminders').length;
      return [count(held), count(pending)];
    });
  await expect.poll(locks).toEqual([1, 1]);
  const crashed = page.waitForEvent('crash');
  const client = await context.newCDPSession(page);
  // It is never answered.
  client.send('Page.crash').catch(() => undefined);
  await crashed;
  // The clock is that of all pages: what is left of this one would have to answer it.
  await page.close();
  await expect.poll(locks).toEqual([1, 0]);
  await second.clock.fastForward('30:30');
  await expect(due(second).getByTestId('due-reminder')).toHaveText([/Boat check/]);
});

test('e-mails and the run-down go to the simulated outbox, and what is deleted is withdrawn', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.goto('/setup?now=2027-03-09T10:20');
  await page.getByLabel('E-mail address').fill('juna at fennick');
  await press(page.getByTestId('save-addresses'));
  await expect(page.getByText('This is not an e-mail address.')).toBeVisible();
  await page.getByLabel('E-mail address').fill('juna.marsh@fennick.example');
  await page.getByLabel('Number for text messages').fill('+351 555 0100');
  await press(page.getByTestId('save-addresses'));
  const days = page.getByRole('group', { name: 'On these weekdays' });
  await press(days.getByRole('button', { name: 'Wed' }));
  await expect(page.getByTestId('run-down-preview')).toContainText('Gull Point inspection');

  await press(page.getByRole('link', { name: 'Plan' }));
  await writeLine(page, 'Boat check tomorrow 11:00 30 min text me an hour before');
  await expectKept(page, 'Boat check');
  await press(page.getByRole('link', { name: 'Setup' }));
  await expect(page.getByTestId('handover')).toContainText(/messages for the next fourteen days/);
  const address = await page.getByRole('link', { name: 'Open the outbox' }).getAttribute('href');
  const outbox = async () => (await page.request.get(address!)).text();
  await expect.poll(outbox).toContain('Text message to +351 555 0100');
  const text = await outbox();
  expect(text).toContain('Simulated.');
  expect(text).toContain('10 Mar 2027, 10:00');
  expect(text).toContain('Your day: Wednesday 10 March');

  await press(page.getByRole('link', { name: 'Plan' }));
  await page.keyboard.press('Control+z');
  await expect.poll(outbox).not.toContain('Text message to');
});
