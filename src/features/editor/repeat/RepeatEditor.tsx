import { useEffect, useMemo, useRef } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent, Recurrence } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { DAY } from '@/core/time/civil';
import { useSettings } from '@/store';
import { shortDayText, timeText } from '@/ui/dates';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { ruleStartOf } from '@/ui/recurrenceText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { repeatWords } from '@/ui/words/repeat';
import { NextDates } from './NextDates';
import { QuickChoices } from './QuickChoices';
import {
  draftOf,
  problemsOfDraft,
  recurrenceOfDraft,
  type RepeatDraft,
  repeatForm,
  type RepeatProblems,
} from './repeatDraft';
import { RuleFields } from './RuleFields';
import { SkipDaysOffField } from './SkipDaysOffField';
import type { RuleStart } from '@/core/recurrence/until';
import type { CalendarColours } from '@/ui/theme/calendarColours';

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
  const {
    typed: draft,
    change,
    submit,
  } = useFormOf(repeatForm(value, from), draftOf(value, from, weekStart));
  const said = problemsOfDraft(draft, from);
  const recurrence = recurrenceOfDraft(draft, value, from);
  const hasProblems = Object.keys(said).some((field) => field !== 'rule');
  const tones = tonesOf(calendar?.colour ?? 'slate');
  const isCustom = draftOf(value, from, weekStart).kind === 'custom';
  const done = () => submit((typed) => onDone(typed.recurrence));

  useEffect(() => {
    (box.current as unknown as HTMLElement | null)
      ?.querySelector<HTMLElement>('[role="radio"][aria-checked="true"], [role="radio"]')
      ?.focus();
  }, []);

  return (
    <View
      ref={box}
      role="dialog"
      aria-label={repeatWords.label}
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
        title={repeatWords.label}
        onClose={onCancel}
        action={{ label: repeatWords.done, onPress: done, disabled: hasProblems }}
      />
      <RepeatHead tones={tones} calendar={calendar} title={title} from={from} />
      <RepeatForm draft={draft} isCustom={isCustom} from={from} change={change} said={said} />
      {recurrence && !hasProblems ? (
        <NextDates recurrence={recurrence} start={start} end={end} series={seriesOf?.(recurrence)} />
      ) : null}
    </View>
  );
}

/** What fits the start to press, and the whole rule below. */
function RepeatForm({
  draft,
  isCustom,
  from,
  change,
  said,
}: {
  draft: RepeatDraft;
  isCustom: boolean;
  from: RuleStart;
  change: (draft: Partial<RepeatDraft>) => void;
  said: RepeatProblems;
}) {
  return (
    <ScrollView contentContainerStyle={styles.form} keyboardShouldPersistTaps="handled">
      <QuickChoices draft={draft} isCustom={isCustom} from={from} onChange={change} />
      {draft.kind === 'custom' ? <AppText tone="quiet">{repeatWords.customHint}</AppText> : null}
      {draft.kind === 'choice' ? (
        <RuleFields draft={draft} from={from} problems={said} onChange={change} />
      ) : null}
      {draft.kind === 'none' ? null : (
        <SkipDaysOffField value={draft.skipDaysOff} onChange={(skipDaysOff) => change({ skipDaysOff })} />
      )}
      {said.rule ? (
        <AppText tone="error" role="alert">
          {said.rule}
        </AppText>
      ) : null}
    </ScrollView>
  );
}

/** What is to be repeated, and when it begins. */
function RepeatHead({
  tones,
  calendar,
  title,
  from,
}: {
  tones: CalendarColours;
  calendar: Calendar | undefined;
  title: string;
  from: RuleStart;
}) {
  return (
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
});
