import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { AppText } from './AppText';
import { Button } from './Button';

export interface Choice<Value extends string> {
  readonly value: Value;
  readonly label: string;
}

/** A choice of one among a few, all of them shown. */
export function ChoiceRow<Value extends string>({
  label,
  choices,
  value,
  onChange,
  hideLabel,
}: {
  label: string;
  choices: readonly Choice<Value>[];
  value: Value;
  onChange: (value: Value) => void;
  hideLabel?: boolean;
}) {
  return (
    <View role="radiogroup" aria-label={label} style={styles.group}>
      {hideLabel ? null : (
        <AppText size="small" tone="quiet" aria-hidden>
          {label}
        </AppText>
      )}
      <View style={styles.row}>
        {choices.map((choice) => (
          <Button
            key={choice.value}
            role="radio"
            label={choice.label}
            selected={choice.value === value}
            onPress={() => onChange(choice.value)}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: space(1) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
