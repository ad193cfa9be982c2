import { useMemo, useState } from 'react';
import type { Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import type { z } from 'zod';
import { savePeriodSet } from '@/core/change/presetChanges';
import type { PeriodSet } from '@/core/model/periodSet';
import { civilDate, dateString, startOfWeek, dayNumber } from '@/core/time/civil';
import { periodFaults, periodsOfYear } from '@/core/time/periods';
import { useCommands } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { monthName } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { FormDate } from '@/ui/forms/FormDate';
import { FormField } from '@/ui/forms/FormField';
import { FormSelect } from '@/ui/forms/FormSelect';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { periodWords } from '@/ui/words/periods';
import {
  formOfRule,
  isOfWeeks,
  PERIOD_KINDS,
  type PeriodForm,
  type PeriodKind,
  PeriodSetForm,
  ruleOfForm,
} from './periodForm';
import { PeriodTable } from './PeriodTable';

/** A period set: its name and rule, with the periods of a year as they come out, before anything is kept. */
export function PeriodSetSheet({
  set,
  today,
  onClose,
}: {
  set: PeriodSet | undefined;
  today: number;
  onClose: () => void;
}) {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { control, typed, submit } = useFormOf(
    PeriodSetForm,
    {
      name: set?.name ?? '',
      // The Monday next to the new year.
      ...formOfRule(set?.rule, dateString(startOfWeek(dayNumber(civilDate(today).year, 1, 4)))),
    },
    'while-typing',
  );
  const save = () =>
    submit((said) => {
      commit(savePeriodSet(store.getSnapshot().state, set?.id, said, context()));
      onClose();
    });
  return (
    <Sheet
      title={set ? periodWords.edit(set.name) : periodWords.new}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: words.actions.save, onPress: save }}
    >
      <FormText control={control} name="name" label={periodWords.name} maxLength={40} large />
      <FormField control={control} name="kind">
        {({ value, onChange }) => (
          <ChoiceRow
            label={periodWords.kind}
            choices={PERIOD_KINDS.map((kind) => ({ value: kind, label: periodWords.kinds[kind] }))}
            value={value}
            onChange={onChange}
          />
        )}
      </FormField>
      <RuleFields control={control} kind={typed.kind} />
      <Preview form={typed} today={today} />
    </Sheet>
  );
}

type PeriodSetControl = Control<z.input<typeof PeriodSetForm>, unknown, z.output<typeof PeriodSetForm>>;

const DAYS = Array.from({ length: 28 }, (_, index) => String(index + 1));
const MONTHS = DAYS.slice(0, 12);

/** The fields that a kind of periods takes. */
function RuleFields({ control, kind }: { control: PeriodSetControl; kind: PeriodKind }) {
  if (kind === 'list')
    return (
      <FormText
        control={control}
        name="list"
        label={periodWords.list}
        multiline
        hint={periodWords.listHint}
        testID="period-list"
      />
    );
  if (isOfWeeks(kind))
    return (
      <View style={styles.row}>
        {kind === 'weeks' ? (
          <FormText
            control={control}
            name="weeks"
            label={periodWords.weeks}
            inputMode="numeric"
            maxLength={2}
          />
        ) : null}
        <FormDate
          control={control}
          name="start"
          label={kind === 'weeks' ? periodWords.oneBegins : periodWords.yearBegins}
        />
      </View>
    );
  return (
    <View style={styles.row}>
      <FormSelect
        control={control}
        name="firstDay"
        label={periodWords.firstDay}
        options={DAYS.map((day) => ({ value: day, label: day }))}
      />
      <FormSelect
        control={control}
        name="firstMonth"
        label={periodWords.firstMonth}
        options={MONTHS.map((month) => ({ value: month, label: monthName(Number(month)) }))}
      />
    </View>
  );
}

/** The periods of a year as they come out, to be stepped through. */
function Preview({ form, today }: { form: PeriodForm; today: number }) {
  const [shownYear, setShownYear] = useState<number | undefined>(undefined);
  const rule = useMemo(() => ruleOfForm(form), [form]);
  if (!rule) return null;
  const firstYear =
    rule.kind === 'list'
      ? Number([...rule.periods].sort((a, b) => (a.first < b.first ? -1 : 1))[0]!.first.slice(0, 4))
      : undefined;
  const year = shownYear ?? firstYear ?? civilDate(today).year;
  const periods = periodsOfYear(rule, year);
  const following = rule.kind === 'list' ? [] : periodsOfYear(rule, year + 1).slice(0, 1);
  return (
    <View style={styles.preview}>
      <View style={styles.year}>
        <TitleText size="large" level={3}>
          {periodWords.preview(year)}
        </TitleText>
        <Button
          icon="arrow-left"
          iconOnly
          kind="quiet"
          label={periodWords.yearBefore}
          onPress={() => setShownYear(year - 1)}
        />
        <Button
          icon="arrow-right"
          iconOnly
          kind="quiet"
          label={periodWords.yearAfter}
          onPress={() => setShownYear(year + 1)}
        />
      </View>
      <PeriodTable periods={periods} faults={periodFaults([...periods, ...following])} today={today} />
      {periods.length === 0 ? <AppText tone="quiet">{periodWords.noneInYear}</AppText> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) },
  preview: { gap: space(2) },
  year: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
});
