import { importanceOf, IMPORTANCES } from '../fields/importance';
import type { State } from '../model/state';
import { DAY } from '../time/civil';
import { atWall, instantOf, wallOf } from '../time/eventTime';
import type { TodoItem } from './currentTodo';
import { isSettled } from '../schedule/standing';
import type { Work } from './placeTodos';
import { beginningOf } from './todoSpan';
import { minutesLeft, tiesOf, tieOfItem } from './todoTies';

/**
 * What of to-dos in a list still wants time: of an estimate what has none yet, of one without estimate the usual minutes if
 * it has no time at all. What is done or called off wants none.
 * @param zone in which dates and floating times are read
 */
export function worksOf(
  state: Pick<State, 'entries'>,
  items: readonly TodoItem[],
  usualMinutes: number,
  zone: string,
): Work[] {
  const { times } = tiesOf(state);
  return items.flatMap((item) => {
    const { key, todo, start, due } = item;
    if (isSettled(todo)) return [];
    const minutes = minutesLeft(state, item, zone) ?? (times.has(tieOfItem(item)) ? 0 : usualMinutes);
    if (minutes <= 0) return [];
    const beginning = beginningOf({ ...todo, ...(start ? { start } : {}) });
    return {
      key,
      minutes,
      from: beginning ? instantOf(beginning, zone) : -Infinity,
      due: due ? instantOf(due.kind === 'date' ? atWall(due, wallOf(due) + DAY) : due, zone) : Infinity,
      rank: IMPORTANCES.indexOf(importanceOf(todo.priority)),
    };
  });
}
