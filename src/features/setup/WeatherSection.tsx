import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import { categoriesInUse } from '@/core/change/categoryChanges';
import { DEGREES, LONGEST_PLACE } from '@/core/forecast/forecast';
import type { WeatherSettings } from '@/core/model/settings';
import { cityOf } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Check } from '@/ui/primitives/Check';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { setupWords } from '@/ui/words/setup';

const said = setupWords.weather;

/** Whether the day heads say the weather, of which places, and in which degrees. */
export function WeatherSection() {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const { weather, homeLabel, homeZone } = useSettings();
  const change = (next: WeatherSettings | undefined) =>
    commit(changeSettings(store.getSnapshot().state, { weather: next }, context()));
  const here = homeLabel ?? cityOf(homeZone);
  const begin = (isOn: boolean) =>
    change(isOn ? { degrees: 'celsius', home: here, office: here } : undefined);
  return (
    <View style={styles.section} testID="weather-settings">
      <AppText tone="quiet">{said.about}</AppText>
      <Check label={said.show} checked={weather !== undefined} onChange={begin} />
      {weather ? <WeatherFields weather={weather} change={change} /> : null}
    </View>
  );
}

function WeatherFields({
  weather,
  change,
}: {
  weather: WeatherSettings;
  change: (next: WeatherSettings) => void;
}) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const categories = useMemo(() => categoriesInUse(state), [state]);
  const [home, setHome] = useState(weather.home);
  const [office, setOffice] = useState(weather.office);
  /** What was written is kept when the field is left. */
  const keep = () => {
    if (home !== weather.home || office !== weather.office) change({ ...weather, home, office });
  };
  const known = categories.some(({ name }) => name === weather.outdoors);
  return (
    <>
      <ChoiceRow
        label={said.degrees}
        choices={DEGREES.map((value) => ({ value, label: said.scales[value] }))}
        value={weather.degrees}
        onChange={(degrees) => change({ ...weather, degrees })}
      />
      <View style={styles.row}>
        <View style={styles.field}>
          <TextField
            label={said.office}
            value={office}
            onChangeText={setOffice}
            onBlur={keep}
            onSubmit={keep}
            maxLength={LONGEST_PLACE}
          />
        </View>
        <View style={styles.field}>
          <TextField
            label={said.home}
            value={home}
            onChangeText={setHome}
            onBlur={keep}
            onSubmit={keep}
            maxLength={LONGEST_PLACE}
          />
        </View>
      </View>
      <SelectField
        label={said.outdoors}
        value={weather.outdoors ?? ''}
        options={[
          { value: '', label: said.noOutdoors },
          ...(weather.outdoors !== undefined && !known
            ? [{ value: weather.outdoors, label: weather.outdoors }]
            : []),
          ...categories.map(({ name }) => ({ value: name, label: name })),
        ]}
        onChange={(name) => change({ ...weather, outdoors: name || undefined })}
        testID="outdoors"
      />
    </>
  );
}

const styles = StyleSheet.create({
  section: { gap: space(3) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) },
  field: { flexGrow: 1, flexBasis: 220 },
});
