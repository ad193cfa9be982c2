import { changesRule, todoFieldsSeenAt, writtenUpon } from '@/core/change/entryChanges';
import { changeTodo, createTodo, setDone, setPartDone } from '@/core/change/todos/todoChanges';
import { giveTime } from '@/core/change/todos/giveTime';
import { type Scope, SCOPES, type Target, targetOfKey } from '@/core/change/target';
import type { TodoFields } from '@/core/model/entry';
import { DAY } from '@/core/time/civil';
import type { InstantRange } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { type TodoItem, todoItems, todosOf } from '@/core/todos/currentTodo';
import { words } from '@/ui/words';
import type { CommandPipeline } from './commandPipeline';

/** A rule belongs to more than one: who edits it is not asked for just this one. */
const SEVERAL: readonly Scope[] = ['later', 'every'];

/** What is done to one to-do: made, done, opened again, changed. */
export const todoCommands = ({ state, context, perform, performAt, refuse }: CommandPipeline) => ({
  createTodo: (fields: TodoFields): boolean => perform(createTodo(state(), fields, context())) !== undefined,
  setDone: (key: string, isDone: boolean): boolean =>
    perform(setDone(state(), targetOfKey(key), isDone, context())) !== undefined,
  setPartDone: (key: string, at: number, isDone: boolean): boolean =>
    perform(setPartDone(state(), targetOfKey(key), at, isDone, context())) !== undefined,
  /** Gives times to to-dos as they stand in lists, by their keys; whether that was done. */
  giveTime(times: readonly (InstantRange & { readonly key: string })[]): boolean {
    const { zone, now } = context();
    const items = todoItems(todosOf(state()), Math.floor(instantToWall(zone, now) / DAY), zone);
    const found = new Map<string, TodoItem>(items.map((item) => [item.key, item]));
    const given = times.flatMap(({ key, start, end }) => {
      const item = found.get(key);
      return item ? { item, start, end } : [];
    });
    if (given.length < times.length) {
      refuse(words.refusals['entry-missing']);
      return false;
    }
    return perform(giveTime(state(), given, context())) !== undefined;
  },
  /** Sets what was written upon the fields that it began with. */
  async changeTodo(target: Target, written: TodoFields, before: TodoFields): Promise<boolean> {
    const upon = () => {
      const now = todoFieldsSeenAt(state(), target, context());
      return now ? writtenUpon(now, before, written) : written;
    };
    const scopes = changesRule(state(), target, upon(), context()) ? SEVERAL : SCOPES;
    const draft = (scope: Scope) => changeTodo(state(), target, upon(), scope, context());
    return (await performAt(target, { about: 'change', scopes }, draft)) !== undefined;
  },
});
