import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { changeSettings } from '@/core/change/calendarChanges';
import { deletePreset, reorderPreset, savePreset } from '@/core/change/presetChanges';
import type { ViewPreset } from '@/core/model/viewPreset';
import { useCommands } from '@/features/workspace';
import { useOpenStore, usePeriodSets, useSettings } from '@/store';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { presetName } from './presetName';
import type { State } from '@/core/model/state';
import type { PeriodSet } from '@/core/model/periodSet';

interface PresetRowProps {
  preset: ViewPreset;
  digit: number | undefined;
  isFirst: boolean;
  isLast: boolean;
  isApplied: boolean;
  isChanged: boolean;
  onApply: () => void;
  onResave: () => void;
}

/** A kept way of looking, with what can be done with it. */
export function PresetRow({
  preset,
  digit,
  isFirst,
  isLast,
  isApplied,
  isChanged,
  onApply,
  onResave,
}: PresetRowProps) {
  const { colours } = useTheme();
  const { store } = useOpenStore();
  const { context, commit } = useCommands();
  const { startPresetId } = useSettings();
  const sets = usePeriodSets();
  const [renaming, setRenaming] = useState(false);
  const state = () => store.getSnapshot().state;
  const isStart = preset.id === startPresetId;
  const move = (direction: 1 | -1) => {
    const patch = reorderPreset(state(), preset.id, direction, context());
    if (patch) commit(patch);
  };
  const rename = (name: string) => {
    setRenaming(false);
    if (name !== preset.name) commit(savePreset(state(), preset.id, { ...preset, name }, context()));
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
      {renaming ? (
        <RenameField preset={preset} onName={rename} onLeave={() => setRenaming(false)} />
      ) : (
        <PresetName isApplied={isApplied} preset={preset} onApply={onApply} />
      )}
      <PresetAbout preset={preset} isStart={isStart} digit={digit} isChanged={isChanged} sets={sets} />
      <PresetActions
        isChanged={isChanged}
        onResave={onResave}
        preset={preset}
        setRenaming={setRenaming}
        isFirst={isFirst}
        move={move}
        isLast={isLast}
        isStart={isStart}
        state={state}
      />
    </View>
  );
}

/** The name of a preset, which applies it. */
function PresetName({
  isApplied,
  preset,
  onApply,
}: {
  isApplied: boolean;
  preset: ViewPreset;
  onApply: () => void;
}) {
  return (
    <Button
      icon={isApplied ? 'bookmark' : 'bookmark-outline'}
      label={words.presets.apply(preset.name)}
      shown={preset.name}
      kind="quiet"
      onPress={onApply}
      align="start"
      style={styles.apply}
    />
  );
}

/** What a preset shows, and how it stands with it. */
function PresetAbout({
  preset,
  isStart,
  digit,
  isChanged,
  sets,
}: {
  preset: ViewPreset;
  isStart: boolean;
  digit: number | undefined;
  isChanged: boolean;
  sets: readonly PeriodSet[];
}) {
  return (
    <AppText size="small" tone="quiet" style={styles.about}>
      {[
        preset.table ? words.presets.ofTable : words.plan.view[preset.look.view],
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
  );
}

interface PresetActionsProps {
  isChanged: boolean;
  onResave: () => void;
  preset: ViewPreset;
  setRenaming: (next: boolean) => void;
  isFirst: boolean;
  move: (direction: 1 | -1) => void;
  isLast: boolean;
  isStart: boolean;
  state: () => State;
}

const QUIET = { iconOnly: true, kind: 'quiet' } as const;

/** What can be done with a preset. */
function PresetActions({
  isChanged,
  onResave,
  preset,
  setRenaming,
  isFirst,
  move,
  isLast,
  isStart,
  state,
}: PresetActionsProps) {
  const { commit, context } = useCommands();
  return (
    <View style={styles.row}>
      {isChanged ? <Button label={words.presets.resave} onPress={onResave} /> : null}
      <Button
        icon="pencil-outline"
        {...QUIET}
        label={words.presets.rename(preset.name)}
        onPress={() => setRenaming(true)}
      />
      <Button
        icon="menu-up"
        {...QUIET}
        disabled={isFirst}
        label={words.presets.earlier(preset.name)}
        onPress={() => move(-1)}
      />
      <Button
        icon="menu-down"
        {...QUIET}
        disabled={isLast}
        label={words.presets.later(preset.name)}
        onPress={() => move(1)}
      />
      <Button
        icon="home-outline"
        {...QUIET}
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
  );
}

/** The name of a preset while it is written. One that another has stays in its field, with what is wrong with it. */
function RenameField({
  preset,
  onName,
  onLeave,
}: {
  preset: ViewPreset;
  onName: (name: string) => void;
  onLeave: () => void;
}) {
  const { store } = useOpenStore();
  const schema = z.object({ name: presetName(() => store.getSnapshot().state, preset.id) });
  const { control, typed, submit } = useFormOf(schema, { name: preset.name }, 'while-typing');
  const keep = () => (typed.name.trim() === '' ? onLeave() : submit(({ name }) => onName(name)));
  return (
    <View style={styles.apply} {...webProps({ onBlur: keep })}>
      <FormText
        control={control}
        name="name"
        label={words.presets.name}
        maxLength={40}
        onSubmit={keep}
        autoFocus
      />
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
