import { useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent, Recurrence } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import {
  quickChoices,
  REPEAT_FREQUENCIES,
  ruleOfChoice,
  plainChoice,
  hasLateDays,
} from '@/core/recurrence/choices';
import { formatRule, SKIPS } from '@/core/recurrence/rule';
import { DAY } from '@/core/time/civil';
import { useSettings } from '@/store';
import { shortDayText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { TextField } from '@/ui/primitives/TextField';
import { Mark } from '@/ui/primitives/Mark';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { ruleStartOf, ruleText } from '@/ui/recurrenceText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { EndsField } from './EndsField';
import { MonthDaysField } from './MonthDaysField';
import { NextDates } from './NextDates';
import { choiceOfDraft, draftOf, problemsOfDraft, recurrenceOfDraft, withChoice } from './repeatDraft';
import { SkipDaysOffField } from './SkipDaysOffField';
import { MonthsField, WeekdaysField } from './ToggleFields';

interface RepeatEditorProps {
  title: string;
  calendar: Calendar | undefined;
  start: EventTime;
  end: EventTime;
  value: Recurrence | undefined;
  /** For an occurrence of a series: the series as it would be with another repeat. */
  seriesOf?: ((recurrence: Recurrence) => CalendarEvent | undefined) | undefined;
  onDone: (recurrence: Recurrence | undefined) => void;
  onCancel: () => void;
}

/** How an entry repeats: what fits its start to press, the whole rule below, and the dates that it makes. */
export function RepeatEditor(props: RepeatEditorProps) {
  const { title, calendar, start, end, value, seriesOf, onDone, onCancel } = props;
  const { colours, calendar: tonesOf } = useTheme();
  const { width } = useWindowDimensions();
  const { weekStart } = useSettings();
  const box = useRef<View>(null);
  const from = useMemo(() => ruleStartOf(start), [start]);
  const [draft, setDraft] = useState(() => draftOf(value, from, weekStart));
  const problems = problemsOfDraft(draft, from);
  const choice = choiceOfDraft(draft);
  const rule = ruleOfChoice(choice, from.wall);
  const recurrence = recurrenceOfDraft(draft, value, from);
  const hasProblems = Object.keys(problems).some((field) => field !== 'rule');
  const quick = useMemo(() => quickChoices(from.wall, weekStart), [from, weekStart]);
  const chosen = draft.kind === 'choice' ? formatRule({ ...rule, count: undefined, until: undefined }) : '';
  const tones = tonesOf(calendar?.colour ?? 'slate');
  const setChoice = (changes: Partial<typeof draft.choice>) =>
    setDraft({ ...draft, kind: 'choice', choice: { ...draft.choice, ...changes } });
  const { frequency } = draft.choice;
  const byMonth = frequency === 'MONTHLY' || frequency === 'YEARLY';
  const done = () => {
    if (!hasProblems) onDone(recurrence);
  };

  useEffect(() => {
    (box.current as unknown as HTMLElement | null)
      ?.querySelector<HTMLElement>('[role="radio"][aria-checked="true"], [role="radio"]')
      ?.focus();
  }, []);

  return (
    <View
      ref={box}
      role="dialog"
      aria-label={words.repeat.label}
      testID="repeat-editor"
      {...webProps({
        onKeyDownCapture: (event) => {
          if (event.key === 'Escape') {
            event.stopPropagation();
            onCancel();
          } else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.stopPropagation();
            done();
          }
        },
      })}
      style={[
        width >= WIDE ? styles.side : styles.full,
        { backgroundColor: colours.card, borderColor: colours.line },
      ]}
    >
      <PanelHead
        title={words.repeat.label}
        onClose={onCancel}
        action={{ label: words.repeat.done, onPress: done, disabled: hasProblems }}
      />
      <View style={[styles.entry, { backgroundColor: tones.tint }]}>
        <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
        <AppText weight="700" colour={tones.ink} numberOfLines={1} style={styles.entryTitle}>
          {title || words.entry.noTitle}
        </AppText>
        <AppText figures colour={tones.ink}>
          {[shortDayText(Math.floor(from.wall / DAY)), from.allDay ? '' : timeText(from.wall)]
            .filter(Boolean)
            .join(', ')}
        </AppText>
      </View>
      <ScrollView contentContainerStyle={styles.form} keyboardShouldPersistTaps="handled">
        <View role="radiogroup" aria-label={words.repeat.fits} style={styles.group}>
          <AppText size="small" tone="quiet" aria-hidden>
            {words.repeat.fits}
          </AppText>
          <View style={styles.quick}>
            {draft.kind === 'custom' || (value && draftOf(value, from, weekStart).kind === 'custom') ? (
              <Button
                role="radio"
                label={words.repeat.custom}
                selected={draft.kind === 'custom'}
                onPress={() => setDraft({ ...draft, kind: 'custom' })}
                style={styles.chip}
              />
            ) : null}
            <Button
              role="radio"
              label={words.repeat.none}
              selected={draft.kind === 'none'}
              onPress={() => setDraft({ ...draft, kind: 'none' })}
              style={styles.chip}
            />
            {draft.kind === 'none' ? (
              <Button
                role="radio"
                label={words.repeat.own}
                selected={false}
                onPress={() => setDraft({ ...draft, kind: 'choice' })}
                style={styles.chip}
                testID="own-rule"
              />
            ) : null}
            {quick.map((offered) => {
              const text = formatRule(ruleOfChoice(offered, from.wall));
              return (
                <Button
                  key={text}
                  role="radio"
                  label={ruleText(ruleOfChoice(offered, from.wall), from)}
                  shown={words.repeat.quick(offered)}
                  selected={chosen === text}
                  onPress={() => setDraft(withChoice(draft, offered))}
                  style={styles.chip}
                />
              );
            })}
          </View>
        </View>
        {draft.kind === 'custom' ? <AppText tone="quiet">{words.repeat.customHint}</AppText> : null}
        {draft.kind === 'choice' ? (
          <>
            <View style={styles.everyRow}>
              <View style={styles.interval}>
                <TextField
                  label={words.repeat.every}
                  value={draft.interval}
                  onChangeText={(interval) => setDraft({ ...draft, interval })}
                  inputMode="numeric"
                  narrow
                  error={problems.interval}
                  testID="repeat-interval"
                />
              </View>
              <View
                role="radiogroup"
                aria-label={words.repeat.unit}
                style={[styles.units, { borderColor: colours.line }]}
              >
                {REPEAT_FREQUENCIES.map((unit) => (
                  <Button
                    key={unit}
                    role="radio"
                    label={words.repeat.units[unit]}
                    selected={frequency === unit}
                    onPress={() =>
                      setDraft({
                        ...withChoice(draft, plainChoice(unit, from.wall, weekStart)),
                        interval: draft.interval,
                      })
                    }
                    dense
                    style={styles.unit}
                  />
                ))}
              </View>
            </View>
            {frequency === 'WEEKLY' ? (
              <WeekdaysField
                value={draft.choice.weekdays}
                weekStart={weekStart}
                onChange={(weekdays) => setChoice({ weekdays })}
                error={problems.weekdays}
              />
            ) : null}
            {byMonth ? (
              <MonthDaysField
                value={draft.choice.on}
                startDay={Math.floor(from.wall / DAY)}
                onChange={(on) => setChoice({ on })}
                error={problems.days}
              />
            ) : null}
            {byMonth ? (
              <MonthsField
                value={draft.choice.months}
                optional={frequency === 'MONTHLY'}
                onChange={(months) => setChoice({ months })}
                error={problems.months}
              />
            ) : null}
            {hasLateDays(choice) ? (
              <ChoiceRow
                label={words.repeat.shortMonths}
                choices={SKIPS.map((skip) => ({ value: skip, label: words.repeat.skips[skip] }))}
                value={draft.choice.skip}
                onChange={(skip) => setChoice({ skip })}
              />
            ) : null}
            <EndsField draft={draft} onChange={setDraft} problems={problems} />
          </>
        ) : null}
        {draft.kind === 'none' ? null : (
          <SkipDaysOffField
            value={draft.skipDaysOff}
            onChange={(skipDaysOff) => setDraft({ ...draft, skipDaysOff })}
          />
        )}
        {problems.rule ? (
          <AppText tone="error" role="alert">
            {problems.rule}
          </AppText>
        ) : null}
      </ScrollView>
      {recurrence && !hasProblems ? (
        <NextDates recurrence={recurrence} start={start} end={end} series={seriesOf?.(recurrence)} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  side: { width: sizes.editor, borderLeftWidth: hairline },
  full: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, zIndex: 21 },
  entry: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    minHeight: 42,
    paddingHorizontal: space(4),
  },
  entryTitle: { flex: 1 },
  form: { padding: space(4), paddingTop: space(3), gap: space(4) },
  group: { gap: space(1) },
  quick: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  chip: { minHeight: 36 },
  everyRow: { flexDirection: 'row', gap: space(2), alignItems: 'flex-start' },
  interval: { width: 76 },
  units: {
    flex: 1,
    flexDirection: 'row',
    borderWidth: hairline,
    borderRadius: space(1),
    overflow: 'hidden',
    marginTop: 21,
  },
  unit: {
    flex: 1,
    minWidth: 0,
    paddingHorizontal: 0,
    borderWidth: 0,
    borderRadius: 0,
    minHeight: sizes.target - 2,
  },
});
