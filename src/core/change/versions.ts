import type { EntryBase } from '../model/entry';
import type { ChangeContext } from './patch';

/** The UID of what is made here under an id (RFC 5545 3.8.4.7). */
export const uidOf = (id: string): string => `${id}@orderly-week`;

/** What a new entry is known by: fresh ids, and that it was never changed (SEQUENCE, RFC 5545 3.8.7.4). */
export function freshVersion(
  context: ChangeContext,
): Pick<EntryBase, 'id' | 'uid' | 'sequence' | 'created' | 'modified'> {
  const id = context.newId();
  return { id, uid: uidOf(id), sequence: 0, created: context.now, modified: context.now };
}

/** A copy of an entry with an id and a UID of its own. */
export const freshCopy = <Kept extends EntryBase>(entry: Kept, context: ChangeContext): Kept => ({
  ...entry,
  ...freshVersion(context),
});

/** An entry as it is after a change that others are told of: a later version of itself. */
export const touched = <Kept extends EntryBase>(entry: Kept, context: ChangeContext): Kept => ({
  ...entry,
  sequence: entry.sequence + 1,
  modified: context.now,
});
