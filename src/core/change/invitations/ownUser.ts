import type { CalendarUser } from '../../model/calendarUser';
import type { State } from '../../model/state';
import { mailtoOf } from '../../model/emailAddress';

/** The addresses that are one's own, as others invite them; none before one is kept. */
export const ownAddresses = ({ settings }: Pick<State, 'settings'>): string[] =>
  [settings.get('settings')?.addresses?.email ?? ''].filter((address) => address !== '');

/** Oneself as the one who invites (ORGANIZER, RFC 5545 3.8.4.3); undefined before one has an address. */
export function ownUser(state: Pick<State, 'settings'>): CalendarUser | undefined {
  const [address] = ownAddresses(state);
  const name = state.settings.get('settings')?.addresses?.name ?? '';
  return address === undefined
    ? undefined
    : { address: mailtoOf(address), parameters: name === '' ? {} : { cn: name } };
}
