import type { Move } from '@/core/change/moveEntry';
import { DAY, MINUTE } from '@/core/time/civil';

/** Why an arrow key does nothing with an entry. The interface has the words. */
export type KeyRefusal = 'days-move-sideways' | 'days-stretch-sideways' | 'hours-stretch-upright';

/**
 * What Alt and an arrow key do with an entry: hours move by the grid step or a day and stretch by the grid step, whole
 * days move and stretch by days. Or why they do nothing.
 */
export function moveOfKey(
  { key, shiftKey }: Pick<KeyboardEvent, 'key' | 'shiftKey'>,
  allDay: boolean,
  gridStep: number,
): Move | KeyRefusal | undefined {
  const direction = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[key];
  if (direction === undefined) return undefined;
  const sideways = key === 'ArrowLeft' || key === 'ArrowRight';
  if (allDay && !sideways) return shiftKey ? 'days-stretch-sideways' : 'days-move-sideways';
  if (shiftKey && !allDay && sideways) return 'hours-stretch-upright';
  const by = direction * (sideways ? DAY : gridStep * MINUTE);
  return shiftKey ? { kind: 'stretch', edge: 'end', by } : { kind: 'shift', by };
}
