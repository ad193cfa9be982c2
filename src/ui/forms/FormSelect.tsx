import type { ComponentProps } from 'react';
import type { FieldPathByValue, FieldValues } from 'react-hook-form';
import { SelectField } from '../primitives/PlatformField';
import { FormField, type FieldOf } from './FormField';

type Shown = Omit<ComponentProps<typeof SelectField>, 'value' | 'onChange' | 'error'>;

/** A field of a form that holds one of many. */
export function FormSelect<Typed extends FieldValues, Said>({
  control,
  name,
  ...shown
}: Shown & FieldOf<Typed, Said, FieldPathByValue<Typed, string>>) {
  return (
    <FormField control={control} name={name}>
      {({ value, onChange }, problem) => (
        <SelectField {...shown} value={value as string} onChange={onChange} error={problem} />
      )}
    </FormField>
  );
}
