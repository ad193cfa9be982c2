import { context, stateWith } from '../../../testing/samples';
import type { BatchStep } from '../model/batchStep';
import { applyPatch } from './patch';
import { keepRecipe, recipesInOrder, removeRecipe } from './recipeChanges';

const own = context();
const shift: BatchStep = { kind: 'shift', days: 7, minutes: 0 };
const trim: BatchStep = { kind: 'trim', minutes: 5 };

test('recipes are kept in order, in place of one of the same name, and removed', () => {
  let state = stateWith();
  for (const [name, step] of [
    ['A week on', shift],
    ['With a break', trim],
    ['A week on ', trim],
  ] as const)
    state = applyPatch(state, keepRecipe(state, name, [step], own));
  expect(recipesInOrder(state).map(({ name, steps }) => [name, steps])).toEqual([
    ['A week on', [trim]],
    ['With a break', [trim]],
  ]);
  const [first] = recipesInOrder(state);
  state = applyPatch(state, removeRecipe(state, first!.id, own)!);
  expect(recipesInOrder(state).map(({ name }) => name)).toEqual(['With a break']);
  expect(removeRecipe(state, 'gone', own)).toBeUndefined();
});
