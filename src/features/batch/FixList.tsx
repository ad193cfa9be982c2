import { StyleSheet, View } from 'react-native';
import type { FixPart } from '@/core/tidy/checks/finding';
import { useCalendars, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { batchWords } from '@/ui/words/batch';
import { checkWords } from '@/ui/words/checks';
import { stepText } from './stepText';

/** How many steps are named; the preview below says all that they do. */
const MOST = 6;

/** The steps that findings propose, with how many entries each is about. */
export function FixList({ fixes }: { fixes: readonly FixPart[] }) {
  const { homeZone } = useSettings();
  const calendars = useCalendars();
  const names = {
    calendarName: (id: string) => calendars.find((calendar) => calendar.id === id)?.name ?? id,
    zone: homeZone,
  };
  const counts = new Map<string, number>();
  for (const { keys, steps } of fixes)
    for (const step of steps) {
      const text = stepText(step, names);
      counts.set(text, (counts.get(text) ?? 0) + keys.length);
    }
  return (
    <View role="list" aria-label={batchWords.steps} style={styles.list}>
      {[...counts].slice(0, MOST).map(([text, count]) => (
        <View key={text} role="listitem">
          <AppText>{checkWords.stepFor(text, count)}</AppText>
        </View>
      ))}
      {counts.size > MOST ? <AppText tone="quiet">{checkWords.more(counts.size - MOST)}</AppText> : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: space(1) } });
