import { usePlanAddress } from '@/features/workspace';
import { useNowWall, useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Banner } from '@/ui/primitives/Banner';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';

/** Says that the view is seen from another zone, with one press back. */
export function ZoneBanner() {
  const settings = useSettings();
  const { address, to } = usePlanAddress();
  const now = useNowWall(address.zone);
  if (address.zone === settings.homeZone) return null;
  return (
    <Banner
      icon="earth"
      tone="accent"
      testID="zone-banner"
      action={{
        label: words.zones.back(zoneLabel(settings, settings.homeZone)),
        onPress: () => to({ zone: settings.homeZone }),
      }}
    >
      <AppText weight="700">{words.zones.seenIn(zoneLabel(settings, address.zone))}</AppText>
      {` · ${words.zones.itIs(timeText(now))}`}
    </Banner>
  );
}
