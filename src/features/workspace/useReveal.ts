import { usePathname, useRouter } from 'expo-router';
import { useCallback } from 'react';
import { NO_FILTER } from '@/core/model/look';
import { saveCalendar } from '@/core/change/calendarChanges';
import { eventAt, targetOfKey } from '@/core/change/target';
import { filterTest } from '@/core/schedule/entryFilter';
import { dateString, DAY } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { useOpenStore } from '@/store';
import { words } from '@/ui/words';
import { useCommands } from './useCommands';
import { usePlanAddress } from './usePlanAddress';
import { workspace } from './workspace';

/**
 * Brings an entry into sight wherever the person is: goes to Plan and its day, shows its calendar, lets go of a filter that
 * leaves it out, opens the hours that hide it, and selects it. Of a calendar that is put away it is offered to list it.
 */
export function useReveal(): (key: string, options?: { quietly?: boolean }) => void {
  const { store } = useOpenStore();
  const { address, to } = usePlanAddress();
  const { context, commit } = useCommands();
  const router = useRouter();
  const pathname = usePathname();
  return useCallback(
    (key, { quietly = false } = {}) => {
      const { state } = store.getSnapshot();
      const { zone, hidden, filter, view } = address;
      const target = targetOfKey(key);
      // A to-do has no place among the hours: it opens where one is.
      if (state.entries.get(target.entryId)?.kind === 'todo') return workspace.openTodo(key);
      const event = eventAt(state, target, { ...context(), zone });
      if (!event) return;
      const day = Math.floor(instantToWall(zone, instantOf(event.start, zone)) / DAY);
      const changes = {
        day,
        ...(hidden.includes(event.calendarId)
          ? { hidden: hidden.filter((id) => id !== event.calendarId) }
          : {}),
        ...(filterTest(filter)(event) ? {} : { filter: NO_FILTER }),
        ...(view === 'year' ? { view: 'day' as const } : {}),
      };
      if (pathname === '/') to(changes, { quietly });
      else {
        router.navigate({ pathname: '/', params: { date: dateString(day) } });
        to(changes, { quietly: true });
      }
      workspace.reveal(key);
      const calendar = state.calendars.get(event.calendarId);
      if (!calendar?.unlisted) return;
      workspace.say({
        text: words.calendars.putAway(calendar.name),
        tone: 'done',
        undo: false,
        act: {
          label: words.calendars.listAgain,
          do: () => {
            const now = store.getSnapshot().state;
            const { id, order: _, created: __, modified: ___, ...fields } = calendar;
            if (commit(saveCalendar(now, id, { ...fields, unlisted: undefined }, context())))
              workspace.reveal(key);
          },
        },
      });
    },
    [store, address, to, context, commit, router, pathname],
  );
}
