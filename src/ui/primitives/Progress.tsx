import { StyleSheet, View } from 'react-native';
import { ProgressBar } from 'react-native-paper';
import { corner, space } from '../theme/tokens';
import { AppText } from './AppText';

/** How far long work is, where that is known: `count` says it in words. */
export function Progress({
  label,
  done,
  total,
  count,
}: {
  label: string;
  done: number;
  /** 0 as long as nobody knows. */
  total: number;
  count?: string | undefined;
}) {
  const isKnown = total > 0;
  return (
    <View style={styles.group}>
      <AppText>{label}</AppText>
      <View style={styles.track}>
        <ProgressBar
          aria-label={label}
          aria-valuemin={0}
          aria-valuemax={isKnown ? total : undefined}
          aria-valuenow={isKnown ? done : undefined}
          indeterminate={!isKnown}
          progress={isKnown ? done / total : 0}
          style={styles.bar}
        />
      </View>
      {count && isKnown ? (
        <AppText size="small" tone="quiet" figures>
          {count}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: space(2) },
  track: { height: 8 },
  bar: { height: 8, borderRadius: corner },
});
