export { type Commands, useCommands } from './useCommands';
export { agoText, failureText, summaryText } from './summaryText';
export {
  type Colleagues,
  isColleagueLane,
  NO_COLLEAGUES,
  showColleagues,
  useColleagues,
  withColleagues,
} from './colleagues';
export { type CarriedTodo, carryTarget, takeCarried } from './carriedTodo';
export { DraftBar } from './DraftBar';
export { keepDrafts } from './keptDrafts';
export { useKeepGlance } from './useKeepGlance';
export { useFolding } from './useFolding';
export { useReveal } from './useReveal';
export { type PlanAddress, usePlanAddress } from './usePlanAddress';
export { WeekStartField } from './WeekStartField';
export { type Editing, type Notice, useWorkspace, workspace } from './workspace';
export { letGoOfUppermost, type Side, sideOf } from './side';
export { type FileTaker, filesLeft, isSent, takeSentFiles } from './fileTaker';
export { noteNoticePlace, useNoticePlace } from './noticePlace';
export { PLACE_PATHS, type PlaceName } from './placePaths';
