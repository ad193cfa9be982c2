import { PLACES } from '@/features/shell';

export default PLACES.todos.Screen;
