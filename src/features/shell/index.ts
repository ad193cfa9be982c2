export { AppShell } from './AppShell';
export { StoreGate } from './StoreGate';
