export { type Commands, failureText, summaryText, useCommands } from './useCommands';
export { DraftBar } from './DraftBar';
export { keepDrafts } from './keptDrafts';
export { useFolding } from './useFolding';
export { useReveal } from './useReveal';
export { type PlanAddress, usePlanAddress } from './usePlanAddress';
export { WeekStartField } from './WeekStartField';
export { type Editing, type Notice, type PlanSheet, useWorkspace, workspace } from './workspace';
export { letGoOfUppermost, type Side, sideOf } from './side';
