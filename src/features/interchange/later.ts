/** What of this comes later, with the script of `features/later`. */
export { BackupSection } from './BackupSection';
export { ExportSheet } from './ExportSheet';
export { ImportSheet } from './ImportSheet';
