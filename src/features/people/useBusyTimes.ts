import { useQuery } from '@tanstack/react-query';
import { keepBusyTimes } from '@/core/change/peopleChanges';
import type { BusyTimes } from '@/core/model/busyTimes';
import type { Person } from '@/core/model/person';
import { DAY, MINUTE, startOfWeek } from '@/core/time/civil';
import { startOfDay } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { useNowWall, useOpenStore, useSettings, useSnapshot } from '@/store';
import { readBusyTimes } from './readDirectory';

/** Busy times are read for so many weeks from this one on, and are asked for again after so long, in milliseconds. */
const WEEKS = 11;
const FRESH = 5 * MINUTE;

export interface KnownTimes {
  readonly times: ReadonlyMap<string, BusyTimes>;
  /** Whether they could not be read just now: what was read before is there. */
  readonly isAway: boolean;
  readonly isReading: boolean;
}

/** The busy times of some people: those that are kept at once, and read again where the directory can be reached. */
export function useBusyTimes(people: readonly Person[]): KnownTimes {
  const { store, clock } = useOpenStore();
  const { context } = useCommands();
  const { homeZone, weekStart } = useSettings();
  const times = useSnapshot(({ state }) => state.busyTimes);
  const first = startOfWeek(Math.floor(useNowWall(homeZone) / DAY), weekStart);
  const asked = people.map(({ id, busyAddress }) => ({ id, ...(busyAddress ? { busyAddress } : {}) }));
  const { isError, isFetching } = useQuery({
    queryKey: ['busy-times', asked, first, homeZone],
    enabled: asked.length > 0,
    staleTime: FRESH,
    retry: 1,
    queryFn: async () => {
      const range = { start: startOfDay(homeZone, first), end: startOfDay(homeZone, first + 7 * WEEKS) };
      const read = await Promise.all(asked.map((person) => readBusyTimes(person, range, clock())));
      const known = read.filter((each) => each !== undefined);
      const { state } = store.getSnapshot();
      if (known.length > 0) await store.commit(keepBusyTimes(state, known, context()), 'quiet');
      return known.length;
    },
  });
  return { times, isAway: isError, isReading: isFetching };
}
