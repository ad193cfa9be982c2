import { type RefObject, useEffect, useRef } from 'react';
import { DAY, MINUTE } from '@/core/time/civil';
import { type CarriedTodo, takeCarried } from '@/features/workspace';
import { type Ghost, setGhost, useGhost } from './ghost';
import type { GridActions, GridGeometry } from './useGridDrag';

/** Shows and takes a to-do that is dragged over the grid: at a time over hours, in the first gap of a day elsewhere. */
export function useCarriedTodo(
  frame: RefObject<HTMLElement | null>,
  geometry: GridGeometry,
  giveTime: GridActions['giveTime'],
): void {
  const latest = useRef({ geometry, giveTime });
  useEffect(() => {
    latest.current = { geometry, giveTime };
  });
  useEffect(() => {
    const ghostAt = (todo: CarriedTodo, x: number, y: number): Ghost | null => {
      const box = frame.current?.getBoundingClientRect();
      if (!box || x < box.left || x > box.right || y < box.top || y > box.bottom) return null;
      const { pointAt, gridStep, calendar } = latest.current.geometry;
      const point = pointAt(x, y);
      const allDay = point.overRibbons || !!point.dayOnly;
      const minute = Math.max(0, Math.min(1440 - gridStep, Math.floor(point.minute / gridStep) * gridStep));
      const startWall = point.day * DAY + (allDay ? 0 : minute * MINUTE);
      return {
        key: undefined,
        title: todo.title,
        colour: calendar(todo.calendarId)?.colour ?? 'slate',
        mark: calendar(todo.calendarId)?.mark ?? '',
        calendarId: todo.calendarId,
        startWall,
        endWall: startWall + (allDay ? DAY : todo.minutes * MINUTE),
        allDay,
        copy: false,
        settling: false,
      };
    };
    return takeCarried({
      show: (todo, x, y) => setGhost(ghostAt(todo, x, y)),
      drop: (todo, x, y) => {
        // What is dropped is what was shown.
        const ghost = useGhost.getState().ghost ?? ghostAt(todo, x, y);
        setGhost(null);
        if (!ghost) return false;
        latest.current.giveTime(todo.key, todo.minutes, ghost.startWall, ghost.allDay);
        return true;
      },
      leave: () => setGhost(null),
    });
  }, [frame]);
}
