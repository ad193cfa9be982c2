import { forwardRef } from 'react';
import { Pressable, type StyleProp, StyleSheet, type View, type ViewStyle } from 'react-native';
import { AppIcon } from '../icons/AppIcon';
import type { IconName } from '../icons/paths';
import { useTheme } from '../theme/theme';
import { corner, hairline, sizes, space } from '../theme/tokens';
import { AppText } from './AppText';

export interface ButtonProps {
  /** What it does; shown, or read out when only the icon shows. */
  label: string;
  /** Shorter words to show instead, where the label would not fit. */
  shown?: string;
  icon?: IconName;
  iconOnly?: boolean;
  kind?: 'plain' | 'primary' | 'quiet' | 'danger' | 'onDark';
  /** Pressed in, for a choice among several. */
  selected?: boolean;
  role?: 'button' | 'radio' | 'tab' | 'link' | 'menuitem';
  disabled?: boolean;
  onPress: () => void;
  style?: StyleProp<ViewStyle>;
  testID?: string;
}

/** A button in the interface's look: one border, square corners, 40 pixels high. */
export const Button = forwardRef<View, ButtonProps>(function Button(
  {
    label,
    shown = label,
    icon,
    iconOnly,
    kind = 'plain',
    selected,
    role = 'button',
    disabled,
    onPress,
    style,
    testID,
  },
  ref,
) {
  const { colours, dark } = useTheme();
  const filled = kind === 'primary' || selected;
  const ink = filled
    ? colours.onPrimary
    : kind === 'danger'
      ? colours.error
      : kind === 'onDark'
        ? colours.onPrimary
        : kind === 'quiet' && !dark
          ? colours.primary
          : colours.ink;
  const state =
    role === 'radio' || role === 'tab'
      ? {
          'aria-checked': role === 'radio' ? !!selected : undefined,
          'aria-selected': role === 'tab' ? !!selected : undefined,
        }
      : { 'aria-pressed': selected };
  return (
    <Pressable
      ref={ref}
      role={role}
      aria-label={label}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      {...state}
      style={({ hovered, pressed }: { hovered?: boolean; pressed: boolean }) => [
        styles.button,
        iconOnly ? styles.square : styles.padded,
        {
          borderColor:
            kind === 'quiet'
              ? 'transparent'
              : kind === 'onDark'
                ? colours.onPrimaryLine
                : filled
                  ? colours.primary
                  : colours.line,
          backgroundColor: filled
            ? colours.primary
            : kind === 'quiet' || kind === 'onDark'
              ? 'transparent'
              : colours.card,
          opacity: disabled ? 0.45 : pressed ? 0.8 : hovered ? 0.92 : 1,
        },
        style,
      ]}
    >
      {icon ? <AppIcon name={icon} color={ink} size={20} /> : null}
      {iconOnly ? null : (
        <AppText weight="500" colour={ink} numberOfLines={1}>
          {shown}
        </AppText>
      )}
    </Pressable>
  );
});

const styles = StyleSheet.create({
  button: {
    minHeight: sizes.target,
    minWidth: sizes.target,
    borderWidth: hairline,
    borderRadius: corner,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: space(2),
  },
  padded: { paddingHorizontal: space(3) },
  square: { width: sizes.target, paddingHorizontal: 0 },
});
