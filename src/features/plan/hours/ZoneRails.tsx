import { Pressable, StyleSheet, View } from 'react-native';
import { drawnMinutes, hoursHeight, type HoursScale, minuteToY, scaleMinute } from '@/core/layout/hours';
import { dateChange, differenceChange, railLines } from '@/core/layout/zoneRails';
import type { Settings, ZoneRail } from '@/core/model/settings';
import { usePlanAddress } from '@/features/workspace';
import { useNowWall, useSettings } from '@/store';
import { briefOffsetText, hourText, offsetText, timeText, weekdayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { railSizes } from './railSizes';

/** A day's column that leaves no room for a further rail. */
const NARROW = 100;

/** The further rails that there is room for, in the person's order; of a zone that is shown for a look, the home zone is one. */
export function shownRails(settings: Settings, zone: string, width: number, days: number): ZoneRail[] {
  const { homeZone, zoneRails } = settings;
  const home = zone === homeZone ? [] : [{ zone: homeZone, label: zoneLabel(settings, homeZone) }];
  const widths = railSizes();
  const room = Math.floor((width - widths.hour - days * NARROW) / widths.zone);
  const rails = [...home, ...zoneRails.filter((rail) => rail.zone !== zone)];
  return rails.slice(0, Math.max(home.length, room));
}

/** The names of the rails with the present time in each; a further one can be pressed for a look from there. */
export function RailHeads({
  rails,
  zone,
  days,
}: {
  rails: readonly ZoneRail[];
  zone: string;
  days: readonly number[];
}) {
  const settings = useSettings();
  return (
    <View style={styles.heads}>
      {rails.map((rail) => (
        <RailHead key={rail.zone} rail={rail} viewZone={zone} days={days} />
      ))}
      <RailHead rail={{ zone, label: zoneLabel(settings, zone) }} viewZone={zone} days={days} isPrimary />
    </View>
  );
}

function RailHead({
  rail,
  viewZone,
  days,
  isPrimary,
}: {
  rail: ZoneRail;
  viewZone: string;
  days: readonly number[];
  isPrimary?: boolean;
}) {
  const now = useNowWall(rail.zone);
  const { to } = usePlanAddress();
  const change = isPrimary ? undefined : differenceChange(viewZone, rail.zone, days);
  const changeText = change && words.zones.changes(weekdayText(change.day), offsetText(change.by));
  const content = (
    <>
      <AppText size="small" weight="700" tone={isPrimary ? 'ink' : 'quiet'} numberOfLines={1}>
        {rail.label}
      </AppText>
      <AppText size="small" figures tone={change ? 'accent' : isPrimary ? 'ink' : 'quiet'} numberOfLines={1}>
        {change ? `${weekdayText(change.day)} ${briefOffsetText(change.by)}` : timeText(now)}
      </AppText>
    </>
  );
  if (isPrimary) return <View style={[styles.primary, { width: railSizes().hour }]}>{content}</View>;
  return (
    <Pressable
      role="button"
      aria-label={[words.zones.rail(rail.label, timeText(now)), changeText].filter(Boolean).join(', ')}
      onPress={() => to({ zone: rail.zone })}
      style={[styles.head, { width: railSizes().zone }]}
    >
      {content}
    </Pressable>
  );
}

/** A further column of hours: what the clock of its zone shows at each hour of the view, and where its date changes. */
export function ZoneRailColumn({
  rail,
  viewZone,
  day,
  scale,
}: {
  rail: ZoneRail;
  viewZone: string;
  /** The day whose hours are shown: they can differ over a clock change. */
  day: number;
  scale: HoursScale;
}) {
  const { colours } = useTheme();
  const drawn = drawnMinutes(scale);
  const minutes = [];
  // An hour that a clock change repeats is said once.
  for (let minute = drawn.from; minute < drawn.to - (scale.repeated?.length ?? 0); minute += 60)
    minutes.push(minute);
  const y = (minute: number) => minuteToY(scale, scaleMinute(scale, minute));
  const date = dateChange(viewZone, rail.zone, day, drawn.from, drawn.to);
  return (
    <View style={{ width: railSizes().zone, height: hoursHeight(scale) }} aria-hidden testID="zone-rail">
      {railLines(viewZone, rail.zone, day, minutes).map(({ minute, wall }) => (
        <AppText
          key={minute}
          size="small"
          figures
          tone={minute === date?.minute ? 'accent' : 'quiet'}
          weight={minute === date?.minute ? '700' : '400'}
          style={[styles.hour, { top: y(minute) + (minute === drawn.from ? 1 : -8) }]}
        >
          {minute === date?.minute ? weekdayText(date.day) : hourText(wall)}
        </AppText>
      ))}
      {date ? (
        <View style={[styles.date, { top: y(date.minute), borderColor: colours.accent }]}>
          {date.minute % 60 === 0 ? null : (
            <AppText size="small" weight="700" tone="accent" style={styles.dateText}>
              {weekdayText(date.day)}
            </AppText>
          )}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  heads: { flexDirection: 'row' },
  head: { justifyContent: 'center', alignItems: 'flex-end', paddingRight: space(1) },
  primary: { justifyContent: 'center', alignItems: 'center' },
  hour: { position: 'absolute', right: space(1), lineHeight: 16 },
  date: { position: 'absolute', left: space(1), right: 0, borderTopWidth: hairline },
  dateText: { lineHeight: 14 },
});
