export { chooseFile, fileNameOf, saveFile } from './files';
export { ImportHost } from './ImportHost';
export { useImport } from './useImport';
