import { readFile } from 'node:fs/promises';
import {
  batchProblem,
  type BatchProblem,
  type BatchReport,
  previewBatch,
} from '@/core/change/batch/batchRun';
import { readRecipe, type RecipeProblem } from '@/core/change/batch/recipe';
import type { Refusal } from '@/core/change/shift';
import { CommandError, readParameters, whyUnreadable } from './commandError';
import { CONVERT_OPTIONS, convertFiles } from './convert';
import type { Terminal } from './terminal';

const recipeProblemText = (problem: RecipeProblem): string => {
  switch (problem.kind) {
    case 'no-recipe':
      return 'it is no recipe';
    case 'later-version':
      return `it is a recipe of a later version (${problem.version})`;
    case 'unknown-step':
      return `its step ${problem.step} is not known: ${problem.name}`;
    case 'wrong-step':
      return `its step ${problem.step} (${problem.name}) can't be read: ${problem.field}`;
    case 'no-steps':
      return 'it has no steps';
    case 'too-many-steps':
      return `it has more than ${problem.most} steps`;
  }
};

const batchProblemText = (problem: BatchProblem): string => {
  switch (problem.kind) {
    case 'no-targets':
      return 'there are no entries';
    case 'no-steps':
      return 'the recipe has no steps';
    case 'steps-after':
      return `nothing can be done after the step ${problem.step}`;
    case 'no-expression':
      return `the expression of step ${problem.step} can't be used: ${problem.reason}`;
  }
};

/** Why an entry can't be changed, in words. */
const WHY: Readonly<Record<Refusal, string>> = {
  'rule-fixes-days': 'the rule of the series names its days',
  'unreadable-rule': 'the rule of the series can’t be read',
  'rule-not-divisible': 'the rule of the series can’t be divided',
  'end-before-start': 'it would end before it starts',
  'calendar-missing': 'there is no such calendar',
  'entry-missing': 'it is not there any more',
  'beyond-calendar': 'dates reach to the year 9999',
  'title-too-long': 'its title would be too long',
  'calendar-closed': 'its calendar can’t be changed',
  'others-meeting': 'somebody else invites to it',
  'not-timed': 'it takes whole days',
  'no-such-zone': 'there is no such time zone',
  'no-series': 'it is no series',
  'series-without-end': 'the series has no end',
  'too-many-dates': 'the series makes too many dates',
  'fits-no-rule': 'no rule makes its day together with the others',
  'no-date': 'it has no date',
  'no-event': 'it is a to-do, not an event',
  'no-todo': 'it is an event, not a to-do',
  'done-by-date': 'each of its dates is done by itself',
};

/** Says what became of the entries: those that changed with the fields that did, and those that could not with why. */
function printReport({ rows, counts }: BatchReport, terminal: Terminal): void {
  for (const { title, outcome, reason, changes, deeds } of rows) {
    const name = title || 'without a title';
    if (outcome === 'changed')
      terminal.out(`${name}: ${[...changes.map(({ field }) => field), ...deeds].join(', ')}`);
    if (outcome === 'impossible' && reason) terminal.out(`${name}: not changed: ${WHY[reason]}`);
  }
  terminal.out(
    `${counts.changed} changed, ${counts.unchanged} as they were, ${counts.impossible} can't be changed`,
  );
}

/** Does the steps of a recipe to all entries of a file, and prints what became of them. */
export async function batch(args: readonly string[], terminal: Terminal): Promise<void> {
  const { given, options } = readParameters(args, { ...CONVERT_OPTIONS, json: { type: 'boolean' } }, [
    'the file to read',
    'the recipe',
    'the file to write',
  ]);
  const [from, recipePath, to] = given as [string, string, string];
  let text: string;
  try {
    text = await readFile(recipePath, 'utf8');
  } catch (error) {
    throw new CommandError(whyUnreadable(recipePath, error));
  }
  const read = readRecipe(text);
  if ('problem' in read) throw new CommandError(`${recipePath}: ${recipeProblemText(read.problem)}`);
  const { name, steps } = read.recipe;
  await convertFiles(from, to, options, terminal, (zone) => (state) => {
    const targets = [...state.entries.values()]
      .filter(({ seriesId }) => seriesId === undefined || !state.entries.has(seriesId))
      .map(({ id }) => ({ entryId: id }));
    const problem = batchProblem({ targets, steps });
    if (problem) throw new CommandError(`${from}: ${batchProblemText(problem)}`);
    const context = { now: Date.now(), newId: () => crypto.randomUUID(), zone };
    const { report, patch } = previewBatch(state, [{ targets, steps }], { scopeOf: () => 'every' }, context);
    // In the order of the file.
    const place = new Map(targets.map(({ entryId }, index) => [entryId, index]));
    const rows = [...report.rows].sort((a, b) => place.get(a.key)! - place.get(b.key)!);
    if (options.json) terminal.out(JSON.stringify({ name, ...report, rows }));
    else printReport({ ...report, rows }, terminal);
    return patch;
  });
}
