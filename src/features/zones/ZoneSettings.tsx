import { Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import { MOST_ZONE_RAILS, type ZoneRail } from '@/core/model/settings';
import { cityOf } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { TextField } from '@/ui/primitives/TextField';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { zoneWords } from '@/ui/words/zones';
import { ZonePicker } from './lazyZonePicker';
import { ZoneField } from './ZoneField';

/** The home zone and its name, and the further columns of hours. */
export function ZoneSettings() {
  const { store } = useOpenStore();
  const { commit, context } = useCommands();
  const settings = useSettings();
  const [adding, setAdding] = useState(false);
  const change = (fields: Parameters<typeof changeSettings>[1]) =>
    commit(changeSettings(store.getSnapshot().state, fields, context()));
  const { zoneRails, homeZone } = settings;
  const setRails = (rails: ZoneRail[]) => change({ zoneRails: rails });
  return (
    <View style={styles.section}>
      <ZoneField
        label={words.data.homeZone}
        value={homeZone}
        onChange={(zone) => change({ homeZone: zone, homeLabel: undefined })}
        testID="home-zone"
      />
      <LabelField
        key={`home ${homeZone}`}
        label={zoneWords.homeLabel}
        value={settings.homeLabel ?? ''}
        placeholder={cityOf(homeZone)}
        onChange={(homeLabel) => change({ homeLabel: homeLabel || undefined })}
      />
      <AppText size="small" tone="quiet">
        {zoneWords.railsHint}
      </AppText>
      {zoneRails.map((rail, index) => (
        <RailRow
          key={rail.zone}
          rail={rail}
          isFirst={index === 0}
          onChange={(changed) => setRails(zoneRails.map((other) => (other === rail ? changed : other)))}
          onRemove={() => setRails(zoneRails.filter((other) => other !== rail))}
          onFirst={() => setRails([rail, ...zoneRails.filter((other) => other !== rail)])}
        />
      ))}
      {zoneRails.length < MOST_ZONE_RAILS ? (
        <Button icon="plus" label={zoneWords.addRail} onPress={() => setAdding(true)} style={styles.add} />
      ) : null}
      {adding ? (
        <Suspense fallback={null}>
          <ZonePicker
            value=""
            onPick={(zone) => {
              setAdding(false);
              if (zone !== homeZone && !zoneRails.some((rail) => rail.zone === zone))
                setRails([...zoneRails, { zone, label: cityOf(zone).slice(0, 24) }]);
            }}
            onClose={() => setAdding(false)}
          />
        </Suspense>
      ) : null}
    </View>
  );
}

function RailRow({
  rail,
  isFirst,
  onChange,
  onRemove,
  onFirst,
}: {
  rail: ZoneRail;
  isFirst: boolean;
  onChange: (rail: ZoneRail) => void;
  onRemove: () => void;
  onFirst: () => void;
}) {
  const { colours } = useTheme();
  return (
    <View
      role="group"
      aria-label={zoneWords.railOf(rail.label)}
      style={[styles.rail, { borderColor: colours.line, backgroundColor: colours.card }]}
    >
      <LabelField
        label={zoneWords.label(cityOf(rail.zone))}
        value={rail.label}
        placeholder={cityOf(rail.zone)}
        onChange={(label) => onChange({ ...rail, label: label || cityOf(rail.zone).slice(0, 24) })}
      />
      <View style={styles.actions}>
        {isFirst ? null : <Button kind="quiet" label={zoneWords.first} onPress={onFirst} />}
        <Button
          kind="quiet"
          icon="close"
          label={zoneWords.removeRail(rail.label)}
          shown={words.actions.remove}
          onPress={onRemove}
        />
      </View>
    </View>
  );
}

/** A short name that is kept when the field is left or Enter is pressed. */
function LabelField({
  label,
  value,
  placeholder,
  onChange,
}: {
  label: string;
  value: string;
  placeholder: string;
  onChange: (value: string) => void;
}) {
  const [text, setText] = useState(value);
  const keep = () => {
    if (text.trim() !== value) onChange(text.trim());
  };
  return (
    <TextField
      label={label}
      value={text}
      placeholder={placeholder}
      maxLength={24}
      onChangeText={setText}
      onBlur={keep}
      onSubmit={keep}
    />
  );
}

const styles = StyleSheet.create({
  section: { gap: space(3) },
  rail: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'flex-end',
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    padding: space(3),
  },
  actions: { flexDirection: 'row', gap: space(1) },
  add: { alignSelf: 'flex-start' },
});
