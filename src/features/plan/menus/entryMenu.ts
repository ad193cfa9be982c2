import { HUES } from '@/core/model/colour';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import { AVAILABILITIES, type CalendarEvent } from '@/core/model/entry';
import { type Commands, workspace } from '@/features/workspace';
import { choiceWord } from '@/ui/choiceWords';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import type { Menu, PlanMenuItem } from './menuItem';
import { keepCopied } from './planMenu';

/** An entry as a menu is about it. */
export interface MenuEntry {
  readonly key: string;
  readonly event: CalendarEvent;
  readonly calendar: Calendar | undefined;
}

/** What is done with an entry from its menu. */
export interface EntryActs {
  readonly commands: Commands;
  readonly open: (key: string) => void;
  readonly again: (key: string) => void;
  /** The calendars that it may go to. */
  readonly writable: readonly Calendar[];
}

const chosen = (isOn: boolean) => (isOn ? ({ icon: 'check' } as const) : {});

const copyItem = (key: string, title: string): PlanMenuItem => ({
  label: words.actions.copy,
  icon: 'content-copy',
  act: () => {
    keepCopied(key);
    workspace.say({ text: words.menus.copied(title), tone: 'done', undo: false });
  },
});

const colourItem = (key: string, { colour }: CalendarEvent, { setFields }: Commands): PlanMenuItem => ({
  label: words.menus.colour,
  icon: 'palette-outline',
  items: [
    {
      label: words.menus.asCalendar,
      ...chosen(colour === undefined),
      act: () => void setFields(key, { colour: undefined }),
    },
    ...HUES.map((hue) => ({
      label: words.hues[hue],
      ...chosen(colour === hue),
      act: () => void setFields(key, { colour: hue }),
    })),
  ],
});

const availabilityItem = (key: string, event: CalendarEvent, { setFields }: Commands): PlanMenuItem => ({
  label: words.fields.availability,
  icon: 'clock-outline',
  items: AVAILABILITIES.map((availability) => ({
    label: choiceWord('availability', availability),
    ...chosen(event.availability === availability),
    act: () => void setFields(key, { availability }),
  })),
});

/** What can be done with an entry; of a calendar that can't be changed it can be seen and copied. */
export function entryMenu({ key, event, calendar }: MenuEntry, acts: EntryActs): Menu {
  const { commands, open, again, writable } = acts;
  const title = event.title || words.entry.noTitle;
  const copy = copyItem(key, title);
  if (isReadOnly(calendar))
    return { title, items: [{ label: words.desk.open, act: () => workspace.select(key) }, copy] };
  return {
    title,
    items: [
      { label: words.actions.edit, icon: 'pencil-outline', act: () => open(key) },
      copy,
      { label: exchangeWords.duplicate, icon: 'plus', act: () => commands.duplicate(key) },
      { label: exchangeWords.again.action, icon: 'calendar-blank-outline', act: () => again(key) },
      colourItem(key, event, commands),
      availabilityItem(key, event, commands),
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
}
