import { todoItems, todosOf } from '@/core/todos/currentTodo';
import { DAY } from '@/core/time/civil';
import { useWorkspace, workspace } from '@/features/workspace';
import { useNowWall, useSettings, useSnapshot } from '@/store';
import { GiveTimeSheet } from './place/GiveTimeSheet';
import { TodoSheet } from './TodoSheet';

/** The sheet of the to-do that is open, over every place. */
export function TodoHost() {
  const todo = useWorkspace((state) => state.todo);
  if (!todo) return null;
  return todo.as === 'time' ? (
    <TimeOf key={todo.key} todoKey={todo.key} />
  ) : (
    <TodoSheet key={todo.key} todoKey={todo.key} onClose={workspace.closeTodo} />
  );
}

function TimeOf({ todoKey }: { todoKey: string }) {
  const { homeZone } = useSettings();
  const todos = useSnapshot(({ state }) => todosOf(state));
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const item = todoItems(todos, today, homeZone).find(({ key }) => key === todoKey);
  return item ? <GiveTimeSheet item={item} onClose={workspace.closeTodo} /> : null;
}
