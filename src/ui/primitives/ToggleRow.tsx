import { StyleSheet, View } from 'react-native';
import { space } from '../theme/tokens';
import { AppText } from './AppText';
import { Button } from './Button';
import type { Choice } from './ChoiceRow';

/** Several of a few, all of them shown: each is pressed in or out. */
export function ToggleRow<Value extends string>({
  label,
  choices,
  values,
  onChange,
}: {
  label: string;
  choices: readonly Choice<Value>[];
  values: readonly Value[];
  onChange: (values: Value[]) => void;
}) {
  return (
    <View role="group" aria-label={label} style={styles.group}>
      <AppText size="small" tone="quiet" aria-hidden>
        {label}
      </AppText>
      <View style={styles.row}>
        {choices.map(({ value, label: name }) => {
          const isOn = values.includes(value);
          return (
            <Button
              key={value}
              label={name}
              selected={isOn}
              onPress={() => onChange(isOn ? values.filter((other) => other !== value) : [...values, value])}
            />
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: space(1) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
