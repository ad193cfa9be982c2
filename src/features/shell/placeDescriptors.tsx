import { type ComponentType, Suspense } from 'react';
import { PlanScreen, PlanSheets, PlanSide, PresetsButton } from '@/features/plan';
import { PLACE_PATHS, type PlaceName, useWorkspace } from '@/features/workspace';
import { useSnapshot } from '@/store';
import type { IconName } from '@/ui/icons/paths';
import { later } from '@/ui/later';
import { words } from '@/ui/words';

/** Everything the application knows about a place: the navigation, the preload and the routes go by it. */
export interface Place {
  readonly path: string;
  readonly label: string;
  readonly icon: IconName;
  /** How much needs attention there: the number beside its name. */
  readonly useCount: () => number;
  readonly Screen: ComponentType;
  /** Loads the script of its screen, where that comes later. */
  readonly fetchAhead?: () => Promise<void>;
  /** Parameters of the address that mean something there alone: they stay behind when a person leaves. */
  readonly ownParameters: readonly string[];
  /** Whether it uses all of the height in the lowest windows, where the navigation comes with its other rows. */
  readonly takesAllHeight?: true;
}

const tidy = later(() => import('@/features/later').then((module) => module.TidyScreen));
const people = later(() => import('@/features/later').then((module) => module.PeopleScreen));
const todos = later(() => import('@/features/later').then((module) => module.TodosScreen));
const setup = later(() => import('@/features/later').then((module) => module.SetupScreen));

/** A screen whose script comes later; nothing stands there until it is loaded. */
const waitedFor = (Screen: ComponentType): ComponentType =>
  function WaitedFor() {
    return (
      <Suspense fallback={null}>
        <Screen />
      </Suspense>
    );
  };

const nothing = (): number => 0;

export const PLACES: Readonly<Record<PlaceName, Place>> = {
  plan: {
    path: PLACE_PATHS.plan,
    label: words.places.plan,
    icon: 'view-week-outline',
    useCount: nothing,
    Screen: PlanScreen,
    ownParameters: [],
    takesAllHeight: true,
  },
  tidy: {
    path: PLACE_PATHS.tidy,
    label: words.places.tidy,
    icon: 'broom',
    useCount: () => useSnapshot(({ state }) => state.sessions.get('session')?.findings?.count ?? 0),
    Screen: waitedFor(() => <tidy.Later SidePanel={PlanSide} Sheets={PlanSheets} Presets={PresetsButton} />),
    fetchAhead: tidy.fetchAhead,
    ownParameters: [],
  },
  people: {
    path: PLACE_PATHS.people,
    label: words.places.people,
    icon: 'account-group-outline',
    useCount: () => useWorkspace(({ waiting }) => waiting),
    Screen: waitedFor(people.Later),
    fetchAhead: people.fetchAhead,
    ownParameters: ['who', 'chosen', 'finding', 'waits', 'about', 'free', 'sees'],
  },
  todos: {
    path: PLACE_PATHS.todos,
    label: words.places.todos,
    icon: 'checkbox-marked-outline',
    useCount: nothing,
    Screen: waitedFor(todos.Later),
    fetchAhead: todos.fetchAhead,
    ownParameters: [],
  },
  setup: {
    path: PLACE_PATHS.setup,
    label: words.places.setup,
    icon: 'tune-variant',
    useCount: nothing,
    Screen: waitedFor(setup.Later),
    fetchAhead: setup.fetchAhead,
    ownParameters: ['calendar', 'section'],
  },
};
export const ALL_PLACES: readonly Place[] = Object.values(PLACES);

/** The place at an address; undefined for screens that are no place. */
export const placeAt = (pathname: string): Place | undefined =>
  ALL_PLACES.find(({ path }) => path === pathname);

/** Screens that have an address and are no place. */
export const smallScreen = later(() => import('@/features/later').then((module) => module.SmallScreen));
export const printScreen = later(() => import('@/features/print').then((module) => module.PrintScreen));
