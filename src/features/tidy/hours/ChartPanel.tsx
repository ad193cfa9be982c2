import { type ReactNode, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';

/** How high the chart of a panel is, in pixels. */
export const CHART_HEIGHT = 260;

/** A panel of a chart with its figures below. */
export function ChartPanel({
  title,
  about,
  chart,
  children,
}: {
  title: string;
  about: string;
  chart: (width: number) => ReactNode;
  children: ReactNode;
}) {
  const { colours } = useTheme();
  const [room, setRoom] = useState(0);
  return (
    <View
      role="group"
      aria-label={title}
      style={[styles.panel, { borderColor: colours.line, backgroundColor: colours.card }]}
    >
      <TitleText level={2} size="large">
        {title}
      </TitleText>
      <AppText size="small" tone="quiet">
        {about}
      </AppText>
      <View
        onLayout={({ nativeEvent }) => setRoom(Math.floor(nativeEvent.layout.width))}
        style={styles.chart}
      >
        {room > 0 ? chart(room) : null}
      </View>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { borderWidth: hairline, borderRadius: corner, padding: space(3), gap: space(2) },
  chart: { minHeight: CHART_HEIGHT - 60 },
});
