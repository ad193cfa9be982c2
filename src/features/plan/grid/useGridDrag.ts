import { useDrag } from '@use-gesture/react';
import { type RefObject, useEffect, useRef } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { Move } from '@/core/change/moveEntry';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';
import { useWorkspace } from '@/features/workspace';
import { useSettings } from '@/store';
import { isTouch, openPlanMenu } from '../menus/planMenu';
import {
  calendarOf,
  draftTimes,
  landingAlong,
  moveOf,
  moveTimes,
  type Pickup,
  type Point,
  startOfPress,
} from './drop';
import { type Ghost, setGhost, useGhost } from './ghost';

/** What acts for itself, or is no part of the grid (`data-inert`). */
export const CONTROLS =
  '[role="button"]:not([data-key]), button:not([data-key]), [role="heading"], [data-inert]';
/** A finger that is lifted from a card after so long, and has not moved, selects it. */
const LONG_PRESS = 380;
/** A dropped entry stands where it was dropped until the view shows it there; at most so long, in milliseconds. */
const LONGEST_SETTLING = 2_000;
/** A held finger may be followed by a click, which is not meant. */
const AFTER_HOLD = 600;
const EDGE = 36;
/** The part of a card at its edges that stretches it, in pixels. */
const GRIP = 7;

/** What the grid tells of a finished drag or press. */
export interface GridActions {
  press: (key: string, options: { add: boolean }) => void;
  /** The keys lead to an entry: it is selected, unless others are being collected. */
  walkTo: (key: string) => void;
  pressEmpty: (startWall: number, allDay: boolean, calendarId?: string) => void;
  draft: (startWall: number, endWall: number, allDay: boolean, calendarId?: string) => void;
  /** Answers whether the change was made. */
  move: (key: string, move: Move) => Promise<boolean>;
  copy: (key: string, move: Move) => Promise<boolean>;
  /** Gives a to-do so many minutes: from a wall time on, or in the first gap of the day that is there. */
  giveTime: (key: string, minutes: number, startWall: number, anyTime: boolean) => void;
}

const NOWHERE: Point = { day: 0, minute: 0, overRibbons: false };

/** Where a view lies on the screen, and what in it. */
export interface GridGeometry {
  /** What lies at a point of the window. */
  pointAt: (x: number, y: number) => Point;
  /** Minutes that a drag snaps to. */
  gridStep: number;
  /** The way in which time runs; undefined where entries have no edges to take hold of. */
  timeAxis: 'down' | 'across' | undefined;
  occurrence: (key: string) => Occurrence | undefined;
  calendar: (id: string) => Calendar | undefined;
  draftCalendar: Calendar | undefined;
}

interface Elements {
  frame: RefObject<HTMLElement | null>;
  scroller: RefObject<HTMLElement | null>;
}

/** What was taken hold of in the grid: of a card, its occurrence. */
type GridPickup = Pickup & { readonly occurrence: Occurrence | undefined };

interface Hand {
  readonly x: number;
  readonly y: number;
  readonly copy: boolean;
}

/**
 * Pressing, dragging and stretching in the grid, by mouse at once and by touch after a short hold, so that a swipe still
 * scrolls. Escape lets everything be as it was; Alt copies.
 */
export function useGridDrag(elements: Elements, geometry: GridGeometry, actions: GridActions): void {
  const pickup = useRef<GridPickup | null>(null);
  const cancelled = useRef(false);
  const scrolling = useRef(0);
  /** Where the hand is, and whether it copies. */
  const held = useRef<Hand | null>(null);
  const follow = useRef<(at: Hand) => void>(() => undefined);
  const { defaultLengthMinutes } = useSettings();
  const lastHold = useRef(-Infinity);
  const dragged = useRef(false);
  const isDown = useRef(false);
  /** When it was touched, on the events' clock: a page that is held up measures a hold all the same. */
  const downAt = useRef(0);

  const pickUp = (touched: EventTarget | null, x: number, y: number): GridPickup => {
    const target = touched instanceof Element ? touched : null;
    const isControl = !!target?.closest(CONTROLS);
    const card = target?.closest<HTMLElement>('[data-key]') ?? null;
    const key = card?.dataset.key;
    const occurrence = key === undefined ? undefined : geometry.occurrence(key);
    const kind =
      isControl || (key !== undefined && !occurrence)
        ? 'none'
        : !occurrence
          ? 'draft'
          : (edgeAt(card, occurrence, geometry.timeAxis, { x, y }) ?? 'move');
    // What takes hold of nothing lies nowhere: the view may be gone by then.
    return { kind, occurrence, at: kind === 'none' ? NOWHERE : geometry.pointAt(x, y) };
  };

  const ghostOf = (point: Point, copy: boolean): Ghost | null => {
    const picked = pickup.current;
    if (!picked) return null;
    const { occurrence } = picked;
    const own = calendarOf(picked, point);
    const calendar = own === undefined ? geometry.draftCalendar : geometry.calendar(own);
    const base = {
      key: occurrence?.key,
      title: occurrence?.title ?? '',
      colour: calendar?.colour ?? 'slate',
      mark: calendar?.mark ?? '',
      calendarId: calendar?.id,
      copy,
      settling: false,
    };
    const times =
      picked.kind === 'draft'
        ? draftTimes(picked.at, point, geometry.gridStep)
        : occurrence && moveTimes(picked, occurrence, point, geometry.gridStep, hoursOf(occurrence));
    if (!times) return null;
    const ghost = { ...base, ...times };
    return occurrence ? { ...ghost, along: alongWith(occurrence, ghost) } : ghost;
  };

  /** What is selected beside the card that is dragged moves with it. */
  const alongWith = (held: Occurrence, ghost: Ghost): Ghost[] => {
    const { selected } = useWorkspace.getState();
    if (!selected.includes(held.key)) return [];
    return selected.flatMap((key) => {
      const other = key === held.key ? undefined : geometry.occurrence(key);
      const landing = other && landingAlong(held, ghost, other);
      if (!landing) return [];
      const calendar = geometry.calendar(landing.calendarId ?? other.calendarId);
      return [
        {
          ...ghost,
          key,
          title: other.title,
          colour: calendar?.colour ?? ghost.colour,
          mark: calendar?.mark ?? '',
          ...landing,
        },
      ];
    });
  };

  /** How long an entry of whole days is as one of hours: as it was before, or as is usual for its calendar. */
  const hoursOf = ({ timedMinutes, calendarId }: Occurrence): number =>
    (timedMinutes ?? geometry.calendar(calendarId)?.defaultLengthMinutes ?? defaultLengthMinutes) * MINUTE;

  const drop = (ghost: Ghost, copy: boolean): void => {
    const picked = pickup.current!;
    if (!picked.occurrence) {
      setGhost(null);
      actions.draft(ghost.startWall, ghost.endWall, ghost.allDay, picked.at.calendarId);
      return;
    }
    const move = moveOf(picked, picked.occurrence, ghost);
    if (!move) {
      setGhost(null);
      return;
    }
    const settling = { ...ghost, settling: true };
    setGhost(settling);
    const change = copy && picked.kind === 'move' ? actions.copy : actions.move;
    void change(picked.occurrence.key, move).then((made) => {
      const leave = () => {
        if (useGhost.getState().ghost === settling) setGhost(null);
      };
      // It goes when the view shows the entry there; where the view shows no difference, after a while.
      if (made) setTimeout(leave, LONGEST_SETTLING);
      else leave();
    });
  };

  /** Whether a point lies on the view: what is let go beside it stays as it was. */
  const isInside = (x: number, y: number): boolean => {
    const box = elements.frame.current?.getBoundingClientRect();
    return !!box && x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;
  };

  /** Shows where the entry would lie; nothing beside the view. */
  const showAt = ({ x, y, copy }: Hand): void => {
    held.current = { x, y, copy };
    setGhost(isInside(x, y) ? ghostOf(geometry.pointAt(x, y), copy) : null);
  };

  const scrollAtEdges = ({ x, y }: { x: number; y: number }): void => {
    cancelAnimationFrame(scrolling.current);
    const scroller = elements.scroller.current;
    if (!scroller || !isInside(x, y)) return;
    const { top, bottom } = scroller.getBoundingClientRect();
    const by = y < top + EDGE && y > top - EDGE ? -8 : y > bottom - EDGE ? 8 : 0;
    if (by === 0) return;
    const step = () => {
      scroller.scrollTop += by;
      // The hours move under a hand that holds still.
      if (held.current && pickup.current) follow.current(held.current);
      scrolling.current = requestAnimationFrame(step);
    };
    scrolling.current = requestAnimationFrame(step);
  };

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !pickup.current) return;
      event.stopPropagation();
      cancelled.current = true;
      setGhost(null);
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);

  // A press is a click: a quick tap never becomes a drag. The click that ends a drag is not meant.
  const press = useRef<(event: MouseEvent) => void>(() => undefined);
  const menu = useRef<(event: MouseEvent) => void>(() => undefined);
  const hovered = useRef(geometry);
  useEffect(() => {
    hovered.current = geometry;
    follow.current = showAt;
    press.current = (event) => {
      const wasDragged = dragged.current;
      dragged.current = false;
      if (wasDragged || event.timeStamp - lastHold.current < AFTER_HOLD) return;
      const { kind, occurrence, at } = pickUp(event.target, event.clientX, event.clientY);
      if (kind === 'none') return;
      if (occurrence) actions.press(occurrence.key, { add: event.ctrlKey || event.metaKey });
      else actions.pressEmpty(startOfPress(at, geometry.gridStep), at.overRibbons, at.calendarId);
    };
    menu.current = (event) => {
      const { clientX: x, clientY: y } = event;
      // A slot that the keys have led to is a place like any other.
      const onSlot = event.target instanceof Element && event.target.closest('[data-slot]');
      const { kind, occurrence, at } = pickUp(onSlot ? elements.frame.current : event.target, x, y);
      if (kind === 'none') return;
      event.preventDefault();
      const isDay = at.overRibbons || at.dayOnly;
      openPlanMenu(
        occurrence
          ? { kind: 'entry', key: occurrence.key }
          : isDay
            ? { kind: 'day', day: at.day }
            : { kind: 'slot', startWall: startOfPress(at, geometry.gridStep), calendarId: at.calendarId },
        { x, y },
      );
    };
  });
  useEffect(() => {
    const frame = elements.frame.current;
    const onClick = (event: MouseEvent) => press.current(event);
    // A held finger selects; the browser's own menu would end the gesture.
    const onMenu = (event: MouseEvent) => {
      if (pickup.current || isTouch(event)) event.preventDefault();
      else menu.current(event);
    };
    const onDown = (event: PointerEvent) => {
      isDown.current = true;
      downAt.current = event.timeStamp;
      dragged.current = false;
      pickup.current = null;
    };
    const onUp = () => {
      isDown.current = false;
    };
    window.addEventListener('pointerup', onUp, true);
    window.addEventListener('pointercancel', onUp, true);
    const onHover = (event: PointerEvent) => {
      const card = event.target instanceof Element ? event.target.closest<HTMLElement>('[data-key]') : null;
      const occurrence =
        card?.dataset.key === undefined ? undefined : hovered.current.occurrence(card.dataset.key);
      if (!card || !occurrence) return;
      const { timeAxis } = hovered.current;
      const edge = edgeAt(card, occurrence, timeAxis, { x: event.clientX, y: event.clientY });
      card.style.cursor = !edge
        ? 'grab'
        : timeAxis === 'down' && !occurrence.allDay
          ? 'ns-resize'
          : 'ew-resize';
    };
    frame?.addEventListener('pointermove', onHover);
    frame?.addEventListener('pointerdown', onDown, true);
    frame?.addEventListener('click', onClick);
    frame?.addEventListener('contextmenu', onMenu);
    return () => {
      frame?.removeEventListener('pointermove', onHover);
      window.removeEventListener('pointerup', onUp, true);
      window.removeEventListener('pointercancel', onUp, true);
      frame?.removeEventListener('pointerdown', onDown, true);
      frame?.removeEventListener('click', onClick);
      frame?.removeEventListener('contextmenu', onMenu);
    };
  }, [elements.frame]);

  useDrag(
    ({ event, xy: [x, y], initial: [startX, startY], first, last, altKey, canceled, cancel }) => {
      // A tap may be over before the hold that would have begun a drag.
      if (!isDown.current && !last) return cancel();
      if (first || !pickup.current) {
        cancelled.current = false;
        pickup.current = pickUp(event.target, startX, startY);
      }
      const picked = pickup.current;
      const finish = () => {
        pickup.current = null;
        held.current = null;
        cancelAnimationFrame(scrolling.current);
      };
      if (cancelled.current || canceled || picked.kind === 'none') {
        setGhost(null);
        dragged.current = cancelled.current;
        if (last) finish();
        return;
      }
      const moved = Math.hypot(x - startX, y - startY) > 3;
      if (last && !moved && !useGhost.getState().ghost) {
        const held =
          'pointerType' in event &&
          event.pointerType === 'touch' &&
          event.timeStamp - downAt.current > LONG_PRESS;
        if (held && picked.occurrence) {
          lastHold.current = event.timeStamp;
          actions.press(picked.occurrence.key, { add: true });
        }
        finish();
        return;
      }
      if (!moved && !last) return;
      const at = { x, y, copy: altKey && picked.kind === 'move' };
      if (last) {
        dragged.current = true;
        // What is dropped is what was shown.
        const shown = useGhost.getState().ghost;
        if (!isInside(x, y) || !moved) setGhost(null);
        else if (!shown) showAt(at);
        const { ghost } = useGhost.getState();
        if (ghost) drop(ghost, at.copy);
        finish();
        return;
      }
      scrollAtEdges(at);
      showAt(at);
    },
    {
      target: elements.frame as RefObject<EventTarget>,
      preventScroll: 150,
      preventScrollAxis: 'xy',
      pointer: { buttons: 1, keys: false, capture: false },
      eventOptions: { passive: false },
    },
  );
}

/** The edge of a card that a point takes hold of, if the card is tall enough to have edges. */
function edgeAt(
  card: Element | null,
  occurrence: Occurrence,
  axis: GridGeometry['timeAxis'],
  at: { x: number; y: number },
): 'start' | 'end' | undefined {
  if (!card || !axis) return undefined;
  const box = card.getBoundingClientRect();
  if (occurrence.allDay) {
    // Days lie across in every view of hours; an end that goes on elsewhere can't be taken hold of.
    const { ends } = (card as HTMLElement).dataset;
    if (ends === undefined || box.width < 40) return undefined;
    if (box.right - at.x <= GRIP) return ends.includes('end') ? 'end' : undefined;
    return at.x - box.left <= GRIP && ends.includes('start') ? 'start' : undefined;
  }
  if (occurrence.end - occurrence.start >= DAY) return undefined;
  const [length, toStart, toEnd] =
    axis === 'down'
      ? [box.height, at.y - box.top, box.bottom - at.y]
      : [box.width, at.x - box.left, box.right - at.x];
  if (length >= 22 && toEnd <= GRIP) return 'end';
  return length >= 30 && toStart <= GRIP ? 'start' : undefined;
}
