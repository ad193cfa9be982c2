import { useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { Chip } from 'react-native-paper';
import { AppIcon } from '../icons/AppIcon';
import { useTheme } from '../theme/theme';
import { corner, hairline, sizes, space } from '../theme/tokens';
import { AppText } from './AppText';
import type { Choice } from './ChoiceRow';
import { pressedPart, useAria } from './useAria';

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
            <ToggleChip
              key={value}
              label={name}
              isOn={isOn}
              onPress={() => onChange(isOn ? values.filter((other) => other !== value) : [...values, value])}
            />
          );
        })}
      </View>
    </View>
  );
}

function ToggleChip({ label, isOn, onPress }: { label: string; isOn: boolean; onPress: () => void }) {
  const { colours } = useTheme();
  const surface = useRef<View>(null);
  useAria(surface, { 'aria-pressed': isOn }, pressedPart);
  const ink = isOn ? colours.onPrimary : colours.ink;
  return (
    <Chip
      ref={surface}
      mode="outlined"
      icon={isOn ? () => <AppIcon name="check" size={16} color={ink} /> : undefined}
      selectedColor={ink}
      accessibilityLabel={label}
      onPress={onPress}
      textStyle={[styles.text, { color: ink }]}
      style={[
        styles.chip,
        {
          backgroundColor: isOn ? colours.primary : colours.card,
          borderColor: isOn ? colours.primary : colours.line,
        },
      ]}
    >
      {label}
    </Chip>
  );
}

const styles = StyleSheet.create({
  // As high as the chip: Paper's own is lower, and would stand above its middle.
  text: { lineHeight: 20, minHeight: 20, marginVertical: 9 },
  group: { gap: space(1), maxWidth: '100%' },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  chip: {
    minHeight: sizes.target,
    justifyContent: 'center',
    borderWidth: hairline,
    borderRadius: corner,
  },
});
