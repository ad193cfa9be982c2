import { createContext, useContext, useSyncExternalStore } from 'react';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import type { Settings } from '@/core/model/settings';
import { initialSettings } from '@/core/model/initialSettings';
import { calendarsInOrder } from '@/core/change/calendarChanges';
import type { Clock } from '@/core/time/clock';
import type { Snapshot, Store } from '../store';

/** The open store and the clock that the application goes by. */
export interface OpenStore {
  readonly store: Store;
  readonly clock: Clock;
}

export const StoreContext = createContext<OpenStore | null>(null);

export function useOpenStore(): OpenStore {
  const open = useContext(StoreContext);
  if (!open) throw new Error('no store is open here');
  return open;
}

/** What of the data a component needs; it renders again only when that changes. Select, do not build. */
export function useSnapshot<Selected>(select: (snapshot: Snapshot) => Selected): Selected {
  const { store } = useOpenStore();
  return useSyncExternalStore(store.subscribe, () => select(store.getSnapshot()));
}

const fallbackSettings = initialSettings('UTC');

export const useSettings = (): Settings =>
  useSnapshot(({ state }) => state.settings.get('settings') ?? fallbackSettings);

/** What follows from the calendars, made once for each state of them. */
interface CalendarLists {
  readonly from: ReadonlyMap<string, Calendar>;
  readonly all: readonly Calendar[];
  readonly listed: readonly Calendar[];
  readonly writable: readonly Calendar[];
  readonly kinds: { readonly unlisted: readonly string[]; readonly free: readonly string[] };
}

let made: CalendarLists | undefined;
const idsOf = (calendars: readonly Calendar[]): string[] => calendars.map(({ id }) => id);
/** The same lists of ids stay the same, so that a question about days is not asked anew for a calendar's name. */
function kindsOf(all: readonly Calendar[]): CalendarLists['kinds'] {
  const kinds = {
    unlisted: idsOf(all.filter(({ unlisted }) => unlisted)),
    free: idsOf(all.filter(({ countsAsFree }) => countsAsFree)),
  };
  return made && JSON.stringify(made.kinds) === JSON.stringify(kinds) ? made.kinds : kinds;
}

function listsOf(state: Snapshot['state']): CalendarLists {
  if (made?.from === state.calendars) return made;
  const all = calendarsInOrder(state);
  return (made = {
    from: state.calendars,
    all,
    listed: all.filter(({ unlisted }) => !unlisted),
    writable: all.filter((calendar) => !isReadOnly(calendar)),
    kinds: kindsOf(all),
  });
}

/** All calendars in the person's order. */
export const useCalendars = (): readonly Calendar[] => useSnapshot(({ state }) => listsOf(state).all);

/** Those that stand on the chips: all but what is put away. */
export const useListedCalendars = (): readonly Calendar[] =>
  useSnapshot(({ state }) => listsOf(state).listed);

/** Those that entries can be put in. */
export const useWritableCalendars = (): readonly Calendar[] =>
  useSnapshot(({ state }) => listsOf(state).writable);

/** The ids of calendars that are put away, and of those that take no time. */
export const useCalendarKinds = (): CalendarLists['kinds'] =>
  useSnapshot(({ state }) => listsOf(state).kinds);
