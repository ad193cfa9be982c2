import type { PublishedPart } from '@/core/interchange/published/publishedEvents';
import { seenUid } from '@/core/interchange/published/publishedEvents';
import type { Calendar, PublishedLevel } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/entry';
import type { SecretAddress } from '@/core/model/share';
import type { State } from '@/core/model/state';
import { accessOf, type SeenCalendars } from '@/core/people/sharing/access';
import { writtenDaysOff } from '@/features/interchange';
import { calendarFiles } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';

/** What the server serves at one secret address: a published calendar, or what a colleague may see. */
export interface Copy {
  /** `calendar:` or `share:` with the id of the record that holds its address. */
  readonly id: string;
  /** What its readers see as its name. */
  readonly name: string;
  readonly address: Pick<SecretAddress, 'token' | 'key'>;
  readonly seen: SeenCalendars;
}

/** A published calendar as a copy of one calendar at its level. */
export const copyOfCalendar = (
  { id, name }: Pick<Calendar, 'id' | 'name'>,
  address: Copy['address'],
  level: PublishedLevel,
): Copy => ({
  id: `calendar:${id}`,
  name,
  address,
  seen: { calendars: new Map([[id, { depth: level, mayChange: false }]]), withPrivate: false },
});

/** What the person's calendars are called together, to those who see them. */
export const ownersName = ({ settings }: Pick<State, 'settings'>): string =>
  settings.get('settings')?.addresses?.name || exchangeWords.publish.someone;

/** What a colleague sees as a copy. */
export const copyForColleague = (
  state: State,
  id: string,
  address: Copy['address'],
  seen: SeenCalendars,
): Copy => ({ id: `share:${id}`, name: ownersName(state), address, seen });

/** All that is to be served. */
export function copiesOf(state: State): Copy[] {
  const calendars = [...state.calendars.values()].flatMap((calendar) =>
    calendar.publication ? copyOfCalendar(calendar, calendar.publication, calendar.publication.level) : [],
  );
  const shares = [...state.shares.values()].flatMap(({ id, address }) => {
    const person = state.people.get(id);
    return address && person ? copyForColleague(state, id, address, accessOf(state, person)) : [];
  });
  return [...calendars, ...shares];
}

/** The entries of a copy as the file that its readers get, with nothing but what they may see. */
export function textOf(
  state: State,
  { name, seen }: Pick<Copy, 'name' | 'seen'>,
  now: number,
): Promise<string> {
  const entries = [...state.entries.values()];
  const shown: CalendarEvent[] = [];
  const parts = [...seen.calendars].map(([calendarId, { depth }]): PublishedPart => {
    const events = entries.filter((entry) => entry.calendarId === calendarId);
    const ids = new Set(events.map(({ id }) => id));
    shown.push(...events);
    const elsewhere = entries.filter(
      (entry) => entry.calendarId !== calendarId && entry.seriesId !== undefined && ids.has(entry.seriesId),
    );
    return { events, elsewhere, level: depth, withPrivate: seen.withPrivate };
  });
  return calendarFiles().publish(parts, name, writtenDaysOff(state, shown, now));
}

/** What the readers of a copy may add to and change: calendars by name, entries by the UIDs that they see. */
export interface Allowed {
  readonly calendars: readonly { readonly id: string; readonly name: string }[];
  readonly changeable: readonly string[];
}

/** Undefined for a copy that is only read. */
export function allowedIn(state: State, { seen }: Pick<Copy, 'seen'>): Allowed | undefined {
  const calendars = [...seen.calendars].flatMap(([id, { mayChange }]) => {
    const calendar = state.calendars.get(id);
    return mayChange && calendar ? { id, name: calendar.name } : [];
  });
  if (calendars.length === 0) return undefined;
  const uids = new Set<string>();
  for (const entry of state.entries.values()) {
    const access = seen.calendars.get(entry.calendarId);
    if (
      access?.mayChange &&
      entry.seriesId === undefined &&
      (seen.withPrivate || entry.classification === 'public')
    )
      uids.add(seenUid(entry, access.depth));
  }
  return { calendars, changeable: [...uids] };
}
