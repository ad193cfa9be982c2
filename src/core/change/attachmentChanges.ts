import type { Attachment } from '../model/attachment';
import type { State } from '../model/state';
import { type Change, type ChangeContext, makePatch, type Patch, put } from './patch';
import { touched } from './versions';

/** An attachment with the first of the entries that bear it. */
export interface AttachmentUse {
  readonly attachment: Attachment;
  readonly entryId: string;
  readonly title: string;
  /** How many entries bear it: a copy shares the file of its original. */
  readonly count: number;
}

/** All attachments over all entries, largest first. */
export function attachmentsBySize(state: State): AttachmentUse[] {
  const uses = new Map<string, AttachmentUse>();
  for (const entry of state.entries.values())
    for (const attachment of entry.attachments ?? []) {
      const known = uses.get(attachment.id);
      uses.set(
        attachment.id,
        known
          ? { ...known, count: known.count + 1 }
          : { attachment, entryId: entry.id, title: entry.title, count: 1 },
      );
    }
  return [...uses.values()].sort(
    (a, b) => b.attachment.size - a.attachment.size || a.attachment.name.localeCompare(b.attachment.name),
  );
}

/** Takes attachments off all entries that bear them. */
export function removeAttachments(state: State, ids: ReadonlySet<string>, context: ChangeContext): Patch {
  const changes: Change[] = [];
  for (const entry of state.entries.values()) {
    if (!entry.attachments?.some(({ id }) => ids.has(id))) continue;
    const attachments = entry.attachments.filter(({ id }) => !ids.has(id));
    const { attachments: _, ...rest } = touched(entry, context);
    changes.push(put(state, 'entries', { ...rest, ...(attachments.length > 0 ? { attachments } : {}) }));
  }
  return makePatch(context, { what: 'attachments-removed', count: ids.size }, changes);
}

/** The ids of attachments that entries of a patch name. */
export const filesNamed = (patch: Pick<Patch, 'changes'>): Set<string> =>
  new Set(
    patch.changes.flatMap((change) => {
      if (change.collection === 'entries') return (change.after?.attachments ?? []).map(({ id }) => id);
      return change.collection === 'bin' ? (change.after?.entry.attachments ?? []).map(({ id }) => id) : [];
    }),
  );
