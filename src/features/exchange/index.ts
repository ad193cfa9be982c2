/**
 * Calendars in and out, as one script that comes later: the parts below share much, and whoever shows one of them fetches
 * this with `later`.
 */
export {
  AttachmentList,
  AttachmentSection,
  EntryAttachments,
  type PickedFiles,
} from '@/features/attachments';
export { CalendarList, CategorySection, HuePicker } from '@/features/calendars';
export { FeedHost } from '@/features/feeds';
export { PublishHost } from '@/features/publish';
