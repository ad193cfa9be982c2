import { useRef } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { RadioButton } from 'react-native-paper';
import { useTheme } from '../theme/theme';
import { sizes, space } from '../theme/tokens';
import { AppText } from './AppText';
import type { Choice } from './ChoiceRow';
import { useAria } from './useAria';

interface ExplainedChoice<Value extends string> extends Choice<Value> {
  /** What it comes to. */
  readonly hint?: string;
}

interface RadioListProps<Value extends string> {
  label: string;
  choices: readonly ExplainedChoice<Value>[];
  value: Value;
  onChange: (value: Value) => void;
}

/** A choice of one among a few that have to be explained: one below the other, each with what it comes to. */
export function RadioList<Value extends string>({ label, choices, value, onChange }: RadioListProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label}>
      <AppText size="small" tone="quiet" aria-hidden>
        {label}
      </AppText>
      {choices.map((choice) => (
        <Radio
          key={choice.value}
          choice={choice}
          checked={choice.value === value}
          onPress={() => onChange(choice.value)}
        />
      ))}
    </View>
  );
}

function Radio({
  choice: { value, label, hint },
  checked,
  onPress,
}: {
  choice: ExplainedChoice<string>;
  checked: boolean;
  onPress: () => void;
}) {
  const { colours } = useTheme();
  const row = useRef<View>(null);
  useAria(row, { 'aria-checked': checked }, (element) => element.querySelector('[role="radio"]'));
  return (
    <View ref={row} style={styles.row}>
      <RadioButton.Android
        value={value}
        status={checked ? 'checked' : 'unchecked'}
        uncheckedColor={colours.quietInk}
        onPress={onPress}
        {...{ accessibilityLabel: hint ? `${label}. ${hint}` : label }}
      />
      <Pressable aria-hidden tabIndex={-1} onPress={onPress} style={styles.words}>
        <AppText>{label}</AppText>
        {hint ? (
          <AppText size="small" tone="quiet">
            {hint}
          </AppText>
        ) : null}
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center' },
  words: { flexShrink: 1, minHeight: sizes.target, justifyContent: 'center', paddingVertical: space(1) },
});
