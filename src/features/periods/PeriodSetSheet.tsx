import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { savePeriodSet } from '@/core/change/presetChanges';
import type { PeriodSet } from '@/core/model/periodSet';
import { civilDate, dateString, startOfWeek, dayNumber } from '@/core/time/civil';
import { periodFaults, periodsOfYear, readPeriodList } from '@/core/time/periods';
import { useCommands } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { monthName } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { DateField } from '@/ui/primitives/dates/DateField';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { type PeriodForm, formOfRule, PERIOD_KINDS, ruleOfForm } from './periodForm';
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
  const [name, setName] = useState(set?.name ?? '');
  const [form, setForm] = useState(() => {
    const { year } = civilDate(today);
    // The Monday next to the new year.
    return formOfRule(set?.rule, dateString(startOfWeek(dayNumber(year, 1, 4))));
  });
  const [shownYear, setShownYear] = useState<number | undefined>(undefined);
  const [tried, setTried] = useState(false);
  const change = (fields: Partial<PeriodForm>) => setForm((before) => ({ ...before, ...fields }));
  const rule = useMemo(() => ruleOfForm(form), [form]);
  const list = form.kind === 'list' ? readPeriodList(form.list) : undefined;
  const firstYear =
    rule?.kind === 'list'
      ? Number([...rule.periods].sort((a, b) => (a.first < b.first ? -1 : 1))[0]!.first.slice(0, 4))
      : undefined;
  const year = shownYear ?? firstYear ?? civilDate(today).year;
  const periods = rule ? periodsOfYear(rule, year) : [];
  const faults = rule
    ? periodFaults(
        rule.kind === 'list' ? periods : [...periods, ...periodsOfYear(rule, year + 1).slice(0, 1)],
      )
    : [];
  const nameProblem = name.trim() === '' ? words.periods.nameMissing : undefined;
  const save = () => {
    setTried(true);
    if (nameProblem || !rule) return;
    commit(savePeriodSet(store.getSnapshot().state, set?.id, { name: name.trim(), rule }, context()));
    onClose();
  };
  const isPattern = form.kind !== 'list' && form.kind !== 'months' && form.kind !== 'quarters';
  return (
    <Sheet
      title={set ? words.periods.edit(set.name) : words.periods.new}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: words.actions.save, onPress: save }}
    >
      <TextField
        label={words.periods.name}
        value={name}
        onChangeText={setName}
        maxLength={40}
        error={tried ? nameProblem : undefined}
        large
      />
      <ChoiceRow
        label={words.periods.kind}
        choices={PERIOD_KINDS.map((value) => ({ value, label: words.periods.kinds[value] }))}
        value={form.kind}
        onChange={(kind) => change({ kind })}
      />
      {isPattern ? (
        <View style={styles.row}>
          {form.kind === 'weeks' ? (
            <TextField
              label={words.periods.weeks}
              value={form.weeks}
              inputMode="numeric"
              maxLength={2}
              onChangeText={(weeks) => change({ weeks })}
              error={rule ? undefined : words.periods.weeksWrong}
            />
          ) : null}
          <DateField
            label={form.kind === 'weeks' ? words.periods.oneBegins : words.periods.yearBegins}
            value={form.start}
            onChange={(start) => change({ start })}
            error={form.start === '' ? words.periods.dateMissing : undefined}
          />
        </View>
      ) : null}
      {form.kind === 'months' || form.kind === 'quarters' ? (
        <View style={styles.row}>
          <SelectField
            label={words.periods.firstDay}
            value={form.firstDay}
            options={Array.from({ length: 28 }, (_, index) => ({
              value: String(index + 1),
              label: String(index + 1),
            }))}
            onChange={(firstDay) => change({ firstDay })}
          />
          <SelectField
            label={words.periods.firstMonth}
            value={form.firstMonth}
            options={Array.from({ length: 12 }, (_, index) => ({
              value: String(index + 1),
              label: monthName(index + 1),
            }))}
            onChange={(firstMonth) => change({ firstMonth })}
          />
        </View>
      ) : null}
      {list ? (
        <TextField
          label={words.periods.list}
          value={form.list}
          multiline
          onChangeText={(text) => change({ list: text })}
          hint={words.periods.listHint}
          error={
            list.problems.length > 0
              ? words.periods.listProblem(list.problems.map(({ line }) => line))
              : tried && list.periods.length === 0
                ? words.periods.listMissing
                : undefined
          }
          testID="period-list"
        />
      ) : null}
      {rule ? (
        <View style={styles.preview}>
          <View style={styles.year}>
            <TitleText size="large" level={3}>
              {words.periods.preview(year)}
            </TitleText>
            <Button
              icon="arrow-left"
              iconOnly
              kind="quiet"
              label={words.periods.yearBefore}
              onPress={() => setShownYear(year - 1)}
            />
            <Button
              icon="arrow-right"
              iconOnly
              kind="quiet"
              label={words.periods.yearAfter}
              onPress={() => setShownYear(year + 1)}
            />
          </View>
          <PeriodTable periods={periods} faults={faults} today={today} />
          {periods.length === 0 ? <AppText tone="quiet">{words.periods.noneInYear}</AppText> : null}
        </View>
      ) : null}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) },
  preview: { gap: space(2) },
  year: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
});
