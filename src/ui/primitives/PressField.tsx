import { type ReactNode, type Ref } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { AppIcon } from '../icons/AppIcon';
import type { IconName } from '../icons/paths';
import { useTheme } from '../theme/theme';
import { corner, hairline, sizes, space } from '../theme/tokens';
import { AppText } from './AppText';

interface PressFieldProps {
  label: string;
  /** What is read out for the whole field. */
  name: string;
  icon: IconName;
  /** Whether it holds anything: else its icon is quiet. */
  isSet?: boolean;
  text: string;
  /** What stands at its end. */
  trailing: ReactNode;
  hint?: string;
  error?: string;
  disabled?: boolean;
  onPress: () => void;
  ref?: Ref<View>;
  testID?: string;
}

/** A field whose value is chosen elsewhere: pressed, it opens where. */
export function PressField(props: PressFieldProps) {
  const {
    label,
    name,
    icon,
    isSet = true,
    text,
    trailing,
    hint,
    error,
    disabled,
    onPress,
    ref,
    testID,
  } = props;
  const { colours } = useTheme();
  const said = error ?? hint;
  return (
    <View style={styles.field}>
      <AppText size="small" tone="quiet" aria-hidden>
        {label}
      </AppText>
      <Pressable
        ref={ref}
        role="button"
        aria-label={name}
        aria-invalid={!!error}
        disabled={disabled}
        onPress={onPress}
        testID={testID}
        style={[
          styles.row,
          { borderColor: error ? colours.error : colours.line, backgroundColor: colours.card },
        ]}
      >
        <AppIcon name={icon} size={18} color={isSet ? colours.ink : colours.quietInk} />
        <AppText style={styles.text}>{text}</AppText>
        {trailing}
      </Pressable>
      {said ? (
        <AppText size="small" tone={error ? 'error' : 'quiet'} role={error ? 'alert' : undefined}>
          {said}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(1), minWidth: 0 },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    minHeight: sizes.target,
    borderWidth: hairline,
    borderRadius: corner,
    paddingHorizontal: space(2),
    paddingVertical: space(1),
  },
  text: { flex: 1 },
});
