import { OwnNote, ownNoteId } from '../model/ownNote';
import type { State } from '../model/state';
import { parseKept } from '../model/unknownFields';
import { type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** The person's own note on an entry of a feed. */
export const ownNoteOf = (state: State, entry: { calendarId: string; uid: string }): OwnNote | undefined =>
  state.ownNotes.get(ownNoteId(entry.calendarId, entry.uid));

/** Keeps a note of the person's own on an entry; an empty text takes it away. */
export function keepOwnNote(
  state: State,
  entry: { calendarId: string; uid: string; title: string },
  text: string,
  context: ChangeContext,
): Patch {
  const before = ownNoteOf(state, entry);
  const { calendarId, uid } = entry;
  const note = { id: ownNoteId(calendarId, uid), calendarId, uid, text: text.trim(), modified: context.now };
  const changes =
    note.text === ''
      ? before
        ? [remove('ownNotes', before)]
        : []
      : note.text === before?.text
        ? []
        : [put(state, 'ownNotes', parseKept(OwnNote, note))];
  return makePatch(context, { what: 'note-kept', count: 1, name: entry.title }, changes);
}
