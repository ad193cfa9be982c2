export { AppShell } from './AppShell';
export { NotFound } from './NotFound';
export { StoreGate } from './StoreGate';
