import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { savePreset } from '@/core/change/presetChanges';
import type { PresetLook } from '@/core/model/viewPreset';
import { PLACE_PATHS, useCommands, usePlanAddress, workspace } from '@/features/workspace';
import { useOpenStore, usePeriodSets, usePresets } from '@/store';
import { FormField } from '@/ui/forms/FormField';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Check } from '@/ui/primitives/Check';
import { Button } from '@/ui/primitives/Button';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { PlanSheetProps } from '../sheetProps';
import { QUICK_VIEWS } from '../viewChoices';
import { PresetRow } from './PresetRow';
import { presetName } from './presetName';
import { useApplyPreset } from './useApplyPreset';
import { usePresetLook } from './usePresetLook';
import type { PeriodSet } from '@/core/model/periodSet';

/** Kept ways of looking: apply, keep the present one, put in order, rename, delete. */
export function PresetsSheet({ address, today, table }: PlanSheetProps) {
  const { to } = usePlanAddress();
  const { store } = useOpenStore();
  const { context, commit } = useCommands();
  const presets = usePresets();
  const sets = usePeriodSets();
  const apply = useApplyPreset();
  const { present, applied, isChanged } = usePresetLook(address, table);
  const close = () => workspace.openSheet(null);
  return (
    <Sheet title={words.presets.title} closeLabel={words.actions.close} onClose={close}>
      {table ? null : <QuickLooks close={close} today={today} sets={sets} />}
      {presets.length === 0 ? <AppText tone="quiet">{words.presets.none}</AppText> : null}
      {presets.map((preset, index) => (
        <PresetRow
          key={preset.id}
          preset={preset}
          digit={index < 9 ? index + 1 : undefined}
          isFirst={index === 0}
          isLast={index === presets.length - 1}
          isApplied={preset.id === applied?.id}
          isChanged={preset.id === applied?.id && isChanged}
          onApply={() => {
            close();
            apply(preset);
          }}
          onResave={() =>
            commit(savePreset(store.getSnapshot().state, preset.id, { ...preset, ...present }, context()))
          }
        />
      ))}
      <KeepForm present={present} onKept={(presetId) => to({ presetId }, { quietly: true })} />
    </Sheet>
  );
}

/** Looks that need no preset: the next days, the present period. */
function QuickLooks({
  close,
  today,
  sets,
}: {
  close: () => void;
  today: number;
  sets: readonly PeriodSet[];
}) {
  const { to } = usePlanAddress();
  const router = useRouter();
  return (
    <View style={styles.row}>
      {QUICK_VIEWS.map(({ label, look: quick }) => (
        <Button
          key={label}
          label={label}
          onPress={() => {
            close();
            to({ ...quick, day: today, presetId: undefined });
          }}
        />
      ))}
      {sets.map(({ id, name: set }) => (
        <Button
          key={id}
          label={words.presets.thisPeriod(set)}
          onPress={() => {
            close();
            to({ view: 'weeks', periodSetId: id, day: today, presetId: undefined });
          }}
        />
      ))}
      <Button
        kind="quiet"
        label={words.periods.manage}
        onPress={() => {
          close();
          router.push(PLACE_PATHS.setup);
        }}
      />
    </View>
  );
}

/** Keeps the present look under a name. */
function KeepForm({ present, onKept }: { present: PresetLook; onKept: (presetId: string) => void }) {
  const { store } = useOpenStore();
  const { context, commit } = useCommands();
  const state = () => store.getSnapshot().state;
  const schema = z.object({ name: presetName(state), fromToday: z.boolean() });
  const { control, submit, reset } = useFormOf(schema, { name: '', fromToday: true });
  const keep = () =>
    submit((said) => {
      const patch = savePreset(state(), undefined, { ...said, ...present }, context());
      commit(patch);
      onKept(patch.changes[0]!.id);
      reset({ ...said, name: '' });
    });
  return (
    <>
      <TitleText size="large" level={3}>
        {words.presets.keepTitle}
      </TitleText>
      <FormText
        control={control}
        name="name"
        label={words.presets.name}
        maxLength={40}
        onSubmit={keep}
        testID="preset-name"
      />
      <FormField control={control} name="fromToday">
        {({ value, onChange }) => (
          <Check label={words.presets.fromToday} checked={value} onChange={onChange} />
        )}
      </FormField>
      <View style={styles.row}>
        <Button kind="primary" label={words.presets.keep} onPress={keep} />
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), alignItems: 'center' },
});
