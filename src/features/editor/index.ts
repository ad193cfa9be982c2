import { editorExtras } from './lazyExtras';

export { Editor } from './Editor';
export const preloadExtras = editorExtras.fetchAhead;
