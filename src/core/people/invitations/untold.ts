import type { CalendarUser } from '../../model/calendarUser';
import type { CalendarEvent } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import type { Invitation } from '../../model/invitation';
import { allGuestsOf, guestsOf, union, without } from './addressing';
import { dateKey } from './itipMessage';
import {
  asTold,
  changedDates,
  differingShared,
  fingerprint,
  isRescheduled,
  onDate,
  sameGuests,
  type SharedField,
} from './sharedFields';

/** What guests do not know yet of an entry and its dates. */
export interface Untold {
  readonly kind: 'invited' | 'changed' | 'called-off';
  /** What of it, or of one of its dates, is other than they know. */
  readonly fields: readonly SharedField[];
  readonly added: readonly CalendarUser[];
  readonly removed: readonly CalendarUser[];
  /** Whether they have to answer again. */
  readonly isRescheduled: boolean;
  /** All who would hear of it, and those whom it touches. */
  readonly all: readonly CalendarUser[];
  readonly touched: readonly CalendarUser[];
}

/** An entry and its dates by `dateKey`. */
type ByDate = ReadonlyMap<string, CalendarEvent>;
export const byDate = (events: readonly CalendarEvent[]): ByDate =>
  new Map(events.map((event) => [dateKey(event.recurrenceId), event]));

/** In what an entry and its dates differ from what was told. */
interface Difference {
  readonly untold: Untold;
  /** Whether all of it is told anew. */
  readonly isWhole: boolean;
  /** Dates that differ, and such as were left out or added. */
  readonly dates: readonly string[];
  readonly left: readonly EventTime[];
  readonly further: readonly EventTime[];
  readonly rescheduled: readonly string[];
}

/** Compares an entry and its dates with what was told of them. */
export function difference(
  told: readonly CalendarEvent[],
  now: readonly CalendarEvent[],
  own: readonly string[],
): Difference {
  const [before, after] = [byDate(told), byDate(now)];
  const [oldMaster, master] = [before.get(''), after.get('')];
  const oldGuests = guestsOf(oldMaster, own);
  const guests = guestsOf(master, own);
  const fields = new Set<SharedField>();
  const rescheduled = new Set<string>();
  const ofMaster = oldMaster && master ? differingShared(oldMaster, master) : [];
  const onlyDates =
    oldMaster && master && ofMaster.every((field) => field === 'recurrence')
      ? changedDates(oldMaster, master)
      : undefined;
  const leftKeys = new Set(onlyDates?.left.map(dateKey));
  for (const field of ofMaster) fields.add(field);
  const isNew = told.length === 0;
  const isReset = [...before.keys()].some((key) => key !== '' && !after.has(key) && !leftKeys.has(key));
  const isWhole =
    isNew ||
    (oldMaster === undefined) !== (master === undefined) ||
    (ofMaster.length > 0 && !onlyDates) ||
    isReset;
  if (isWhole && (!oldMaster || !master || isRescheduled(oldMaster, master))) rescheduled.add('');
  const dates: string[] = [];
  let touched: CalendarUser[] = [];
  for (const [key, event] of after) {
    if (key === '') continue;
    const old = before.get(key);
    // A date that was as its series is compared with what guests knew of it then.
    const compared = old ?? (oldMaster && onDate(oldMaster, event.recurrenceId!));
    const differing = compared
      ? differingShared(compared, event).filter((field) => old !== undefined || field !== 'recurrence')
      : [];
    for (const field of differing) fields.add(field);
    const isOther = !old || differing.length > 0 || !sameGuests(old, event);
    if (!isOther) continue;
    dates.push(key);
    if (compared && isRescheduled(compared, event)) rescheduled.add(key);
    const [had, has] = [guestsOf(old ?? oldMaster, own), guestsOf(event, own)];
    const gone = without(had, has);
    const isOnlyGuests = differing.length === 0;
    touched = union(touched, isOnlyGuests ? without(has, had) : has, gone);
  }
  const everyone = allGuestsOf(after.values(), own);
  const everyoneBefore = allGuestsOf(before.values(), own);
  const added = without(everyone, everyoneBefore);
  const removed = without(everyoneBefore, everyone);
  const isCalledOff = now.length === 0;
  if (isWhole || (onlyDates && onlyDates.left.length + onlyDates.further.length > 0))
    touched = union(touched, everyone);
  else touched = union(touched, added, without(guests, oldGuests));
  const all = isCalledOff ? everyoneBefore : union(everyone, removed);
  return {
    untold: {
      kind: isCalledOff ? 'called-off' : isNew ? 'invited' : 'changed',
      fields: [...fields],
      added,
      removed: isCalledOff ? [] : removed,
      isRescheduled: rescheduled.size > 0,
      all,
      touched: isCalledOff ? all : union(touched, removed),
    },
    isWhole,
    dates,
    left: onlyDates?.left ?? [],
    further: onlyDates?.further ?? [],
    rescheduled: [...rescheduled],
  };
}

/** What guests know of: nothing of what was called off. */
export const standing = (invitation: Invitation | undefined): readonly CalendarEvent[] =>
  invitation && !invitation.isCancelled ? invitation.events : [];

/**
 * What guests do not know yet of an entry and its changed dates; undefined where they know all, or are not to be told.
 * @param events the entry and its dates as they are now; none where they are gone
 * @param own one's own addresses
 */
export function untoldOf(
  invitation: Invitation | undefined,
  events: readonly CalendarEvent[],
  own: readonly string[],
): Untold | undefined {
  if (invitation?.role === 'guest') return undefined;
  if (invitation?.isCancelled && events.length === 0) return undefined;
  const told = standing(invitation);
  const now = events.map(asTold);
  const print = fingerprint(now);
  if (print === fingerprint(told) || print === invitation?.settled) return undefined;
  const { untold } = difference(told, now, own);
  return untold.all.length === 0 ? undefined : untold;
}
