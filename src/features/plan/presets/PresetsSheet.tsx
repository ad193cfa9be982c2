import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import { deletePreset, presetNamed, reorderPreset, savePreset } from '@/core/change/presetChanges';
import { sameLook } from '@/core/model/lookParameters';
import type { ViewPreset } from '@/core/model/viewPreset';
import { useCommands, usePlanAddress, workspace } from '@/features/workspace';
import { useOpenStore, usePeriodSets, usePresets, useSettings } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { TextField } from '@/ui/primitives/TextField';
import { Sheet } from '@/ui/primitives/Sheet';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { PlanSheetProps } from '../sheetProps';
import { QUICK_VIEWS } from '../viewChoices';
import { lookOf } from './lookOf';
import { useApplyPreset } from './useApplyPreset';

/** Kept ways of looking: apply, keep the present one, put in order, rename, delete. */
export function PresetsSheet({ address, today }: PlanSheetProps) {
  const { to } = usePlanAddress();
  const router = useRouter();
  const { store } = useOpenStore();
  const { context, commit } = useCommands();
  const presets = usePresets();
  const sets = usePeriodSets();
  const apply = useApplyPreset();
  const [name, setName] = useState('');
  const [fromToday, setFromToday] = useState(true);
  const [problem, setProblem] = useState('');
  const close = () => workspace.openSheet(null);
  const look = lookOf(address);
  const keep = () => {
    if (name.trim() === '') return setProblem(words.presets.nameMissing);
    const { state } = store.getSnapshot();
    if (presetNamed(state, name)) return setProblem(words.presets.nameTaken(name.trim()));
    const patch = savePreset(state, undefined, { name: name.trim(), look, fromToday }, context());
    commit(patch);
    to({ presetId: patch.changes[0]!.id }, { quietly: true });
    setName('');
    setProblem('');
  };
  return (
    <Sheet title={words.presets.title} closeLabel={words.actions.close} onClose={close}>
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
            router.push('/setup');
          }}
        />
      </View>
      {presets.length === 0 ? <AppText tone="quiet">{words.presets.none}</AppText> : null}
      {presets.map((preset, index) => (
        <PresetRow
          key={preset.id}
          preset={preset}
          digit={index < 9 ? index + 1 : undefined}
          isFirst={index === 0}
          isLast={index === presets.length - 1}
          isApplied={preset.id === address.presetId}
          isChanged={preset.id === address.presetId && !sameLook(preset.look, look)}
          onApply={() => {
            close();
            apply(preset);
          }}
          onResave={() =>
            commit(savePreset(store.getSnapshot().state, preset.id, { ...preset, look }, context()))
          }
        />
      ))}
      <TitleText size="large" level={3}>
        {words.presets.keepTitle}
      </TitleText>
      <TextField
        label={words.presets.name}
        value={name}
        maxLength={40}
        error={problem || undefined}
        onChangeText={(text) => {
          setName(text);
          setProblem('');
        }}
        onSubmit={keep}
        testID="preset-name"
      />
      <ToggleRow
        label={words.presets.starts}
        choices={[{ value: 'today', label: words.presets.fromToday }]}
        values={fromToday ? ['today'] : []}
        onChange={(values) => setFromToday(values.length > 0)}
      />
      <View style={styles.row}>
        <Button kind="primary" label={words.presets.keep} onPress={keep} />
      </View>
    </Sheet>
  );
}

function PresetRow({
  preset,
  digit,
  isFirst,
  isLast,
  isApplied,
  isChanged,
  onApply,
  onResave,
}: {
  preset: ViewPreset;
  digit: number | undefined;
  isFirst: boolean;
  isLast: boolean;
  isApplied: boolean;
  isChanged: boolean;
  onApply: () => void;
  onResave: () => void;
}) {
  const { colours } = useTheme();
  const { store } = useOpenStore();
  const { context, commit } = useCommands();
  const { startPresetId } = useSettings();
  const sets = usePeriodSets();
  const [renaming, setRenaming] = useState<string | null>(null);
  const state = () => store.getSnapshot().state;
  const isStart = preset.id === startPresetId;
  const move = (direction: 1 | -1) => {
    const patch = reorderPreset(state(), preset.id, direction, context());
    if (patch) commit(patch);
  };
  const rename = () => {
    const name = renaming?.trim();
    // A name that another has stays in its field, with what is wrong with it.
    if (name && presetNamed(state(), name, preset.id)) return;
    setRenaming(null);
    if (name && name !== preset.name) commit(savePreset(state(), preset.id, { ...preset, name }, context()));
  };
  return (
    <View
      role="group"
      aria-label={preset.name}
      testID="preset"
      style={[
        styles.preset,
        { borderColor: isApplied ? colours.primary : colours.line, backgroundColor: colours.card },
      ]}
    >
      {renaming === null ? (
        <Button
          icon={isApplied ? 'bookmark' : 'bookmark-outline'}
          label={words.presets.apply(preset.name)}
          shown={preset.name}
          kind="quiet"
          onPress={onApply}
          align="start"
          style={styles.apply}
        />
      ) : (
        <TextField
          label={words.presets.name}
          value={renaming}
          maxLength={40}
          onChangeText={setRenaming}
          onSubmit={rename}
          onBlur={rename}
          error={
            presetNamed(state(), renaming, preset.id) ? words.presets.nameTaken(renaming.trim()) : undefined
          }
          autoFocus
        />
      )}
      <AppText size="small" tone="quiet" style={styles.about}>
        {[
          words.plan.view[preset.look.view],
          isStart ? words.presets.isStart : '',
          digit === undefined ? '' : words.presets.key(digit),
          isChanged ? words.presets.isChanged : '',
          preset.look.periodSetId !== undefined && !sets.some(({ id }) => id === preset.look.periodSetId)
            ? words.presets.periodsGone
            : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </AppText>
      <View style={styles.row}>
        {isChanged ? <Button label={words.presets.resave} onPress={onResave} /> : null}
        <Button
          icon="pencil-outline"
          iconOnly
          kind="quiet"
          label={words.presets.rename(preset.name)}
          onPress={() => setRenaming(preset.name)}
        />
        <Button
          icon="menu-up"
          iconOnly
          kind="quiet"
          disabled={isFirst}
          label={words.presets.earlier(preset.name)}
          onPress={() => move(-1)}
        />
        <Button
          icon="menu-down"
          iconOnly
          kind="quiet"
          disabled={isLast}
          label={words.presets.later(preset.name)}
          onPress={() => move(1)}
        />
        <Button
          icon="home-outline"
          iconOnly
          kind="quiet"
          selected={isStart}
          label={words.presets.makeStart(preset.name)}
          onPress={() =>
            commit(changeSettings(state(), { startPresetId: isStart ? undefined : preset.id }, context()))
          }
        />
        <Button
          icon="delete-outline"
          iconOnly
          kind="danger"
          label={words.presets.delete(preset.name)}
          onPress={() => {
            const patch = deletePreset(state(), preset.id, context());
            if (patch) commit(patch);
          }}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), alignItems: 'center' },
  preset: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    padding: space(2),
  },
  apply: { flexShrink: 1 },
  about: { flexGrow: 1 },
});
