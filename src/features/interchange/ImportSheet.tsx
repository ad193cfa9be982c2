import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { proposeColour, proposeMark } from '@/core/change/calendarChanges';
import { importEntries } from '@/core/change/importEntries';
import { type CalendarFile, spanOf } from '@/core/interchange/icalendar/calendarFile';
import { DAY } from '@/core/time/civil';
import { useCommands } from '@/features/workspace';
import { useCalendars, useOpenStore } from '@/store';
import { dateText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { SelectField, TextField } from '@/ui/primitives/Field';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { chooseFile } from './files';
import { useImport, useImportStep } from './useImport';

const SHOWN_PROBLEMS = 20;
const NEW = 'new';

/** What a file holds and what of it can't be read, before anything is imported. */
export function ImportSheet() {
  const step = useImportStep((state) => state.step);
  const { read, close } = useImport();
  if (step.kind === 'idle') return null;
  const again = () => void chooseFile('.ics,text/calendar').then((file) => file && read(file));
  if (step.kind === 'preview') return <Preview key={step.name} name={step.name} file={step.file} />;
  return (
    <Sheet
      title={words.import.title}
      closeLabel={words.actions.cancel}
      onClose={close}
      footer={
        step.kind === 'refused' ? (
          <>
            <Button label={words.actions.close} onPress={close} />
            <Button kind="primary" label={words.import.again} onPress={again} />
          </>
        ) : (
          <Button label={words.actions.cancel} onPress={close} />
        )
      }
    >
      {step.kind === 'refused' ? (
        <View role="alert" style={styles.group}>
          <AppText weight="700">{step.name}</AppText>
          <AppText tone="error">{words.import.refusals[step.reason]}</AppText>
          <AppText>{words.import.unchanged}</AppText>
        </View>
      ) : (
        <Progress
          label={step.kind === 'saving' ? words.import.saving : words.import.reading(step.name)}
          done={step.kind === 'reading' ? step.done : 1}
          total={step.kind === 'reading' ? step.total : 1}
        />
      )}
    </Sheet>
  );
}

function Progress({ label, done, total }: { label: string; done: number; total: number }) {
  const { colours } = useTheme();
  return (
    <View style={styles.group}>
      <AppText>{label}</AppText>
      <View
        role="progressbar"
        aria-label={label}
        aria-valuemin={0}
        aria-valuemax={total}
        aria-valuenow={done}
        style={[styles.bar, { backgroundColor: colours.page }]}
      >
        <View
          style={[
            styles.bar,
            { backgroundColor: colours.primary, width: `${total > 0 ? (done / total) * 100 : 3}%` },
          ]}
        />
      </View>
      {total > 0 ? (
        <AppText size="small" tone="quiet" figures>
          {words.import.progress(done, total)}
        </AppText>
      ) : null}
    </View>
  );
}

function Preview({ name, file }: { name: string; file: CalendarFile }) {
  const { colours } = useTheme();
  const { store } = useOpenStore();
  const calendars = useCalendars();
  const { close, saving } = useImport();
  const { context } = useCommands();
  const { commit } = useCommands();
  const proposed = file.name ?? name.replace(/\.[^.]*$/, '');
  const [newName, setNewName] = useState(proposed.slice(0, 120));
  const [into, setInto] = useState(NEW);
  const span = useMemo(() => spanOf(file.events), [file]);
  const series = file.events.filter((event) => event.recurrence).length;
  const changed = file.events.filter((event) => event.recurrenceId).length;
  const nameMissing = into === NEW && newName.trim() === '';

  const go = () => {
    saving(name);
    // The sheet says so before the work begins.
    requestAnimationFrame(() =>
      setTimeout(() => {
        const newCalendar = {
          name: newName.trim(),
          description: '',
          mark: proposeMark(
            newName,
            calendars.map(({ mark }) => mark),
          ),
          colour: proposeColour(calendars.map(({ colour }) => colour)),
        };
        commit(
          importEntries(
            store.getSnapshot().state,
            file.events,
            into === NEW ? { newCalendar } : { calendarId: into },
            context(),
          ),
        );
        void store.settled().then(close);
      }),
    );
  };

  return (
    <Sheet
      title={words.import.title}
      closeLabel={words.actions.cancel}
      onClose={close}
      footer={
        <>
          <Button label={words.actions.cancel} onPress={close} />
          <Button
            kind="primary"
            label={words.import.go(file.events.length)}
            disabled={file.events.length === 0 || nameMissing}
            onPress={go}
          />
        </>
      }
    >
      <View style={styles.group}>
        <AppText tone="quiet">{name}</AppText>
        <AppText size="large" weight="700">
          {file.events.length === 0
            ? words.import.nothing
            : words.import.found(file.events.length - series - changed, series, changed)}
        </AppText>
        {span ? (
          <AppText tone="quiet">
            {words.import.span(dateText(Math.floor(span.first / DAY)), dateText(Math.floor(span.last / DAY)))}
          </AppText>
        ) : null}
      </View>
      <SelectField
        label={words.import.into}
        value={into}
        options={[
          { value: NEW, label: words.import.newCalendar(newName.trim() || '…') },
          ...calendars.map((calendar) => ({ value: calendar.id, label: calendar.name })),
        ]}
        onChange={setInto}
        testID="import-into"
      />
      {into === NEW ? (
        <TextField
          label={words.import.newName}
          value={newName}
          onChangeText={setNewName}
          maxLength={120}
          error={nameMissing ? words.calendars.nameMissing : undefined}
        />
      ) : null}
      <View style={[styles.problems, { borderColor: colours.line }]}>
        <AppText weight="700" tone={file.problems.length > 0 ? 'accent' : 'ink'}>
          {file.problems.length > 0 ? words.import.problems(file.problems.length) : words.import.noProblems}
        </AppText>
        {file.problems.slice(0, SHOWN_PROBLEMS).map((problem, index) => (
          <View key={index} style={styles.problem}>
            <AppText figures weight="500" style={styles.line}>
              {words.import.line(problem.line)}
            </AppText>
            <View style={styles.shrink}>
              <AppText>{words.import.codes[problem.code]}</AppText>
              {problem.detail ? (
                <AppText size="small" tone="quiet" numberOfLines={2}>
                  {problem.detail}
                </AppText>
              ) : null}
            </View>
          </View>
        ))}
        {file.problems.length > SHOWN_PROBLEMS ? (
          <AppText tone="quiet">{words.import.moreProblems(file.problems.length - SHOWN_PROBLEMS)}</AppText>
        ) : null}
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  group: { gap: space(2) },
  bar: { height: 8, borderRadius: corner },
  problems: { gap: space(2), borderTopWidth: hairline, paddingTop: space(3) },
  problem: { flexDirection: 'row', gap: space(3) },
  line: { width: 72 },
  shrink: { flexShrink: 1 },
});
