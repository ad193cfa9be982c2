export { AttachmentList } from './AttachmentList';
export { AttachmentSection } from './AttachmentSection';
export { EntryAttachments } from './EntryAttachments';
export { type PickedFiles, readPicked } from './pickedFiles';
