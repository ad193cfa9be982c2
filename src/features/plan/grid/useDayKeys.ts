import { type RefObject, useEffect, useRef } from 'react';

/**
 * Keys on the days of a view of weeks or months (elements with `data-day`): arrows make another day the selected one, and
 * the focus goes along.
 * @param next the day that a key leads to from another, or undefined for keys that are not for days
 * @param onEnter what Enter does with a day, alone or with Shift
 * @returns a listener that says whether the key was for a day
 */
export function useDayKeys(
  frame: RefObject<HTMLElement | null>,
  selectedDay: number,
  next: (day: number, key: string) => number | undefined,
  onSelectDay: (day: number) => void,
  onEnter: (day: number, isShifted: boolean) => void,
): (event: KeyboardEvent) => boolean {
  /** The day that the focus is to go along to: something else may be drawn before it is the selected one. */
  const follows = useRef<number>(undefined);
  useEffect(() => {
    if (follows.current !== selectedDay) return;
    follows.current = undefined;
    frame.current?.querySelector<HTMLElement>(`[data-day="${selectedDay}"]`)?.focus();
  });
  return (event) => {
    const { day } = (event.target as HTMLElement).dataset;
    if (day === undefined || event.altKey || event.ctrlKey || event.metaKey) return false;
    const to = next(Number(day), event.key);
    if (event.key === 'Enter') onEnter(Number(day), event.shiftKey);
    else if (to !== undefined) {
      follows.current = to;
      onSelectDay(to);
    } else return false;
    event.preventDefault();
    event.stopPropagation();
    return true;
  };
}
