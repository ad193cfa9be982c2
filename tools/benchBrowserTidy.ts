import type { Page } from '@playwright/test';

/** What is measured, and the times in milliseconds. */
export type Measured = readonly [what: string, times: readonly number[]];

/** From a press until rows that were not there before have been painted: in the page, without the way there. */
async function pressToRows(page: Page, press: string): Promise<number> {
  return page.evaluate(async (selector) => {
    const wanted = document.querySelector<HTMLElement>(selector)!;
    const rows = () =>
      [...document.querySelectorAll('[data-testid="table-row"],[data-testid="table-group"]')]
        .slice(0, 6)
        .map((row) => row.textContent)
        .join();
    const before = rows();
    const start = performance.now();
    wanted.click();
    for (let frame = 0; frame < 600; frame++) {
      await new Promise((resolve) => requestAnimationFrame(resolve));
      if (rows() !== before && rows() !== '') break;
    }
    await new Promise((resolve) => requestAnimationFrame(resolve));
    return performance.now() - start;
  }, press);
}

/** The lengths of frames while the table is scrolled, and how many of them had no row in the middle. */
async function timeScroll(page: Page): Promise<{ frames: number[]; blank: number }> {
  return page.evaluate(async () => {
    const table = document.querySelector<HTMLElement>('[data-testid="table"]')!;
    const box = table.getBoundingClientRect();
    const frames: number[] = [];
    let blank = 0;
    let last = performance.now();
    for (let frame = 0; frame < 120; frame++) {
      table.scrollTop += 300;
      await new Promise((resolve) => requestAnimationFrame(resolve));
      const now = performance.now();
      frames.push(now - last);
      last = now;
      const middle = document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2);
      if (!middle?.closest('[data-row]')) blank++;
    }
    return { frames: frames.slice(2), blank };
  });
}

/** Tidy: its table, what changes many entries, the checks, the hours. Leaves the data as it was. */
export async function measureTidyPlace(page: Page, address: string): Promise<Measured[]> {
  await page.goto(`${address}/`);
  await page.locator('html[data-loaded=all]').waitFor({ state: 'attached' });
  const found: Measured[] = [];
  found.push(['Tidy, press to first rows', [await pressToRows(page, 'a[href^="/tidy"]')]]);
  await page.goto(`${address}/tidy?span=all`);
  await page.getByTestId('table-row').first().waitFor();
  const sorts: number[] = [];
  for (const name of ['Title', 'Place', 'Length', 'Start'])
    sorts.push(await pressToRows(page, `[aria-label="Sort by ${name}"]`));
  found.push(['sort the table', sorts]);
  const { frames, blank } = await timeScroll(page);
  found.push([`a frame while the table scrolls, ${blank} blank`, frames]);
  await page.evaluate(() => document.querySelector('[data-testid="table"]')?.scrollTo(0, 0));
  await page.getByTestId('table-row').first().getByRole('checkbox').click();
  await page.getByTestId('select-all').click();
  await page.getByTestId('begin-batch').click();
  const start = performance.now();
  await page.getByTestId('add-step').selectOption('whole-days');
  await page.getByTestId('preview-rows').waitFor();
  found.push(['preview of a change to all', [performance.now() - start]]);
  await page.getByRole('button', { name: 'Leave', exact: true }).click();
  const looked = performance.now();
  await page.goto(`${address}/tidy?part=checks`);
  await page.getByTestId('finding').first().waitFor();
  found.push(['open the page at the checks, all run', [performance.now() - looked]]);
  const counted = performance.now();
  await page.goto(`${address}/tidy?part=hours&span=year&date=2027-03-09`);
  await page.getByTestId('hours-chart').waitFor();
  found.push(['open the page at the hours of a year', [performance.now() - counted]]);
  return found;
}
