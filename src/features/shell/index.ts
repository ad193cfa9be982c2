export { AppShell } from './AppShell';
export { NotFound } from './NotFound';
export { peopleScreen, printScreen, setupScreen, tidyScreen, todosScreen } from './placeScreens';
export { StoreGate } from './StoreGate';
