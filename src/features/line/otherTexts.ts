import type { EntryLineContext, EntryLineDraft, UnderstoodPart } from '@/core/entryline/parseEntryLine';
import { dayOfDraft, timeOfDraft } from './partText';

/** Another meaning of a part, and the habit that takes it from now on. */
export interface OtherReading {
  readonly part: UnderstoodPart;
  readonly pattern: string;
  readonly choice: string;
  readonly text: string;
}

/** The other meanings of a draft's parts, as their chips say them. */
export function otherTexts(
  parse: (line: string, context: EntryLineContext) => EntryLineDraft,
  line: string,
  draft: EntryLineDraft,
  context: EntryLineContext,
): OtherReading[] {
  return draft.doubts.flatMap(({ part, pattern, choices }) =>
    choices.slice(1).map((choice) => {
      const other = parse(line, { ...context, habits: { ...context.habits, [pattern]: choice } });
      return { part, pattern, choice, text: part === 'time' ? timeOfDraft(other) : dayOfDraft(other) };
    }),
  );
}
