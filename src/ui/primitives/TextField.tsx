import { type ReactNode, type Ref } from 'react';
import { StyleSheet, type TextInput as NativeInput } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useTheme } from '../theme/theme';
import { corner, fontSizes, hairline, sizes, space } from '../theme/tokens';
import { FieldFrame, type FrameProps } from './FieldFrame';

interface TextFieldProps extends FrameProps {
  value: string;
  onChangeText: (text: string) => void;
  onBlur?: () => void;
  onFocus?: () => void;
  /** Several lines of words; `long`: many. */
  multiline?: boolean | 'long';
  large?: boolean;
  placeholder?: string;
  autoFocus?: boolean;
  maxLength?: number;
  inputMode?: 'text' | 'numeric' | 'url';
  onSubmit?: () => void;
  /** For a field that filters a list below: the list's id, and that of its current option. */
  combobox?: { list: string; active: string | undefined };
  /** What stands at its end, within its frame. */
  right?: ReactNode;
  ref?: Ref<NativeInput>;
  testID?: string;
}

/** A field for words. */
export function TextField({
  label,
  hideLabel,
  narrow,
  error,
  hint,
  multiline,
  large,
  onSubmit,
  combobox,
  ref,
  ...rest
}: TextFieldProps) {
  const { colours } = useTheme();
  return (
    <FieldFrame label={label} hideLabel={hideLabel} narrow={narrow} error={error} hint={hint}>
      {(parts) => (
        <TextInput
          {...rest}
          {...parts}
          ref={ref as never}
          mode="outlined"
          dense
          error={!!error}
          multiline={!!multiline}
          onSubmitEditing={onSubmit}
          // What Enter refuses is mended where one was.
          blurOnSubmit={false}
          submitBehavior={onSubmit ? 'submit' : undefined}
          placeholderTextColor={colours.quietInk}
          outlineColor={colours.line}
          activeOutlineColor={colours.line}
          outlineStyle={styles.outline}
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
          contentStyle={[
            styles.content,
            multiline ? styles.tall : null,
            multiline === 'long' ? styles.long : null,
          ]}
          style={[
            styles.input,
            multiline ? null : styles.line,
            {
              backgroundColor: colours.card,
              fontSize: large ? fontSizes.large : fontSizes.body,
              fontWeight: large ? '500' : '400',
            },
          ]}
        />
      )}
    </FieldFrame>
  );
}

const styles = StyleSheet.create({
  input: { minWidth: 0 },
  line: { height: sizes.target },
  outline: { borderWidth: hairline, borderRadius: corner },
  content: { paddingHorizontal: space(2), minWidth: 0 },
  tall: { minHeight: 88, paddingVertical: space(2) },
  long: { minHeight: 220 },
});
