export { PlanScreen, preloadPanels } from './PlanScreen';
export { preloadSheets } from './PlanSheets';
export { preloadViews } from './PlanView';
