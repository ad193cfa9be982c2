export { PrintScreen } from './PrintScreen';
