import type { Page } from '@playwright/test';
import { randomBytes } from 'node:crypto';
import { card, expect, expectKept, giveFiles, openPlan, openSetup, test, textFile } from './pages';

/** Gives the page so many bytes of storage; what Chromium gives by itself, without a number. */
async function giveRoom(page: Page, baseURL: string, quotaSize?: number): Promise<void> {
  const session = await page.context().newCDPSession(page);
  const { origin } = new URL(baseURL);
  await session.send('Storage.overrideQuotaForOrigin', {
    origin,
    ...(quotaSize === undefined ? {} : { quotaSize }),
  });
}

/** What is kept is packed, so that only bytes at random take the room that they seem to. */
const ROOM = 4 * 1024 * 1024;
const LARGE = 9 * 1024 * 1024;

test('a file that would not fit is refused before anything is lost', async ({ page, baseURL }) => {
  await giveRoom(page, baseURL!, ROOM);
  await openPlan(page, '/?date=2027-03-09');
  await card(page, /Q1 works report/).click();
  const list = page.getByTestId('attachments');
  const attach = list.getByRole('button', { name: 'Attach files' });
  await giveFiles(page, attach, [
    { name: 'large.bin', mimeType: 'application/octet-stream', buffer: randomBytes(LARGE) },
  ]);
  await expect(page.getByTestId('notice')).toContainText('There is no room for this in the browser');
  await expect(list.getByText('large.bin')).toHaveCount(0);
  await expect(list.getByText('skerry tower.svg')).toBeVisible();
  // What was begun is taken away again: a small file fits.
  await giveFiles(page, attach, [textFile('small.txt', 'fits', 'text/plain')]);
  await expect(list.getByText('small.txt')).toBeVisible();
  await expectKept(page, 'small.txt');
  await page.reload();
  await card(page, /Q1 works report/).click();
  await expect(list.getByText('small.txt')).toBeVisible();
});

test('with no room left a change is refused whole, and everything before it is there', async ({
  page,
  baseURL,
}) => {
  await giveRoom(page, baseURL!, ROOM);
  await openPlan(page, '/?date=2027-03-09');
  const line = page.getByTestId('entry-line');
  await line.fill('Fits Tue 12:00 30 min');
  await line.press('Enter');
  await expect(card(page, /Fits/)).toBeVisible();
  await expectKept(page, '\\"title\\":\\"Fits\\"');

  await openSetup(page);
  const events = Array.from({ length: 9 }, (_, index) => [
    'BEGIN:VEVENT',
    `UID:heavy-${index}`,
    'DTSTART:20270309T123000Z',
    `SUMMARY:Heavy ${index}`,
    `DESCRIPTION:${randomBytes(750_000).toString('base64')}`,
    'END:VEVENT',
  ]);
  const file = ['BEGIN:VCALENDAR', ...events.flat(), 'END:VCALENDAR', ''].join('\r\n');
  await giveFiles(page, page.getByRole('button', { name: 'Import a file' }), [textFile('heavy.ics', file)]);
  await page.getByRole('button', { name: 'Import 9 entries' }).click();
  await expect(page.getByTestId('notice')).toContainText('no room left');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('group', { name: 'heavy', exact: true })).toHaveCount(0);

  // The page opens with all that was before and nothing of what was refused, and goes on.
  await openPlan(page, '/?date=2027-03-09');
  await expect(card(page, /Fits/)).toBeVisible();
  await expect(card(page, /Heavy/)).toHaveCount(0);
  await line.fill('Still fits Tue 12:30 30 min');
  await line.press('Enter');
  await expect(card(page, /Still fits/)).toBeVisible();
  await expectKept(page, 'Still fits');
});
