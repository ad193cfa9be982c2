import { zodResolver } from '@hookform/resolvers/zod';
import { useRef } from 'react';
import {
  type Control,
  type DefaultValues,
  type FieldPath,
  type FieldPathValue,
  type FieldValues,
  useForm,
  useWatch,
} from 'react-hook-form';
import type { z } from 'zod';

/** A form: what is typed, what is wrong with it at each field, and what it says once all of it is right. */
export interface FormOf<Typed extends FieldValues, Said> {
  readonly control: Control<Typed, unknown, Said>;
  /** What stands in the fields now. */
  readonly typed: Typed;
  /** Writes into a field that is not the one being typed in. */
  readonly set: <Name extends FieldPath<Typed>>(name: Name, value: FieldPathValue<Typed, Name>) => void;
  /** Sets several fields at once, and looks through the whole of them. */
  readonly change: (values: Partial<Typed>) => void;
  /** What is wrong with each field, as far as it is said. */
  readonly problems: Readonly<Partial<Record<FieldPath<Typed>, string>>>;
  /** Sets all fields anew, with nothing wrong with them. */
  readonly reset: (typed: Typed) => void;
  /**
   * Hands on what the form says, or takes the focus to the first field that is wrong. Asked again while that is still
   * being taken, it does nothing.
   */
  readonly submit: (take: (said: Said) => void | Promise<void>) => void;
}

/**
 * A form over a schema, whose messages are the words that stand at the fields. Nothing is said before all of
 * them are handed on, and from then on at every letter; where each letter shows at once elsewhere (a preview, a warning),
 * what is wrong is said `while-typing`.
 */
export function useFormOf<Typed extends FieldValues, Said>(
  schema: z.ZodType<Said, Typed>,
  start: Typed,
  says: 'once-submitted' | 'while-typing' = 'once-submitted',
): FormOf<Typed, Said> {
  const { control, handleSubmit, setValue, trigger, reset, formState } = useForm<Typed, unknown, Said>({
    defaultValues: start as DefaultValues<Typed>,
    resolver: zodResolver(schema),
    mode: says === 'while-typing' ? 'onChange' : 'onSubmit',
  });
  const typed = useWatch({ control }) as Typed;
  const isTaking = useRef(false);
  const handOn = async (said: Said, take: (said: Said) => void | Promise<void>) => {
    if (isTaking.current) return;
    const taken = take(said);
    if (!taken) return;
    isTaking.current = true;
    await taken.finally(() => (isTaking.current = false));
  };
  return {
    control,
    typed,
    set: (name, value) => setValue(name, value, { shouldValidate: formState.isSubmitted }),
    change: (values) => {
      for (const [name, value] of Object.entries(values))
        setValue(name as FieldPath<Typed>, value as FieldPathValue<Typed, FieldPath<Typed>>);
      void trigger();
    },
    problems: Object.fromEntries(
      Object.entries(formState.errors).map(([name, error]) => [name, String(error?.message ?? '')]),
    ) as FormOf<Typed, Said>['problems'],
    reset: (values) => reset(values),
    submit: (take) => void handleSubmit((said) => handOn(said, take))(),
  };
}
