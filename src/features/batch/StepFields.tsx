import type { Control } from 'react-hook-form';
import { ZoneField } from '@/features/zones';
import { FormDate } from '@/ui/forms/FormDate';
import { FormField } from '@/ui/forms/FormField';
import { FormSelect } from '@/ui/forms/FormSelect';
import { FormText } from '@/ui/forms/FormText';
import { TimeField } from '@/ui/primitives/dates/TimeField';
import type { BatchStep } from '@/core/model/batchStep';
import type { StepControl, TypedStep } from './stepForms';

/** One field of a step's form. */
export function StepField({
  of: { name, label, kind, options = [], hint },
  control,
}: {
  of: StepControl;
  control: Control<TypedStep, unknown, BatchStep>;
}) {
  const given = { control, name, label, ...(hint ? { hint } : {}) };
  switch (kind) {
    case 'choice':
      return <FormSelect {...given} options={options} />;
    case 'date':
      return <FormDate control={control} name={name} label={label} />;
    case 'time':
      return (
        <FormField control={control} name={name}>
          {({ value, onChange }, problem) => (
            <TimeField label={label} value={value} onChange={onChange} error={problem} />
          )}
        </FormField>
      );
    case 'zone':
      return (
        <FormField control={control} name={name}>
          {({ value, onChange }, problem) => (
            <ZoneField
              label={label}
              value={value}
              onChange={onChange}
              {...(problem ? { error: problem } : {})}
            />
          )}
        </FormField>
      );
    case 'notes':
      return <FormText {...given} multiline />;
    case 'number':
      return <FormText {...given} inputMode="text" maxLength={9} />;
    case 'text':
      return <FormText {...given} />;
  }
}
