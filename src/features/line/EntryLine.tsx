import { memo, type Ref, Suspense, useEffect, useImperativeHandle, useMemo, useRef, useState } from 'react';
import { StyleSheet, TextInput, useWindowDimensions, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import type { UnderstoodPart } from '@/core/entryline/parseEntryLine';
import type { LineChange } from '@/core/entryline/rewriteLine';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import type { EventFields } from '@/core/model/entry';
import { DAY } from '@/core/time/civil';
import { useCommands, useWorkspace, workspace } from '@/features/workspace';
import { importWords } from '@/features/zones';
import { useNowWall, useOpenStore, useSettings } from '@/store';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { later } from '@/ui/later';
import { Mark } from '@/ui/primitives/Mark';
import type { Anchor } from '@/ui/primitives/Popover';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { type OtherReading, otherTexts } from './otherTexts';
import { problemText } from './problemText';
import { TintedLine } from './TintedLine';
import { UnderstoodChips } from './UnderstoodChips';
import { useGrammar, useLineReader } from './useLineReader';

const partPicker = later(() => import('./PartPicker').then((module) => module.PartPicker));
const pastedLines = later(() => import('./PastedLines').then((module) => module.PastedLines));

/** Fetches what the line opens in a quiet moment, so that it works without the server later. */
export const preloadLine = (): Promise<unknown> =>
  Promise.all([partPicker.fetchAhead(), pastedLines.fetchAhead()]);

export interface EntryLineHandle {
  focus: () => void;
}

interface EntryLineProps {
  selectedDay: number;
  /** The zone of the view, in which times are meant. */
  zone: string;
  calendars: readonly Calendar[];
  target: Calendar | undefined;
  /** Shows the draft in the view while it is typed. */
  onDraft: (fields: EventFields | null) => void;
  ref?: Ref<EntryLineHandle>;
}

/** The lines of a pasted text; none where it is one line. */
const linesOf = (text: string): string[] => {
  const lines = text
    .split(/\r\n|\n|\r/)
    .map((line) => line.trim())
    .filter(Boolean);
  return lines.length > 1 ? lines : [];
};

/** One line of ordinary words makes an entry; what was understood is spelled out, and corrected, before it is saved. */
export const EntryLine = memo(function EntryLine({
  selectedDay,
  zone,
  calendars,
  target,
  onDraft,
  ref,
}: EntryLineProps) {
  const { store } = useOpenStore();
  const settings = useSettings();
  const today = Math.floor(useNowWall(zone) / DAY);
  const { create, commit, context } = useCommands();
  const line = useWorkspace((state) => state.line);
  const [problem, setProblem] = useState('');
  const [kept, setKept] = useState<readonly string[]>([]);
  const [open, setOpen] = useState<{ part: UnderstoodPart; anchor: Anchor } | null>(null);
  const [pasted, setPasted] = useState<readonly string[]>([]);
  const input = useRef<TextInput>(null);
  useImperativeHandle(ref, () => ({ focus: () => input.current?.focus() }), []);
  const grammar = useGrammar();
  const read = useLineReader({ calendars, target, zone, selectedDay, kept });
  const reading = useMemo(() => (line.trim() && grammar ? read(grammar, line) : null), [line, grammar, read]);
  const others = useMemo(
    () =>
      reading && grammar ? otherTexts(grammar.parseEntryLine, line, reading.draft, reading.context) : [],
    [reading, grammar, line],
  );
  const fields = reading?.fields ?? null;
  // The view shows the draft as it is typed; equal fields are shown once.
  const shown = JSON.stringify(fields);
  useEffect(() => onDraft(JSON.parse(shown) as EventFields | null), [shown, onDraft]);

  const write = (next: string) => {
    workspace.writeLine(next);
    setProblem('');
    if (next.trim() === '') setKept([]);
  };
  const save = async () => {
    // Who types before the grammar has arrived waits for it, and loses nothing.
    const { calendar, fields: written } = read(grammar ?? (await importWords()), line);
    if (!calendar) setProblem(words.line.noCalendar);
    else if (line.trim() && !written?.title) setProblem(words.line.missingTitle);
    else if (line.trim() && written && create(written)) write('');
  };
  const openFull = () => {
    if (!fields) return;
    workspace.edit({ fields, before: fields, panel: 'full', changed: true });
    write('');
  };
  const correct = (change: LineChange) => {
    if (reading && grammar) write(grammar.rewriteLine(line, reading.draft, change, today));
    setOpen(null);
  };
  /** The words of a part, each piece of them. */
  const wordsOf = (part: UnderstoodPart): string[] =>
    reading?.draft.spans
      .filter(({ parts }) => parts.includes(part))
      .map(({ from, to }) => line.slice(from, to).trim()) ?? [];
  const keepInTitle = (part: UnderstoodPart) => {
    setKept([...kept, ...wordsOf(part)]);
    setOpen(null);
  };
  const takeOther = ({ pattern, choice }: OtherReading) => {
    const { state } = store.getSnapshot();
    const habits = { ...settings.lineHabits, [pattern]: choice };
    commit(changeSettings(state, { lineHabits: habits }, context()));
  };

  return (
    <View>
      {reading?.calendar ? (
        <UnderstoodChips
          draft={reading.draft}
          calendar={reading.calendar}
          viewZone={zone}
          zoneName={zoneLabel(
            settings,
            reading.draft.start.kind === 'zoned' ? reading.draft.start.zone : zone,
          )}
          others={others}
          onOpen={(part, anchor) => setOpen({ part, anchor })}
          onOther={takeOther}
          onFull={openFull}
        />
      ) : null}
      <Problems texts={[problem, ...(reading?.draft.problems.map(problemText) ?? [])].filter(Boolean)} />
      <LineField
        ref={input}
        line={line}
        spans={reading?.draft.spans ?? []}
        calendar={reading?.calendar ?? target}
        onWrite={write}
        onSave={() => void save()}
        onFull={openFull}
        onPasteLines={setPasted}
      />
      <Suspense fallback={null}>
        {open && reading ? (
          <partPicker.Later
            {...open}
            draft={reading.draft}
            today={today}
            calendars={calendars.filter((each) => !isReadOnly(each))}
            onChange={correct}
            onKeep={wordsOf(open.part).length > 0 ? () => keepInTitle(open.part) : undefined}
            onClose={() => setOpen(null)}
          />
        ) : null}
        {pasted.length > 0 && grammar ? (
          <pastedLines.Later
            lines={pasted}
            read={(each) => read(grammar, each)}
            zone={zone}
            onOne={() => {
              write([line, ...pasted].filter(Boolean).join(' '));
              setPasted([]);
            }}
            onClose={() => setPasted([])}
          />
        ) : null}
      </Suspense>
    </View>
  );
});

/** What is wrong with the line. */
function Problems({ texts }: { texts: readonly string[] }) {
  if (texts.length === 0) return null;
  return (
    <View role="alert" style={styles.problem}>
      {texts.map((text) => (
        <AppText key={text} tone="error">
          {text}
        </AppText>
      ))}
    </View>
  );
}

/** The field itself: Enter saves, Shift and Enter opens all fields, Escape clears it and then lets it be. */
function LineField({
  line,
  spans,
  calendar,
  onWrite,
  onSave,
  onFull,
  onPasteLines,
  ref,
}: {
  line: string;
  spans: Parameters<typeof TintedLine>[0]['spans'];
  calendar: Calendar | undefined;
  onWrite: (line: string) => void;
  onSave: () => void;
  onFull: () => void;
  onPasteLines: (lines: readonly string[]) => void;
  ref: Ref<TextInput>;
}) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const [scrolled, setScrolled] = useState(0);
  const box = useRef<View>(null);
  // React Native's views hear of neither.
  useEffect(() => {
    const element = box.current as unknown as HTMLElement;
    const paste = (event: ClipboardEvent) => {
      const lines = linesOf(event.clipboardData?.getData('text') ?? '');
      if (lines.length === 0) return;
      event.preventDefault();
      onPasteLines(lines);
    };
    const scroll = (event: Event) => {
      if (event.target instanceof HTMLInputElement) setScrolled(event.target.scrollLeft);
    };
    element.addEventListener('paste', paste);
    element.addEventListener('scroll', scroll, true);
    return () => {
      element.removeEventListener('paste', paste);
      element.removeEventListener('scroll', scroll, true);
    };
  }, [onPasteLines]);
  return (
    <View
      ref={box}
      {...webProps({
        dataSet: { ring: 'line' },
        onKeyDownCapture: (event) => {
          if (!(event.target instanceof HTMLInputElement)) return;
          if (event.key === 'Enter') {
            event.preventDefault();
            if (event.shiftKey) onFull();
            else onSave();
          } else if (event.key === 'Escape') {
            event.stopPropagation();
            if (line) onWrite('');
            else event.target.blur();
          }
        },
      })}
      style={[styles.line, { backgroundColor: colours.card, borderColor: colours.primary }]}
    >
      <AppIcon name="pencil-outline" size={20} color={colours.quietInk} />
      <View style={styles.field}>
        {line ? <TintedLine line={line} spans={spans} scrolled={scrolled} /> : null}
        <TextInput
          ref={ref}
          aria-label={words.line.label}
          placeholder={words.line.placeholder}
          placeholderTextColor={colours.quietInk}
          value={line}
          testID="entry-line"
          onChangeText={onWrite}
          {...webProps({ dataSet: { bare: 'input' } })}
          style={[
            styles.input,
            webStyle({ outlineStyle: 'none', position: 'relative', zIndex: 1 }),
            { color: colours.ink },
          ]}
        />
      </View>
      {calendar ? (
        <View aria-label={words.line.into(calendar.name)} role="img" style={styles.target}>
          <Mark mark={calendar.mark} colour={calendar.colour} />
          {width >= WIDE ? (
            <AppText size="small" tone="quiet" numberOfLines={1}>
              {calendar.name}
            </AppText>
          ) : null}
        </View>
      ) : null}
      {line ? <Button kind="primary" label={words.line.save} onPress={onSave} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    minHeight: sizes.entryLine,
    paddingHorizontal: space(3),
  },
  field: { flex: 1, minWidth: 60 },
  input: {
    height: sizes.target,
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.large,
  },
  target: { flexDirection: 'row', alignItems: 'center', gap: space(1), maxWidth: 160 },
  problem: { paddingVertical: space(1) },
});
