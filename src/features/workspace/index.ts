export { type Commands, summaryText, useCommands } from './useCommands';
export { useFolding } from './useFolding';
export { type PlanAddress, usePlanAddress } from './usePlanAddress';
export { WeekStartField } from './WeekStartField';
export { type Editing, type Notice, type PlanSheet, useWorkspace, workspace } from './workspace';
