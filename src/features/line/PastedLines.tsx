import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { EntryLineDraft } from '@/core/entryline/parseEntryLine';
import type { Calendar } from '@/core/model/calendar';
import { cityOf } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { partsShown } from './partText';
import { problemText } from './problemText';
import type { Grammar, LineReader } from './useLineReader';

const said = words.line.pasted;
/** More are read as a file: each would be looked at by nobody. */
const MOST_LINES = 100;

/** What a line means beside its title. */
const saidInWords = (draft: EntryLineDraft, calendar: Calendar | undefined, zone: string): string =>
  calendar
    ? partsShown(draft, {
        calendar,
        viewZone: zone,
        zoneName: draft.start.kind === 'zoned' ? cityOf(draft.start.zone) : '',
      })
        .map(({ text }) => text)
        .join(' · ')
    : words.line.noCalendar;

/** The lines as they are read, and which of them entries are made of: at first all that say enough for one. */
function useChosenLines(lines: readonly string[], grammar: Grammar, read: LineReader) {
  const all = useMemo(
    () => lines.slice(0, MOST_LINES).map((line) => ({ line, ...read(grammar, line) })),
    [lines, grammar, read],
  );
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const chosen = all.map(({ draft, fields }, index) =>
    left.has(index) || draft.title === '' ? undefined : fields,
  );
  const toggle = (index: number) => {
    const next = new Set(left);
    if (!next.delete(index)) next.add(index);
    setLeft(next);
  };
  return { all, chosen, toggle };
}

/** Several lines that were pasted: what each of them means, before entries are made of them in one step. */
export function PastedLines({
  lines,
  grammar,
  read,
  zone,
  onOne,
  onClose,
}: {
  lines: readonly string[];
  grammar: Grammar;
  read: LineReader;
  zone: string;
  /** Takes all of it as one line, where that is not too long. */
  onOne: (() => void) | undefined;
  onClose: () => void;
}) {
  const { createAll } = useCommands(zone);
  const { all, chosen, toggle } = useChosenLines(lines, grammar, read);
  const taken = chosen.filter((fields) => fields !== undefined);
  return (
    <Sheet
      title={said.title(lines.length)}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      footer={
        <>
          {onOne ? <Button label={said.asOne} onPress={onOne} /> : null}
          <Button
            kind="primary"
            label={said.go(taken.length)}
            disabled={taken.length === 0}
            onPress={() => {
              if (createAll(taken)) onClose();
            }}
          />
        </>
      }
    >
      <AppText tone="quiet">{said.hint}</AppText>
      {lines.length > MOST_LINES ? (
        <AppText tone="accent" role="status">
          {said.tooMany(MOST_LINES, lines.length - MOST_LINES)}
        </AppText>
      ) : null}
      {all.map(({ line, draft, calendar }, index) => (
        <PastedLine
          key={index}
          line={line}
          draft={draft}
          said={saidInWords(draft, calendar, zone)}
          isTaken={chosen[index] !== undefined}
          onToggle={() => toggle(index)}
        />
      ))}
    </Sheet>
  );
}

/** One of the lines: what it means, what is wrong with it, and whether an entry is made of it. */
function PastedLine({
  line,
  draft,
  said: means,
  isTaken,
  onToggle,
}: {
  line: string;
  draft: EntryLineDraft;
  said: string;
  isTaken: boolean;
  onToggle: () => void;
}) {
  return (
    <View testID="pasted-line">
      <Check label={draft.title || line} checked={isTaken} onChange={onToggle}>
        <View style={styles.words}>
          <AppText weight="700" numberOfLines={2}>
            {draft.title || line}
          </AppText>
          <AppText size="small" tone="quiet" figures>
            {means}
          </AppText>
          {draft.title === '' ? (
            <AppText size="small" tone="error">
              {said.noTitle}
            </AppText>
          ) : null}
          {draft.problems.map((problem) => (
            <AppText key={problem.text} size="small" tone="accent">
              {problemText(problem)}
            </AppText>
          ))}
        </View>
      </Check>
    </View>
  );
}

const styles = StyleSheet.create({ words: { paddingVertical: space(1) } });
