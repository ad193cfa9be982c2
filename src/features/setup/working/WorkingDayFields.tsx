import { type ReactNode, useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { type WorkingDay, type WorkingSpan, WORKPLACES } from '@/core/model/settings';
import { nextSpan } from '@/core/time/workingPattern';
import { type FormOf, useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { TimeField } from '@/ui/primitives/dates/TimeField';
import { SelectField } from '@/ui/primitives/PlatformField';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { setupWords } from '@/ui/words/setup';
import {
  draftOfDay,
  spansOfDraft,
  textsOfSpan,
  type WorkingDayDraft,
  workingDayForm,
} from './workingDayDraft';

interface WorkingDayFieldsProps {
  /** What the day is called, and read out as. */
  name: string;
  day: WorkingDay;
  /** Keeps the day: when a place is chosen, hours come or go, and when its times are left. */
  onChange: (day: WorkingDay) => void;
  /** Further actions of the row. */
  children?: ReactNode;
}

const said = setupWords.working;

/** Where and when a day is worked. What can't be kept is said, and stays in the fields. */
export function WorkingDayFields({ name, day, onChange, children }: WorkingDayFieldsProps) {
  const { colours } = useTheme();
  const { typed: draft, problems, set, reset, submit } = useFormOf(workingDayForm(day), draftOfDay(day));
  // A day that was changed from elsewhere (undo, another tab) is shown as it is then.
  const shown = useRef(day);
  useEffect(() => {
    if (JSON.stringify(shown.current) === JSON.stringify(day)) return;
    shown.current = day;
    reset(draftOfDay(day));
  });
  const keep = () =>
    submit((said) => {
      if (JSON.stringify(said) !== JSON.stringify(day)) onChange(said);
    });
  const setSpans = (spans: WorkingDayDraft['spans']) => {
    set('spans', spans);
    keep();
  };
  const setTime = (index: number, edge: 'from' | 'to', text: string) =>
    set(
      'spans',
      draft.spans.map((span, at) => (at === index ? { ...span, [edge]: text } : span)),
    );
  const problem = Object.values(problems)[0];
  const more = draft.place === 'off' ? undefined : nextSpan(spansOfDraft(draft) ?? []);
  return (
    <View
      role="group"
      aria-label={name}
      style={[styles.row, { borderColor: colours.line }]}
      {...webProps({
        onBlur: ({ relatedTarget, currentTarget }) => {
          if (!(relatedTarget instanceof Node && currentTarget.contains(relatedTarget))) keep();
        },
      })}
    >
      <PlaceField name={name} draft={draft} set={set} keep={keep} />
      {draft.place === 'off' ? null : (
        <SpanFields draft={draft} name={name} setTime={setTime} setSpans={setSpans} more={more} />
      )}
      {children}
      {problem ? (
        <AppText tone="error" role="alert" style={styles.problem}>
          {problem}
        </AppText>
      ) : null}
    </View>
  );
}

/** The day, and where one works on it. */
function PlaceField({
  name,
  draft,
  set,
  keep,
}: {
  name: string;
  draft: WorkingDayDraft;
  set: FormOf<WorkingDayDraft, WorkingDay>['set'];
  keep: () => void;
}) {
  return (
    <View style={styles.head}>
      <AppText weight="700" style={styles.name}>
        {name}
      </AppText>
      <View style={styles.place}>
        <SelectField
          label={said.placeOf(name)}
          hideLabel
          value={draft.place}
          options={[...WORKPLACES, 'off' as const].map((value) => ({ value, label: said.places[value] }))}
          onChange={(value) => {
            const place = value as WorkingDayDraft['place'];
            const first = nextSpan([]);
            set('place', place);
            if (place !== 'off' && draft.spans.length === 0 && first) set('spans', [textsOfSpan(first)]);
            keep();
          }}
        />
      </View>
    </View>
  );
}

/** The hours of a day. */
function SpanFields({
  draft,
  name,
  setTime,
  setSpans,
  more,
}: {
  draft: WorkingDayDraft;
  name: string;
  setTime: (index: number, edge: 'from' | 'to', text: string) => void;
  setSpans: (spans: readonly { from: string; to: string }[]) => void;
  more: WorkingSpan | undefined;
}) {
  return (
    <View style={styles.spans}>
      {draft.spans.map((span, index) => (
        <View key={index} style={styles.span}>
          {(['from', 'to'] as const).map((edge) => (
            <View key={edge} style={styles.time}>
              <TimeField
                label={said[edge](name, index + 1)}
                hideLabel
                narrow
                value={span[edge]}
                onChange={(text) => setTime(index, edge, text)}
              />
            </View>
          ))}
          {draft.spans.length > 1 ? (
            <Button
              kind="quiet"
              icon="close"
              iconOnly
              label={said.removeHours(name, index + 1)}
              onPress={() => setSpans(draft.spans.filter((_, at) => at !== index))}
            />
          ) : null}
        </View>
      ))}
      {more ? (
        <Button
          kind="quiet"
          icon="plus"
          label={said.addTo(name)}
          shown={said.add}
          onPress={() => setSpans([...draft.spans, textsOfSpan(more)])}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space(4),
    rowGap: space(2),
    paddingVertical: space(2),
    borderBottomWidth: hairline,
  },
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2), width: 280, maxWidth: '100%' },
  name: { flex: 1 },
  place: { width: 150 },
  spans: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space(3),
    rowGap: space(2),
    maxWidth: '100%',
  },
  span: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  time: { width: 128 },
  problem: { width: '100%' },
});
