import type { Page } from '@playwright/test';
import { card, expect, expectKept, giveFiles, openPlan, openSetup, test, textFile, writeLine } from './pages';

const numbers = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index).join();
const vevent = (uid: string, ...lines: string[]) => ['BEGIN:VEVENT', `UID:${uid}`, ...lines, 'END:VEVENT'];

/** What would keep a calendar from opening, were it taken as it comes. */
const ODD = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'X-WR-CALNAME:Odd ones',
  ...vevent(
    'zone',
    'DTSTART;TZID=Nowhere/Atlantis:20270311T130000',
    'DTEND;TZID=Nowhere/Atlantis:20270311T140000',
    'SUMMARY:Sunken light',
  ),
  ...vevent(
    'parts',
    'DTSTART:20270310T120000Z',
    'SUMMARY:Every part',
    `RRULE:FREQ=YEARLY;COUNT=99999;BYMONTHDAY=${numbers(1, 31)};BYHOUR=${numbers(0, 23)};BYMINUTE=${numbers(0, 59)};BYSECOND=${numbers(0, 59)}`,
  ),
  ...vevent('second', 'DTSTART:20270310T130000Z', 'SUMMARY:Second of one', 'RRULE:FREQ=HOURLY;BYSETPOS=2'),
  ...Array.from({ length: 30 }, (_, number) =>
    vevent(
      `fog ${number}`,
      'DTSTART:20150310T120000Z',
      'DTEND:20260310T120000Z',
      `SUMMARY:Fog watch ${number}`,
      'RRULE:FREQ=HOURLY',
    ),
  ).flat(),
  'END:VCALENDAR',
  '',
].join('\r\n');

test('rules without end, lengths beyond measure and unknown zones keep nobody from their calendar', async ({
  page,
}) => {
  await openPlan(page, '/?view=week&date=2027-03-09');
  await openSetup(page);
  await giveFiles(page, page.getByRole('button', { name: 'Import a file' }), [textFile('odd.ics', ODD)]);
  await page.getByRole('button', { name: 'Import 33 entries' }).click();
  await expect(page.getByTestId('notice')).toContainText('33 entries imported');

  await openPlan(page, '/?view=week&date=2027-03-09');
  await expect(page.getByTestId('trouble-banner')).toContainText('can’t be shown in whole');
  await card(page, /Sunken light/).click();
  await expect(page.getByText(/“Nowhere\/Atlantis”, is not known here: it is read as/)).toBeVisible();

  // They can be seen to, one by one or all at once, and that is undone.
  await page.getByRole('button', { name: 'See them' }).click();
  const section = page.getByRole('region', { name: 'Set aside' });
  await expect(section.getByText(/more dates than can be shown/).first()).toBeVisible();
  await section.getByRole('button', { name: /Put all \d+ in the bin/ }).click();
  await expect(section.getByText('Everything that is kept here can be read and shown.')).toBeVisible();
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('link', { name: 'Plan' }).click();
  await expect(page.getByTestId('trouble-banner')).toBeVisible();
});

/** Changes texts in the database of records. */
const damage = (page: Page, from: string, to: string): Promise<number> =>
  page.evaluate(
    ([before, after]) =>
      new Promise<number>((resolve) => {
        const request = indexedDB.open('orderly-week');
        request.onsuccess = () => {
          const database = request.result;
          const store = database.transaction('entries', 'readwrite').objectStore('entries');
          let count = 0;
          store.openCursor().onsuccess = (event) => {
            const cursor = (event.target as IDBRequest<IDBCursorWithValue | null>).result;
            if (!cursor) return;
            const text = cursor.value as string;
            if (!(cursor.key as string).startsWith('aside') && text.includes(before!)) {
              cursor.update(text.replace(before!, after!));
              count++;
            }
            cursor.continue();
          };
          store.transaction.oncomplete = () => {
            database.close();
            resolve(count);
          };
        };
      }),
    [from, to],
  );

test('a damaged record is set aside, and mended by hand', async ({ page }) => {
  await openPlan(page, '/?date=2027-03-09');
  await writeLine(page, 'Buoy log Tue 12:30 30 min');
  await expect(page.getByTestId('notice')).toContainText('“Buoy log” made');
  // The records follow the log a moment later.
  await expect.poll(() => damage(page, '"title":"Buoy log"', '"title":7')).toBeGreaterThan(0);
  await openPlan(page, '/?date=2027-03-09');
  await expect(page.getByTestId('notice')).toContainText('1 record could not be read');
  await expect(card(page, /Buoy log/)).toHaveCount(0);
  await openSetup(page);
  const section = page.getByRole('region', { name: 'Set aside' });
  await section.getByRole('button', { name: 'See Entry' }).click();
  const sheet = page.getByRole('dialog');
  const text = sheet.getByLabel('As it is kept');
  await sheet.getByRole('button', { name: 'Mend it' }).click();
  await expect(sheet.getByRole('alert')).toContainText('It still can’t be read: title');
  await text.fill((await text.inputValue()).replace('"title":7', '"title":"Buoy log"'));
  await sheet.getByRole('button', { name: 'Mend it' }).click();
  await expect(section.getByText('Everything that is kept here can be read and shown.')).toBeVisible();
  await page.getByRole('link', { name: 'Plan' }).click();
  await expect(card(page, /Buoy log/)).toBeVisible();
});

test('calendars and settings that are gone leave everything else to be opened and changed', async ({
  page,
}) => {
  await openPlan(page, '/?date=2027-03-09');
  await expect.poll(() => damage(page, '"name":"Meetings"', '"name":{')).toBeGreaterThan(0);
  await damage(page, '"homeZone":"Europe/Lisbon"', '"homeZone":"Nowhere/Atlantis"');
  await openPlan(page, '/?date=2027-03-09');
  await expect(page.getByTestId('notice')).toContainText(
    'Your home zone, “Nowhere/Atlantis”, is not known here',
  );
  await expect(card(page, /Keeper rota call, Found again/)).toBeVisible();
  await writeLine(page, 'Buoy log Tue 12:30 30 min');
  await expect(page.getByTestId('notice')).toContainText('“Buoy log” made');
  await expectKept(page, 'Buoy log');
});

test('after two starts that came to nothing it opens plainly, with a backup to save', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('orderly-week/starts', '[1,2]'));
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('did not open the last times');
  await page.getByRole('button', { name: 'Open plainly' }).click();
  await expect(page.getByTestId('plain-start')).toBeVisible();
  await page.getByRole('button', { name: 'Open as usual' }).click();
  await expect(page.getByTestId('card').first()).toBeVisible();

  await page.goto('/');
  await page.getByRole('button', { name: 'Open plainly' }).click();
  await expect(page.getByTestId('plain-start')).toContainText(/\d+ entries in 9 calendars/);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save a backup' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^orderly-week-backup-/);
  await expect(page.getByRole('status')).toContainText('The backup is saved.');
});

test.describe('storage', () => {
  test('that the browser refuses is said, with what to do', async ({ page }) => {
    // The page says it in the console as well, for whoever is asked for help.
    await page.addInitScript(() => {
      console.error = () => undefined;
      IDBFactory.prototype.open = () => {
        throw new DOMException('The user denied permission to access the database.', 'SecurityError');
      };
    });
    await page.goto('/');
    await expect(page.getByRole('alert')).toContainText('allow site data for it');
    await expect(page.getByRole('button', { name: 'Try again' })).toBeVisible();
  });

  test('that does not answer is said within some seconds', async ({ page }) => {
    await page.addInitScript(() => {
      const { open } = IDBFactory.prototype;
      IDBFactory.prototype.open = function (...given) {
        const request = open.apply(this, given);
        for (const answer of ['success', 'error', 'upgradeneeded'])
          request.addEventListener(answer, (event) => event.stopImmediatePropagation());
        return request;
      };
    });
    await page.clock.install();
    await page.goto('/');
    await expect(page.getByRole('status')).toContainText('Opening');
    await page.clock.fastForward(9_000);
    await expect(page.getByRole('status')).toContainText('Another tab of Orderly Week may hold it');
  });

  test('for drafts may be missing: all else is kept, and Setup says so', async ({ page }) => {
    await page.addInitScript(() => {
      Object.defineProperty(window, 'localStorage', {
        get: () => {
          throw new DOMException('Access is denied for this document.', 'SecurityError');
        },
      });
    });
    await openPlan(page, '/?date=2027-03-09');
    await writeLine(page, 'Buoy log Tue 12:30 30 min');
    await expect(page.getByTestId('notice')).toContainText('“Buoy log” made');
    await openSetup(page);
    await expect(page.getByText('gives the page no room for drafts')).toBeVisible();
    await openPlan(page, '/?date=2027-03-09');
    await expect(card(page, /Buoy log/)).toBeVisible();
  });
});

/** Has a worker of the page do something more before its own script. */
async function beginWorkers(page: Page, name: 'engine' | 'files', script: () => void): Promise<void> {
  await page.route(new RegExp(`/${name}-[0-9a-f]+\\.js`), async (route) => {
    const response = await route.fetch();
    await route.fulfill({ response, body: `(${String(script)})();${await response.text()}` });
  });
}

test('an entry over which nothing is answered any more is found out, and left out', async ({ page }) => {
  // The clock of that zone is never told.
  await beginWorkers(page, 'engine', () => {
    const { toZonedDateTimeISO } = Temporal.Instant.prototype;
    Temporal.Instant.prototype.toZonedDateTimeISO = function (zone) {
      while (zone === 'Pacific/Chatham');
      return toZonedDateTimeISO.call(this, zone);
    };
  });
  await openPlan(page, '/?view=week&date=2027-03-09');
  await openSetup(page);
  const still = vevent(
    'still',
    'DTSTART;TZID=Pacific/Chatham:20270310T230000',
    'DTEND;TZID=Pacific/Chatham:20270310T233000',
    'SUMMARY:Still lamp',
  );
  const file = ['BEGIN:VCALENDAR', ...still, 'END:VCALENDAR', ''].join('\r\n');
  await giveFiles(page, page.getByRole('button', { name: 'Import a file' }), [textFile('still.ics', file)]);
  await page.getByRole('button', { name: 'Import 1 entry' }).click();
  await expect(page.getByTestId('notice')).toContainText('imported');
  await page.getByRole('link', { name: 'Plan' }).click();
  // Two threads fall silent for five seconds each: the second one says over which entry.
  await expect(page.getByTestId('trouble-banner')).toBeVisible({ timeout: 40_000 });
  await expect(card(page, /Keeper rota call/)).toBeVisible();
  await page.getByRole('button', { name: 'See them' }).click();
  await expect(page.getByRole('region', { name: 'Set aside' }).getByText('Still lamp')).toBeVisible();
  // It is known at the next start.
  await openPlan(page, '/?view=week&date=2027-03-09');
  await expect(page.getByTestId('trouble-banner')).toBeVisible();
});

test('reading a file that comes to no end can be cancelled, and another is read', async ({ page }) => {
  await beginWorkers(page, 'files', () => {
    const { decode } = TextDecoder.prototype;
    TextDecoder.prototype.decode = function (...given) {
      const text = decode.apply(this, given);
      while (text.includes('SUMMARY:Endless'));
      return text;
    };
  });
  await openSetup(page);
  const file = (title: string) => [
    'BEGIN:VCALENDAR',
    ...vevent('1', 'DTSTART:20270310T120000Z', `SUMMARY:${title}`),
    'END:VCALENDAR',
    '',
  ];
  const choose = page.getByRole('button', { name: 'Import a file' });
  await giveFiles(page, choose, [textFile('endless.ics', file('Endless').join('\r\n'))]);
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).last().click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await giveFiles(page, choose, [textFile('buoys.ics', file('Buoy log').join('\r\n'))]);
  await expect(page.getByRole('button', { name: 'Import 1 entry' })).toBeVisible();
});
