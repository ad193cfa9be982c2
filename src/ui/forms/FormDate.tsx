import type { FieldPathByValue, FieldValues } from 'react-hook-form';
import { DateField } from '../primitives/dates/DateField';
import { FormField, type FieldOf } from './FormField';

/** A field of a form that holds a date. */
export function FormDate<Typed extends FieldValues, Said>({
  control,
  name,
  label,
  problem,
  testID,
}: FieldOf<Typed, Said, FieldPathByValue<Typed, string>> & {
  label: string;
  /** What is wrong with it beside another field, said before anything is handed on. */
  problem?: string | undefined;
  testID?: string;
}) {
  return (
    <FormField control={control} name={name}>
      {({ value, onChange }, own) => (
        <DateField
          label={label}
          value={value as string}
          onChange={onChange}
          error={problem ?? own}
          testID={testID}
        />
      )}
    </FormField>
  );
}
