import { Pressable, StyleSheet } from 'react-native';
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
  return (
    <Pressable
      role="button"
      aria-label={words.goto.open(titleText(address, planRange, true))}
      onPress={() => workspace.openSheet('goto')}
      style={styles.press}
      {...webProps({ 'aria-haspopup': 'dialog' })}
    >
      <TitleText level={1} size={size} numberOfLines={1}>
        {titleText(address, planRange, withYear)}
      </TitleText>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  press: {
    flexShrink: 1,
    marginRight: 'auto',
    minHeight: sizes.target,
    justifyContent: 'center',
    borderRadius: corner,
  },
});
