import { createElement, type ReactNode, useId } from 'react';
import { StyleSheet, View } from 'react-native';
import { HelperText } from 'react-native-paper';
import { useTheme } from '../theme/theme';
import { space } from '../theme/tokens';
import { AppText } from './AppText';

export interface FrameProps {
  label: string;
  /** Read out only, where what stands around says it. */
  hideLabel?: boolean;
  /** As narrow as its surroundings: for a few digits. */
  narrow?: boolean;
  error?: string;
  hint?: string;
}

/** What a field needs to be known by its label, and by what is said of it. */
export interface FieldParts {
  readonly id: string;
  readonly 'aria-label': string | undefined;
  readonly 'aria-describedby': string | undefined;
  readonly 'aria-invalid': boolean;
}

/** A label, a field, and under it what is wrong with it or what it takes. */
export function FieldFrame({
  label,
  hideLabel,
  narrow,
  error,
  hint,
  children,
}: FrameProps & { children: (parts: FieldParts) => ReactNode }) {
  const { colours } = useTheme();
  const id = useId();
  const said = error ?? hint;
  return (
    <View style={[styles.frame, narrow ? styles.narrow : null]}>
      {hideLabel
        ? null
        : createElement(
            'label',
            { htmlFor: id },
            <AppText size="small" tone="quiet">
              {label}
            </AppText>,
          )}
      {children({
        id,
        'aria-label': hideLabel ? label : undefined,
        'aria-describedby': said ? `${id}-said` : undefined,
        'aria-invalid': !!error,
      })}
      {said ? (
        <HelperText
          id={`${id}-said`}
          type={error ? 'error' : 'info'}
          padding="none"
          role={error ? 'alert' : undefined}
          style={[styles.said, { color: error ? colours.error : colours.quietInk }]}
        >
          {said}
        </HelperText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { gap: space(1), flexGrow: 1, flexShrink: 1, minWidth: 120 },
  narrow: { minWidth: 0 },
  said: { paddingVertical: 0 },
});
