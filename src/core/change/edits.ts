import { type Dated, type Entry, isDated } from '../model/entry';
import type { Refusal } from './shift';

/** Makes another entry of an entry, or says why it can't. */
export type Edit = (entry: Entry) => Entry | Refusal;

/** An edit of what has a span; what has none is refused. */
export const editDated =
  (edit: (entry: Dated) => Entry | Refusal): Edit =>
  (entry) =>
    isDated(entry) ? edit(entry) : 'no-date';
