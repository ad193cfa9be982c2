import { type Download, type Locator, type Page, test as base, expect } from '@playwright/test';

/** What React Native for the web says of each press of the right button: it sees it end, and not begin. */
const RIGHT_PRESS = /^Cannot record touch end without a touch start/;
/** What it says once, when a component of Paper first moves: on the web every motion is made by scripts. */
const MOTION = /^Animated: `useNativeDriver` is not supported/;

/** What Playwright says where the application would be kept for use without the network: most tests have it blocked. */
const BLOCKED = /^Service Worker registration blocked by Playwright/;

/**
 * A test whose page may write no warning or error to the console and send no request to another machine.
 */
export const test = base.extend<{ savesData: boolean; pressesRight: boolean }>({
  /** Whether the browser is asked to save data: nothing is fetched ahead, which a hundred pages in a row need not do. */
  savesData: [true, { option: true }],
  /** Whether the right button is pressed, of which the console says a word that is no fault of the page. */
  pressesRight: [false, { option: true }],
  page: async ({ page, baseURL, savesData, pressesRight }, runTest) => {
    if (savesData)
      await page.addInitScript(() =>
        Object.defineProperty(Navigator.prototype, 'connection', { value: { saveData: true } }),
      );
    const faults: string[] = [];
    page.on('console', (message) => {
      const isFault = message.type() === 'error' || message.type() === 'warning';
      const text = message.text();
      const isKnown = MOTION.test(text) || BLOCKED.test(text) || (pressesRight && RIGHT_PRESS.test(text));
      if (isFault && !isKnown) faults.push(text);
    });
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('request', (request) => {
      const { hostname, protocol } = new URL(request.url());
      const isOwn = hostname === new URL(baseURL!).hostname || protocol === 'blob:' || protocol === 'data:';
      if (!isOwn) faults.push(`request to ${request.url()}`);
    });
    await runTest(page);
    expect(faults).toEqual([]);
  },
});
export { expect };

/** Opens Plan and waits until its view, and in it an entry, is there. */
export async function openPlan(page: Page, path = '/'): Promise<void> {
  await page.goto(path);
  await expect(page.getByTestId(/^(hours|weeks|year|agenda|lanes)$/)).toBeVisible();
  if (!path.includes('view=weeks') && !path.includes('view=year'))
    await expect(page.getByTestId('card').first()).toBeVisible();
}

/** Shows another view by the switch, or by the menu where there is no room for one. */
export async function chooseView(page: Page, name: string): Promise<void> {
  const radio = page.getByRole('radio', { name, exact: true });
  if ((await radio.count()) > 0) return radio.click();
  await press(page.getByRole('button', { name: /^View: / }));
  await press(page.getByRole('menuitem', { name, exact: true }));
}

/** Opens one of Plan's sheets: in the tools, or in the menu of views on a phone. */
export async function openTool(page: Page, name: RegExp): Promise<Locator> {
  const tool = page.getByRole('button', { name });
  if ((await tool.count()) > 0) await press(tool.first());
  else {
    await press(page.getByRole('button', { name: /^View: / }));
    await press(page.getByRole('menuitem', { name }));
  }
  const sheet = page.getByRole('dialog');
  await expect(sheet).toBeVisible();
  return sheet;
}

/** The card of an entry by its title. */
export const card = (page: Page, title: string | RegExp): Locator =>
  page
    .getByTestId('card')
    .and(page.getByRole('button', { name: title }))
    .first();

/** The card or ribbon whose words for reading out are given. */
export const entry = (page: Page, name: string | RegExp): Locator =>
  page.getByTestId('hours').getByRole('button', { name }).first();

/** Waits until something is kept, in the log of commits or among the records, so that a reload finds it. */
export async function expectKept(page: Page, text: string): Promise<void> {
  await expect
    .poll(() =>
      page.evaluate(async (wanted) => {
        const textsOf = (name: string) =>
          new Promise<unknown[]>((resolve) => {
            const request = indexedDB.open(name);
            request.onerror = () => resolve([]);
            request.onsuccess = () => {
              const database = request.result;
              const [store] = database.objectStoreNames;
              if (!store) return resolve([]);
              const all = database.transaction(store).objectStore(store).getAll();
              all.onsuccess = () => {
                database.close();
                resolve(all.result);
              };
            };
          });
        const kept = await Promise.all(['orderly-week', 'orderly-week-log'].map(textsOf));
        return JSON.stringify(kept).includes(wanted);
      }, text),
    )
    .toBe(true);
}

/** Where an element lies, once it lies still and nothing lies over it: a drag begins at what a person could reach. */
export async function boxOf(locator: Locator) {
  await locator.click({ trial: true });
  return (await locator.boundingBox())!;
}

/** The centre of an element that a person could reach. */
export async function centre(locator: Locator): Promise<{ x: number; y: number }> {
  const box = await boxOf(locator);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** Drags by mouse in steps, with what to do while the button is held. */
export async function drag(
  page: Page,
  from: { x: number; y: number },
  to: { x: number; y: number },
  whileHeld: () => Promise<void> = async () => undefined,
): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await whileHeld();
  await page.mouse.up();
}

export const CALENDAR_FILE = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:-//Fennick//Stores//EN',
  'X-WR-CALNAME:Stores and boats',
  'BEGIN:VEVENT',
  'UID:1@stores',
  'DTSTART;TZID=Atlantic/Azores:20270310T170000',
  'DTEND;TZID=Atlantic/Azores:20270310T183000',
  'SUMMARY:Rope delivery',
  'X-STORES-SHELF:12',
  'END:VEVENT',
  'BEGIN:VEVENT',
  'UID:2@stores',
  'DTSTART:20270311T120000Z',
  'DTEND:20270311T123000Z',
  'RRULE:FREQ=WEEKLY;BYDAY=TH',
  'SUMMARY:Stock list',
  'END:VEVENT',
  'BEGIN:VEVENT',
  'UID:3@stores',
  'DTSTART:2027031xT080000Z',
  'SUMMARY:Broken start',
  'END:VEVENT',
  'END:VCALENDAR',
  '',
].join('\r\n');

/** Presses as the project's people do: with a finger on the phone, with the mouse on a wide screen. */
export const press = (locator: Locator): Promise<void> =>
  test.info().project.name === 'phone' ? locator.tap() : locator.click();

/** Opens the editor of an entry by its title. */
export async function openEditor(page: Page, title: RegExp): Promise<Locator> {
  await press(card(page, title));
  // What comes last moves what is there already.
  await expect(page.getByRole('complementary').getByRole('button', { name: 'Duplicate' })).toBeVisible();
  await press(page.getByRole('complementary').getByRole('button', { name: 'Edit', exact: true }));
  const editor = page.getByTestId('editor');
  await expect(editor).toBeVisible();
  return editor;
}

/** Gives files to whoever asks for them after a press. */
export async function giveFiles(
  page: Page,
  button: Locator,
  files: readonly { name: string; mimeType: string; buffer: Buffer }[],
): Promise<void> {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), press(button)]);
  await chooser.setFiles([...files]);
}

/** A text as a file. */
export const textFile = (name: string, text: string, mimeType = 'text/calendar') => ({
  name,
  mimeType,
  buffer: Buffer.from(text),
});

/** The file that is saved after an action, and what stands in it. */
export async function saved(
  page: Page,
  action: () => Promise<void>,
): Promise<{ download: Download; text: string }> {
  const [download] = await Promise.all([page.waitForEvent('download'), action()]);
  const stream = await download.createReadStream();
  const parts: Buffer[] = [];
  for await (const part of stream) parts.push(part as Buffer);
  return { download, text: Buffer.concat(parts).toString('utf8') };
}

/** Opens Setup and waits for its calendars. */
export async function openSetup(page: Page): Promise<void> {
  await page.goto('/setup');
  await expect(page.getByRole('group', { name: 'Desk work' })).toBeVisible();
}

/** Opens the further actions of a calendar in Setup and presses one. */
export async function calendarAction(page: Page, calendar: string, action: RegExp): Promise<void> {
  await press(page.getByRole('button', { name: `More for ${calendar}` }));
  await press(page.getByRole('menuitem', { name: action }));
}

/** Writes an entry into the entry line and keeps it. */
export async function writeLine(page: Page, text: string): Promise<void> {
  await page.getByTestId('entry-line').fill(text);
  await page.getByTestId('entry-line').press('Enter');
}
