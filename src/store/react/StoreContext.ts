import { createContext, useContext, useSyncExternalStore } from 'react';
import type { Calendar } from '@/core/model/calendar';
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

let ordered: { from: ReadonlyMap<string, Calendar>; list: Calendar[] } | undefined;

/** All calendars in the person's order. */
export function useCalendars(): Calendar[] {
  return useSnapshot(({ state }) => {
    if (ordered?.from !== state.calendars) ordered = { from: state.calendars, list: calendarsInOrder(state) };
    return ordered.list;
  });
}
