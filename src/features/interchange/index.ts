export { chooseFile, exportCalendar } from './files';
export { ImportHost } from './ImportHost';
export { useImport } from './useImport';
