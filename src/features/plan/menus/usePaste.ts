import { daysBy, type Move } from '@/core/change/moveEntry';
import { eventAt, targetOfKey } from '@/core/change/target';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import type { Commands } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { words } from '@/ui/words';
import type { PlanMenuItem } from './menuItem';
import { usePlanMenu } from './planMenu';

/** Where something is put: at a time, or on a day at its own time. */
type PasteAt = { readonly wall: number } | { readonly day: number };

/** What puts the copied entry somewhere, as an item of a menu; none where nothing is copied. */
export function usePaste(
  zone: string,
  commands: Commands,
  draftCalendar: Calendar | undefined,
): (at: PasteAt, calendarId?: string) => PlanMenuItem[] {
  const { store } = useOpenStore();
  const { defaultLengthMinutes } = useSettings();
  const copied = usePlanMenu((state) => state.copied);
  return (at, calendarId) => {
    const target = copied === null ? undefined : targetOfKey(copied);
    const event = target && eventAt(store.getSnapshot().state, target, commands.context());
    if (!target || !event) return [];
    const start = instantToWall(zone, instantOf(event.start, zone));
    const { calendars } = store.getSnapshot().state;
    // What comes from a calendar that can't be changed, or lands in one, goes where new entries go.
    const wanted = calendarId ?? event.calendarId;
    const goesTo = isReadOnly(calendars.get(wanted)) ? draftCalendar?.id : wanted;
    if (goesTo === undefined) return [];
    const own = { calendarId: goesTo };
    const move: Move =
      'day' in at
        ? { ...daysBy(at.day - Math.floor(start / DAY)), ...own }
        : event.start.kind === 'date'
          ? { kind: 'to-hours', wall: at.wall, length: defaultLengthMinutes * MINUTE, ...own }
          : { kind: 'shift', by: at.wall - start, ...own };
    return [
      {
        label: words.menus.paste(event.title || words.entry.noTitle),
        icon: 'content-copy',
        act: () => commands.paste(target, move),
      },
    ];
  };
}
