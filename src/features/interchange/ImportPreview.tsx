import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { filesNamed } from '@/core/change/attachmentChanges';
import { importParts } from '@/core/change/importEntries';
import { spanOf } from '@/core/interchange/icalendar/calendarFile';
import { DAY } from '@/core/time/civil';
import { failureText, useCommands } from '@/features/workspace';
import { useCalendars, useOpenStore, useWritableCalendars } from '@/store';
import { dateText } from '@/ui/dates';
import { FormField } from '@/ui/forms/FormField';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { importingWords } from '@/ui/words/importing';
import { calendarNamed, importChoice, type ImportTarget, NEW_CALENDAR, partsInto } from './importTarget';
import { DoublesChoice } from './DoublesChoice';
import { useDoubles } from './useDoubles';
import { type ImportedFile, type Refusal } from './importStep';
import { useImport } from './useImport';
import type { CalendarEvent } from '@/core/model/entry';

const SHOWN_PROBLEMS = 20;

/** What is to be imported, where it goes, what is there already, and what could not be read. */
export function ImportPreview({
  parts,
  refused,
}: {
  parts: readonly ImportedFile[];
  refused: readonly { readonly name: string; readonly reason: Refusal }[];
}) {
  const { store } = useOpenStore();
  const calendars = useCalendars();
  const writable = useWritableCalendars();
  const { close, saving } = useImport();
  const { commit, commitWithFiles, context, refuse } = useCommands();
  const [only] = parts;
  const isOne = parts.length === 1;
  const title = only?.title ?? '';
  const { control, typed, change, submit } = useFormOf(
    importChoice(isOne, writable),
    {
      // What was imported before goes where it went; a second calendar of one name is made on purpose only.
      into: (isOne ? calendarNamed(writable, title)?.id : undefined) ?? NEW_CALENDAR,
      newName: title,
    },
    'while-typing',
  );
  const events = useMemo(() => parts.flatMap((part) => part.events), [parts]);
  const todos = parts.reduce((sum, part) => sum + part.todos.length, 0);
  const span = useMemo(() => spanOf(events), [events]);
  const doubles = useDoubles(events);
  const series = events.filter((event) => event.recurrence).length;
  const changed = events.filter((event) => event.recurrenceId).length;
  const beyond = parts.reduce((sum, { preserved }) => sum + (preserved?.components.length ?? 0), 0);
  const problems = parts.flatMap((part) =>
    part.problems.map((problem) => ({ ...problem, file: isOne ? '' : part.name })),
  );
  const save = async (target: ImportTarget) => {
    const { state } = store.getSnapshot();
    const patch = importParts(state, partsInto(parts, target, calendars), context(), doubles.chosen(state));
    await new Promise((resolve) => setTimeout(resolve));
    const kept = filesNamed(patch);
    const files = new Map(parts.flatMap((part) => [...part.files]).filter(([id]) => kept.has(id)));
    if (files.size === 0) commit(patch);
    else await commitWithFiles(patch, files);
    await store.settled();
    close();
  };
  const go = (target: ImportTarget) => {
    saving();
    // The sheet says so before the work begins.
    requestAnimationFrame(() =>
      setTimeout(
        () =>
          void save(target).catch(() => {
            refuse(failureText('storage-failed'));
            close();
          }),
      ),
    );
  };

  const count = events.length + todos - doubles.skipped;
  const goLabel =
    count > 0
      ? importingWords.go(count)
      : beyond > 0
        ? importingWords.goBeyond(beyond)
        : importingWords.goNothing;
  return (
    <Sheet
      title={importingWords.title}
      closeLabel={words.actions.cancel}
      onClose={close}
      go={{
        label: goLabel,
        onPress: () => submit(go),
        disabled: count + beyond === 0 || doubles.isLooking,
      }}
    >
      <FilesSummary
        isOne={isOne}
        only={only}
        parts={parts}
        events={events}
        series={series}
        changed={changed}
        span={span}
        beyond={beyond}
        todos={todos}
      />
      {refused.map(({ name, reason }) => (
        <View key={`${name} ${reason}`} role="alert">
          <AppText weight="700">{importingWords.refusedFile(name)}</AppText>
          <AppText tone="error">{importingWords.refusals[reason]}</AppText>
        </View>
      ))}
      <FormField control={control} name="into">
        {({ value }) => (
          <SelectField
            label={importingWords.into}
            value={value}
            options={[
              {
                value: NEW_CALENDAR,
                label: isOne
                  ? importingWords.newCalendar(typed.newName.trim() || '…')
                  : importingWords.intoEach,
              },
              ...writable.map((calendar) => ({ value: calendar.id, label: calendar.name })),
            ]}
            onChange={(into) => change({ into })}
            testID="import-into"
          />
        )}
      </FormField>
      {isOne && typed.into === NEW_CALENDAR ? (
        <FormText control={control} name="newName" label={importingWords.newName} maxLength={120} />
      ) : null}
      <DoublesChoice doubles={doubles} />
      <Problems problems={problems} refused={refused} />
    </Sheet>
  );
}

/** What of the files could not be read. */
function Problems({
  problems,
  refused,
}: {
  problems: readonly (ImportedFile['problems'][number] & { readonly file: string })[];
  refused: readonly { readonly name: string; readonly reason: Refusal }[];
}) {
  const { colours } = useTheme();
  return (
    <View style={[styles.problems, { borderColor: colours.line }]}>
      <AppText weight="700" tone={problems.length > 0 ? 'accent' : 'ink'}>
        {problems.length > 0
          ? importingWords.problems(problems.length)
          : refused.length > 0
            ? importingWords.noProblemsBeside
            : importingWords.noProblems}
      </AppText>
      {problems.slice(0, SHOWN_PROBLEMS).map((problem, index) => (
        <View key={index} style={styles.problem}>
          <AppText figures weight="500" style={styles.line}>
            {importingWords.line(problem.line)}
          </AppText>
          <View style={styles.shrink}>
            <AppText>
              {problem.form === 'ics'
                ? importingWords.codes[problem.code]
                : importingWords.rowCodes[problem.code]}
            </AppText>
            {problem.detail || problem.file ? (
              <AppText size="small" tone="quiet" numberOfLines={2}>
                {[problem.file, problem.detail].filter(Boolean).join(' · ')}
              </AppText>
            ) : null}
          </View>
        </View>
      ))}
      {problems.length > SHOWN_PROBLEMS ? (
        <AppText tone="quiet">{importingWords.moreProblems(problems.length - SHOWN_PROBLEMS)}</AppText>
      ) : null}
    </View>
  );
}

/** What the files hold. */
function FilesSummary({
  isOne,
  only,
  parts,
  events,
  series,
  changed,
  span,
  beyond,
  todos,
}: {
  isOne: boolean;
  only: ImportedFile | undefined;
  parts: readonly ImportedFile[];
  events: readonly CalendarEvent[];
  series: number;
  changed: number;
  span: { first: number; last: number } | undefined;
  beyond: number;
  todos: number;
}) {
  return (
    <View style={styles.group}>
      <AppText tone="quiet" numberOfLines={2}>
        {isOne ? only?.name : importingWords.several(parts.length)}
      </AppText>
      {isOne
        ? null
        : parts.map((part) => (
            <AppText
              key={part.name}
            >{`${part.name}: ${words.calendars.entries(part.events.length + part.todos.length)}`}</AppText>
          ))}
      <AppText size="large" weight="700">
        {events.length > 0
          ? importingWords.found(events.length - series - changed, series, changed)
          : todos > 0
            ? importingWords.todos(todos)
            : importingWords.nothing}
      </AppText>
      {events.length > 0 && todos > 0 ? <AppText weight="700">{importingWords.todos(todos)}</AppText> : null}
      {span ? (
        <AppText tone="quiet">
          {importingWords.span(dateText(Math.floor(span.first / DAY)), dateText(Math.floor(span.last / DAY)))}
        </AppText>
      ) : null}
      {beyond > 0 ? <AppText tone="quiet">{importingWords.beyond(beyond)}</AppText> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: space(2) },
  problems: { gap: space(2), borderTopWidth: hairline, paddingTop: space(3) },
  problem: { flexDirection: 'row', gap: space(3) },
  line: { width: 72, flexShrink: 0 },
  shrink: { flexShrink: 1 },
});
