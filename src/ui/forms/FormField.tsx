import type { ReactElement } from 'react';
import {
  type Control,
  Controller,
  type ControllerRenderProps,
  type FieldPath,
  type FieldValues,
} from 'react-hook-form';

/** Which field of which form. */
export interface FieldOf<Typed extends FieldValues, Said, Name> {
  control: Control<Typed, unknown, Said>;
  name: Name;
}

/** A field of a form: its control is drawn with what stands in it, and with what is wrong with that. */
export function FormField<Typed extends FieldValues, Said, Name extends FieldPath<Typed>>({
  control,
  name,
  children,
}: FieldOf<Typed, Said, Name> & {
  children: (field: ControllerRenderProps<Typed, Name>, problem: string | undefined) => ReactElement;
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => children(field, fieldState.error?.message)}
    />
  );
}
