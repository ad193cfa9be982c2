import type { ChoiceFieldName } from '@/core/fields/eventFields';
import type { FormCodec } from '@/core/fields/field';
import { type EntryFieldName, fieldsOf } from '@/core/fields/fieldsOf';
import type { Entry } from '@/core/model/entry';
import { choiceWord } from '@/ui/choiceWords';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { TextField } from '@/ui/primitives/TextField';
import { words } from '@/ui/words';
import { PlaceField } from './PlaceField';

/** The control of a field in the form of an entry, as its row says. */
export function TableField({
  name,
  kind = 'event',
  value,
  onChange,
  onBlur,
  error,
}: {
  name: EntryFieldName;
  kind?: Entry['kind'];
  value: unknown;
  onChange: (value: string) => void;
  onBlur: () => void;
  error: string | undefined;
}) {
  const form: FormCodec<unknown, unknown> = fieldsOf(kind).rowOf(name).form!;
  const label = words.fields[name];
  const text = value as string;
  if (form.kind === 'choice')
    return (
      <ChoiceRow
        label={label}
        choices={(form.choices as string[]).map((each) => ({
          value: each,
          label: choiceWord(name as ChoiceFieldName, each),
        }))}
        value={text}
        onChange={onChange}
      />
    );
  if (name === 'location')
    return <PlaceField label={label} value={text} onChange={onChange} onBlur={onBlur} error={error} />;
  return (
    <TextField
      label={label}
      value={text}
      onChangeText={onChange}
      onBlur={onBlur}
      error={error}
      hint={form.kind === 'names' ? words.editor.categoriesHint : undefined}
      inputMode={form.kind === 'link' ? 'url' : undefined}
      multiline={form.kind === 'notes'}
    />
  );
}
