import { useState } from 'react';
import { changeSettings } from '@/core/change/calendarChanges';
import type { OtherReading, UnderstoodPart } from '@/core/entryline/parseEntryLine';
import type { LineChange } from '@/core/entryline/rewriteLine';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import type { Anchor } from '@/ui/primitives/Popover';
import type { ReadLine } from './lineFields';
import type { Grammar } from './useLineReader';

/** What a chip does: opens the picker of its part, writes what is picked into the line, or gives its words to the title. */
export function useCorrections({
  line,
  reading,
  grammar,
  today,
  write,
  keep,
}: {
  line: string;
  reading: ReadLine | null;
  grammar: Grammar | undefined;
  today: number;
  write: (line: string) => void;
  /** Keeps pieces of the line in the title. */
  keep: (pieces: readonly string[]) => void;
}) {
  const { store } = useOpenStore();
  const { lineHabits } = useSettings();
  const { commit, context } = useCommands();
  const [picked, setPicked] = useState<{ part: UnderstoodPart; anchor: Anchor } | null>(null);
  const close = () => setPicked(null);
  const pieces =
    reading?.draft.spans
      .filter(({ parts }) => picked !== null && parts.includes(picked.part))
      .map(({ from, to }) => line.slice(from, to).trim()) ?? [];
  return {
    picked,
    open: (part: UnderstoodPart, anchor: Anchor) => setPicked({ part, anchor }),
    close,
    correct: (change: LineChange) => {
      if (reading && grammar) write(grammar.rewriteLine(line, reading.draft, change, today));
      close();
    },
    /** Not there for what was only filled in: it has no words. */
    keepInTitle:
      pieces.length === 0
        ? undefined
        : () => {
            keep(pieces);
            close();
          },
    takeOther: ({ pattern, choice }: OtherReading) => {
      const { state } = store.getSnapshot();
      commit(changeSettings(state, { lineHabits: { ...lineHabits, [pattern]: choice } }, context()));
    },
  };
}
