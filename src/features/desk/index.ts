export { Desk } from './Desk';
