export { Editor } from './Editor';
