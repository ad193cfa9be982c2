export { BackupOffer } from './BackupOffer';
export { chooseFiles, IMPORTABLE, saveBackup, saveFile, writtenDaysOff } from './files';
export { ImportHost } from './ImportHost';
export { useImport } from './useImport';
