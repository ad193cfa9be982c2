import type { Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { expect, expectKept, openEditor, openPlan, press, test } from './pages';

/** The pages of a PDF: what each says, and its size in points. */
async function pagesOf(pdf: Buffer): Promise<{ words: string[]; sizes: [number, number][] }> {
  const document = await getDocumentProxy(new Uint8Array(pdf));
  const { text } = await extractText(document, { mergePages: false });
  const sizes: [number, number][] = [];
  for (let number = 1; number <= document.numPages; number++) {
    const [left, bottom, right, top] = (await document.getPage(number)).view as [
      number,
      number,
      number,
      number,
    ];
    sizes.push([right - left, top - bottom]);
  }
  return { words: text.map((page) => page.replaceAll(/\s+/g, ' ')), sizes };
}

const sheets = (page: Page) => page.getByTestId('print-preview').getByTestId('print-sheet');
const pdfOf = async (page: Page) =>
  pagesOf(await page.pdf({ preferCSSPageSize: true, printBackground: true }));

async function openPrint(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await expect(sheets(page).first()).toBeVisible();
}

test('a week is printed on one sheet laid across, with everything that is on it', async ({ page }) => {
  await openPlan(page);
  await openPrint(page, '/print?view=workdays&date=2027-03-09');
  await expect(sheets(page)).toHaveCount(1);
  await expect(sheets(page)).toContainText('8–12 March 2027');
  for (const words of [
    'Gull Point inspection',
    'Keeper rota call',
    'Claim due',
    'Relief boat',
    '19:30 HO Choir',
  ])
    await expect(sheets(page)).toContainText(words);
  const { words, sizes } = await pdfOf(page);
  expect(words).toHaveLength(1);
  for (const said of [
    '8–12 March 2027',
    'Gull Point inspection',
    'Claim due',
    '19:30 HO Choir',
    'Page 1 of 1',
  ])
    expect(words[0]).toContain(said);
  const [width, height] = sizes[0]!;
  expect(width / height).toBeCloseTo(297 / 210, 2);
});

test('an agenda fills as many pages as it needs and cuts no entry; the file has the same', async ({
  page,
}) => {
  await openPrint(page, '/print?view=agenda&date=2027-03-09');
  await press(page.getByRole('button', { name: 'Notes', exact: true }));
  await expect(sheets(page).first()).toContainText('Figures from stores, pictures from Skerry.');
  const count = await sheets(page).count();
  expect(count).toBeGreaterThan(1);
  const cut = await sheets(page).evaluateAll((all) =>
    all.flatMap((sheet) => {
      const { bottom } = sheet.getBoundingClientRect();
      return [...sheet.querySelectorAll('[data-testid="print-block"]')].filter(
        (block) => block.getBoundingClientRect().bottom > bottom - 20,
      );
    }),
  );
  expect(cut).toHaveLength(0);
  const { words } = await pdfOf(page);
  expect(words).toHaveLength(count);
  words.forEach((said, index) => expect(said).toContain(`Page ${index + 1} of ${count}`));
  expect(words[0]).toContain('Figures from stores, pictures from Skerry.');
});

test('a table names every entry of a period once, on Letter too', async ({ page }) => {
  await openPrint(page, '/print?view=weeks&periods=report-periods&date=2027-03-09');
  await expect(page.getByRole('textbox', { name: 'From', exact: true })).toHaveValue('Mon, 1 Mar 2027');
  await expect(page.getByRole('textbox', { name: 'To', exact: true })).toHaveValue('Sun, 4 Apr 2027');
  await press(page.getByRole('radio', { name: 'Table' }));
  await press(page.getByRole('radio', { name: 'Letter' }));
  await press(page.getByRole('button', { name: 'This period: Report periods' }));
  await expect(page.getByRole('textbox', { name: 'To', exact: true })).toHaveValue('Sun, 4 Apr 2027');
  const rows = page.getByTestId('print-preview').getByTestId('print-block');
  await expect(rows.filter({ hasText: 'Gull Point inspection' }).first()).toBeVisible();
  await expect(rows.filter({ hasText: 'Q1 works report' })).toHaveCount(1);
  const { words, sizes } = await pdfOf(page);
  expect(words).toHaveLength(await sheets(page).count());
  // The head of the table stands on every page, an entry on one.
  for (const said of words) expect(said).toContain('Length');
  expect(words.filter((said) => said.includes('Q1 works report'))).toHaveLength(1);
  expect(sizes[0]!.map(Math.round)).toEqual([612, 792]);
});

test('days, weeks, hours, calendars, small months and black and white are chosen', async ({ page }) => {
  await openPrint(page, '/print?view=weeks&date=2027-03-09');
  // What has no room in its day is counted there, and listed on the sheets behind.
  await expect(sheets(page).first()).toContainText('+2 more');
  await expect(sheets(page).nth(1)).toContainText('In full: what has no room in its place');
  await press(page.getByRole('button', { name: 'Small months' }));
  await expect(sheets(page).first()).toContainText('April 2027');
  await press(page.getByRole('radio', { name: 'Day', exact: true }));
  await page.getByRole('textbox', { name: 'From', exact: true }).fill('2027-03-09');
  await page.getByRole('textbox', { name: 'To', exact: true }).fill('2027-03-11');
  await expect(sheets(page)).toHaveCount(3);
  await page.getByLabel('Hours from').selectOption('540');
  // What lies outside the printed hours is named above them.
  await expect(sheets(page).first()).toContainText('6:00 KR Relief boat');
  await press(page.getByRole('button', { name: 'Black and white' }));
  await expect(sheets(page).first()).toContainText('Q1 works report');
  const colours = await sheets(page)
    .first()
    .evaluate((sheet) => {
      const found = [...sheet.querySelectorAll<HTMLElement>('[style]')].flatMap((element) => {
        const style = getComputedStyle(element);
        return [style.backgroundColor, style.borderTopColor, style.color];
      });
      return found.filter((colour) => {
        const [red, green, blue, alpha = 1] = (colour.match(/[\d.]+/g) ?? []).map(Number);
        return alpha > 0 && Math.max(red!, green!, blue!) - Math.min(red!, green!, blue!) > 24;
      });
    });
  expect(colours).toEqual([]);
  await press(page.getByRole('button', { name: 'Desk work' }));
  await expect(sheets(page).first()).not.toContainText('Q1 works report');
});

test('long notes are printed to their last line, on numbered pages', async ({ page }) => {
  await openPlan(page, '/?view=day&date=2027-03-09');
  const editor = await openEditor(page, /Q1 works report/);
  const lines = Array.from({ length: 90 }, (_, line) => `Survey line ${line + 1} of the tower.`);
  await editor.getByLabel('Notes').fill(lines.join('\n'));
  await press(editor.getByRole('button', { name: 'Save', exact: true }));
  await expectKept(page, 'Survey line 90');
  for (const layout of ['Agenda', 'Table', 'Day']) {
    await openPrint(page, '/print?view=agenda&date=2027-03-09');
    await press(page.getByRole('radio', { name: layout, exact: true }));
    await page.getByRole('textbox', { name: 'From', exact: true }).fill('2027-03-09');
    await page.getByRole('textbox', { name: 'To', exact: true }).fill('2027-03-09');
    await press(page.getByRole('button', { name: 'Notes', exact: true }));
    await expect(sheets(page).filter({ hasText: 'Survey line 90 of the tower.' }).last()).toBeVisible();
    const count = await sheets(page).count();
    const { words } = await pdfOf(page);
    expect(words).toHaveLength(count);
    words.forEach((said, index) => expect(said).toContain(`Page ${index + 1} of ${count}`));
    const all = words.join(' ');
    for (const line of lines) expect(all).toContain(line);
  }
});

test('a sheet says which filter and which calendars leave something out', async ({ page }) => {
  await openPrint(page, '/print?view=workdays&date=2027-03-09&hide=rota');
  await expect(sheets(page).first()).toContainText('Keeper rota');
  await expect(sheets(page).first()).not.toContainText('Relief boat');
});
