import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import type { ItipMethod } from '../../model/invitation';
import { instantOf } from '../../time/eventTime';
import { plainAddress } from '../../model/emailAddress';

/** What a message says of an entry, or of one of its dates. */
export interface ItipPart {
  /** The date that it is about (RECURRENCE-ID, RFC 5545 3.8.4.4); without one, the entry itself. */
  readonly recurrenceId?: EventTime | undefined;
  /** Undefined where it says no time: of one that is called off, or asked about. */
  readonly event?: CalendarEvent | undefined;
  readonly attendees: readonly CalendarUser[];
  /** Its words (COMMENT). */
  readonly comment: string;
}

/** A message about all entries of one UID between the one who invites and guests (RFC 5546). */
export interface ItipMessage {
  readonly method: ItipMethod;
  readonly uid: string;
  /** The version that it is about, or that it makes (SEQUENCE). */
  readonly sequence: number;
  /** When it was written (DTSTAMP), an instant in milliseconds. */
  readonly stamp: number;
  readonly organizer: CalendarUser | undefined;
  readonly parts: readonly ItipPart[];
}

/** Whether an entry's guest is at one of some addresses. */
export const isAt = (user: CalendarUser | undefined, addresses: readonly string[]): boolean =>
  user !== undefined &&
  addresses.some((address) => address !== '' && plainAddress(user.address) === plainAddress(address));

/** What tells the dates of an entry apart, whatever zone they are written in: '' for the entry itself. */
export const dateKey = (recurrenceId: EventTime | undefined): string =>
  recurrenceId === undefined
    ? ''
    : recurrenceId.kind === 'date'
      ? recurrenceId.date
      : recurrenceId.kind === 'floating'
        ? recurrenceId.local
        : String(instantOf(recurrenceId, recurrenceId.zone));
