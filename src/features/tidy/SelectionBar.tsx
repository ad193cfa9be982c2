import { useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { LIKENESSES, type TableQuery } from '@/core/tidy/table/tableQuery';
import { MINUTE } from '@/core/time/civil';
import { useCommands, useWorkspace, workspace } from '@/features/workspace';
import { useEngineAnswer } from '@/store';
import { lengthText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { MenuItem } from '@/ui/primitives/MenuItem';
import { type Anchor, anchorOf, Popover } from '@/ui/primitives/Popover';
import { useTheme } from '@/ui/theme/theme';
import { corner, space, WIDE } from '@/ui/theme/tokens';
import { useWindowHeight } from '@/ui/useWindowHeight';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';
import { tidyWords } from '@/ui/words/tidy';
import type { Selecting } from './table/useSelecting';

const said = tidyWords.selected;
/** What is done most: a press opens the form of the step. */
const QUICK = ['calendar', 'categories', 'availability', 'reminders', 'shift', 'length', 'replace'] as const;

/** What is selected, what it comes to, and what is done with it most. */
export function SelectionBar({
  query,
  selecting,
  total,
}: {
  query: TableQuery;
  selecting: Selecting;
  /** How many fit what is asked for. */
  total: number;
}) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const keys = useWorkspace((state) => state.selected);
  const commands = useCommands();
  // What is done with one stands beside the table; what is put together for several, too.
  const isBusy = useWorkspace(
    (state) => state.batch !== null || (state.selected.length === 1 && !state.collecting),
  );
  const { data: sums } = useEngineAnswer(['selectionSums', keys, query.zone, query], {
    enabled: keys.length > 0,
  });
  // In a low window the rows keep their room: what is done most is a press further.
  const isLow = useWindowHeight() !== 'full';
  if (keys.length === 0) return null;
  const wide = width >= WIDE;
  const facts = sums
    ? [
        sums.minutes > 0 ? lengthText(sums.minutes * MINUTE) : '',
        sums.wholeDays > 0 ? tidyWords.sums.days(sums.wholeDays) : '',
        sums.series > 0 ? said.series(sums.series) : '',
        sums.outOfSight > 0 ? said.outOfSight(sums.outOfSight) : '',
      ].filter(Boolean)
    : [];
  const actions = (
    <>
      {wide && !isLow
        ? QUICK.map((kind) => (
            <Button
              key={kind}
              kind="onDark"
              label={batchWords.kinds[kind]}
              shown={said.short[kind]}
              onPress={() => workspace.beginBatch(kind)}
            />
          ))
        : null}
      <Button kind="onDark" label={said.change} onPress={() => workspace.beginBatch()} testID="begin-batch" />
      {keys.length < total ? (
        <Button
          kind="onDark"
          label={said.all(total)}
          onPress={() => void selecting.all()}
          testID="select-all"
        />
      ) : null}
      <Button
        kind="onDark"
        icon="delete-outline"
        iconOnly={!wide}
        label={words.actions.bin}
        onPress={() => void commands.bin(keys)}
      />
    </>
  );
  return (
    <View
      role="region"
      aria-label={said.count(keys.length)}
      testID="selection-bar"
      style={[styles.bar, { backgroundColor: colours.primary }]}
    >
      <View style={styles.row}>
        <AppText role="status" tone="onPrimary" figures style={styles.grow}>
          <AppText weight="700" tone="onPrimary" figures>
            {said.count(keys.length)}
          </AppText>
          {facts.length > 0 ? `  ${facts.join(' · ')}` : ''}
        </AppText>
        {isLow && !isBusy ? actions : null}
        <MoreMenu selecting={selecting} only={keys.length === 1 ? keys[0] : undefined} />
        <Button
          icon="close"
          iconOnly
          kind="onDark"
          label={said.clear}
          onPress={workspace.clearSelection}
          style={styles.bare}
        />
      </View>
      {isBusy || isLow ? null : <View style={styles.row}>{actions}</View>}
    </View>
  );
}

/** What else is selected from here: the others, or those like the one that is. */
function MoreMenu({ selecting, only }: { selecting: Selecting; only: string | undefined }) {
  const [box, setBox] = useState<View | null>(null);
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const act = (deed: () => void) => () => {
    setAnchor(null);
    deed();
  };
  return (
    <View ref={setBox}>
      <Button
        kind="onDark"
        icon="dots-vertical"
        iconOnly
        label={said.more}
        onPress={() => setAnchor(anchorOf(box))}
      />
      {anchor ? (
        <Popover anchor={anchor} label={said.more} onClose={() => setAnchor(null)}>
          <MenuItem label={said.invert} onPress={act(() => void selecting.invert())} />
          {only === undefined
            ? null
            : LIKENESSES.map((likeness) => (
                <MenuItem
                  key={likeness}
                  label={said.likeKinds[likeness]}
                  onPress={act(() => void selecting.like(only, likeness))}
                />
              ))}
        </Popover>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { borderRadius: corner, padding: space(3), gap: space(2) },
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  grow: { flexGrow: 1, flexShrink: 1 },
  bare: { borderColor: 'transparent' },
});
