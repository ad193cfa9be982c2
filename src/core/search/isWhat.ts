import { type Entry, isDated, isTodo } from '../model/entry';
import { instantOf } from '../time/eventTime';
import { isSettled } from '../schedule/standing';
import { dueOf } from '../todos/todoSpan';
import type { IsWord } from './searchQuery';

/** When and where it is asked: what is overdue hangs on it. */
interface Asked {
  readonly zone: string;
  readonly now: number;
}

const isSeries = ({ recurrence, seriesId }: Entry): boolean => !!recurrence || seriesId !== undefined;
const isOpenTodo = (entry: Entry): boolean => isTodo(entry) && !isSettled(entry);

/** Whether an entry is what is asked for by each word. */
const IS: Readonly<Record<IsWord, (entry: Entry, asked: Asked) => boolean>> = {
  series: isSeries,
  single: (entry) => !isSeries(entry),
  event: ({ kind }) => kind === 'event',
  todo: isTodo,
  open: isOpenTodo,
  done: (entry) => isTodo(entry) && isSettled(entry),
  // Of a series each date is due by itself.
  overdue: (entry, { zone, now }) =>
    isOpenTodo(entry) &&
    !entry.recurrence &&
    isDated(entry) &&
    dueOf(entry) !== undefined &&
    instantOf(entry.end, zone) <= now,
};

/** Whether an entry is what a word after `is:` asks for. */
export const isWhat = (word: IsWord, entry: Entry, asked: Asked): boolean => IS[word](entry, asked);
