import { Pressable, StyleSheet, View } from 'react-native';
import { type PlanAddress, workspace } from '@/features/workspace';
import { TitleText } from '@/ui/primitives/AppText';
import { corner, sizes } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { titleText } from '../titleText';
import type { PlanRange } from '../usePlanRange';

/** What is shown, in words; pressed, it asks where to go. */
export function PeriodTitle({
  address,
  planRange,
  size,
  withYear,
}: {
  address: PlanAddress;
  planRange: PlanRange;
  size: 'display' | 'title';
  withYear: boolean;
}) {
  const range = titleText(address, planRange, withYear);
  return (
    <View role="heading" aria-level={1} style={styles.heading}>
      <Pressable
        role="button"
        aria-label={words.goto.open(range)}
        onPress={() => workspace.openSheet('goto')}
        style={styles.press}
        {...webProps({ 'aria-haspopup': 'dialog' })}
      >
        <TitleText level="none" size={size} numberOfLines={1}>
          {range}
        </TitleText>
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  heading: { flexShrink: 1, marginRight: 'auto', minWidth: 0 },
  press: {
    minHeight: sizes.target,
    justifyContent: 'center',
    borderRadius: corner,
  },
});
