export { PrintScreen } from './PrintScreen';
export { type PaperTable, TablePrint } from './TablePrint';
