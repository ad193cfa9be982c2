export { BatchPanel } from './BatchPanel';
export { PatchDetails } from './PatchDetails';
