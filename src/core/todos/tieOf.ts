import type { EntryBase } from '../model/entryBase';
import { isParent, occurrenceOfParent } from '../model/relatedTo';

/** A text that is equal for what is tied to the same to-do, or to the same date of a series of them. */
export const tieText = (uid: string, key: string | undefined): string =>
  key === undefined ? uid : `${uid}|${key}`;

/** Which to-do an entry is time for; undefined for none. */
export function tieOf({ relatedTo }: Pick<EntryBase, 'relatedTo'>): string | undefined {
  const parent = relatedTo?.find(isParent);
  return parent && tieText(parent.uid, occurrenceOfParent(parent));
}
