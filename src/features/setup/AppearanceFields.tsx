import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import { OFFERED_LENGTHS } from '@/core/change/calendarDefaults';
import { COLOUR_SCHEMES, HOUR_CYCLES, type Settings } from '@/core/model/settings';
import { HOUR, MINUTE } from '@/core/time/civil';
import { useCommands, WeekStartField } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { lengthText, usualTimeText } from '@/ui/dates';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { space } from '@/ui/theme/tokens';
import { setupWords } from '@/ui/words/setup';

const said = setupWords.general;

/** How weeks and times are written, in which colours, and how long a new entry is. */
export function AppearanceFields() {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { hourCycle, colourScheme, defaultLengthMinutes } = useSettings();
  const change = (fields: Partial<Settings>) =>
    commit(changeSettings(store.getSnapshot().state, fields, context()));
  const lengths = [...new Set([...OFFERED_LENGTHS, defaultLengthMinutes])].sort((a, b) => a - b);
  return (
    <>
      <View style={styles.row}>
        <WeekStartField />
        <SelectField
          label={said.clock}
          value={hourCycle ?? ''}
          options={[
            { value: '', label: said.clocks.usual(usualTimeText(14 * HOUR)) },
            ...HOUR_CYCLES.map((value) => ({ value, label: said.clocks[value] })),
          ]}
          onChange={(value) => change({ hourCycle: HOUR_CYCLES.find((cycle) => cycle === value) })}
        />
        <SelectField
          label={said.length}
          value={String(defaultLengthMinutes)}
          options={lengths.map((minutes) => ({
            value: String(minutes),
            label: lengthText(minutes * MINUTE),
          }))}
          onChange={(value) => change({ defaultLengthMinutes: Number(value) })}
        />
      </View>
      <ChoiceRow
        label={said.colours}
        choices={(['system', ...COLOUR_SCHEMES] as const).map((value) => ({
          value,
          label: said.schemes[value],
        }))}
        value={colourScheme ?? 'system'}
        onChange={(value) => change({ colourScheme: value === 'system' ? undefined : value })}
      />
    </>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) } });
