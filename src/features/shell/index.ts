export { AppShell } from './AppShell';
export { NotFound } from './NotFound';
export { printScreen, setupScreen, tidyScreen } from './placeScreens';
export { StoreGate } from './StoreGate';
