import type { Calendar, PublishedLevel } from '@/core/model/calendar';
import type { SecretAddress } from '@/core/model/share';
import type { State } from '@/core/model/state';
import { accessOf, type SeenCalendars } from '@/core/people/sharing/access';
import { sharedParts } from '@/core/people/sharing/sharedParts';
import { writtenDaysOff } from '@/features/interchange';
import { calendarFiles } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';

/** What the server serves at one secret address: a published calendar, or what a colleague may see. */
export interface Copy {
  /** The record that holds its address. */
  readonly of: { readonly collection: 'calendars' | 'shares'; readonly id: string };
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
  of: { collection: 'calendars', id },
  name,
  address,
  seen: { calendars: new Map([[id, { depth: level, mayChange: false }]]), withPrivate: false },
});

/** What the person's calendars are called together, to those who see them. */
export const ownersName = ({ settings }: Pick<State, 'settings'>): string =>
  settings.get('settings')?.addresses?.name || exchangeWords.publish.someone;

/** What colleagues may see, each as a copy. */
export const copiesForColleagues = (state: State): Copy[] =>
  [...state.shares.values()].flatMap(({ id, address }) => {
    const person = state.people.get(id);
    return address && person
      ? { of: { collection: 'shares', id }, name: ownersName(state), address, seen: accessOf(state, person) }
      : [];
  });

/** All that is to be served. */
export const copiesOf = (state: State): Copy[] => [
  ...[...state.calendars.values()].flatMap((calendar) =>
    calendar.publication ? copyOfCalendar(calendar, calendar.publication, calendar.publication.level) : [],
  ),
  ...copiesForColleagues(state),
];

/** The entries of a copy as the file that its readers get, with nothing but what they may see. */
export function textOf(
  state: State,
  { name, seen }: Pick<Copy, 'name' | 'seen'>,
  now: number,
): Promise<string> {
  const parts = sharedParts(state, seen);
  const shown = parts.flatMap(({ events }) => events);
  return calendarFiles().publish(parts, name, writtenDaysOff(state, shown, now));
}
