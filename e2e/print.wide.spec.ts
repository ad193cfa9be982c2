import { inflateSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { expect, openPlan, press, test } from './pages';

/** The number of pages of a PDF, and the sizes that it names in points. */
function pagesOf(pdf: Buffer): { count: number; boxes: string[] } {
  const text = pdf.toString('latin1');
  // Chromium packs its objects; those that matter stand in streams.
  const parts = [text];
  for (const match of text.matchAll(/stream\r?\n/g)) {
    const start = match.index + match[0].length;
    const end = text.indexOf('endstream', start);
    try {
      parts.push(inflateSync(pdf.subarray(start, end)).toString('latin1'));
    } catch {
      // Not a packed stream.
    }
  }
  const all = parts.join('\n');
  return {
    count: (all.match(/\/Type\s*\/Page\b(?!s)/g) ?? []).length,
    boxes: [...new Set([...all.matchAll(/\/MediaBox\s*\[([^\]]*)\]/g)].map((match) => match[1]!.trim()))],
  };
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
  const pdf = await pdfOf(page);
  expect(pdf.count).toBe(1);
  expect(pdf.boxes).toHaveLength(1);
  const [width, height] = pdf.boxes[0]!.split(/\s+/).slice(2).map(Number);
  expect(width! / height!).toBeCloseTo(297 / 210, 1);
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
  expect((await pdfOf(page)).count).toBe(count);
});

test('a table names every entry of a period once, on Letter too', async ({ page }) => {
  await openPrint(page, '/print?view=weeks&periods=report-periods&date=2027-03-09');
  await expect(page.getByLabel('From', { exact: true })).toHaveValue('2027-03-01');
  await expect(page.getByLabel('To', { exact: true })).toHaveValue('2027-04-04');
  await press(page.getByRole('radio', { name: 'Table' }));
  await press(page.getByRole('radio', { name: 'Letter' }));
  await press(page.getByRole('button', { name: 'This period: Report periods' }));
  await expect(page.getByLabel('To', { exact: true })).toHaveValue('2027-04-04');
  const rows = page.getByTestId('print-preview').getByTestId('print-block');
  await expect(rows.filter({ hasText: 'Gull Point inspection' }).first()).toBeVisible();
  await expect(rows.filter({ hasText: 'Q1 works report' })).toHaveCount(1);
  const pdf = await pdfOf(page);
  expect(pdf.count).toBe(await sheets(page).count());
  expect(pdf.boxes[0]).toMatch(/^0 0 61[12](\.\d+)? 79[12](\.\d+)?$/);
});

test('days, weeks, hours, calendars, small months and black and white are chosen', async ({ page }) => {
  await openPrint(page, '/print?view=weeks&date=2027-03-09');
  await expect(sheets(page)).toHaveCount(1);
  await press(page.getByRole('button', { name: 'Small months' }));
  await expect(sheets(page)).toContainText('April 2027');
  await press(page.getByRole('radio', { name: 'Day', exact: true }));
  await page.getByLabel('From', { exact: true }).fill('2027-03-09');
  await page.getByLabel('To', { exact: true }).fill('2027-03-11');
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
