import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { type BatchStep, LAST_STEPS, type StepKind } from '@/core/model/batchStep';
import { MOST_STEPS } from '@/core/model/recipe';
import { useCalendars, useNowWall, useSettings, useWritableCalendars } from '@/store';
import { dateString, DAY } from '@/core/time/civil';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { SelectField } from '@/ui/primitives/PlatformField';
import { space } from '@/ui/theme/tokens';
import { batchWords } from '@/ui/words/batch';
import { STEP_GROUPS, type TypedStep } from './stepForms';
import { StepForm } from './StepForm';
import { stepText } from './stepText';

/** A step with what stood in its form, so that it can be changed there. */
export interface ListedStep {
  readonly step: BatchStep;
  readonly typed?: TypedStep | undefined;
}

interface StepListProps {
  steps: readonly ListedStep[];
  onChange: (steps: readonly ListedStep[]) => void;
  /** The kind whose form is open at first. */
  begin?: StepKind | undefined;
}

/** The steps of a batch change in their order: each can be changed and removed, and others added. */
export function StepList({ steps, onChange, begin }: StepListProps) {
  const { homeZone } = useSettings();
  const calendars = useCalendars();
  const writable = useWritableCalendars();
  const today = dateString(Math.floor(useNowWall(homeZone) / DAY));
  const around = { calendars: writable, homeZone, today };
  const [open, setOpen] = useState<{ readonly kind: StepKind; readonly at?: number } | undefined>(
    begin ? { kind: begin } : undefined,
  );
  const names = {
    calendarName: (id: string) => calendars.find((calendar) => calendar.id === id)?.name ?? id,
    zone: homeZone,
  };
  const take = (step: BatchStep, typed: TypedStep) => {
    const listed = { step, typed };
    onChange(
      open?.at === undefined
        ? [...steps, listed]
        : steps.map((old, index) => (index === open.at ? listed : old)),
    );
    setOpen(undefined);
  };
  const pick = (kind: StepKind) => (isPlain(kind) ? take({ kind }, {}) : setOpen({ kind }));
  const canAdd = steps.length < MOST_STEPS && !steps.some(({ step }) => LAST_STEPS.includes(step.kind));
  return (
    <View role="group" aria-label={batchWords.steps} style={styles.list}>
      {steps.map(({ step, typed }, index) => {
        const text = stepText(step, names);
        return open?.at === index ? (
          <StepForm
            key={index}
            kind={step.kind}
            around={around}
            start={typed}
            onTake={take}
            onCancel={() => setOpen(undefined)}
          />
        ) : (
          <View key={index} style={styles.row} testID="step">
            <View style={styles.grow}>
              {typed && Object.keys(typed).length > 0 ? (
                <Button
                  kind="quiet"
                  align="start"
                  label={batchWords.editStep(text)}
                  shown={text}
                  onPress={() => setOpen({ kind: step.kind, at: index })}
                />
              ) : (
                <AppText style={styles.text}>{text}</AppText>
              )}
            </View>
            <Button
              icon="close"
              iconOnly
              kind="quiet"
              label={batchWords.removeStep(text)}
              onPress={() => onChange(steps.filter((_, at) => at !== index))}
            />
          </View>
        );
      })}
      {open && open.at === undefined ? (
        <StepForm
          key={open.kind}
          kind={open.kind}
          around={around}
          start={undefined}
          onTake={take}
          onCancel={() => setOpen(undefined)}
        />
      ) : canAdd ? (
        <SelectField
          label={batchWords.addStep}
          value=""
          options={KINDS}
          onChange={(kind) => pick(kind as StepKind)}
          testID="add-step"
        />
      ) : null}
    </View>
  );
}

type PlainKind = 'whole-days' | 'into-series' | 'delete';
/** Whether a kind of step leaves nothing to be said. */
const isPlain = (kind: StepKind): kind is PlainKind =>
  kind === 'whole-days' || kind === 'into-series' || kind === 'delete';

/** What can be done, gathered by what it is about. */
const KINDS = [
  { value: '', label: batchWords.choose },
  ...STEP_GROUPS.map(({ label, kinds }) => ({
    group: label,
    options: kinds.map((kind) => ({ value: kind, label: batchWords.kinds[kind] })),
  })),
];

const styles = StyleSheet.create({
  list: { gap: space(2) },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  grow: { flexShrink: 1, flexGrow: 1, alignItems: 'flex-start' },
  text: { paddingVertical: space(2), paddingHorizontal: space(3) },
});
