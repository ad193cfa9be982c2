import type { ComponentProps } from 'react';
import type { FieldPathByValue, FieldValues } from 'react-hook-form';
import { TextField } from '../primitives/TextField';
import { FormField, type FieldOf } from './FormField';

type Shown = Omit<ComponentProps<typeof TextField>, 'value' | 'onChangeText' | 'onBlur' | 'error' | 'ref'>;

/** A field of a form that holds words. */
export function FormText<Typed extends FieldValues, Said>({
  control,
  name,
  ...shown
}: Shown & FieldOf<Typed, Said, FieldPathByValue<Typed, string>>) {
  return (
    <FormField control={control} name={name}>
      {({ value, onChange, onBlur, ref }, problem) => (
        <TextField
          {...shown}
          ref={ref}
          value={value as string}
          onChangeText={onChange}
          onBlur={onBlur}
          error={problem}
        />
      )}
    </FormField>
  );
}
