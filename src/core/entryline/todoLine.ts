import type { TodoFields } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { DAY, MINUTE } from '../time/civil';
import { atWall, wallOf } from '../time/eventTime';
import { todoSpan } from '../todos/todoSpan';
import type { EntryLineContext } from './lineContext';
import type { EntryLineDraft } from './parseEntryLine';

/** The word that makes a line a to-do. */
const PREFIX = /^\s*to-?do\b[:,]?\s*/i;
/** Words before the day that something is due on. */
const BY = /\b(?:due|by)(?: on)?\s+(?=\S)/gi;
/** A sign by itself that says that it is important. */
const IMPORTANT = /(^|\s)!{1,3}(?=\s|$)/;
/** The priority that the sign stands for (RFC 5545 3.8.1.9). */
const HIGH = 1;

/** A line that was read as a to-do. */
export interface TodoLine {
  readonly fields: Omit<TodoFields, 'calendarId'>;
  /** The calendar that it names. */
  readonly calendarId: string | undefined;
  readonly draft: EntryLineDraft;
}

/** Whether a line is to make a to-do: "todo order rope by Friday". */
export const isTodoLine = (line: string): boolean => PREFIX.test(line);

const lastDayOf = ({ start, end }: EntryLineDraft): EventTime =>
  start.kind === 'date' ? atWall(start, Math.max(wallOf(start), wallOf(end) - DAY)) : start;

/** When a draft says that something is due: a moment where it says a time, else the day. */
function dueOfDraft(draft: EntryLineDraft): EventTime | undefined {
  const { said, start } = draft;
  if (said.includes('time') && start.kind !== 'date') return start;
  if (!said.includes('day') && !draft.recurrence) return undefined;
  if (start.kind === 'date') return lastDayOf(draft);
  return { kind: 'date', date: start.local.slice(0, 10) };
}

/**
 * Reads a line of ordinary words as a to-do, with or without the word that says so: by when, how long it takes, a "!" by
 * itself for what is important, and what an entry line says beside.
 * @param parse reads an entry line
 */
export function readTodoLine(
  parse: (line: string, context: EntryLineContext) => EntryLineDraft,
  line: string,
  context: EntryLineContext,
): TodoLine {
  const isImportant = IMPORTANT.test(line);
  const words = line.replace(PREFIX, '').replace(IMPORTANT, '$1').trim();
  const plain = words.replaceAll(BY, '');
  // "by" stands before a day, or belongs to what is to be done.
  const within = parse(plain, context);
  const draft = plain !== words && dueOfDraft(within) ? within : parse(words, context);
  const span = todoSpan(dueOfDraft(draft), undefined);
  const minutes = (wallOf(draft.end) - wallOf(draft.start)) / MINUTE;
  const estimate = draft.said.includes('length') && draft.start.kind !== 'date' ? Math.round(minutes) : 0;
  return {
    draft,
    calendarId: draft.calendarId,
    fields: {
      title: draft.title,
      classification: draft.classification ?? 'public',
      status: 'needs-action',
      categories: [...draft.categories],
      notes: '',
      url: draft.url ?? '',
      location: draft.location,
      ...span,
      ...(draft.recurrence && span.start ? { recurrence: draft.recurrence } : {}),
      ...(draft.reminders ? { reminders: [...draft.reminders] } : {}),
      ...(estimate > 0 ? { estimate } : {}),
      ...(isImportant ? { priority: HIGH } : {}),
    },
  };
}
