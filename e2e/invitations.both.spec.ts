import { expect, expectKept, openPlan, press, test } from './pages';
import type { Page } from '@playwright/test';

const choose = (page: Page, name: string) => press(page.getByRole('checkbox', { name: `Choose ${name}` }));
const notice = (page: Page) => page.getByTestId('notice');

test('an hour with two colleagues is found and sent within six presses; their answers come, a change is told', async ({
  page,
}) => {
  await openPlan(page);
  await press(page.getByRole('link', { name: /^People/ }));
  await choose(page, 'Oona Pell');
  await choose(page, 'Ines Falk');
  await press(page.getByTestId('find-time-with'));
  await press(
    page
      .getByTestId('proposal')
      .first()
      .getByRole('button', { name: /^Invite them/ }),
  );
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('Ines Falk, Oona Pell');
  await expect(sheet.getByTestId('invitation-title')).toHaveValue('Meeting with Ines and Oona');
  await sheet.getByTestId('invitation-title').fill('Boat plans');
  await sheet.getByTestId('invitation-words').fill('Bring the tide tables');
  await press(sheet.getByTestId('send-invitation'));
  await expect(notice(page)).toContainText('“Boat plans”: 2 told');

  await press(page.getByTestId('find-time').getByRole('button', { name: 'Close', exact: true }));
  // One answers by her day, the other always has another time; it is turned down with a press.
  const waits = page.getByTestId('waits').filter({ hasText: 'Ines Falk proposes another time' });
  await press(waits);
  const open = page.getByTestId('waiting-page');
  await expect(open.getByTestId('proposed-time')).toBeVisible();
  await press(open.getByRole('button', { name: 'Keep the time' }));
  await expect(page.getByTestId('waits').filter({ hasText: 'Ines Falk' })).toHaveCount(0);
  await press(page.getByTestId('person').filter({ hasText: 'Oona Pell' }).getByRole('button').first());
  await press(page.getByTestId('person-page').getByRole('button', { name: /Boat plans/ }));
  const guests = page.getByTestId('entry-guests');
  await expect(guests.getByTestId('guest').filter({ hasText: 'Oona Pell' })).toContainText(/yes|no|perhaps/);
  await expect(guests.getByTestId('guest').filter({ hasText: 'Ines Falk' })).toContainText('has seen it');
  await expect(guests.getByRole('button', { name: /^Remind/ })).toBeVisible();

  await press(page.getByRole('button', { name: 'Edit', exact: true }));
  await page.getByLabel('Place', { exact: true }).fill('Boat shed');
  await press(page.getByRole('button', { name: 'Save', exact: true }));
  await expect(sheet).toContainText('New: place.');
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('untold')).toContainText('The guests do not know this yet.');
  // One that was asked and let it be is not asked again after a reload.
  await page.goto('/people');
  await expect(page.locator('html')).toHaveAttribute('data-attending', 'true');
  await expect(sheet).toHaveCount(0);
  await press(page.getByTestId('waits').filter({ hasText: 'The guests do not know the last change' }));
  await press(page.getByTestId('untold').getByRole('button', { name: 'Tell the guests …' }));
  await press(sheet.getByTestId('send-invitation'));
  await expect(page.getByTestId('untold')).toHaveCount(0);
  await expectKept(page, 'Boat shed');
});

test('colleagues invite; it is answered beside one’s own day, and another time is proposed', async ({
  page,
}) => {
  await page.goto('/people');
  await press(page.getByRole('button', { name: 'Look for mail' }));
  const row = (title: string) => page.getByTestId('waits').filter({ hasText: title });
  await press(row('Cape Farrow: what the cracks say'));
  const open = page.getByTestId('waiting-page');
  await expect(open).toContainText('Tobias Rask invites you');
  await expect(open).toContainText('Overlaps Boat hire quote');
  await press(open.getByRole('button', { name: 'With words' }));
  await open.getByTestId('answer-words').fill('Gladly');
  await press(open.getByRole('button', { name: 'Yes', exact: true }));
  await expect(open).toContainText('You said yes.');
  await press(open.getByRole('button', { name: 'Close' }));
  await expect(row('Cape Farrow')).toHaveCount(0);

  await press(row('Lens delivery'));
  await press(open.getByRole('button', { name: 'Another time …' }));
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByRole('button', { name: 'Propose it' })).toBeDisabled();
  await sheet.getByTestId('other-time').fill('3:00');
  await press(sheet.getByRole('button', { name: 'Propose it' }));
  await expect(open).toContainText(
    /You proposed Wednesday 10 March, 3:00|The time stays as it is|That suits/,
  );
  await press(open.getByRole('button', { name: 'Close' }));

  await press(row('Handover of the keepers'));
  await press(open.getByRole('button', { name: 'No', exact: true }));
  await press(open.getByRole('button', { name: 'Show in Plan' }));
  await expect(page.getByTestId('own-answer')).toContainText('You said no.');
});

test('an answer that is given while the server is away goes once when it is back', async ({
  page,
  context,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.goto('/people');
  await press(page.getByRole('button', { name: 'Look for mail' }));
  await press(page.getByTestId('waits').filter({ hasText: 'Cape Farrow' }));
  await context.route('**/api/mail/**', (route) => route.fulfill({ body: 'out of order' }));
  await press(page.getByTestId('waiting-page').getByRole('button', { name: 'Perhaps' }));
  await expect(page.getByTestId('waiting')).toContainText('The mail relay is out of reach.');
  await page.reload();
  await expect(page.getByTestId('waiting')).toContainText('The mail relay is out of reach.');
  const went: string[] = [];
  page.on('request', (request) => {
    if (request.url().includes('/api/mail/'))
      went.push(...(request.postDataJSON() as { letters: { id: string }[] }).letters.map(({ id }) => id));
  });
  await context.unroute('**/api/mail/**');
  await press(page.getByRole('button', { name: 'Look for mail' }));
  await expect(page.getByTestId('waiting')).not.toContainText('out of reach');
  await expect(page.getByTestId('waiting')).not.toContainText('on the way out');
  expect(went).toHaveLength(1);
});

test('an invitation that is dropped as a mail or a calendar file is taken in; a forged one is not believed', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.goto('/setup?section=data');
  const calendar = (uid: string, organizer: string) =>
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//Tern//Tern//EN',
      'METHOD:REQUEST',
      'BEGIN:VEVENT',
      `UID:${uid}`,
      'DTSTAMP:20270301T100000Z',
      'DTSTART:20270310T140000Z',
      'DTEND:20270310T150000Z',
      'SUMMARY:Harbour talk',
      `ORGANIZER:mailto:${organizer}`,
      'ATTENDEE;PARTSTAT=NEEDS-ACTION:mailto:juna.marsh@fennick.example',
      'END:VEVENT',
      'END:VCALENDAR',
      '',
    ].join('\r\n');
  const mail = (from: string, text: string) =>
    [
      `From: Edda Quist <${from}>`,
      'To: juna.marsh@fennick.example',
      'Subject: Harbour talk',
      'MIME-Version: 1.0',
      'Content-Type: text/calendar; charset=utf-8; method=REQUEST',
      '',
      text,
    ].join('\r\n');
  const edda = 'edda.quist@tern.example';
  const open = async (name: string, text: string) => {
    const chooser = page.waitForEvent('filechooser');
    await press(page.getByRole('button', { name: 'Import a file' }));
    await (await chooser).setFiles({ name, mimeType: '', buffer: Buffer.from(text) });
  };
  await open('talk.eml', mail('someone@tern.example', calendar('forged', edda)));
  await expect(notice(page)).toContainText('It waits for you in People.');
  await open('talk.eml', mail(edda, calendar('talk', edda)));
  await expect(notice(page)).toContainText('1 invitation or answer read');
  await open('talk.ics', calendar('talk', edda));
  await expect(notice(page)).toContainText('It says nothing new.');
  await page.goto('/people');
  await expect(page.getByTestId('waits')).toHaveCount(2);
  await expect(page.getByTestId('waits').filter({ hasText: 'Not believed' })).toHaveCount(1);
});

test('free times are told as text on the reader’s clock, copied and sent', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.goto('/people');
  await choose(page, 'Salma Wray');
  await press(page.getByRole('button', { name: 'My free times as text' }));
  const note = page.getByTestId('free-time-note');
  const text = note.getByTestId('free-text');
  await expect(text).toHaveValue(/^I am free \(times in Halifax\):\nTuesday 9 March: 8:00–8:30, /);
  await note.getByTestId('free-length').selectOption('120');
  await expect(text).not.toHaveValue(/8:00–8:30/);
  await press(note.getByRole('button', { name: 'Copy' }));
  await expect(note).toContainText('Copied.');
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain('times in Halifax');
  await press(note.getByRole('button', { name: 'Send to 1' }));
  await expect(notice(page)).toContainText('On the way to 1');
});

test('a mail becomes a draft: one of its times, who wrote it, its words and its file', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await page.goto('/setup?section=files');
  const chooser = page.waitForEvent('filechooser');
  await press(page.getByRole('button', { name: 'Import a file' }));
  const mail = [
    'From: Salma Wray <salma.wray@fennick.example>',
    'Date: Tue, 09 Mar 2027 08:00:00 -0400',
    'Subject: Re: The claim',
    'MIME-Version: 1.0',
    'Content-Type: multipart/mixed; boundary=parts',
    '',
    '--parts',
    'Content-Type: text/plain; charset=utf-8',
    '',
    'I could do Thursday at 10 or Friday at 14:30. See https://tern.example/claim.',
    '--parts',
    'Content-Type: text/plain; name="costs.txt"',
    'Content-Disposition: attachment; filename="costs.txt"',
    '',
    'Lamps: 40',
    '--parts--',
    '',
  ].join('\r\n');
  await (await chooser).setFiles({ name: 'claim.eml', mimeType: '', buffer: Buffer.from(mail) });
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('From Salma Wray, who becomes its guest.');
  await expect(sheet.getByTestId('mail-title')).toHaveValue('The claim');
  // On her clock in Halifax, told on one's own.
  await expect(sheet.getByRole('radio')).toHaveCount(2);
  await press(sheet.getByRole('radio', { name: /Friday 12 March, 18:30–19:30/ }));
  await press(sheet.getByRole('button', { name: 'Make a draft' }));
  await expect(page.getByTestId('editor-title')).toHaveValue('The claim');
  await expect(page.getByTestId('guests')).toContainText('Salma Wray');
  await press(page.getByRole('button', { name: 'Save', exact: true }));
  await expect(sheet).toContainText('Invite to “The claim”');
  await page.keyboard.press('Escape');
  await expectKept(page, 'The claim');
  await expectKept(page, 'costs.txt');
});
