export { type FilesFailure } from './attachmentFiles';
export { followCollections } from './followCollections';
export { askServer } from './askServer';
export { holdLock, underLock } from './holdLock';
export { NewerDataError } from './meta';
export { meetingRooms } from './meetingRooms';
export { newSecret } from './newSecret';
export {
  StoreContext,
  useCalendarKinds,
  useCalendars,
  useListedCalendars,
  useOpenStore,
  useSettings,
  useSnapshot,
  useWritableCalendars,
} from './react/StoreContext';
export { engineQuestion, followingData, useEngineAnswer, useFollowedEngine } from './react/engineQuestions';
export { type ChecksProgress, useChecks } from './react/useChecks';
export { type DaysOptions, useDays, useDaysQuery, useLeftOut } from './react/useDays';
export { useDaysOff } from './react/useDaysOff';
export { useCategoryColours, useFolded, usePeople, usePeriodSets, usePresets } from './react/useLists';
export { useLoads, usePreparedLoads, useRangeLoads } from './react/useLoads';
export { useNow, useNowWall } from './react/useNow';
export { useDueByDay, useTodoItems } from './react/useTodoItems';
export { useForecasts } from './react/useForecasts';
export { type DayWeather, useWeather } from './react/useWeather';
export { useFoundTodos, useSearch } from './react/useSearch';
export { readRecordText, type SetAside } from './aside';
export { useAside, useStoragePersists, useTroubled } from './react/useAside';
export { hasPageStorage } from './pageStorage';
export { remindersQuery } from './remindersQuery';
export { openPlainly, openStore } from './start';
export { countStart, MOST_STARTS, startWorked } from './startCount';
export { endFiles, workerFiles as calendarFiles } from '@/engine/client';
export type { DaysAnswer, FoundDouble } from '@/engine/engine';
export type { ReadTable } from '@/engine/files';
export { Store, type Turn } from './store';
