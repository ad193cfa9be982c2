import type { BusyKind } from '../model/busyTimes';
import type { Availability, Entry, OwnAnswer } from '../model/entry';

/**
 * What an entry's standing is: open, tentative (it may come to be), off (cancelled, or declined by the person), or done (a to-do,
 * or time for one).
 */
export type Standing = 'open' | 'tentative' | 'off' | 'done';

/** What the standing follows from: an entry, or one of its occurrences. */
export interface Standable {
  /** STATUS (RFC 5545 3.8.1.11). */
  readonly status: Entry['status'];
  /** Of an invitation: what the person answered. */
  readonly ownAnswer?: OwnAnswer | undefined;
  /** Of an event: what its time counts as. */
  readonly availability?: Availability | undefined;
  /** Of time for a to-do: whether that is done. */
  readonly isDone?: boolean | undefined;
}

/**
 * The one decision about how an entry stands. Views, reminders, load, search, Tidy, free/busy and what is struck through ask it.
 * What is cancelled or declined is off, whatever else it says; a tentative status makes busy time tentative, too.
 */
export function standingOf({ status, ownAnswer, availability, isDone }: Standable): Standing {
  if (status === 'cancelled' || ownAnswer === 'declined') return 'off';
  if (status === 'completed' || isDone) return 'done';
  return status === 'tentative' || availability === 'tentative' ? 'tentative' : 'open';
}

/** Whether an entry is off: cancelled, or declined by the person. */
export const isOff = (entry: Standable): boolean => standingOf(entry) === 'off';

/** Whether an entry is settled: off or done. */
export const isSettled = (entry: Standable): boolean => isOff(entry) || standingOf(entry) === 'done';

/** What an event's time counts as for others (FBTYPE, RFC 5545 3.2.9); undefined where it takes none. */
export function busyKindOf(event: Standable): BusyKind | undefined {
  const { availability } = event;
  if (availability === undefined || availability === 'free' || isOff(event)) return undefined;
  return standingOf(event) === 'tentative' ? 'tentative' : availability;
}

/** Whether an event takes its time: it counts as booked. */
export function takesTime(event: Standable): boolean {
  const kind = busyKindOf(event);
  return kind === 'busy' || kind === 'away';
}
