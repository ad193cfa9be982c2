import type { CalendarUser } from '../../model/calendarUser';
import { type CalendarEvent, GUESTS_MAY_USUALLY } from '../../model/entry';
import { isAt, type ItipMessage } from './itipMessage';
import { plainAddress } from '../../model/emailAddress';

/** A message and whom it goes to. */
export interface Outgoing {
  readonly to: readonly string[];
  readonly message: ItipMessage;
}

/** Whether somebody is among some guests, by address. */
export const isAmong = (some: readonly CalendarUser[], { address }: CalendarUser): boolean =>
  some.some((other) => isAt(other, [address]));

/** Some guests without others. */
export const without = (some: readonly CalendarUser[], others: readonly CalendarUser[]): CalendarUser[] =>
  some.filter((guest) => !isAmong(others, guest));

/** Guests of several lists, each once. */
export function union(...lists: readonly (readonly CalendarUser[])[]): CalendarUser[] {
  const known = new Map<string, CalendarUser>();
  for (const guest of lists.flat()) {
    const address = plainAddress(guest.address);
    if (!known.has(address)) known.set(address, guest);
  }
  return [...known.values()];
}

/** Who is invited to an entry beside oneself. */
export const guestsOf = (event: CalendarEvent | undefined, own: readonly string[]): CalendarUser[] =>
  (event?.attendees ?? []).filter((guest) => !isAt(guest, own));

/** Who is invited to an entry or to any of its dates, beside oneself. */
export const allGuestsOf = (events: Iterable<CalendarEvent>, own: readonly string[]): CalendarUser[] =>
  union(...[...events].map((event) => guestsOf(event, own)));

/**
 * A message to some guests: one to all of them, or one to each where they may not see each other, in which nobody else is named but who
 * invites.
 */
export function addressed(
  to: readonly CalendarUser[],
  message: ItipMessage,
  own: readonly string[],
): Outgoing[] {
  const { parts } = message;
  if (to.length === 0 || parts.length === 0) return [];
  const maySee = (parts[0]!.event?.guestsMay ?? GUESTS_MAY_USUALLY).includes('see-each-other');
  if (maySee) return [{ to: to.map(({ address }) => plainAddress(address)), message }];
  return to.map((guest) => {
    const seen = [guest.address, ...own];
    return {
      to: [plainAddress(guest.address)],
      message: {
        ...message,
        parts: parts.map((part) => ({
          ...part,
          attendees: part.attendees.filter((other) => isAt(other, seen)),
        })),
      },
    };
  });
}
