import { later } from '@/ui/later';

/** The colour and the files of an entry. Their script comes after the editor's. */
export const editorExtras = later(() => import('./EditorExtras').then((module) => module.EditorExtras));
