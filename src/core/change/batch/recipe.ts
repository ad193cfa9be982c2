import { z } from 'zod';
import { BatchStep, STEP_KINDS } from '../../model/batchStep';
import { MOST_STEPS } from '../../model/recipe';
import type { State } from '../../model/state';

/** The version of recipes as they are written now. */
const RECIPE_VERSION = 1;

/** Why a recipe can't be read: by which step, counted from 1, where it is one of them. */
export type RecipeProblem =
  | { readonly kind: 'no-recipe' }
  | { readonly kind: 'later-version'; readonly version: number }
  | { readonly kind: 'unknown-step'; readonly step: number; readonly name: string }
  | { readonly kind: 'wrong-step'; readonly step: number; readonly name: string; readonly field: string }
  | { readonly kind: 'no-steps' }
  | { readonly kind: 'too-many-steps'; readonly most: number };

/** Steps under a name. */
interface NamedSteps {
  readonly name: string;
  readonly steps: readonly BatchStep[];
}

/** A recipe that was read, or why it can't be. */
export type ReadRecipe = { readonly recipe: NamedSteps } | { readonly problem: RecipeProblem };

const Written = z.object({
  'orderly-week-recipe': z.number(),
  name: z.string().trim().min(1).max(80).catch('Recipe'),
  steps: z.array(z.unknown()),
});

/** A step whose calendar is named by its name, which others have too, and not by the id that it has here alone. */
const withCalendarName = (step: object, { calendars }: Pick<State, 'calendars'>): object =>
  'calendar' in step && typeof step.calendar === 'string'
    ? { ...step, calendar: calendars.get(step.calendar)?.name ?? step.calendar }
    : step;

/** A recipe as a file holds it, its steps as they are kept. */
export function writeRecipe(
  { name, steps }: { readonly name: string; readonly steps: readonly object[] },
  state: Pick<State, 'calendars'>,
): string {
  const named = steps.map((step) => withCalendarName(step, state));
  return `${JSON.stringify({ 'orderly-week-recipe': RECIPE_VERSION, name, steps: named }, null, 2)}\n`;
}

/** Reads a recipe from a file. One of a later version, or with a step that is not known here, is refused as a whole. */
export function readRecipe(text: string): ReadRecipe {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { problem: { kind: 'no-recipe' } };
  }
  const written = Written.safeParse(json);
  if (!written.success) return { problem: { kind: 'no-recipe' } };
  const { 'orderly-week-recipe': version, name, steps } = written.data;
  if (version > RECIPE_VERSION) return { problem: { kind: 'later-version', version } };
  if (steps.length === 0) return { problem: { kind: 'no-steps' } };
  if (steps.length > MOST_STEPS) return { problem: { kind: 'too-many-steps', most: MOST_STEPS } };
  const read = readSteps(steps);
  return 'problem' in read ? read : { recipe: { name, steps: read.steps } };
}

/** Reads steps as they were kept or written: all of them, or why one can't be. */
export function readSteps(
  steps: readonly unknown[],
): { readonly steps: readonly BatchStep[] } | { readonly problem: RecipeProblem } {
  const read: BatchStep[] = [];
  for (const [index, step] of steps.entries()) {
    const kind = String((step as { kind?: unknown } | null)?.kind ?? '');
    if (!STEP_KINDS.some((known) => known === kind))
      return { problem: { kind: 'unknown-step', step: index + 1, name: kind } };
    const parsed = BatchStep.safeParse(step);
    if (!parsed.success) {
      const field = parsed.error.issues[0]?.path.join('.') ?? '';
      return { problem: { kind: 'wrong-step', step: index + 1, name: kind, field } };
    }
    read.push(parsed.data);
  }
  return { steps: read };
}
