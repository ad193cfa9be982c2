import { useRouter } from 'expo-router';
import { eventAt, targetOfKey } from '@/core/change/target';
import type { Calendar } from '@/core/model/calendar';
import { DAY, dateString } from '@/core/time/civil';
import { type Commands, type PlanAddress, usePlanAddress } from '@/features/workspace';
import { useOpenStore, useWritableCalendars } from '@/store';
import { words } from '@/ui/words';
import type { usePlanActions } from '../usePlanActions';
import { entryMenu } from './entryMenu';
import type { Menu, PlanMenuItem } from './menuItem';
import type { MenuSubject } from './planMenu';
import { usePaste } from './usePaste';

type SlotSubject = Extract<MenuSubject, { kind: 'slot' }>;

/** Leads to print, with what is shown of a day or a week. */
function usePrint(): (view: 'day' | 'week', day: number) => void {
  const router = useRouter();
  return (view, day) => {
    // A period that is shown would be printed in place of the day.
    const { periods: _, ...shown } = Object.fromEntries(new URLSearchParams(window.location.search));
    router.push({ pathname: '/print', params: { ...shown, view, date: dateString(day) } });
  };
}

interface WeekActs {
  readonly to: ReturnType<typeof usePlanAddress>['to'];
  readonly print: ReturnType<typeof usePrint>;
  readonly goTo: (day: number) => void;
}

const weekMenu = (week: number, { to, print, goTo }: WeekActs): Menu => ({
  title: words.menus.week,
  items: [
    { label: words.menus.goToWeek, icon: 'arrow-right', act: () => goTo(week) },
    { label: words.menus.showWeek, icon: 'view-week-outline', act: () => to({ view: 'week', day: week }) },
    { label: words.menus.printWeek, icon: 'printer-outline', act: () => print('week', week) },
  ],
});

/** What can be done with what a menu is about: the same commands as elsewhere, one list for each kind of thing. */
export function useMenuItems(
  address: PlanAddress,
  commands: Commands,
  draftCalendar: Calendar | undefined,
  actions: ReturnType<typeof usePlanActions>,
  onAgain: (key: string) => void,
): (subject: MenuSubject) => Menu | undefined {
  const { store } = useOpenStore();
  const { to } = usePlanAddress();
  const print = usePrint();
  const writable = useWritableCalendars();
  const { pressEmpty } = actions.gridActions;

  const paste = usePaste(address.zone, commands, draftCalendar);
  const entry = (key: string): Menu | undefined => {
    const { state } = store.getSnapshot();
    const event = eventAt(state, targetOfKey(key), commands.context());
    const calendar = event && state.calendars.get(event.calendarId);
    return (
      event && entryMenu({ key, event, calendar }, { commands, open: actions.open, again: onAgain, writable })
    );
  };

  const dayItems = (day: number): PlanMenuItem[] => [
    { label: words.menus.goToDay, icon: 'arrow-right', act: () => actions.openDay(day) },
    { label: words.menus.printDay, icon: 'printer-outline', act: () => print('day', day) },
  ];

  const slotMenu = ({ startWall, calendarId }: SlotSubject): Menu => ({
    title: words.menus.slot,
    items: [
      { label: words.menus.draft, icon: 'plus', act: () => pressEmpty(startWall, false, calendarId) },
      ...paste({ wall: startWall }, calendarId),
      ...dayItems(Math.floor(startWall / DAY)),
    ],
  });
  const dayMenu = (day: number): Menu => ({
    title: words.menus.day,
    items: [
      { label: words.menus.draftDay, icon: 'plus', act: () => pressEmpty(day * DAY, true) },
      ...paste({ day }),
      ...dayItems(day),
    ],
  });

  return (subject) => {
    switch (subject.kind) {
      case 'entry':
        return entry(subject.key);
      case 'slot':
        return slotMenu(subject);
      case 'day':
        return dayMenu(subject.day);
      case 'week':
        return weekMenu(subject.week, { to, print, goTo: actions.toWeek });
    }
  };
}
