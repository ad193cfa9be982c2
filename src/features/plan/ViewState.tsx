import { StyleSheet, View } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Waiting } from '@/ui/primitives/Waiting';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

interface ViewStateProps {
  isLoading: boolean;
  failed: boolean;
  /** Nothing is there to be shown, and why. */
  empty: 'nothing' | 'all-hidden' | 'filtered' | undefined;
  onRetry: () => void;
  onShowAll: () => void;
  onClearFilter: () => void;
}

/** Over a view that has nothing to show: why, and what to do about it. */
export function ViewState({ isLoading, failed, empty, onRetry, onShowAll, onClearFilter }: ViewStateProps) {
  const { colours } = useTheme();
  if (!isLoading && !failed && !empty) return null;
  return (
    <View pointerEvents="box-none" style={styles.overlay}>
      {/* What only says something lets presses through to the hours below it. */}
      <View
        pointerEvents={!failed && (isLoading || empty === 'nothing') ? 'none' : 'auto'}
        style={[styles.card, { backgroundColor: colours.card, borderColor: colours.line }]}
      >
        {failed ? (
          <>
            <AppText role="alert">{words.plan.failed}</AppText>
            <Button label={words.actions.retry} onPress={onRetry} />
          </>
        ) : isLoading ? (
          <Waiting>{words.plan.loading}</Waiting>
        ) : empty === 'all-hidden' ? (
          <>
            <AppText>{words.plan.allHidden}</AppText>
            <Button label={words.plan.showAll} onPress={onShowAll} />
          </>
        ) : empty === 'filtered' ? (
          <>
            <AppText>{words.filter.nothingLeft}</AppText>
            <Button label={words.filter.clear} onPress={onClearFilter} />
          </>
        ) : (
          <>
            <AppText weight="700">{words.plan.empty}</AppText>
            <AppText tone="quiet" style={styles.hint}>
              {words.plan.emptyHint}
            </AppText>
          </>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  overlay: {
    position: 'absolute',
    left: 0,
    right: 0,
    top: 0,
    bottom: 0,
    alignItems: 'center',
    justifyContent: 'center',
  },
  card: {
    padding: space(4),
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    alignItems: 'center',
    maxWidth: 300,
  },
  hint: { textAlign: 'center' },
});
