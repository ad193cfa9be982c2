import { type BatchStep } from '../model/batchStep';
import { Recipe } from '../model/recipe';
import type { State } from '../model/state';
import { inOrder, nextOrder } from './order';
import { type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** The recipes in the person's order. */
export const recipesInOrder = (state: State): Recipe[] => inOrder(state.recipes.values());

/** Keeps steps under a name: in place of the recipe of that name, or after all others. */
export function keepRecipe(
  state: State,
  name: string,
  steps: readonly BatchStep[],
  context: ChangeContext,
): Patch {
  const known = [...state.recipes.values()].find((recipe) => recipe.name === name.trim());
  const order = known?.order ?? nextOrder(state.recipes.values());
  const recipe = Recipe.parse({ ...known, id: known?.id ?? context.newId(), name, steps, order });
  return makePatch(context, { what: 'recipe-kept', count: 1, name: recipe.name }, [
    put(state, 'recipes', recipe),
  ]);
}

/** Removes a recipe; undefined if it is not there. */
export function removeRecipe(state: State, id: string, context: ChangeContext): Patch | undefined {
  const recipe = state.recipes.get(id);
  if (!recipe) return undefined;
  return makePatch(context, { what: 'recipe-removed', count: 1, name: recipe.name }, [
    remove('recipes', recipe),
  ]);
}
