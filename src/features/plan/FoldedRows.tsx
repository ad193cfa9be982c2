import { type ReactNode, type RefObject, useEffect } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { useWorkspace, workspace } from '@/features/workspace';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';

/** Opens and closes the rows that a low window folds. `marked`: something in them leaves entries out of the view. */
export function RowsButton({ marked, ref }: { marked: boolean; ref: RefObject<View | null> }) {
  const open = useWorkspace((state) => state.rowsOpen);
  return (
    <Button
      ref={ref}
      icon={open ? 'unfold-less-horizontal' : marked ? 'filter' : 'unfold-more-horizontal'}
      iconOnly
      label={open ? words.plan.foldRows : marked ? words.plan.openRowsLeftOut : words.plan.openRows}
      selected={open}
      onPress={() => workspace.openRows(!open)}
    />
  );
}

/** The rows around the view where the window is too low for them: over the view, while they are asked for. */
export function FoldedRows({ button, children }: { button: RefObject<View | null>; children: ReactNode }) {
  const { colours } = useTheme();
  const open = useWorkspace((state) => state.rowsOpen);
  useEffect(() => () => workspace.openRows(false), []);
  if (!open) return null;
  return (
    <View
      role="group"
      aria-label={words.plan.rows}
      testID="folded-rows"
      {...webProps({
        onKeyDown: (event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          workspace.openRows(false);
          (button.current as unknown as HTMLElement | null)?.focus();
        },
      })}
      style={[
        styles.rows,
        webStyle({ boxShadow: '0 6px 24px rgba(0,0,0,0.18)' }),
        { backgroundColor: colours.page, borderColor: colours.line },
      ]}
    >
      <ScrollView contentContainerStyle={styles.content}>{children}</ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  rows: {
    position: 'absolute',
    left: 0,
    right: 0,
    top: 0,
    maxHeight: '100%',
    zIndex: 12,
    borderBottomWidth: hairline,
  },
  content: { gap: space(1), paddingBottom: space(2) },
});
