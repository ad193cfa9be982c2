import type { EventTime } from '@/core/model/eventTime';
import { clockNote } from '@/ui/clockNotes';
import { AppText } from '@/ui/primitives/AppText';

/** What a clock change makes of a start and an end, if anything. */
export function ClockNotes({ start, end }: { start: EventTime; end: EventTime }) {
  const notes = [clockNote(start), clockNote(end)].flatMap((note) => note ?? []);
  if (notes.length === 0) return null;
  return (
    <>
      {notes.map(({ text }) => (
        <AppText key={text} size="small" tone="accent" role="status">
          {text}
        </AppText>
      ))}
    </>
  );
}
