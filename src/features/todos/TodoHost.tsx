import { useEffect } from 'react';
import { useWorkspace, workspace } from '@/features/workspace';
import { useTodoItems } from '@/store';
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
  const item = useTodoItems().items.find(({ key }) => key === todoKey);
  const isGone = item === undefined;
  useEffect(() => {
    if (isGone) workspace.closeTodo();
  }, [isGone]);
  return item ? <GiveTimeSheet item={item} onClose={workspace.closeTodo} /> : null;
}
