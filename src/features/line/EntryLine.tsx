import { memo, type Ref, Suspense, useEffect, useImperativeHandle, useMemo, useRef, useState } from 'react';
import { StyleSheet, type TextInput, View } from 'react-native';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import type { EventFields } from '@/core/model/entry';
import { DAY } from '@/core/time/civil';
import { useCommands, useWorkspace, workspace } from '@/features/workspace';
import { withMeeting } from '@/core/people/onlineMeeting';
import { importWords } from '@/features/zones';
import { meetingRooms, useNowWall, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { later } from '@/ui/later';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { LineField, LONGEST_LINE } from './LineField';
import { problemText } from './problemText';
import { UnderstoodChips } from './UnderstoodChips';
import { useCorrections } from './useCorrections';
import { todoLineText } from './todoLineText';
import { useGrammar, useLineReader, useTodoReader } from './useLineReader';

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

/** One line of ordinary words makes an entry; what was understood is spelled out, and corrected, before it is saved. */
export const EntryLine = memo(function EntryLine({
  selectedDay,
  zone,
  calendars,
  target,
  onDraft,
  ref,
}: EntryLineProps) {
  const settings = useSettings();
  const today = Math.floor(useNowWall(zone) / DAY);
  const { create, createTodo } = useCommands();
  const line = useWorkspace((state) => state.line);
  const [problem, setProblem] = useState('');
  const [kept, setKept] = useState<readonly string[]>([]);
  const [pasted, setPasted] = useState<readonly string[]>([]);
  const input = useRef<TextInput>(null);
  useImperativeHandle(ref, () => ({ focus: () => input.current?.focus() }), []);
  const grammar = useGrammar();
  const read = useLineReader({ calendars, target, zone, selectedDay });
  const readTodo = useTodoReader({ calendars, target, zone, selectedDay });
  const isTodo = grammar?.isTodoLine(line) === true;
  const todo = useMemo(
    () => (grammar && isTodo ? readTodo(grammar, line) : undefined),
    [grammar, isTodo, readTodo, line],
  );
  const reading = useMemo(
    () => (line.trim() && grammar && !isTodo ? read(grammar, line, kept) : null),
    [line, grammar, isTodo, read, kept],
  );
  const others = useMemo(
    () => (reading && grammar ? grammar.otherReadings(line, reading.draft, reading.context) : []),
    [reading, grammar, line],
  );
  const completions = reading && grammar ? grammar.guestCompletions(line, reading.context.people ?? []) : [];
  const fields = reading?.fields ?? null;
  // The view shows the draft as it is typed; equal fields are shown once.
  const shown = JSON.stringify(fields);
  useEffect(() => onDraft(JSON.parse(shown) as EventFields | null), [shown, onDraft]);

  const write = (next: string) => {
    workspace.writeLine(next);
    setProblem('');
    if (next.trim() === '') setKept([]);
  };
  /** Who types before the grammar has arrived waits for it, and loses nothing. */
  const readAtLast = async () => read(grammar ?? (await importWords()), line, kept);
  const saveTodo = (made: ReturnType<typeof readTodo>) => {
    if (!made) setProblem(words.line.noCalendar);
    else if (!made.fields.title) setProblem(words.line.missingTitle);
    else if (createTodo(made.fields)) write('');
  };
  const save = async () => {
    const known = grammar ?? (await importWords());
    if (known.isTodoLine(line)) return saveTodo(readTodo(known, line));
    const { calendar, fields: written } = await readAtLast();
    if (!calendar) setProblem(words.line.noCalendar);
    else if (line.trim() && !written?.title) setProblem(words.line.missingTitle);
    else if (line.trim() && written && create(withMeeting(written, settings, meetingRooms()))) write('');
  };
  const openFull = async () => {
    if (!line.trim()) return;
    if (isTodo) return saveTodo(todo);
    const { fields: written } = await readAtLast();
    if (!written) return;
    workspace.edit({ fields: written, before: written, panel: 'full', changed: true });
    write('');
  };
  const asOne = [line, ...pasted].filter(Boolean).join(' ');
  const corrections = useCorrections({
    line,
    reading,
    grammar,
    today,
    write,
    keep: (pieces) => setKept([...kept, ...pieces]),
  });

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
          completions={completions}
          onComplete={(completed) => {
            write(completed);
            input.current?.focus();
          }}
          onOpen={corrections.open}
          onOther={corrections.takeOther}
          onFull={() => void openFull()}
        />
      ) : null}
      {todo ? (
        <AppText size="small" figures role="status" numberOfLines={2} style={styles.todo} testID="line-todo">
          {todoLineText(todo, zone)}
        </AppText>
      ) : null}
      <Problems texts={[problem, ...(reading?.draft.problems.map(problemText) ?? [])].filter(Boolean)} />
      <LineField
        ref={input}
        line={line}
        spans={reading?.draft.spans ?? []}
        calendar={reading?.calendar ?? target}
        onWrite={write}
        onSave={() => void save()}
        onFull={() => void openFull()}
        onPasteLines={setPasted}
      />
      <Suspense fallback={null}>
        {corrections.picked && reading ? (
          <partPicker.Later
            {...corrections.picked}
            draft={reading.draft}
            today={today}
            calendars={calendars.filter((each) => !isReadOnly(each))}
            onChange={corrections.correct}
            onKeep={corrections.keepInTitle}
            onClose={corrections.close}
          />
        ) : null}
        {pasted.length > 0 && grammar ? (
          <pastedLines.Later
            lines={pasted}
            grammar={grammar}
            read={read}
            zone={zone}
            onOne={
              asOne.length > LONGEST_LINE
                ? undefined
                : () => {
                    write(asOne);
                    setPasted([]);
                  }
            }
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

const styles = StyleSheet.create({
  problem: { paddingVertical: space(1) },
  todo: { paddingVertical: space(2) },
});
