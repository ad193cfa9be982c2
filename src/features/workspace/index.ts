export { type Commands, summaryText, useCommands } from './useCommands';
export { type PlanAddress, usePlanAddress } from './usePlanAddress';
export { type Editing, type Notice, useWorkspace, workspace } from './workspace';
