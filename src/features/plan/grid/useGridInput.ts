import type { Calendar } from '@/core/model/calendar';
import { type CardOrder, tabbableKeyOf } from './cardOrder';
import { useCardKeys } from './useCardKeys';
import { useCarriedTodo } from './useCarriedTodo';
import { type GridActions, type GridGeometry, useGridDrag } from './useGridDrag';
import type { GridView } from './useGridView';
import { useLasso } from './useLasso';

/** How a view lies under the hand, and in which order the keys walk its cards. */
interface GridHand extends Pick<GridGeometry, 'pointAt' | 'gridStep' | 'timeAxis'> {
  readonly order: CardOrder;
  readonly draftCalendar: Calendar | undefined;
  readonly actions: GridActions;
}

/**
 * Pressing, dragging and keys over the cards of a view.
 * @returns the card that the Tab key leads to, and the listener for keys on cards
 */
export function useGridInput(
  view: GridView,
  { order, actions, draftCalendar, ...geometry }: GridHand,
): { tabbableKey: string | undefined; onCardKey: (event: KeyboardEvent) => void } {
  const { frame, scroller, byKey, calendarsById, answer, selectedKeys } = view;
  const whole: GridGeometry = {
    ...geometry,
    occurrence: (key) => byKey.get(key),
    calendar: (id) => calendarsById.get(id),
    draftCalendar,
  };
  useGridDrag({ frame, scroller }, whole, actions);
  useCarriedTodo(frame, whole, actions.giveTime);
  useLasso(frame, scroller);
  const onCardKey = useCardKeys(frame, order, actions, answer);
  return { tabbableKey: tabbableKeyOf(order, selectedKeys), onCardKey };
}
