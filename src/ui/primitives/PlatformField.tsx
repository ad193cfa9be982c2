import { type ChangeEvent, createElement } from 'react';
import { useTheme } from '../theme/theme';
import { corner, fontFamilies, fontSizes, hairline, sizes, space } from '../theme/tokens';
import { FieldFrame, type FrameProps } from './FieldFrame';

export interface Option {
  readonly value: string;
  readonly label: string;
}

/** Options under a heading of their own. */
export interface OptionGroup {
  readonly group: string;
  readonly options: readonly Option[];
}

const optionElement = ({ value, label }: Option) => createElement('option', { key: value, value }, label);

interface PlatformFieldProps extends FrameProps {
  value: string;
  onChange: (value: string) => void;
  testID?: string;
}

const useInputStyle = (error: string | undefined) => {
  const { colours } = useTheme();
  return {
    minHeight: sizes.target,
    boxSizing: 'border-box',
    width: '100%',
    borderRadius: corner,
    padding: `0 ${space(2)}px`,
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.body,
    fontVariantNumeric: 'tabular-nums',
    color: colours.ink,
    backgroundColor: colours.card,
    border: `${hairline}px solid ${error ? colours.error : colours.line}`,
  } as const;
};

/** A colour, picked with the platform's own picker. */
export function ColourField({ value, onChange, testID, ...frame }: PlatformFieldProps) {
  const style = useInputStyle(frame.error);
  return (
    <FieldFrame {...frame}>
      {(parts) =>
        createElement('input', {
          ...parts,
          type: 'color',
          value,
          'data-testid': testID,
          onChange: (event: ChangeEvent<HTMLInputElement>) => onChange(event.target.value),
          style,
        })
      }
    </FieldFrame>
  );
}

/** One of many, picked from the platform's own list. */
export function SelectField({
  value,
  options,
  onChange,
  testID,
  ...frame
}: PlatformFieldProps & { options: readonly (Option | OptionGroup)[] }) {
  const style = useInputStyle(frame.error);
  return (
    <FieldFrame {...frame}>
      {(parts) =>
        createElement(
          'select',
          {
            ...parts,
            value,
            'data-testid': testID,
            onChange: (event: ChangeEvent<HTMLSelectElement>) => onChange(event.target.value),
            style,
          },
          options.map((option) =>
            'group' in option
              ? createElement(
                  'optgroup',
                  { key: option.group, label: option.group },
                  option.options.map(optionElement),
                )
              : optionElement(option),
          ),
        )
      }
    </FieldFrame>
  );
}
