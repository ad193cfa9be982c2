export { DueTodos } from './DueTodos';
export { TiedTodo } from './TiedTodo';
export { TodosColumn } from './TodosColumn';
export { TodosScreen } from './TodosScreen';
export { TodoHost } from './TodoHost';
export { TodoPanel } from './TodoPanel';
