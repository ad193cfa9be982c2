import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { VIEWS } from '@/core/layout/views';
import { type PlanAddress, usePlanAddress, useWorkspace, workspace } from '@/features/workspace';
import { rangeText } from '@/ui/dates';
import { TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, DESK_BESIDE, hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { DayCount } from './DayCount';
import { ViewMenu } from './ViewMenu';

interface TitleRowProps {
  address: PlanAddress;
  days: readonly number[];
  onStep: (direction: 1 | -1) => void;
  onToday: () => void;
}

/** The period in words, the steps, Today, and the view switch. */
export function TitleRow({ address, days, onStep, onToday }: TitleRowProps) {
  const { width } = useWindowDimensions();
  const { to } = usePlanAddress();
  const { colours } = useTheme();
  const deskOpen = useWorkspace((state) => state.deskOpen);
  const wide = width >= WIDE;
  const withYear = wide || width >= 520;
  return (
    <View style={styles.row}>
      <TitleText level={1} size={wide ? 'display' : 'title'} numberOfLines={1} style={styles.title}>
        {rangeText(days[0]!, days.at(-1)!, withYear)}
      </TitleText>
      <Button icon="arrow-left" iconOnly label={words.plan.back} onPress={() => onStep(-1)} />
      <Button label={words.plan.today} onPress={onToday} />
      <Button icon="arrow-right" iconOnly label={words.plan.forward} onPress={() => onStep(1)} />
      {wide ? (
        <>
          <View style={styles.gap} />
          {address.view === 'days' ? <DayCount address={address} /> : null}
          <View
            role="radiogroup"
            aria-label={words.plan.views}
            style={[styles.switch, { borderColor: colours.line }]}
          >
            {VIEWS.map((view) => (
              <Button
                key={view}
                role="radio"
                label={words.plan.view[view]}
                selected={address.view === view}
                onPress={() => to({ view })}
                style={styles.segment}
              />
            ))}
          </View>
          {!deskOpen || width < DESK_BESIDE ? (
            <Button
              icon="note-text-outline"
              iconOnly
              label={words.desk.open}
              selected={deskOpen}
              onPress={() => workspace.setDesk(!deskOpen)}
            />
          ) : null}
        </>
      ) : (
        <ViewMenu address={address} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.titleRow },
  title: { flexShrink: 1, marginRight: 'auto' },
  gap: { flexGrow: 1 },
  switch: { flexDirection: 'row', borderWidth: hairline, borderRadius: corner, overflow: 'hidden' },
  segment: { borderWidth: 0, borderRadius: 0, minHeight: sizes.target - 2 },
});
