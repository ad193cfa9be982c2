export { TidyScreen } from './TidyScreen';
