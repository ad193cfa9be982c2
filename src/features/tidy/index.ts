export { CheckHost } from './checks/CheckHost';
export { TidyScreen } from './TidyScreen';
