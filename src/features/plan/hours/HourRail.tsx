import { StyleSheet, View } from 'react-native';
import { drawnMinutes, hoursHeight, type HoursScale, minuteToY, wallMinute } from '@/core/layout/hours';
import { hourText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { railSizes } from './railSizes';
import { MINUTE } from '@/core/time/civil';

/** The hours at the left, with the notch that marks now when today is shown. */
export function HourRail({ scale, nowMinute }: { scale: HoursScale; nowMinute: number | undefined }) {
  const { colours } = useTheme();
  const drawn = drawnMinutes(scale);
  const hours = [];
  for (let minute = drawn.from; minute < drawn.to; minute += 60) hours.push(minute);
  return (
    <View style={{ width: railSizes().hour, height: hoursHeight(scale) }} aria-hidden testID="hour-rail">
      {hours.map((minute) => (
        <AppText
          key={minute}
          size="small"
          figures
          tone={nowMinute !== undefined && minute + 60 <= nowMinute ? 'quiet' : 'ink'}
          style={[styles.hour, { top: minuteToY(scale, minute) + (minute === drawn.from ? 1 : -8) }]}
        >
          {hourText(wallMinute(scale, minute) * MINUTE)}
        </AppText>
      ))}
      {nowMinute === undefined ? null : (
        <View
          aria-label={words.plan.now}
          style={[styles.notch, { top: minuteToY(scale, nowMinute) - 6, borderLeftColor: colours.accent }]}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  hour: { position: 'absolute', right: space(3), lineHeight: 16 },
  notch: {
    position: 'absolute',
    right: 0,
    width: 0,
    height: 0,
    borderTopWidth: 6,
    borderBottomWidth: 6,
    borderLeftWidth: 9,
    borderTopColor: 'transparent',
    borderBottomColor: 'transparent',
  },
});
