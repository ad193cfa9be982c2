import { StyleSheet, View } from 'react-native';
import { type PlanAddress, usePlanAddress } from '@/features/workspace';
import { TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { words } from '@/ui/words';

/** How many days *Days* shows. */
export function DayCount({ address }: { address: PlanAddress }) {
  const { to } = usePlanAddress();
  return (
    <View style={styles.count}>
      <Button
        icon="chevron-left"
        iconOnly
        kind="quiet"
        label={words.plan.fewerDays}
        disabled={address.dayCount <= 2}
        onPress={() => to({ dayCount: address.dayCount - 1 })}
      />
      <TitleText size="body" level={3}>
        {words.plan.dayCount(address.dayCount)}
      </TitleText>
      <Button
        icon="chevron-right"
        iconOnly
        kind="quiet"
        label={words.plan.moreDays}
        disabled={address.dayCount >= 14}
        onPress={() => to({ dayCount: address.dayCount + 1 })}
      />
    </View>
  );
}

const styles = StyleSheet.create({ count: { flexDirection: 'row', alignItems: 'center' } });
