import { type RefObject, useEffect, useLayoutEffect, useRef } from 'react';
import type { DayRange } from '@/core/layout/views';

/** So near to an end of the list, in pixels, the next days are fetched. */
const NEAR = 900;
/** The selected day follows when scrolling has rested so long, in milliseconds. */
const REST = 180;
/** Days out of sight are fetched when nothing has come for so long, in milliseconds. */
const QUIET = 700;

/** What is gone to, and what there is more of. */
interface Scrolled {
  readonly day: number;
  readonly today: number;
  /** Counts how often today was gone to. */
  readonly visits: number;
  readonly bounds: DayRange | undefined;
  /** What is drawn: another, when days have come. */
  readonly parts: unknown;
  readonly isFetching: boolean;
  readonly hasBefore: boolean;
  readonly hasAfter: boolean;
  readonly extend: (direction: 1 | -1) => void;
  /** Begins the list at another day. */
  readonly onAnchor: (day: number) => void;
  readonly onSelectDay: (day: number) => void;
}

interface AgendaScroll {
  readonly scroller: RefObject<HTMLDivElement | null>;
  readonly onScroll: () => void;
}

/** The section that shows a day, alone or among others without entries. */
const sectionOf = (box: HTMLElement, day: number): HTMLElement | undefined =>
  [...box.querySelectorAll<HTMLElement>('[data-first]')].find(
    (section) => Number(section.dataset.first) <= day && day < Number(section.dataset.end),
  );

/** Which day stands at the top of what is seen, and how far it is scrolled over. */
function topOf(box: HTMLElement): { day: number; offset: number } | undefined {
  const section = [...box.querySelectorAll<HTMLElement>('[data-first]')].findLast(
    (each) => each.offsetTop <= box.scrollTop + 1,
  );
  return section && { day: Number(section.dataset.first), offset: box.scrollTop - section.offsetTop };
}

const belowOf = (box: HTMLElement): number => box.scrollHeight - box.scrollTop - box.clientHeight;

const within = (day: number, bounds: DayRange | undefined): number =>
  bounds ? Math.min(Math.max(day, bounds.first), bounds.end - 1) : day;

/** Fetches the next days when those that have come leave room: days in sight at once, then, in a quiet moment, those out of it. */
function useNextDays(scroller: RefObject<HTMLDivElement | null>, scrolled: Scrolled): void {
  const { parts, isFetching, hasBefore, hasAfter, extend } = scrolled;
  useEffect(() => {
    const box = scroller.current;
    if (!box || isFetching) return;
    const below = belowOf(box);
    if (below <= 0 && hasAfter) return extend(1);
    const direction = below < NEAR && hasAfter ? 1 : box.scrollTop < NEAR && hasBefore ? -1 : 0;
    if (direction === 0) return;
    const handle = setTimeout(() => extend(direction), QUIET);
    return () => clearTimeout(handle);
  }, [scroller, parts, isFetching, hasAfter, hasBefore, extend]);
}

/**
 * A list of days that goes on in both directions: what stands at the top stays there when days come before it, and the
 * selected day follows where scrolling rests.
 * @param start the day that the list began with
 * @returns the element that scrolls, and its listener
 */
export function useAgendaScroll(start: number, scrolled: Scrolled): AgendaScroll {
  const { day: asked, today, visits, bounds, parts, isFetching, hasBefore, hasAfter, extend } = scrolled;
  const { onAnchor, onSelectDay } = scrolled;
  const scroller = useRef<HTMLDivElement>(null);
  // A day that scrolling selected is in sight already; any other is gone to.
  const ownDay = useRef<number | undefined>(undefined);
  const top = useRef<{ day: number; offset: number }>({ day: start, offset: 0 });
  const placedAt = useRef<number | undefined>(undefined);
  const rest = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const visited = useRef(visits);
  const keepInPlace = () => {
    const box = scroller.current;
    const section = box && sectionOf(box, top.current.day);
    if (!section) return;
    box.scrollTop = section.offsetTop + top.current.offset;
    // It may not reach so far.
    placedAt.current = box.scrollTop;
  };
  useEffect(() => () => clearTimeout(rest.current), []);
  useLayoutEffect(() => {
    const isVisit = visits !== visited.current;
    if (asked === ownDay.current && !isVisit) return;
    // Scrolling may have come to rest between the press on Today and now: today is meant all the same.
    const day = isVisit ? today : asked;
    if (asked !== day) onSelectDay(day);
    visited.current = visits;
    ownDay.current = day;
    // Where scrolling came to rest a moment ago counts no more.
    clearTimeout(rest.current);
    top.current = { day: within(day, bounds), offset: 0 };
    const box = scroller.current;
    if (box && sectionOf(box, day)) keepInPlace();
    else onAnchor(day);
  }, [asked, today, bounds, visits, onAnchor, onSelectDay]);
  useLayoutEffect(keepInPlace, [parts]);
  useNextDays(scroller, scrolled);
  const onScroll = () => {
    const box = scroller.current;
    // Nobody has scrolled where the list itself has put what is seen, or has gone already.
    if (!box || box.scrollTop === placedAt.current) return;
    placedAt.current = undefined;
    const at = topOf(box);
    if (!at) return;
    top.current = at;
    if (!isFetching && hasAfter && belowOf(box) < NEAR) extend(1);
    if (!isFetching && hasBefore && box.scrollTop < NEAR) extend(-1);
    clearTimeout(rest.current);
    rest.current = setTimeout(() => {
      if (top.current.day === ownDay.current) return;
      ownDay.current = top.current.day;
      onSelectDay(top.current.day);
    }, REST);
  };
  return { scroller, onScroll };
}
