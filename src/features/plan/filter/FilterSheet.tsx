import { StyleSheet, View } from 'react-native';
import { AVAILABILITIES, CLASSIFICATIONS } from '@/core/model/entry';
import {
  ANSWER_KINDS,
  type EntryFilter,
  MEETING_KINDS,
  NO_FILTER,
  PEOPLE_KINDS,
  RECURRING_KINDS,
} from '@/core/model/look';
import { usePlanAddress, workspace } from '@/features/workspace';
import { useEngineAnswer, useListedCalendars } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { TextField } from '@/ui/primitives/TextField';
import { Sheet } from '@/ui/primitives/Sheet';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { PlanSheetProps } from '../sheetProps';

/** Which entries are shown: every choice takes effect at once. */
export function FilterSheet({ address }: PlanSheetProps) {
  const { to } = usePlanAddress();
  const calendars = useListedCalendars();
  const { data: categories = [] } = useEngineAnswer(['categories']);
  const { filter } = address;
  const change = (fields: Partial<EntryFilter>, quietly = false) =>
    to({ filter: { ...filter, ...fields } }, { quietly });
  const either = <Value extends string>(
    label: string,
    kinds: readonly Value[],
    value: Value | undefined,
    set: (value: Value | undefined) => Partial<EntryFilter>,
  ) => (
    <ChoiceRow<Value | 'any'>
      label={label}
      choices={[
        { value: 'any', label: words.filter.any },
        ...kinds.map((kind) => ({
          value: kind,
          label: words.filter.values[kind as keyof typeof words.filter.values],
        })),
      ]}
      value={value ?? 'any'}
      onChange={(chosen) => change(set(chosen === 'any' ? undefined : chosen))}
    />
  );
  const shown = [...new Set([...filter.categories, ...categories])].slice(0, 40);
  return (
    <Sheet
      title={words.filter.title}
      closeLabel={words.actions.close}
      onClose={() => workspace.openSheet(null)}
      footer={
        <View style={styles.footer}>
          <Button label={words.filter.clear} onPress={() => to({ filter: NO_FILTER, hidden: [] })} />
          <Button kind="primary" label={words.actions.close} onPress={() => workspace.openSheet(null)} />
        </View>
      }
    >
      <TextField
        label={words.filter.text}
        value={filter.text}
        maxLength={100}
        onChangeText={(text) => change({ text }, true)}
      />
      <ToggleRow
        label={words.chips.label}
        choices={calendars.map(({ id, name }) => ({ value: id, label: name }))}
        values={calendars.filter(({ id }) => !address.hidden.includes(id)).map(({ id }) => id)}
        onChange={(values) =>
          to({ hidden: calendars.filter(({ id }) => !values.includes(id)).map(({ id }) => id) })
        }
      />
      {shown.length > 0 ? (
        <ToggleRow
          label={words.fields.categories}
          choices={shown.map((category) => ({ value: category, label: category }))}
          values={filter.categories}
          onChange={(values) => change({ categories: values })}
        />
      ) : null}
      <ToggleRow
        label={words.fields.availability}
        choices={AVAILABILITIES.map((value) => ({ value, label: words.entry.availability[value] }))}
        values={filter.availabilities}
        onChange={(values) => change({ availabilities: values })}
      />
      <ToggleRow
        label={words.fields.classification}
        choices={CLASSIFICATIONS.map((value) => ({ value, label: words.entry.classification[value] }))}
        values={filter.classifications}
        onChange={(values) => change({ classifications: values })}
      />
      {either(words.filter.recurring, RECURRING_KINDS, filter.recurring, (recurring) => ({ recurring }))}
      {either(words.filter.people, PEOPLE_KINDS, filter.people, (people) => ({ people }))}
      {either(words.filter.meeting, MEETING_KINDS, filter.meeting, (meeting) => ({ meeting }))}
      {either(words.filter.answer, ANSWER_KINDS, filter.answer, (answer) => ({ answer }))}
    </Sheet>
  );
}

const styles = StyleSheet.create({ footer: { flexDirection: 'row', gap: space(2) } });
