import { forwardRef, memo, useCallback, useImperativeHandle, useLayoutEffect, useRef } from 'react';
import { type StyleProp, StyleSheet, type View, type ViewStyle } from 'react-native';
import { Button as PaperButton, IconButton } from 'react-native-paper';
import type { IconName } from '../icons/paths';
import { useTheme } from '../theme/theme';
import { corner, hairline, sizes, space } from '../theme/tokens';
import { pressedPart, useAria } from './useAria';

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
  role?: 'button' | 'radio' | 'link';
  disabled?: boolean;
  /** Where its words stand: in its middle, or at its start as in a list. */
  align?: 'middle' | 'start';
  /** With less room at its sides, as one of many in a row. */
  dense?: boolean;
  onPress: () => void;
  style?: StyleProp<ViewStyle>;
  testID?: string;
}

/**
 * Paper's button in the interface's look: one border, square corners, 40 pixels high. It is drawn anew only where what it
 * shows has changed, whatever it does by then.
 */
export const Button = forwardRef<View, ButtonProps>(function Button({ onPress, ...shown }, ref) {
  const latest = useRef(onPress);
  useLayoutEffect(() => {
    latest.current = onPress;
  });
  const press = useCallback(() => latest.current(), []);
  return <DrawnButton {...shown} ref={ref} onPress={press} />;
});

const DrawnButton = memo(
  forwardRef<View, ButtonProps>(function DrawnButton(
    {
      label,
      shown = label,
      icon,
      iconOnly,
      kind = 'plain',
      selected,
      role = 'button',
      disabled,
      align,
      dense,
      onPress,
      style,
      testID,
    },
    ref,
  ) {
    const { colours, dark } = useTheme();
    const surface = useRef<View>(null);
    useImperativeHandle(
      ref,
      () => pressedPart(surface.current as unknown as HTMLElement) as unknown as View,
      [],
    );
    useAria(
      surface,
      {
        ...(role === 'radio' ? { 'aria-checked': !!selected } : { 'aria-pressed': selected }),
        title: iconOnly ? label : undefined,
      },
      pressedPart,
    );
    // What can't be pressed lies on the ground around it, so its words are in the ink of that.
    const filled = (kind === 'primary' || !!selected) && !disabled;
    const bare = kind === 'quiet' || kind === 'onDark';
    const ink =
      filled || kind === 'onDark'
        ? colours.onPrimary
        : kind === 'danger'
          ? colours.error
          : kind === 'quiet' && !dark
            ? colours.primary
            : colours.ink;
    const ground = filled ? colours.primary : bare ? 'transparent' : colours.card;
    const frame = {
      borderWidth: hairline,
      borderRadius: corner,
      borderColor:
        kind === 'quiet'
          ? 'transparent'
          : kind === 'onDark'
            ? colours.onPrimaryLine
            : filled
              ? colours.primary
              : colours.line,
      opacity: disabled ? 0.45 : 1,
    };
    if (iconOnly && icon)
      return (
        <IconButton
          ref={surface}
          icon={icon}
          size={ICON}
          iconColor={ink}
          containerColor={ground}
          role={role}
          accessibilityLabel={label}
          disabled={disabled}
          onPress={onPress}
          testID={testID}
          style={[styles.square, frame, style]}
        />
      );
    return (
      <PaperButton
        ref={surface}
        compact
        mode={filled ? 'contained' : bare ? 'text' : 'outlined'}
        icon={icon}
        buttonColor={ground}
        textColor={ink}
        accessibilityLabel={label}
        accessibilityRole={role}
        disabled={disabled}
        onPress={onPress}
        testID={testID}
        style={[styles.button, frame, style]}
        contentStyle={[styles.content, align === 'start' ? styles.start : null, dense ? styles.dense : null]}
        labelStyle={[styles.label, dense ? styles.denseLabel : null, { color: ink }]}
      >
        {shown}
      </PaperButton>
    );
  }),
);

const ICON = 20;

const styles = StyleSheet.create({
  button: { minWidth: sizes.target, justifyContent: 'center' },
  content: { minHeight: sizes.target - 2 * hairline, paddingHorizontal: space(1) },
  start: { justifyContent: 'flex-start' },
  label: { marginVertical: space(2), marginHorizontal: space(2) },
  dense: { paddingHorizontal: 0 },
  denseLabel: { marginHorizontal: 6 },
  square: { margin: 0, width: sizes.target, height: sizes.target, overflow: 'visible' },
});
