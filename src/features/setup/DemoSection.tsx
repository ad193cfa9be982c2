import { StyleSheet } from 'react-native';
import { startEmpty } from '@/core/change/startEmpty';
import { parseDate } from '@/core/time/civil';
import { useCommands } from '@/features/workspace';
import { useSettings, useSnapshot } from '@/store';
import { fullDayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { words } from '@/ui/words';

/** What the demo is, and the way out of it. */
export function DemoSection() {
  const { commit, context } = useCommands();
  const { demoNow } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  if (!demoNow) return null;
  return (
    <>
      <AppText>{words.data.demoText(fullDayText(parseDate(demoNow)))}</AppText>
      <AppText tone="quiet">{words.data.startOwnConfirm}</AppText>
      <Button
        label={words.data.startOwn}
        style={styles.start}
        onPress={() => commit(startEmpty(state, context()))}
      />
    </>
  );
}

const styles = StyleSheet.create({ start: { alignSelf: 'flex-start' } });
