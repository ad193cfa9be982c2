export { openDatabase } from './database';
export { NewerDataError } from './load';
export { StoreContext, useCalendars, useOpenStore, useSettings, useSnapshot } from './react/StoreContext';
export { useDays } from './react/useDays';
export { useNow, useNowWall } from './react/useNow';
export { openStore, type StartData } from './start';
export { workerFiles as calendarFiles } from '@/engine/client';
export type { DaysAnswer } from '@/engine/engine';
export { type CommitFailure, Store } from './store';
