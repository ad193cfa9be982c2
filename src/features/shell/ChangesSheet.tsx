import { StyleSheet, View } from 'react-native';
import { agoText, summaryText, useCommands, useWorkspace, workspace } from '@/features/workspace';
import { useNow, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { Patch } from '@/core/change/patch';

/** The last changes, latest first: each can be gone back to. What was undone stands above and can be done again. */
export function ChangesSheet() {
  const { colours } = useTheme();
  const shown = useWorkspace((state) => state.changesShown);
  const { done, undone } = useSnapshot(({ history }) => history);
  const commands = useCommands();
  const now = useNow();
  if (!shown) return null;
  const line = { borderColor: colours.line };
  return (
    <Sheet
      title={words.changes.title}
      closeLabel={words.actions.close}
      onClose={() => workspace.showChanges(false)}
    >
      <View style={styles.actions}>
        <Button
          icon="undo-variant"
          label={words.actions.undo}
          disabled={done.length === 0}
          onPress={commands.undo}
        />
        <Button
          icon="redo-variant"
          label={words.actions.redo}
          disabled={undone.length === 0}
          onPress={commands.redo}
        />
      </View>
      {done.length + undone.length === 0 ? <AppText tone="quiet">{words.changes.none}</AppText> : null}
      <View role="list" aria-label={words.changes.title}>
        {undone.map((patch, index) => (
          <UndoneRow key={`undone ${patch.id}`} line={line} patch={patch} undone={undone} index={index} />
        ))}
        {[...done].reverse().map((patch, index) => (
          <View role="listitem" key={patch.id} style={[styles.row, line]}>
            <View style={styles.text}>
              <AppText>{summaryText(patch.summary)}</AppText>
              <AppText size="small" tone="quiet" figures>
                {agoText(patch.at, now)}
              </AppText>
            </View>
            <Button
              kind="quiet"
              label={words.changes.undoTo(summaryText(patch.summary))}
              shown={index === 0 ? words.actions.undo : words.changes.backTo}
              onPress={() => commands.undo(index + 1)}
            />
          </View>
        ))}
      </View>
    </Sheet>
  );
}

/** A change that was undone, and can be done again. */
function UndoneRow({
  line,
  patch,
  undone,
  index,
}: {
  line: { borderColor: string };
  patch: Patch;
  undone: readonly Patch[];
  index: number;
}) {
  const commands = useCommands();
  return (
    <View role="listitem" style={[styles.row, line]}>
      <View style={styles.text}>
        <AppText tone="quiet" style={styles.struck}>
          {summaryText(patch.summary)}
        </AppText>
        <AppText size="small" tone="quiet">
          {words.changes.wasUndone}
        </AppText>
      </View>
      <Button
        kind="quiet"
        label={words.changes.redoTo(summaryText(patch.summary))}
        shown={words.changes.again}
        onPress={() => commands.redo(undone.length - index)}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', gap: space(2) },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderTopWidth: hairline,
    minHeight: 52,
  },
  text: { flex: 1 },
  struck: { textDecorationLine: 'line-through' },
});
