export { PlanScreen } from './PlanScreen';
export { preloadSheets } from './PlanSheets';
export { preloadViews } from './PlanView';
