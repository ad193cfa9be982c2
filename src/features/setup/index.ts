export { SetupScreen } from './SetupScreen';
