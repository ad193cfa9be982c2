import { stateWith } from '../../../../testing/samples';
import { Recipe } from '../../model/recipe';
import { readRecipe, readSteps, writeRecipe } from './recipe';

const steps = [
  { kind: 'shift', days: 7, minutes: 0 },
  { kind: 'categories', how: 'add', names: ['boat'] },
] as const;

test('a recipe is read as it was written, its calendars by their names', () => {
  const state = stateWith();
  const recipe = { name: 'A week on', steps: steps.map((step) => ({ ...step })) };
  expect(readRecipe(writeRecipe(recipe, state))).toEqual({ recipe });
  const moves = { name: 'To the desk', steps: [{ kind: 'calendar', calendar: 'desk' } as const] };
  expect(readRecipe(writeRecipe(moves, state))).toEqual({
    recipe: { name: 'To the desk', steps: [{ kind: 'calendar', calendar: 'Desk work' }] },
  });
});

test('steps of a later version are kept in the data, and told when they are taken', () => {
  const kept = { id: 'r', name: 'Later', order: 1, steps: [steps[0], { kind: 'paint', hue: 'pine' }] };
  expect(Recipe.parse(kept)).toEqual(kept);
  expect(readSteps(kept.steps)).toEqual({ problem: { kind: 'unknown-step', step: 2, name: 'paint' } });
  expect(readSteps([steps[0]])).toEqual({ steps: [steps[0]] });
});

test('what is no recipe, of a later version, or has steps that are not known is refused with its reason', () => {
  const written = (more: object) =>
    readRecipe(JSON.stringify({ 'orderly-week-recipe': 1, name: 'A week on', steps, ...more }));
  expect(readRecipe('BEGIN:VCALENDAR')).toEqual({ problem: { kind: 'no-recipe' } });
  expect(readRecipe('[]')).toEqual({ problem: { kind: 'no-recipe' } });
  expect(written({ 'orderly-week-recipe': 2 })).toEqual({ problem: { kind: 'later-version', version: 2 } });
  expect(written({ steps: [] })).toEqual({ problem: { kind: 'no-steps' } });
  expect(written({ steps: [...steps, { kind: 'paint' }] })).toEqual({
    problem: { kind: 'unknown-step', step: 3, name: 'paint' },
  });
  expect(written({ steps: [{ kind: 'shift', days: 'many', minutes: 0 }] })).toEqual({
    problem: { kind: 'wrong-step', step: 1, name: 'shift', field: 'days' },
  });
  expect(written({ steps: Array.from({ length: 31 }, () => ({ kind: 'whole-days' })) })).toEqual({
    problem: { kind: 'too-many-steps', most: 30 },
  });
});
