import { isDated } from '@/core/model/entry';
import { useEffect, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { EventTime } from '@/core/model/eventTime';
import { dateString, DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { saveBackup } from '@/features/interchange';
import { openPlainly, type SetAside, type Store } from '@/store';
import { fullDayText, timeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

const said = words.plainStart;
/** How many entries are listed. */
const SHOWN = 200;

function startText(start: EventTime): string {
  const wall = wallOf(start);
  const day = fullDayText(Math.floor(wall / DAY));
  return start.kind === 'date' ? day : `${day}, ${timeText(wall)}`;
}

type Read = { store: Store; aside: readonly SetAside[] } | 'failed' | undefined;

/** What can be read, as a list that asks nothing of the engine and the views, with a way to save it. */
export function PlainStart({ onUsual }: { onUsual: () => void }) {
  const { colours } = useTheme();
  const [read, setRead] = useState<Read>();
  const [isSaved, setSaved] = useState(false);
  useEffect(() => {
    openPlainly()
      .then(async (store) => setRead({ store, aside: await store.readAside() }))
      .catch(() => setRead('failed'));
  }, []);
  if (read === undefined) return null;
  const actions = <Button label={said.usual} onPress={onUsual} />;
  if (read === 'failed')
    return (
      <View style={[styles.page, { backgroundColor: colours.page }]}>
        <AppText role="alert">{said.failed}</AppText>
        {actions}
      </View>
    );
  const { store, aside } = read;
  const { entries, calendars } = store.getSnapshot().state;
  const save = async () => {
    const now = Date.now();
    await saveBackup(store, now, dateString(Math.floor(now / DAY)));
    setSaved(true);
  };
  const latest = [...entries.values()]
    .filter(isDated)
    .sort((a, b) => wallOf(b.start) - wallOf(a.start))
    .slice(0, SHOWN);
  return (
    <ScrollView
      role="main"
      style={{ backgroundColor: colours.page }}
      contentContainerStyle={styles.page}
      testID="plain-start"
    >
      <TitleText level={1}>{said.title}</TitleText>
      <AppText>
        {[said.holds(entries.size, calendars.size), aside.length > 0 ? said.aside(aside.length) : '']
          .filter(Boolean)
          .join(' · ')}
      </AppText>
      <View style={styles.actions}>
        <Button kind="primary" label={said.save} onPress={() => void save()} />
        {actions}
      </View>
      {isSaved ? <AppText role="status">{said.saved}</AppText> : null}
      <AppText tone="quiet">{said.latest(latest.length)}</AppText>
      {latest.map(({ id, start, title }) => (
        <AppText key={id} figures>
          {[startText(start), title || words.entry.noTitle].join(' · ')}
        </AppText>
      ))}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { padding: space(4), gap: space(3), maxWidth: 720 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
