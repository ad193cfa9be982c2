import { later } from '@/ui/later';
import { importSheet } from './ImportHost';

export { BackupOffer } from './BackupOffer';
export { chooseFiles, IMPORTABLE, saveBackup, saveFile, writtenDaysOff } from './files';
export { ImportHost } from './ImportHost';
export { useImport } from './useImport';

/** The sheet that saves entries to a file. Its script comes when it is asked for. */
export const exportSheet = later(() => import('./ExportSheet').then((module) => module.ExportSheet));
/** Backups in Setup. */
export const backupSection = later(() => import('./BackupSection').then((module) => module.BackupSection));
export const preloadInterchange = (): Promise<unknown> =>
  Promise.all([importSheet, exportSheet, backupSection].map(({ fetchAhead }) => fetchAhead()));
