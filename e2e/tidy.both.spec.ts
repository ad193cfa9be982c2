import type { Locator, Page } from '@playwright/test';
import { card, expect, expectKept, openPlan, press, test } from './pages';

const rows = (page: Page): Locator => page.getByTestId('table-row');
const sums = (page: Page): Locator => page.getByTestId('table-sums');
const bar = (page: Page): Locator => page.getByTestId('selection-bar');
const preview = (page: Page): Locator => page.getByTestId('batch-preview');

/** Opens Tidy and waits until its table, and in it a row, is there. */
async function openTidy(page: Page, search = ''): Promise<void> {
  await page.goto(`/tidy${search}`);
  await expect(rows(page).first()).toBeVisible();
}

/** Finds entries, and waits until the table holds so many. */
async function find(page: Page, words: string, count: RegExp): Promise<void> {
  await page.getByTestId('tidy-find').fill(words);
  // What stood there before stays until the answer comes.
  if (words !== '') await expect(page).toHaveURL(/[?&]find=/);
  await expect(page.getByTestId('table')).toHaveAttribute('aria-busy', 'false');
  await expect(sums(page)).toContainText(count);
}

async function selectAll(page: Page): Promise<void> {
  await press(rows(page).first().getByRole('checkbox'));
  const all = page.getByTestId('select-all');
  if ((await all.count()) > 0) await press(all);
}

/** Opens the panel over what is selected and adds a step, with what its form is given. */
async function addStep(
  page: Page,
  kind: string,
  given: Readonly<Record<string, string>> = {},
): Promise<void> {
  if ((await page.getByTestId('batch').count()) === 0) await press(page.getByTestId('begin-batch'));
  await page.getByTestId('add-step').selectOption(kind);
  const form = page.getByTestId('step-form');
  for (const [label, value] of Object.entries(given)) {
    const field = form.getByLabel(label, { exact: true });
    if ((await field.evaluate(({ tagName }) => tagName)) === 'SELECT') await field.selectOption(value);
    else await field.fill(value);
  }
  if ((await form.count()) > 0) await press(form.getByRole('button', { name: 'Take this step' }));
}

async function apply(page: Page): Promise<void> {
  await press(page.getByTestId('do-batch'));
  await expect(page.getByTestId('batch')).toHaveCount(0);
}

const undo = (page: Page) => press(page.getByTestId('notice').getByRole('button', { name: 'Undo' }));

test('the month of one calendar moves to another, is seen before it does, and is undone as one', async ({
  page,
}) => {
  await openTidy(page, '?span=month&date=2027-03-09');
  await find(page, '#GR is:event', /^10 entries/);
  await selectAll(page);
  await addStep(page, 'calendar', { Calendar: 'Desk work' });
  await expect(preview(page).getByTestId('outcome-changed')).toContainText(/^\d+ change/);
  await expect(preview(page)).toContainText('Grants → Desk work');
  await apply(page);
  await expect(page.getByTestId('notice')).toContainText(/entries changed/);
  await expect(page.getByText('Nothing fits what is asked for.')).toBeVisible();
  await undo(page);
  await expect(sums(page)).toContainText('10 entries');
});

test('a place is renamed everywhere by find and replace, and an expression that can’t be read is told', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openTidy(page, '?span=all');
  await find(page, '"Lamp room"', /entries/);
  await selectAll(page);
  await addStep(page, 'replace', { Find: '(Lamp', 'Replace by': 'Light room', 'Read as': 'expression' });
  await expect(preview(page).getByRole('alert')).toContainText('The expression can’t be used');
  await expect(page.getByTestId('do-batch')).toBeDisabled();
  await press(page.getByRole('button', { name: /^Change the step/ }));
  await page.getByTestId('step-form').getByLabel('Find').fill('(Lamp) room');
  await page.getByTestId('step-form').getByLabel('Replace by').fill('New $1 room');
  await press(page.getByRole('button', { name: 'Take this step' }));
  await expect(preview(page)).toContainText('Lamp room → New Lamp room');
  await apply(page);
  await page.getByTestId('tidy-find').fill('"New Lamp room"');
  await expect(rows(page).first()).toBeVisible();
  await expectKept(page, 'New Lamp room');
});

test('several steps at once, one of the entries left out, and what can’t be with its reason', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openTidy(page, '?span=week&date=2027-03-09');
  await find(page, '', /entries/);
  await selectAll(page);
  await addStep(page, 'categories', { 'Categories, with commas between them': 'spring' });
  await addStep(page, 'trim', { 'Minutes earlier': '5' });
  const changed = preview(page).getByTestId('outcome-changed');
  await expect(changed).toContainText(/^\d+ change/);
  const count = Number.parseInt(await changed.innerText(), 10);
  await press(
    preview(page)
      .getByRole('button', { name: /^Leave .* out$/ })
      .first(),
  );
  await expect(changed).toContainText(`${count - 1} change`);
  await press(preview(page).getByTestId('outcome-impossible'));
  await expect(preview(page).getByText('Its calendar can’t be changed here.').first()).toBeVisible();
  await expect(preview(page).getByText('It takes whole days and has no hours.').first()).toBeVisible();
  // Pressed by a hurried hand, it is done once.
  await page
    .getByTestId('do-batch')
    .evaluate((button: HTMLElement) => [1, 2, 3].forEach(() => button.click()));
  await expect(page.getByTestId('batch')).toHaveCount(0);
  await expect(page.getByTestId('notice')).toContainText(`${count - 1} entries changed`);
  await press(page.getByRole('radio', { name: 'History' }));
  await expect(page.getByTestId('deed')).toHaveCount(1);
});

test('a week of Plan is moved on from the desk, as a recipe that is kept and used again', async ({
  page,
}) => {
  await openTidy(page, '?span=week&date=2027-03-09');
  await find(page, 'is:single #ME', /entr/);
  await selectAll(page);
  await addStep(page, 'shift', { 'Days later': 'a week' });
  await expect(page.getByTestId('step-form').getByRole('alert')).toContainText('A whole number');
  await page.getByTestId('step-form').getByLabel('Days later').fill('7');
  await press(page.getByRole('button', { name: 'Take this step' }));
  await page.getByLabel('Name of the recipe').fill('A week on');
  await press(page.getByTestId('keep-recipe'));
  await expect(page.getByTestId('notice')).toContainText('Recipe “A week on” kept');
  await apply(page);
  await page.goto('/tidy?span=week&date=2027-03-16');
  await expect(rows(page).filter({ hasText: 'Tobias: crane survey' })).toBeVisible();
  await press(rows(page).filter({ hasText: 'Tobias: crane survey' }).getByRole('checkbox'));
  await press(page.getByTestId('begin-batch'));
  await page.getByTestId('use-recipe').selectOption('A week on');
  await expect(preview(page)).toContainText(/16 Mar\w* 2027, 11:00 → 23 Mar\w* 2027, 11:00/);
  await apply(page);
  await openPlan(page, '/?view=day&date=2027-03-23');
  await expect(card(page, /Tobias: crane survey/)).toBeVisible();
});

test('an occurrence asks which are meant, and each series can be answered by itself', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openTidy(page, '?span=week&date=2027-03-09&as=occurrences');
  await find(page, 'rota call', /1 entry/);
  await press(rows(page).first().getByRole('checkbox'));
  await addStep(page, 'place', { Place: 'Boat shed' });
  await expect(preview(page)).toContainText('Lamp room → Boat shed');
  await press(preview(page).getByRole('radio', { name: 'Every one' }));
  await expect(preview(page).getByRole('radio', { name: 'Every one' })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  await apply(page);
  await page.goto('/tidy?span=month&date=2027-03-09&find=rota+call');
  await expect(rows(page).first()).toContainText('Boat shed');
});

test('rows are sorted, gathered and unfolded, and a selection lives on out of sight', async ({ page }) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openTidy(page, '?span=four&date=2027-03-09&sort=-length');
  await press(page.getByTestId('table-sheet'));
  const sheet = page.getByRole('dialog');
  await sheet.getByTestId('group-by').selectOption('calendar');
  await sheet.getByTestId('sort-by').selectOption('title');
  await press(sheet.getByRole('button', { name: 'Close' }).last());
  const groups = page.getByTestId('table-group');
  await expect(groups.first()).toContainText('Desk work');
  await press(groups.first());
  await expect(groups.nth(1)).toContainText('Meetings');
  await press(
    rows(page)
      .filter({ hasText: 'Keeper rota call' })
      .getByRole('button', { name: /Show the \d dates/ }),
  );
  await expect(rows(page).filter({ hasText: 'Keeper rota call' })).toHaveCount(3);
  await press(rows(page).filter({ hasText: 'Keeper rota call' }).nth(1).getByRole('checkbox'));
  await expect(bar(page)).toContainText('1 selected');
  await page.getByTestId('tidy-find').fill('invoices');
  await expect(bar(page)).toContainText('1 out of sight');
  await press(page.getByRole('link', { name: 'Plan' }));
  await press(page.getByRole('link', { name: 'Tidy' }));
  await expect(bar(page)).toContainText('1 selected');
});

test('what is in the bin is found, comes back, or is removed for good when that is said twice', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openPlan(page, '/?view=day&date=2027-03-09');
  for (const title of ['Q1 works report', 'Tobias: crane survey']) {
    await press(card(page, new RegExp(title)));
    await page.keyboard.press('Delete');
    await expect(card(page, new RegExp(title))).toHaveCount(0);
  }
  await page.goto('/tidy?part=bin');
  const bin = page.getByRole('main');
  const first = bin.getByRole('group').first();
  await expect(first).toHaveAccessibleName('Tobias: crane survey');
  await expect(first).toContainText(
    /Meetings · Tuesday,? 9 March 2027 · deleted Tuesday 9 March · 30 days left/,
  );
  await bin.getByTestId('bin-find').fill('works');
  await expect(bin.getByRole('group')).toHaveCount(1);
  await press(bin.getByRole('button', { name: 'Bring back Q1 works report' }));
  await bin.getByTestId('bin-find').fill('');
  await expect(bin.getByRole('group', { name: 'Q1 works report' })).toHaveCount(0);
  await press(bin.getByRole('button', { name: 'Empty the bin' }));
  const question = page.getByRole('dialog');
  await expect(question).toContainText('They are removed for good.');
  await press(question.getByRole('button', { name: 'Cancel', exact: true }).last());
  await expect(bin.getByRole('group', { name: 'Tobias: crane survey' })).toBeVisible();
  await press(bin.getByRole('button', { name: 'Delete Tobias: crane survey for good' }));
  await press(question.getByRole('button', { name: 'Delete', exact: true }));
  await expect(bin).toContainText('The bin is empty.');
  await openPlan(page, '/?view=day&date=2027-03-09');
  await expect(card(page, /Q1 works report/)).toBeVisible();
  await expect(card(page, /Tobias: crane survey/)).toHaveCount(0);
});

test('history says what changed, takes one older step back alone, and undoes up to any point', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openTidy(page, '?span=week&date=2027-03-09');
  const place = async (title: string, to: string) => {
    await page.getByTestId('tidy-find').fill(title);
    await expect(rows(page)).toHaveCount(1);
    await expect(rows(page)).toContainText(title);
    await press(rows(page).first().getByRole('checkbox'));
    await addStep(page, 'place', { Place: to });
    await expect(preview(page)).toContainText(`→ ${to}`);
    await apply(page);
    await press(bar(page).getByRole('button', { name: 'Clear the selection' }));
  };
  await place('invoices', 'Boat shed');
  await place('crane survey', 'Chart room');
  await place('crane survey', 'Lamp room');
  await press(page.getByRole('radio', { name: 'History' }));
  const deeds = page.getByTestId('deed');
  await expect(deeds).toHaveCount(3);
  // The second was touched again since; the first can be taken back alone.
  await expect(deeds.nth(1)).toContainText('Changed again since by');
  await expect(deeds.nth(1).getByRole('button', { name: /Take back alone/ })).toHaveCount(0);
  await press(deeds.nth(2).getByRole('button', { name: /What changed/ }));
  await expect(deeds.nth(2)).toContainText('nothing → Boat shed');
  await press(deeds.nth(2).getByRole('button', { name: /Take back alone/ }));
  await expect(deeds).toHaveCount(4);
  await expect(deeds.first()).toContainText('An earlier change was taken back');
  await press(deeds.nth(3).getByRole('button', { name: /Undo up to/ }));
  await expect(deeds).toHaveCount(0);
});

test('a feed that is all that is selected changes nothing, and an empty table offers a way out', async ({
  page,
}) => {
  test.skip(test.info().project.name !== 'wide', 'the same on the phone');
  await openTidy(page, '?span=month&date=2027-03-09');
  await find(page, '#KR', /entr/);
  await selectAll(page);
  await addStep(page, 'delete');
  await expect(preview(page).getByTestId('outcome-changed')).toContainText('0 change');
  await expect(page.getByTestId('do-batch')).toBeDisabled();
  await press(page.getByRole('button', { name: 'Leave', exact: true }));
  await page.getByTestId('tidy-find').fill('no such words anywhere');
  await expect(page.getByText('Nothing fits what is asked for.')).toBeVisible();
  await press(page.getByRole('button', { name: 'Show everything' }));
  await expect(rows(page).first()).toBeVisible();
});
