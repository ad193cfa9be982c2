export { SearchPanel } from './SearchPanel';
