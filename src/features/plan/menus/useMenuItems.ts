import { useRouter } from 'expo-router';
import { eventAt, targetOfKey } from '@/core/change/target';
import { daysBy, type Move } from '@/core/change/moveEntry';
import { HUES } from '@/core/model/colour';
import { AVAILABILITIES } from '@/core/model/entry';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import { DAY, dateString, MINUTE } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { type Commands, type PlanAddress, usePlanAddress, workspace } from '@/features/workspace';
import { useOpenStore, useSettings, useWritableCalendars } from '@/store';
import { choiceWord } from '@/ui/choiceWords';
import type { IconName } from '@/ui/icons/paths';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import type { usePlanActions } from '../usePlanActions';
import { keepCopied, type MenuSubject, usePlanMenu } from './planMenu';

/** One thing that can be done, or a further list of them. */
export interface PlanMenuItem {
  readonly label: string;
  readonly icon?: IconName;
  readonly kind?: 'plain' | 'danger';
  readonly act?: () => void;
  readonly items?: readonly PlanMenuItem[];
}

interface Menu {
  readonly title: string;
  readonly items: readonly PlanMenuItem[];
}

/** What can be done with what a menu is about: the same commands as elsewhere, one list for each kind of thing. */
export function useMenuItems(
  address: PlanAddress,
  commands: Commands,
  draftCalendar: Calendar | undefined,
  actions: ReturnType<typeof usePlanActions>,
  onAgain: (key: string) => void,
): (subject: MenuSubject) => Menu | undefined {
  const { store } = useOpenStore();
  const { defaultLengthMinutes } = useSettings();
  const { to } = usePlanAddress();
  const router = useRouter();
  const writable = useWritableCalendars();
  const copied = usePlanMenu((state) => state.copied);
  const { zone } = address;

  const print = (view: 'day' | 'week', day: number) => {
    // A period that is shown would be printed in place of the day.
    const { periods: _, ...shown } = Object.fromEntries(new URLSearchParams(window.location.search));
    router.push({ pathname: '/print', params: { ...shown, view, date: dateString(day) } });
  };

  /** The copied entry put at a time, or on a day at its own time. */
  const paste = (at: { wall: number } | { day: number }, calendarId?: string): PlanMenuItem[] => {
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

  const entry = (key: string): Menu | undefined => {
    const { state } = store.getSnapshot();
    const event = eventAt(state, targetOfKey(key), commands.context());
    if (!event) return undefined;
    const calendar = state.calendars.get(event.calendarId);
    const isClosed = isReadOnly(calendar);
    const title = event.title || words.entry.noTitle;
    const copy: PlanMenuItem = {
      label: words.actions.copy,
      icon: 'content-copy',
      act: () => {
        keepCopied(key);
        workspace.say({ text: words.menus.copied(title), tone: 'done', undo: false });
      },
    };
    const chosen = (isOn: boolean) => (isOn ? ({ icon: 'check' } as const) : {});
    if (isClosed)
      return { title, items: [{ label: words.desk.open, act: () => workspace.select(key) }, copy] };
    return {
      title,
      items: [
        { label: words.actions.edit, icon: 'pencil-outline', act: () => actions.open(key) },
        copy,
        { label: exchangeWords.duplicate, icon: 'plus', act: () => commands.duplicate(key) },
        { label: exchangeWords.again.action, icon: 'calendar-blank-outline', act: () => onAgain(key) },
        {
          label: words.menus.colour,
          icon: 'palette-outline',
          items: [
            {
              label: words.menus.asCalendar,
              ...chosen(event.colour === undefined),
              act: () => void commands.setFields(key, { colour: undefined }),
            },
            ...HUES.map((hue) => ({
              label: words.hues[hue],
              ...chosen(event.colour === hue),
              act: () => void commands.setFields(key, { colour: hue }),
            })),
          ],
        },
        {
          label: words.fields.availability,
          icon: 'clock-outline',
          items: AVAILABILITIES.map((availability) => ({
            label: choiceWord('availability', availability),
            ...chosen(event.availability === availability),
            act: () => void commands.setFields(key, { availability }),
          })),
        },
        {
          label: words.menus.moveTo,
          icon: 'arrow-right',
          items: writable.map(({ id, name }) => ({
            label: name,
            ...chosen(id === event.calendarId),
            act: () => void commands.toCalendar([key], id),
          })),
        },
        {
          label: words.menus.bin,
          icon: 'delete-outline',
          kind: 'danger',
          act: () => void commands.bin([key]),
        },
      ],
    };
  };

  const dayItems = (day: number): PlanMenuItem[] => [
    { label: words.menus.goToDay, icon: 'arrow-right', act: () => actions.openDay(day) },
    { label: words.menus.printDay, icon: 'printer-outline', act: () => print('day', day) },
  ];

  return (subject) => {
    switch (subject.kind) {
      case 'entry':
        return entry(subject.key);
      case 'slot': {
        const { startWall, calendarId } = subject;
        return {
          title: words.menus.slot,
          items: [
            {
              label: words.menus.draft,
              icon: 'plus',
              act: () => actions.gridActions.pressEmpty(startWall, false, calendarId),
            },
            ...paste({ wall: startWall }, calendarId),
            ...dayItems(Math.floor(startWall / DAY)),
          ],
        };
      }
      case 'day':
        return {
          title: words.menus.day,
          items: [
            {
              label: words.menus.draftDay,
              icon: 'plus',
              act: () => actions.gridActions.pressEmpty(subject.day * DAY, true),
            },
            ...paste({ day: subject.day }),
            ...dayItems(subject.day),
          ],
        };
      case 'week':
        return {
          title: words.menus.week,
          items: [
            { label: words.menus.goToWeek, icon: 'arrow-right', act: () => actions.toWeek(subject.week) },
            {
              label: words.menus.showWeek,
              icon: 'view-week-outline',
              act: () => to({ view: 'week', day: subject.week }),
            },
            {
              label: words.menus.printWeek,
              icon: 'printer-outline',
              act: () => print('week', subject.week),
            },
          ],
        };
    }
  };
}
