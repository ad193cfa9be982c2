export { PlanScreen, preloadPanels } from './PlanScreen';
export { PresetsButton } from './presets/PresetsButton';
export { PlanSheets, preloadSheets } from './PlanSheets';
export { PlanSide } from './PlanSide';
export { preloadViews } from './PlanView';
