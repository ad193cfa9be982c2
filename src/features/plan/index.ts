export { PlanScreen } from './PlanScreen';
