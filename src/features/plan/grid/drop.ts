import { snapMinute } from '@/core/layout/hours';
import type { Move } from '@/core/change/moveEntry';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';

/** What lies at a point of a view. */
export interface Point {
  readonly day: number;
  /** Minutes of the day on the wall clock; unrounded. */
  readonly minute: number;
  readonly overRibbons: boolean;
  /** Whether the place says a day alone: an entry that is dropped there keeps its time. */
  readonly dayOnly?: boolean;
  /** The calendar whose column or lane it is. */
  readonly calendarId?: string;
}

/** What was taken hold of, and where. */
export interface Pickup {
  /** `none`: a control in the grid that acts for itself. */
  readonly kind: 'move' | 'start' | 'end' | 'draft' | 'none';
  readonly occurrence: Held | undefined;
  readonly at: Point;
}

/** What of an occurrence says where it lies. */
export type Held = Pick<Occurrence, 'startWall' | 'endWall' | 'allDay' | 'calendarId'>;

/** Where something would lie: wall times, whole days for an all-day one. */
export interface Landing {
  readonly startWall: number;
  readonly endWall: number;
  readonly allDay: boolean;
}

/** A press means the half hour that it falls into, or the coarser step of the grid. */
export function startOfPress(point: Point, gridStep: number): number {
  const step = Math.max(30, gridStep);
  return point.day * DAY + Math.floor(point.minute / step) * step * MINUTE;
}

/** The time that a drag over empty time takes: whole days over ribbons and days, else grid steps of one day. */
export function draftTimes(from: Point, to: Point, gridStep: number): Landing {
  if (from.overRibbons || from.dayOnly)
    return {
      startWall: Math.min(from.day, to.day) * DAY,
      endWall: (Math.max(from.day, to.day) + 1) * DAY,
      allDay: true,
    };
  const floor = (minute: number) => Math.floor(minute / gridStep) * gridStep;
  const a = from.day * DAY + floor(from.minute) * MINUTE;
  const b = from.day * DAY + floor(to.minute) * MINUTE;
  return { startWall: Math.min(a, b), endWall: Math.max(a, b) + gridStep * MINUTE, allDay: false };
}

/** The calendar that a drag leads to: of a moved card, that of the column or lane under it. */
export function calendarOf({ kind, occurrence, at }: Pickup, point: Point): string | undefined {
  if (kind === 'move') return point.calendarId ?? occurrence?.calendarId;
  return occurrence?.calendarId ?? at.calendarId;
}

/**
 * Where an occurrence lies as it is dragged to a point: moved by whole grid steps, stretched at one edge, made whole days
 * over the ribbons, or hours again over the hours.
 * @param hours how long whole days are as hours, in milliseconds
 */
export function moveTimes(
  picked: Pickup,
  occurrence: Held,
  point: Point,
  gridStep: number,
  hours: number,
): Landing {
  const { startWall, endWall } = occurrence;
  const length = endWall - startWall;
  const snap = (wall: number) => {
    const day = Math.floor(wall / DAY);
    return day * DAY + snapMinute((wall - day * DAY) / MINUTE, gridStep) * MINUTE;
  };
  const at = point.day * DAY + point.minute * MINUTE;
  if (occurrence.allDay && picked.kind === 'end')
    return { startWall, endWall: Math.max(startWall + DAY, (point.day + 1) * DAY), allDay: true };
  if (occurrence.allDay && picked.kind === 'start')
    return { startWall: Math.min(endWall - DAY, point.day * DAY), endWall, allDay: true };
  if (picked.kind === 'end')
    return { startWall, endWall: Math.max(startWall + gridStep * MINUTE, snap(at)), allDay: false };
  if (picked.kind === 'start')
    return { startWall: Math.min(endWall - gridStep * MINUTE, snap(at)), endWall, allDay: false };
  const fromRibbon = picked.at.overRibbons;
  const days = (point.day - picked.at.day) * DAY;
  if (picked.at.dayOnly)
    return { startWall: startWall + days, endWall: endWall + days, allDay: occurrence.allDay };
  // Where whole days lie among the hours, they stay whole.
  if (occurrence.allDay && !fromRibbon) return { startWall, endWall, allDay: true };
  if (point.overRibbons || (fromRibbon && !occurrence.allDay)) {
    if (fromRibbon) return { startWall: startWall + days, endWall: endWall + days, allDay: true };
    const whole = Math.max(1, Math.ceil(length / DAY)) * DAY;
    return { startWall: point.day * DAY, endWall: point.day * DAY + whole, allDay: true };
  }
  if (fromRibbon) {
    const start = snap(at);
    return { startWall: start, endWall: start + hours, allDay: false };
  }
  const grabbed = picked.at.day * DAY + picked.at.minute * MINUTE - startWall;
  const start = snap(at - grabbed);
  return { startWall: start, endWall: start + length, allDay: false };
}

/** The change that makes an occurrence what its ghost shows, or undefined if it shows no change. */
export function moveOf(
  picked: Pickup,
  occurrence: Held,
  ghost: Landing & { readonly calendarId?: string | undefined },
): Move | undefined {
  if (picked.kind === 'end' || picked.kind === 'start') {
    const by =
      picked.kind === 'end' ? ghost.endWall - occurrence.endWall : ghost.startWall - occurrence.startWall;
    return by === 0 ? undefined : { kind: 'stretch', edge: picked.kind, by };
  }
  const wasRibbon = picked.at.overRibbons || occurrence.allDay;
  const calendar = ghost.calendarId === occurrence.calendarId ? {} : { calendarId: ghost.calendarId };
  if (ghost.allDay && !wasRibbon)
    return { kind: 'to-days', day: Math.floor(ghost.startWall / DAY), ...calendar };
  if (!ghost.allDay && wasRibbon)
    return {
      kind: 'to-hours',
      wall: ghost.startWall,
      length: ghost.endWall - ghost.startWall,
      ...calendar,
    };
  const by = ghost.startWall - occurrence.startWall;
  return by === 0 && !calendar.calendarId ? undefined : { kind: 'shift', by, ...calendar };
}

/**
 * Where another of several selected lies as one of them is dragged: moved or stretched by as much on its clock, and into the
 * same calendar where that changes; undefined where it can't, or hours become whole days or whole days hours.
 */
export function landingAlong(
  held: Held,
  ghost: Landing & { readonly calendarId?: string | undefined },
  other: Held,
): (Landing & { readonly calendarId: string | undefined }) | undefined {
  if (ghost.allDay !== held.allDay) return undefined;
  const startWall = other.startWall + ghost.startWall - held.startWall;
  const endWall = other.endWall + ghost.endWall - held.endWall;
  if (endWall <= startWall) return undefined;
  return {
    startWall,
    endWall,
    allDay: other.allDay,
    calendarId: ghost.calendarId === held.calendarId ? other.calendarId : ghost.calendarId,
  };
}
