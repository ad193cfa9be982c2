import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BatchStep, StepKind } from '@/core/model/batchStep';
import { useFormOf } from '@/ui/forms/useFormOf';
import { Button } from '@/ui/primitives/Button';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';
import { formOfStep, stepSchema, type StepSurroundings, type TypedStep } from './stepForms';
import { StepField } from './StepFields';

/** The form of one step, of a kind: it hands the step on, or is let be. */
export function StepForm({
  kind,
  around,
  start,
  onTake,
  onCancel,
}: {
  kind: StepKind;
  around: StepSurroundings;
  /** What stood in it when it was taken before. */
  start: TypedStep | undefined;
  onTake: (step: BatchStep, typed: TypedStep) => void;
  onCancel: () => void;
}) {
  const { colours } = useTheme();
  const [form] = useState(() => formOfStep(kind, around));
  const [schema] = useState(() => stepSchema(form));
  const { control, typed, submit } = useFormOf<TypedStep, BatchStep>(schema, start ?? form.start);
  const take = () => submit((step) => onTake(step, typed));
  const asked = form.controls.filter(({ isAsked }) => isAsked?.(typed) ?? true);
  return (
    <View
      role="group"
      aria-label={batchWords.kinds[kind]}
      testID="step-form"
      {...webProps({
        onKeyDownCapture: (event) => {
          const isText = event.target instanceof HTMLInputElement;
          if (event.key === 'Enter' && isText) {
            event.preventDefault();
            take();
          } else if (event.key === 'Escape') {
            event.stopPropagation();
            onCancel();
          }
        },
      })}
      style={[styles.form, { borderColor: colours.line, backgroundColor: colours.page }]}
    >
      <AppText weight="700">{batchWords.kinds[kind]}</AppText>
      {asked.map((one) => (
        <StepField key={one.name} of={one} control={control} />
      ))}
      {kind === 'replace' && typed.mode === 'expression' ? (
        <AppText size="small" tone="quiet">
          {batchWords.fields.expressionHint}
        </AppText>
      ) : null}
      <View style={styles.actions}>
        <Button kind="primary" label={batchWords.takeStep} onPress={take} />
        <Button kind="quiet" label={words.actions.cancel} onPress={onCancel} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: space(3), padding: space(3), borderWidth: hairline, borderRadius: corner },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
