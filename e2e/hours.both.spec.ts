import { expect, press, saved, test } from './pages';

test('the hours of March are read by calendar and by place, and saved as a table and a picture', async ({
  page,
}) => {
  await page.goto('/tidy?part=hours&span=month&date=2027-03-09');
  const total = page.getByTestId('hours-total');
  await expect(total).toContainText(/^\d+ h.* in all, overlaps counted once/);
  await expect(total).toContainText('than in 1–28 February');
  const panel = page.getByRole('group', { name: 'Hours by calendar' });
  const rows = panel.getByTestId('figure-row');
  await expect(rows.first()).toContainText('Site visits');
  await expect(panel.getByRole('img', { name: /^Hours by calendar: Site visits \d+ h/ })).toBeVisible();

  const { text: csv } = await saved(page, () => press(page.getByTestId('save-hours')));
  const [head, ...lines] = csv.trim().split(/\r?\n/);
  expect(head).toMatch(/^.?Calendar,Hours,Each counted,Before,Whole days,2027-03-01,2027-03-08/);
  expect(lines.map((line) => line.split(',')[0])).toContain('Grants');
  // The rows sum to the whole, and each row to its weeks: to a hundredth each.
  const figures = lines.map((line) => line.split(',').slice(1).map(Number));
  const said = /^(\d+) h(?: (\d\d))?/.exec((await total.textContent())!)!;
  const sum = figures.reduce((all, [hours = 0]) => all + hours, 0);
  expect(Math.abs(sum - Number(said[1]) - Number(said[2] ?? 0) / 60)).toBeLessThan(0.1);
  for (const [hours = 0, , , , ...weeks] of figures)
    expect(Math.abs(hours - weeks.reduce((a, b) => a + b, 0))).toBeLessThan(0.05);

  const { text: svg } = await saved(page, () => press(page.getByTestId('save-chart')));
  expect(svg).toMatch(/^<svg[^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
  expect(svg).toContain('>SV<');

  await press(panel.getByRole('button', { name: 'Print' }));
  const paper = page.getByRole('dialog', { name: 'Print' }).getByTestId('print-block');
  await expect(paper.first().getByRole('img', { name: /^Hours by calendar: Site visits/ })).toBeVisible();
  await expect(paper.nth(1)).toContainText('Site visits');
  await page.keyboard.press('Escape');

  await page.getByTestId('hours-by').selectOption('place');
  await expect(
    page.getByRole('group', { name: 'Hours by place' }).getByTestId('figure-row').first(),
  ).toContainText('No place');
  await expect(page).toHaveURL(/by=place/);
  await press(page.getByRole('button', { name: 'Earlier' }));
  await expect(page.getByTestId('hours-total')).toContainText('than in 1–31 January');
});
