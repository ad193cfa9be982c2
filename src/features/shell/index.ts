export { AppShell } from './AppShell';
export { NotFound } from './NotFound';
export { PLACES, printScreen, smallScreen } from './placeDescriptors';
export { StoreGate } from './StoreGate';
