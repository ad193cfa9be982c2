import { ScrollView, StyleSheet, View } from 'react-native';
import { TitleText } from '@/ui/primitives/AppText';
import { PeriodSection } from '@/features/periods';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { CalendarList } from './CalendarList';
import { DataSection } from './DataSection';

/** Calendars, files, and what else is set once. */
export function SetupScreen() {
  const { colours } = useTheme();
  return (
    <ScrollView role="main" style={{ backgroundColor: colours.page }} contentContainerStyle={styles.page}>
      <TitleText level={1} size="display">
        {words.places.setup}
      </TitleText>
      <View style={styles.section}>
        <TitleText>{words.calendars.title}</TitleText>
        <CalendarList />
      </View>
      <PeriodSection />
      <DataSection />
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: {
    padding: space(4),
    gap: space(6),
    maxWidth: 760,
    width: '100%',
    alignSelf: 'center',
    paddingBottom: space(16),
  },
  section: { gap: space(3) },
});
