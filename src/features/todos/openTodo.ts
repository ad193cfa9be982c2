import type { TodoItem } from '@/core/todos/currentTodo';
import { workspace } from '@/features/workspace';

/** Opens the form of a to-do in a list. */
export const openTodo = ({ key }: TodoItem): void => workspace.openTodo(key);

/** Opens the sheet that gives a to-do in a list a time. */
export const giveTodoTime = ({ key }: TodoItem): void => workspace.openTodo(key, 'time');
