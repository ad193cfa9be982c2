export { SmallScreen } from './SmallScreen';
