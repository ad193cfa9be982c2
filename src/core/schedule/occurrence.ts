import type { Colour } from '../model/colour';
import { type CalendarEvent, type Dated, isEvent, type Travel } from '../model/entry';
import type { UsualReminders } from '../model/reminder';
import { tieOf } from '../todos/tieOf';
import { DAY, MINUTE } from '../time/civil';
import { type InstantRange, ownZone, wallOf } from '../time/eventTime';
import { instantToWall } from '../time/zones';
import { takesTime } from './standing';

/** One instance of an entry in time, with what a view draws of it. */
export interface Occurrence {
  /** `targetKey` of the entry and, in a series, of the original start. */
  readonly key: string;
  readonly entryId: string;
  /** The original start in its series, as `Target.recurrenceKey`; absent for single entries and overrides. */
  readonly recurrenceKey?: string | undefined;
  readonly calendarId: string;
  readonly title: string;
  readonly location: string;
  /** Instants, half-open. */
  readonly start: number;
  readonly end: number;
  /** Wall times in the viewer's zone, in milliseconds. */
  readonly startWall: number;
  readonly endWall: number;
  readonly allDay: boolean;
  /** The entry's own zone, where it differs from the viewer's. */
  readonly zone?: string | undefined;
  /** The zone of its end, where that differs from its start's. */
  readonly endZone?: string | undefined;
  readonly availability: CalendarEvent['availability'];
  readonly classification: CalendarEvent['classification'];
  readonly status: CalendarEvent['status'];
  /** Of an invitation: what was answered to it. */
  readonly ownAnswer?: CalendarEvent['ownAnswer'];
  readonly recurring: boolean;
  /** An occurrence that differs from its series. */
  readonly changed: boolean;
  /** Whether it has reminders of its own; undefined where it follows its calendar. */
  readonly reminds: boolean | undefined;
  /** The ways there and back, where there are any. */
  readonly ways?: Ways | undefined;
  /** A colour of its own, in place of its calendar's. */
  readonly colour?: Colour | undefined;
  readonly categories?: readonly string[] | undefined;
  /** Of whole days that were hours before: how long it was. */
  readonly timedMinutes?: number | undefined;
  /** Of time for a to-do: which, as a `tieOf`. */
  readonly tie?: string | undefined;
  /** Of time for a to-do: whether that is done. */
  readonly isDone?: true | undefined;
  /** Whether it is outdoors in rough weather. */
  readonly isRough?: true | undefined;
  /** Of a colleague's time: whose it is, and whether it stands over one's own as an outline. */
  readonly personId?: string | undefined;
  readonly isOutlined?: boolean | undefined;
}

/** The way to an entry, where it is something that one goes to. */
export const travelOf = (entry: Dated): Travel | undefined => (isEvent(entry) ? entry.travel : undefined);

/**
 * What a view draws of an entry at given instants, under the id of its series where that is another. A to-do takes no time
 * itself.
 */
export function occurrenceOf(
  event: Dated,
  at: {
    readonly start: number;
    readonly end: number;
    readonly key: string;
    readonly recurrenceKey?: string;
    readonly entryId?: string;
  },
  viewZone: string,
): Occurrence {
  const allDay = event.start.kind === 'date';
  const wall = instantToWall(viewZone, at.start);
  const startWall = allDay ? Math.round(wall / DAY) * DAY : wall;
  // Always the same fields in the same order: a year of a large calendar makes tens of thousands of these.
  return {
    key: at.key,
    entryId: at.entryId ?? event.id,
    recurrenceKey: at.recurrenceKey,
    calendarId: event.calendarId,
    title: event.title,
    location: event.location,
    start: at.start,
    end: at.end,
    startWall,
    endWall: allDay ? startWall + wallOf(event.end) - wallOf(event.start) : instantToWall(viewZone, at.end),
    allDay,
    zone: event.start.kind === 'zoned' && event.start.zone !== viewZone ? ownZone(event.start) : undefined,
    endZone: endZoneOf(event),
    availability: isEvent(event) ? event.availability : 'free',
    classification: event.classification,
    status: statusOf(event),
    ownAnswer: event.ownAnswer,
    recurring: !!event.recurrence || event.seriesId !== undefined,
    changed: event.seriesId !== undefined && at.entryId === undefined,
    reminds: event.reminders && event.reminders.length > 0,
    ways: waysOf(travelOf(event), at, viewZone),
    colour: event.colour,
    categories: event.categories.length > 0 ? event.categories : undefined,
    timedMinutes: isEvent(event) ? event.timedMinutes : undefined,
    tie: tieOf(event),
  };
}

const statusOf = (entry: Dated): CalendarEvent['status'] =>
  isEvent(entry) ? entry.status : entry.status === 'cancelled' ? 'cancelled' : 'confirmed';

const endZoneOf = ({ start, end }: Dated): string | undefined =>
  end.kind === 'zoned' && (start.kind !== 'zoned' || start.zone !== end.zone) ? ownZone(end) : undefined;

/** The days, half-open as day numbers, that an occurrence touches in the viewer's zone. */
export function daysOf(occurrence: Pick<Occurrence, 'startWall' | 'endWall'>): {
  first: number;
  end: number;
} {
  const first = Math.floor(occurrence.startWall / DAY);
  return { first, end: Math.max(first + 1, Math.ceil(occurrence.endWall / DAY)) };
}

/** Whether it lies above the hours: whole days, or a day and longer. */
export const isRibbon = (occurrence: Occurrence): boolean =>
  occurrence.allDay || occurrence.end - occurrence.start >= DAY;

/** Time that an entry takes, as far as a load is concerned. Wall times of the viewer's zone. */
export interface TakenSpan {
  readonly startWall: number;
  readonly endWall: number;
  /** Whether it takes whole days, above the hours. */
  readonly whole: boolean;
}

/** When one leaves for something and is back from it: instants, and wall times in the viewer's zone, in milliseconds. */
export interface Ways {
  /** The start, where there is no way there. */
  readonly leave: number;
  readonly leaveWall: number;
  /** The end, where there is no way back. */
  readonly home: number;
  readonly homeWall: number;
}

/** The ways of an event at given instants; undefined where it has none. */
export function waysOf(
  travel: Travel | undefined,
  { start, end }: InstantRange,
  viewZone: string,
): Ways | undefined {
  if (!travel) return undefined;
  const leave = start - travel.there * MINUTE;
  const home = end + travel.back * MINUTE;
  return {
    leave,
    leaveWall: instantToWall(viewZone, leave),
    home,
    homeWall: instantToWall(viewZone, home),
  };
}

/** Whether one has to leave for it. */
export const hasWayThere = ({ start, ways }: Pick<Occurrence, 'start' | 'ways'>): boolean =>
  ways !== undefined && ways.leave < start;

/** The time that occurrences take, the ways to them and back with it. */
export const takenSpans = (occurrences: readonly Occurrence[]): TakenSpan[] =>
  occurrences.filter(takesTime).flatMap((occurrence) => {
    const { startWall, endWall, ways } = occurrence;
    return spansOf(startWall, endWall, isRibbon(occurrence), ways);
  });

/** The time that an event takes, its ways with it: beside whole days, they are spans of their own. */
export function spansOf(
  startWall: number,
  endWall: number,
  whole: boolean,
  ways: Ways | undefined,
): TakenSpan[] {
  if (!ways) return [{ startWall, endWall, whole }];
  const { leaveWall, homeWall } = ways;
  if (!whole) return [{ startWall: leaveWall, endWall: homeWall, whole }];
  return [
    { startWall, endWall, whole },
    ...(leaveWall < startWall ? [{ startWall: leaveWall, endWall: startWall, whole: false }] : []),
    ...(homeWall > endWall ? [{ startWall: endWall, endWall: homeWall, whole: false }] : []),
  ];
}

/** From when until when an occurrence takes the time, the ways there and back with it. Instants, half-open. */
export const takenRange = ({ start, end, ways }: Pick<Occurrence, 'start' | 'end' | 'ways'>): InstantRange =>
  ways ? { start: ways.leave, end: ways.home } : { start, end };

/** Whether it reminds, by its own reminders or by those that are usual in its calendar. */
export const isReminded = (
  { reminds, allDay }: Pick<Occurrence, 'reminds' | 'allDay'>,
  usual: UsualReminders | undefined,
): boolean => reminds ?? ((allDay ? usual?.wholeDays : usual?.timed)?.length ?? 0) > 0;
