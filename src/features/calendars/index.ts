export { CalendarList } from './CalendarList';
export { CategorySection } from './CategorySection';
export { HuePicker } from './HuePicker';
