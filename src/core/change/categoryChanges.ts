import { Category } from '../model/category';
import type { Colour } from '../model/colour';
import type { State } from '../model/state';
import { parseKept } from '../model/unknownFields';
import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** A category that entries bear or that has a colour. */
export interface CategoryUse {
  readonly name: string;
  readonly colour: Colour | undefined;
  /** How many entries bear it. */
  readonly count: number;
}

/** All categories by name: those that entries bear, and those that were given a colour. */
export function categoriesInUse(state: State): CategoryUse[] {
  const counts = new Map<string, number>();
  for (const { name } of state.categories.values()) counts.set(name, 0);
  for (const entry of state.entries.values())
    for (const name of new Set(entry.categories)) counts.set(name, (counts.get(name) ?? 0) + 1);
  const colours = categoryColours(state);
  return [...counts]
    .map(([name, count]) => ({ name, count, colour: colours.get(name) }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** The colours of categories, by name. */
export const categoryColours = (state: State): ReadonlyMap<string, Colour> =>
  new Map([...state.categories.values()].map(({ name, colour }) => [name, colour]));

const recordOf = (state: State, name: string): Category | undefined =>
  [...state.categories.values()].find((category) => category.name === name);

/** Gives a category a colour, or takes it (undefined). */
export function colourCategory(
  state: State,
  name: string,
  colour: Colour | undefined,
  context: ChangeContext,
): Patch {
  const before = recordOf(state, name);
  const changes: Change[] = colour
    ? [
        put(
          state,
          'categories',
          parseKept(Category, { ...before, id: before?.id ?? context.newId(), name, colour }),
        ),
      ]
    : before
      ? [remove('categories', before)]
      : [];
  return makePatch(context, { what: 'category-changed', count: 1, name }, changes);
}

/**
 * Renames a category over all entries. Where the new name is one already, the two become one; its colour stays. With no
 * new name, entries lose the category.
 */
export function renameCategory(
  state: State,
  name: string,
  to: string | undefined,
  context: ChangeContext,
): Patch {
  const newName = to?.trim() || undefined;
  const changes: Change[] = [];
  let merges = newName !== undefined && recordOf(state, newName) !== undefined;
  for (const entry of state.entries.values()) {
    if (newName !== undefined && entry.categories.includes(newName)) merges = true;
    if (!entry.categories.includes(name)) continue;
    const renamed = entry.categories.flatMap((each) => (each !== name ? [each] : (newName ?? [])));
    const categories = [...new Set(renamed)];
    changes.push(put(state, 'entries', { ...entry, categories, modified: context.now }));
  }
  const count = changes.length;
  const before = recordOf(state, name);
  if (before && (newName === undefined || recordOf(state, newName)))
    changes.push(remove('categories', before));
  else if (before && newName !== undefined)
    changes.push(put(state, 'categories', parseKept(Category, { ...before, name: newName })));
  const what = newName === undefined ? 'category-removed' : merges ? 'categories-merged' : 'category-changed';
  return makePatch(context, { what, count, name: newName ?? name }, changes);
}
