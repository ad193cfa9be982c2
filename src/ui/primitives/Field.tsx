import { createElement, type ReactNode, useId } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { useTheme } from '../theme/theme';
import { corner, fontFamilies, fontSizes, hairline, sizes, space } from '../theme/tokens';
import { AppText } from './AppText';

interface FrameProps {
  label: string;
  /** Read out only, where what stands around says it. */
  hideLabel?: boolean;
  /** As narrow as its surroundings: for a few digits. */
  narrow?: boolean;
  error?: string;
  hint?: string;
  children: (parts: { id: string; describedBy: string | undefined }) => ReactNode;
}

/** A label, a field, and under it what is wrong with it or what it takes. */
function FieldFrame({ label, hideLabel, narrow, error, hint, children }: FrameProps) {
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
      {children({ id, describedBy: said ? `${id}-said` : undefined })}
      {said ? (
        <AppText
          id={`${id}-said`}
          size="small"
          tone={error ? 'error' : 'quiet'}
          role={error ? 'alert' : undefined}
        >
          {said}
        </AppText>
      ) : null}
    </View>
  );
}

interface TextFieldProps {
  label: string;
  value: string;
  onChangeText: (text: string) => void;
  onBlur?: () => void;
  error?: string;
  hint?: string;
  multiline?: boolean;
  narrow?: boolean;
  large?: boolean;
  placeholder?: string;
  autoFocus?: boolean;
  maxLength?: number;
  inputMode?: 'text' | 'numeric' | 'url';
  onSubmit?: () => void;
  /** For a field that filters a list below: the list's id, and that of its current option. */
  combobox?: { list: string; active: string | undefined };
  testID?: string;
}

/** A field for words. */
export function TextField({
  label,
  value,
  error,
  hint,
  multiline,
  narrow,
  large,
  onSubmit,
  combobox,
  ...rest
}: TextFieldProps) {
  const { colours } = useTheme();
  return (
    <FieldFrame label={label} narrow={narrow} error={error} hint={hint}>
      {({ id, describedBy }) => (
        <TextInput
          {...rest}
          id={id}
          value={value}
          multiline={multiline}
          onSubmitEditing={onSubmit}
          // What Enter refuses is mended where one was.
          blurOnSubmit={false}
          submitBehavior={onSubmit ? 'submit' : undefined}
          placeholderTextColor={colours.quietInk}
          {...({ 'aria-describedby': describedBy, 'aria-invalid': !!error } as object)}
          {...(combobox
            ? ({
                role: 'combobox',
                'aria-expanded': true,
                'aria-controls': combobox.list,
                'aria-activedescendant': combobox.active,
                'aria-autocomplete': 'list',
                autoComplete: 'off',
              } as object)
            : null)}
          style={[
            styles.input,
            multiline ? styles.multiline : null,
            {
              color: colours.ink,
              backgroundColor: colours.card,
              borderColor: error ? colours.error : colours.line,
              fontSize: large ? fontSizes.large : fontSizes.body,
              fontWeight: large ? '500' : '400',
            },
          ]}
        />
      )}
    </FieldFrame>
  );
}

interface PickFieldProps {
  label: string;
  type: 'date' | 'time' | 'color';
  value: string;
  onChange: (value: string) => void;
  error?: string;
  hideLabel?: boolean;
  narrow?: boolean;
  testID?: string;
}

/** A date (`YYYY-MM-DD`), a time (`HH:MM`) or a colour, picked with the platform's own picker. */
export function PickField({
  label,
  type,
  value,
  onChange,
  error,
  hideLabel,
  narrow,
  testID,
}: PickFieldProps) {
  const { colours } = useTheme();
  return (
    <FieldFrame label={label} hideLabel={hideLabel} narrow={narrow} error={error}>
      {({ id, describedBy }) =>
        createElement('input', {
          id,
          type,
          value,
          'aria-label': hideLabel ? label : undefined,
          'data-testid': testID,
          'aria-describedby': describedBy,
          'aria-invalid': !!error,
          onChange: (event: { target: { value: string } }) => onChange(event.target.value),
          style: {
            ...webInput,
            color: colours.ink,
            backgroundColor: colours.card,
            border: `${hairline}px solid ${error ? colours.error : colours.line}`,
          },
        })
      }
    </FieldFrame>
  );
}

export interface Option {
  readonly value: string;
  readonly label: string;
}

/** One of many, picked from the platform's own list. */
export function SelectField({
  label,
  value,
  options,
  onChange,
  error,
  hint,
  hideLabel,
  testID,
}: {
  label: string;
  value: string;
  options: readonly Option[];
  onChange: (value: string) => void;
  error?: string;
  hint?: string;
  hideLabel?: boolean;
  testID?: string;
}) {
  const { colours } = useTheme();
  return (
    <FieldFrame label={label} hideLabel={hideLabel} error={error} hint={hint}>
      {({ id, describedBy }) =>
        createElement(
          'select',
          {
            id,
            'aria-label': hideLabel ? label : undefined,
            value,
            'data-testid': testID,
            'aria-describedby': describedBy,
            onChange: (event: { target: { value: string } }) => onChange(event.target.value),
            style: {
              ...webInput,
              color: colours.ink,
              backgroundColor: colours.card,
              border: `${hairline}px solid ${error ? colours.error : colours.line}`,
            },
          },
          options.map((option) =>
            createElement('option', { key: option.value, value: option.value }, option.label),
          ),
        )
      }
    </FieldFrame>
  );
}

const webInput = {
  minHeight: sizes.target,
  boxSizing: 'border-box',
  width: '100%',
  borderRadius: corner,
  padding: `0 ${space(2)}px`,
  fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  fontSize: fontSizes.body,
  fontVariantNumeric: 'tabular-nums',
} as const;

const styles = StyleSheet.create({
  frame: { gap: space(1), flexGrow: 1, flexShrink: 1, minWidth: 120 },
  narrow: { minWidth: 0 },
  input: {
    minHeight: sizes.target,
    borderWidth: hairline,
    borderRadius: corner,
    paddingHorizontal: space(2),
    minWidth: 0,
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  },
  multiline: { minHeight: 88, paddingVertical: space(2) },
});
