import { Pressable, StyleSheet, View } from 'react-native';
import { type PlanAddress, workspace } from '@/features/workspace';
import { TitleText } from '@/ui/primitives/AppText';
import { corner, sizes } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { type TitleLength, titleText } from '../titleText';
import type { PlanRange } from '../usePlanRange';

/** What is shown, in words; pressed, it asks where to go. */
export function PeriodTitle({
  address,
  planRange,
  size,
  length,
  thisYear,
}: {
  address: PlanAddress;
  planRange: PlanRange;
  size: 'display' | 'title';
  length: TitleLength;
  thisYear: number;
}) {
  const range = titleText(address, planRange, length, thisYear);
  return (
    <View role="heading" aria-level={1} style={styles.heading}>
      <Pressable
        role="button"
        aria-label={words.goto.open(titleText(address, planRange, 'full'))}
        onPress={() => workspace.openSheet('goto')}
        style={styles.press}
        {...webProps({ 'aria-haspopup': 'dialog' })}
      >
        <TitleText level="none" size={planRange.period ? 'title' : size} numberOfLines={1}>
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
