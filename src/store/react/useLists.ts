import { categoryColours } from '@/core/change/categoryChanges';
import { peopleByName } from '@/core/people/peopleInOrder';
import { presetsInOrder, periodSetsInOrder } from '@/core/change/presetChanges';
import type { Colour } from '@/core/model/colour';
import type { Person } from '@/core/model/person';
import type { PeriodSet } from '@/core/model/periodSet';
import type { Foldable, State } from '@/core/model/state';
import type { ViewPreset } from '@/core/model/viewPreset';
import { useSnapshot } from './StoreContext';

/** A list made of one collection, kept until that collection changes. */
function kept<Name extends 'presets' | 'periodSets' | 'people', Item>(
  name: Name,
  make: (state: State) => Item[],
) {
  let made: { from: State[Name]; list: Item[] } | undefined;
  return (state: State): Item[] => {
    if (made?.from !== state[name]) made = { from: state[name], list: make(state) };
    return made.list;
  };
}
let colours: { from: State['categories']; map: ReadonlyMap<string, Colour> } | undefined;

/** The colours that categories were given, by their names. */
export const useCategoryColours = (): ReadonlyMap<string, Colour> =>
  useSnapshot(({ state }) => {
    if (colours?.from !== state.categories) colours = { from: state.categories, map: categoryColours(state) };
    return colours.map;
  });

const presets = kept('presets', presetsInOrder);
const periodSets = kept('periodSets', periodSetsInOrder);

/** All presets in the person's order. */
export const usePresets = (): ViewPreset[] => useSnapshot(({ state }) => presets(state));

/** All period sets. */
export const usePeriodSets = (): PeriodSet[] => useSnapshot(({ state }) => periodSets(state));

const people = kept('people', peopleByName);

/** All people and rooms by name. */
export const usePeople = (): Person[] => useSnapshot(({ state }) => people(state));

const NONE: readonly Foldable[] = [];

/** The parts of Plan that are folded away. */
export const useFolded = (): readonly Foldable[] =>
  useSnapshot(({ state }) => state.sessions.get('session')?.folded ?? NONE);
