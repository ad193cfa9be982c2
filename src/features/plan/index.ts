export { PlanScreen, preloadPanels } from './PlanScreen';
export { PlanSheets, preloadSheets } from './PlanSheets';
export { PlanSide } from './PlanSide';
export { preloadViews } from './PlanView';
