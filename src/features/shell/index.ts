export { AppShell } from './AppShell';
export { NotFound } from './NotFound';
export { peopleScreen, printScreen, smallScreen, setupScreen, tidyScreen, todosScreen } from './placeScreens';
export { StoreGate } from './StoreGate';
