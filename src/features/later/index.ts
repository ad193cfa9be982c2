/**
 * What the first view does not need, as one script that comes later: its parts share much, and whoever shows one of them
 * fetches this with `later`.
 */
export { EntryAttachments } from '@/features/attachments';
export { BatchPanel } from '@/features/batch';
export { Editor } from '@/features/editor';
export { FeedHost } from '@/features/feeds';
export { ExportSheet, ImportSheet } from '@/features/interchange/later';
export { MessageHost } from '@/features/messages';
export {
  ColleagueHost,
  ColleaguesSheet,
  EntryInvitation,
  InvitationHost,
  PeopleScreen,
} from '@/features/people';
export { NewVersionLine } from '@/features/offline';
export { MapLink, PlaceHost } from '@/features/places';
export { PresetsSheet } from '@/features/plan/later';
export { PublishHost } from '@/features/publish';
export { ReminderHost } from '@/features/reminders';
export { SmallScreen } from '@/features/small';
export { SetupScreen } from '@/features/setup';
export { CheckHost, TidyScreen } from '@/features/tidy';
export { DueTodos, TiedTodo, TodoHost, TodoPanel, TodosColumn, TodosScreen } from '@/features/todos';
