import { FIELD_NAMES, rowOf } from '../../fields/eventFields';
import type { PublishedLevel } from '../../model/calendar';
import type { CalendarEvent } from '../../model/entry';
import { busyKindOf, isOff } from '../../schedule/standing';

/** What an entry is called where others see only that the time is taken. */
const TAKEN_TITLES = { busy: 'Busy', tentative: 'Perhaps busy', away: 'Away', free: 'Free' } as const;

/** What others see of a calendar, and which of it they see only as taken time: its history stays here, too. */
export interface PublishedCopy {
  readonly events: readonly CalendarEvent[];
  readonly taken: ReadonlySet<string>;
}

/** A UID may say where an entry came from: what is not open gets another, its exceptions the same. */
const coverUid = (id: string): string => `${id}@published.orderly-week`;

/** Under which UID an entry that is seen is found at a level; an occurrence is found under that of its series. */
export const seenUid = (head: Pick<CalendarEvent, 'id' | 'uid'>, level: PublishedLevel): string =>
  level === 'everything' ? head.uid : coverUid(head.id);

/** The depths, each with those that show less. */
const DEPTHS = ['busy', 'titles', 'everything'] as const satisfies readonly PublishedLevel[];

/** An event with what others see of it from a depth on; the other fields are as in one that says nothing. */
function seenAt(event: CalendarEvent, level: PublishedLevel): CalendarEvent {
  const seen: Record<string, unknown> = { ...event };
  for (const name of FIELD_NAMES) {
    const { published, initial } = rowOf(name);
    const isSeen = published !== 'never' && DEPTHS.indexOf(published) <= DEPTHS.indexOf(level);
    if (isSeen || initial === 'required') continue;
    if (initial === undefined) delete seen[name];
    else seen[name] = initial;
  }
  if (level !== 'everything') delete seen.preserved;
  return seen as CalendarEvent;
}

function atLevel(event: CalendarEvent, level: PublishedLevel): CalendarEvent {
  const seen = seenAt(event, level);
  if (level !== 'busy') return seen;
  // The status is not seen here: what it makes of the time is said by the availability.
  const availability = busyKindOf(event) ?? 'free';
  return { ...seen, availability, title: TAKEN_TITLES[availability], sequence: 0 };
}

/**
 * What others see of a calendar's entries at a level. Private and confidential ones are only taken time at any level, and
 * so is every occurrence of a private series; what is off, or private and takes no time, is not there at all.
 * Reminders and attached files stay here.
 *
 * @param elsewhere changed occurrences of the calendar's series that were moved to other calendars: they are not here
 * @param withPrivate whether private ones are seen as open ones are: by who acts for the person
 */
export function publishedCopy(
  events: readonly CalendarEvent[],
  level: PublishedLevel,
  elsewhere: readonly CalendarEvent[] = [],
  withPrivate = false,
): PublishedCopy {
  const byId = new Map(events.map((event) => [event.id, event]));
  const masterOf = (event: CalendarEvent) =>
    event.seriesId === undefined ? undefined : byId.get(event.seriesId);
  const levelOf = (event: CalendarEvent): PublishedLevel =>
    withPrivate ||
    (event.classification === 'public' && (masterOf(event)?.classification ?? 'public') === 'public')
      ? level
      : 'busy';
  const isShown = (event: CalendarEvent): boolean =>
    !isOff(event) && (levelOf(event) !== 'busy' || event.availability !== 'free');
  const uidOf = (head: CalendarEvent): string => seenUid(head, levelOf(head));

  const leftOut = new Map<string, CalendarEvent[]>();
  const leaveOut = (event: CalendarEvent) => {
    if (event.seriesId !== undefined && event.recurrenceId)
      leftOut.set(event.seriesId, [...(leftOut.get(event.seriesId) ?? []), event]);
  };
  for (const event of events) if (!event.recurrenceRange && !isShown(event)) leaveOut(event);
  elsewhere.forEach(leaveOut);

  const taken = new Set<string>();
  const shown = events.flatMap((event): CalendarEvent[] => {
    // A change that holds from a date on can't be left out of its series: it is there as time that is free.
    if (!isShown(event) && !event.recurrenceRange) return [];
    const seen = atLevel(event, levelOf(event));
    if (levelOf(event) === 'busy') taken.add(event.id);
    const out = leftOut.get(event.id);
    if (out && seen.recurrence) {
      const exceptionDates = [
        ...seen.recurrence.exceptionDates,
        ...out.flatMap(({ recurrenceId }) => recurrenceId ?? []),
      ];
      return [{ ...seen, uid: uidOf(event), recurrence: { ...seen.recurrence, exceptionDates } }];
    }
    const master = masterOf(event);
    if (event.seriesId === undefined) return [{ ...seen, uid: uidOf(event) }];
    if (master && isShown(master)) return [{ ...seen, uid: uidOf(master) }];
    const { seriesId: _, recurrenceId: __, recurrenceRange: ___, ...alone } = seen;
    return [{ ...alone, uid: coverUid(event.id) }];
  });
  return { events: shown, taken };
}

/** The entries that others see of a calendar at a level: see `publishedCopy`. */
export const publishedEvents = (events: readonly CalendarEvent[], level: PublishedLevel): CalendarEvent[] => [
  ...publishedCopy(events, level).events,
];

/** A calendar's part in what somebody sees of several. */
export interface PublishedPart {
  readonly events: readonly CalendarEvent[];
  /** Changed occurrences of its series that were moved to other calendars. */
  readonly elsewhere: readonly CalendarEvent[];
  readonly level: PublishedLevel;
  readonly withPrivate?: boolean;
}

/** What others see of several calendars, each at its own level. Where a UID is in more than one, only the first keeps it. */
export function publishedParts(parts: readonly PublishedPart[]): PublishedCopy {
  const taken = new Set<string>();
  const uids = new Set<string>();
  const events = parts.flatMap(({ events: own, elsewhere, level, withPrivate }) => {
    const copy = publishedCopy(own, level, elsewhere, withPrivate);
    for (const id of copy.taken) taken.add(id);
    const heads = new Map<string, string>();
    for (const { uid, id, seriesId } of copy.events)
      if (uids.has(uid) && (seriesId === undefined || !heads.has(uid))) heads.set(uid, seriesId ?? id);
    const seen = copy.events.map((event) => {
      const head = heads.get(event.uid);
      return head === undefined ? event : { ...event, uid: coverUid(head) };
    });
    for (const { uid } of seen) uids.add(uid);
    return seen;
  });
  return { events, taken };
}
