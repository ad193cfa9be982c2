import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { isUntouchedSince, takeBackAlone, touchedBy } from '@/core/change/history';
import type { Patch } from '@/core/change/patch';
import { PatchDetails } from '@/features/batch';
import { agoText, summaryText, useCommands } from '@/features/workspace';
import { useNow, useOpenStore, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';

const said = tidyWords.history;

/** By whom a deed was done: by a file, by a feed, or by the person. */
const doneBy = ({ summary: { what } }: Patch): string =>
  what === 'imported' || what === 'restored'
    ? said.by.file
    : what === 'feed-refreshed'
      ? said.by.feed
      : said.by.you;

/** What was done, newest first: each with what it changed, undone up to it, or taken back alone. */
export function HistoryPart() {
  const history = useSnapshot((snapshot) => snapshot.history);
  const { done } = history;
  return (
    <ScrollView contentContainerStyle={styles.part}>
      <AppText tone="quiet">{done.length === 0 ? said.none : said.hint}</AppText>
      <View role="list" aria-label={tidyWords.parts.history}>
        {[...done].reverse().map((deed, index) => (
          <Deed key={deed.id} deed={deed} index={index} />
        ))}
      </View>
    </ScrollView>
  );
}

/** One deed: what it was, when and by whom, and what can be done about it. */
function Deed({ deed, index }: { deed: Patch; index: number }) {
  const { colours } = useTheme();
  const { store } = useOpenStore();
  const commands = useCommands();
  const now = useNow();
  const state = useSnapshot((snapshot) => snapshot.state);
  const history = useSnapshot((snapshot) => snapshot.history);
  const [isOpen, setOpen] = useState(false);
  const text = summaryText(deed.summary);
  // A deed may hold thousands of records.
  const isFree = useMemo(() => isUntouchedSince(state, deed), [state, deed]);
  const by = useMemo(() => (isFree ? undefined : touchedBy(history, deed)), [isFree, history, deed]);
  const takeBack = () => {
    const patch = takeBackAlone(store.getSnapshot().state, deed, commands.context());
    if (patch) commands.commit(patch);
  };
  return (
    <View role="listitem" style={[styles.deed, { borderColor: colours.line }]} testID="deed">
      <View style={styles.row}>
        <View style={styles.grow}>
          <AppText weight="500">{text}</AppText>
          <AppText size="small" tone="quiet" figures>
            {[agoText(deed.at, now), doneBy(deed), by ? said.touchedBy(summaryText(by.summary)) : '']
              .filter(Boolean)
              .join(' · ')}
          </AppText>
        </View>
        <View style={styles.deeds}>
          <Button
            icon={isOpen ? 'chevron-down' : 'chevron-right'}
            iconOnly
            kind="quiet"
            label={said.details(text)}
            selected={isOpen}
            onPress={() => setOpen(!isOpen)}
          />
          {index > 0 && isFree ? (
            <Button kind="quiet" label={said.takeBackAlone(text)} shown={said.takeBack} onPress={takeBack} />
          ) : null}
          <Button
            kind="quiet"
            label={said.undoTo(text)}
            shown={index === 0 ? words.actions.undo : words.changes.backTo}
            onPress={() => commands.undo(index + 1)}
          />
        </View>
      </View>
      {isOpen ? <PatchDetails patch={deed} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: space(3), paddingBottom: space(8), maxWidth: 800 },
  deed: { borderTopWidth: hairline, paddingVertical: space(2), gap: space(2) },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 200 },
  deeds: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center' },
});
