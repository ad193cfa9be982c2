import { z } from 'zod';
import { type PersonFields, savePerson } from '@/core/change/peopleChanges';
import { type Person, PERSON_KINDS } from '@/core/model/person';
import { isKnownZone } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { ZoneField } from '@/features/zones';
import { useOpenStore } from '@/store';
import { FormField } from '@/ui/forms/FormField';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { Sheet } from '@/ui/primitives/Sheet';
import { words } from '@/ui/words';
import { peopleWords as said } from '@/ui/words/people';
import { isAddress } from '@/core/model/emailAddress';
import { namesIn } from '@/core/fields/nameList';

const PersonForm = z
  .object({
    kind: z.enum(PERSON_KINDS),
    name: z.string().trim().min(1, said.problems.name).max(200),
    addresses: z.string(),
    role: z.string().trim().max(200),
    place: z.string().trim().max(200),
    zone: z.string(),
    groups: z.string(),
    seats: z
      .string()
      .trim()
      .regex(/^\d{0,4}$/, said.problems.seats),
    equipment: z.string(),
    notes: z.string().max(20_000),
  })
  .superRefine(({ addresses }, check) => {
    const wrong = namesIn(addresses).find((address) => !isAddress(address));
    if (wrong !== undefined)
      check.addIssue({ code: 'custom', path: ['addresses'], message: said.problems.address(wrong) });
  });
type PersonForm = z.infer<typeof PersonForm>;

const typedOf = (person: Person | undefined): PersonForm => ({
  kind: person?.kind ?? 'colleague',
  name: person?.name ?? '',
  addresses: person?.addresses.join(', ') ?? '',
  role: person?.role ?? '',
  place: person?.place ?? '',
  zone: person?.zone ?? '',
  groups: person?.groups.join(', ') ?? '',
  seats: person?.seats === undefined ? '' : String(person.seats),
  equipment: person?.equipment.join(', ') ?? '',
  notes: person?.notes ?? '',
});

/** Somebody as they are kept, in a form: a new one, or one that is changed. */
export function PersonSheet({
  person,
  onClose,
}: {
  person: Person | undefined;
  onClose: (id?: string) => void;
}) {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { control, typed, submit } = useFormOf(PersonForm, typedOf(person));
  const isRoom = typed.kind === 'room';
  const save = () =>
    submit((form) => {
      const { zone: _, seats: __, ...kept } = person ?? {};
      const fields: PersonFields = {
        ...kept,
        kind: form.kind,
        name: form.name,
        addresses: namesIn(form.addresses),
        role: form.role,
        place: form.place,
        ...(isKnownZone(form.zone) ? { zone: form.zone } : {}),
        groups: namesIn(form.groups, person?.groups ?? []),
        ...(isRoom && form.seats !== '' ? { seats: Number(form.seats) } : {}),
        equipment: isRoom ? namesIn(form.equipment, person?.equipment ?? []) : [],
        notes: form.notes,
      };
      const saved = savePerson(store.getSnapshot().state, fields, context(), person?.id);
      if (commit(saved.patch)) onClose(saved.id);
    });
  const labels = said.fields;
  return (
    <Sheet
      title={person ? said.editTitle(person.name) : said.newTitle}
      closeLabel={words.actions.cancel}
      onClose={() => onClose()}
      go={{ label: said.save, onPress: save }}
    >
      <FormText control={control} name="name" label={labels.name} maxLength={200} onSubmit={save} large />
      <FormField control={control} name="kind">
        {({ value, onChange }) => (
          <ChoiceRow
            label={labels.kind}
            choices={PERSON_KINDS.map((kind) => ({ value: kind, label: said.kinds[kind] }))}
            value={value}
            onChange={onChange}
          />
        )}
      </FormField>
      <FormText control={control} name="addresses" label={labels.addresses} hint={labels.addressesHint} />
      {isRoom ? null : <FormText control={control} name="role" label={labels.role} />}
      <FormText control={control} name="place" label={labels.place} />
      <FormField control={control} name="zone">
        {({ value, onChange }) => (
          <ZoneField
            label={labels.zone}
            value={value}
            none={{ value: '', label: labels.noZone }}
            onChange={onChange}
          />
        )}
      </FormField>
      {isRoom ? (
        <>
          <FormText control={control} name="seats" label={labels.seats} inputMode="numeric" />
          <FormText control={control} name="equipment" label={labels.equipment} hint={labels.groupsHint} />
        </>
      ) : null}
      <FormText control={control} name="groups" label={labels.groups} hint={labels.groupsHint} />
      <FormText control={control} name="notes" label={labels.notes} multiline />
    </Sheet>
  );
}
