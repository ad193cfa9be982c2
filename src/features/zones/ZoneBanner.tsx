import { StyleSheet, View } from 'react-native';
import { usePlanAddress } from '@/features/workspace';
import { useNowWall, useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';

/** Says that the view is seen from another zone, with one press back. */
export function ZoneBanner() {
  const { colours } = useTheme();
  const settings = useSettings();
  const { address, to } = usePlanAddress();
  const now = useNowWall(address.zone);
  if (address.zone === settings.homeZone) return null;
  return (
    <View
      role="status"
      testID="zone-banner"
      style={[styles.banner, { backgroundColor: colours.accentTint, borderColor: colours.accent }]}
    >
      <AppIcon name="earth" size={18} color={colours.accent} />
      <AppText style={styles.text} numberOfLines={2}>
        <AppText weight="700">{words.zones.seenIn(zoneLabel(settings, address.zone))}</AppText>
        {` · ${words.zones.itIs(timeText(now))}`}
      </AppText>
      <Button
        label={words.zones.back(zoneLabel(settings, settings.homeZone))}
        onPress={() => to({ zone: settings.homeZone })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  banner: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    paddingLeft: space(3),
    paddingRight: space(1),
    paddingVertical: 2,
    marginBottom: space(1),
  },
  text: { flex: 1 },
});
