import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSession, changeSettings } from '@/core/change/calendarChanges';
import { cityOf, isKnownZone, offsetOnce } from '@/core/time/zones';
import { useCommands, usePlanAddress } from '@/features/workspace';
import { useNow, useOpenStore, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { NoticeBar } from '@/ui/primitives/NoticeBar';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';

/** Asks once, where the device lies in another zone than home, which of the two is to be seen. */
export function DeviceZoneQuestion() {
  const { store } = useOpenStore();
  const settings = useSettings();
  const { context, commit } = useCommands();
  const { to } = usePlanAddress();
  const now = useNow();
  const asked = useSnapshot(({ state }) => state.sessions.get('session')?.askedZone);
  const [device] = useState(() => Intl.DateTimeFormat().resolvedOptions().timeZone);
  const differs =
    device !== settings.homeZone &&
    isKnownZone(device) &&
    offsetOnce(device, now) !== offsetOnce(settings.homeZone, now);
  if (!differs || asked === device) return null;
  const answered = (act: () => void) => () => {
    void store.commit(changeSession(store.getSnapshot().state, { askedZone: device }, context()), 'quiet');
    act();
  };
  const home = zoneLabel(settings, settings.homeZone);
  const here = cityOf(device);
  return (
    <NoticeBar label={words.zones.deviceQuestion} testID="device-zone">
      <AppText style={styles.text}>{words.zones.deviceDiffers(here, home)}</AppText>
      <View style={styles.actions}>
        <Button label={words.zones.stay(home)} onPress={answered(() => undefined)} />
        <Button label={words.zones.look(here)} onPress={answered(() => to({ zone: device }))} />
        <Button
          label={words.zones.makeHome(here)}
          onPress={answered(() =>
            commit(
              changeSettings(
                store.getSnapshot().state,
                { homeZone: device, homeLabel: undefined },
                context(),
              ),
            ),
          )}
        />
      </View>
    </NoticeBar>
  );
}

const styles = StyleSheet.create({
  text: { maxWidth: 640 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), maxWidth: '100%' },
});
