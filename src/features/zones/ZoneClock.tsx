import { Suspense, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { usePlanAddress } from '@/features/workspace';
import { useNow, useSettings } from '@/store';
import { shortDayText, timeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { timeWidth } from '@/ui/timeWidth';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { ZonePicker } from './lazyZonePicker';

/** What time it is at home and in the zones of the rails, and the way to see the calendar from another one. */
export function ZoneClock() {
  const settings = useSettings();
  const { address, to } = usePlanAddress();
  const now = useNow();
  const [picking, setPicking] = useState(false);
  const { homeZone, zoneRails } = settings;
  const zones = [homeZone, ...zoneRails.map((rail) => rail.zone).filter((zone) => zone !== homeZone)];
  const shown = zones.includes(address.zone) ? zones : [...zones, address.zone];
  const today = Math.floor(instantToWall(homeZone, now) / DAY);
  return (
    <View style={styles.panel} role="group" aria-label={words.zones.clock}>
      <TitleText size="large" level={3}>
        {words.zones.clock}
      </TitleText>
      {shown.map((zone) => {
        const wall = instantToWall(zone, now);
        const day = Math.floor(wall / DAY);
        const isShown = zone === address.zone;
        return (
          <ZoneRow
            key={zone}
            wall={wall}
            zone={zone}
            homeZone={homeZone}
            day={day}
            today={today}
            shown={shown}
            isShown={isShown}
          />
        );
      })}
      <Button
        icon="earth"
        label={words.zones.another}
        onPress={() => setPicking(true)}
        style={styles.another}
      />
      {picking ? (
        <Suspense fallback={null}>
          <ZonePicker
            value={address.zone}
            onPick={(zone) => {
              to({ zone });
              setPicking(false);
            }}
            onClose={() => setPicking(false)}
          />
        </Suspense>
      ) : null}
    </View>
  );
}

/** What the clock of a zone shows. */
function ZoneRow({
  wall,
  zone,
  homeZone,
  day,
  today,
  shown,
  isShown,
}: {
  wall: number;
  zone: string;
  homeZone: string;
  day: number;
  today: number;
  shown: readonly string[];
  isShown: boolean;
}) {
  const settings = useSettings();
  const { to } = usePlanAddress();
  return (
    <View style={styles.row}>
      <AppText figures weight="700" style={{ width: timeWidth() }}>
        {timeText(wall)}
      </AppText>
      <View style={styles.name}>
        <AppText weight={zone === homeZone ? '700' : '400'} numberOfLines={1}>
          {zoneLabel(settings, zone)}
        </AppText>
        {day === today ? null : (
          <AppText size="small" tone="quiet">
            {shortDayText(day)}
          </AppText>
        )}
      </View>
      {shown.length > 1 ? (
        <Button
          kind="quiet"
          label={words.zones.seeFrom(zoneLabel(settings, zone))}
          shown={isShown ? words.zones.shown : words.zones.see}
          disabled={isShown}
          onPress={() => to({ zone })}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: space(1), marginTop: space(4) },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: 40 },
  name: { flex: 1 },
  another: { alignSelf: 'flex-start', marginTop: space(1) },
});
