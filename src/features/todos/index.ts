export { TodosScreen } from './TodosScreen';
