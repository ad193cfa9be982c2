import { VIEW_DESCRIPTORS } from '@/core/layout/viewDescriptors';
import { memo, type RefObject } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { VIEWS } from '@/core/model/look';
import { civilDate } from '@/core/time/civil';
import { type PlanAddress, useFolding, usePlanAddress, useWorkspace } from '@/features/workspace';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import {
  ALL_TOOLS,
  corner,
  DESK_BESIDE,
  hairline,
  LEAST_HEIGHT,
  sizes,
  space,
  VIEW_SWITCH,
  WIDE,
} from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { RowsButton } from './FoldedRows';
import { PeriodTitle } from './goto/PeriodTitle';
import { PlanTools } from './tools/PlanTools';
import type { PlanRange } from './usePlanRange';
import { QUICK_VIEWS } from './viewChoices';
import { ViewMenu } from './ViewMenu';

interface TitleRowProps {
  address: PlanAddress;
  planRange: PlanRange;
  /** How wide Plan is without what stands beside it. */
  planWidth: number;
  withTools: boolean;
  /** The button of the rows that a low window folds, where it does. */
  rowsButton: RefObject<View | null> | undefined;
  /** Whether hidden calendars or a filter leave entries out. */
  leavesOut: boolean;
  today: number;
  onStep: (direction: 1 | -1) => void;
  onToday: () => void;
}

/** The period in words, the steps, Today, and the view switch. */
export const TitleRow = memo(function TitleRow({
  address,
  planRange,
  planWidth,
  withTools,
  rowsButton,
  leavesOut,
  today,
  onStep,
  onToday,
}: TitleRowProps) {
  const { width } = useWindowDimensions();
  const { to } = usePlanAddress();
  const fold = useFolding();
  const deskOpen = useWorkspace((state) => state.deskOpen);
  const wide = width >= WIDE;
  const roomy = planWidth >= ALL_TOOLS;
  // A day is said with its weekday: with the year it is the longest title.
  const isDay = VIEW_DESCRIPTORS[address.view].isOneDay;
  const hasRoom = roomy && (!isDay || planWidth >= ALL_TOOLS + 240);
  const hasSwitch = planWidth - (withTools && !roomy ? 4 * sizes.target : 0) >= VIEW_SWITCH;
  return (
    <View style={[styles.row, rowsButton ? styles.low : null]}>
      <PeriodTitle
        address={address}
        planRange={planRange}
        size={roomy ? 'display' : 'title'}
        length={hasRoom || (!hasSwitch && width >= 520) ? 'full' : wide ? 'short' : 'brief'}
        thisYear={civilDate(today).year}
      />
      {rowsButton ? <RowsButton marked={leavesOut} ref={rowsButton} /> : null}
      <Button icon="arrow-left" iconOnly label={words.plan.back} onPress={() => onStep(-1)} />
      {/* The smallest window has room for it with the key and in the calendar of days alone. */}
      {rowsButton && width < LEAST_HEIGHT ? null : <Button label={words.plan.today} onPress={onToday} />}
      <Button icon="arrow-right" iconOnly label={words.plan.forward} onPress={() => onStep(1)} />
      {wide ? <View style={styles.gap} /> : null}
      {planWidth >= ALL_TOOLS + 180
        ? QUICK_VIEWS.map(({ label, look }) => (
            <Button key={label} label={label} onPress={() => to({ ...look, day: today })} />
          ))
        : null}
      {withTools ? <PlanTools address={address} /> : null}
      {hasSwitch && wide ? (
        <ViewSwitch address={address} roomy={roomy} />
      ) : (
        <ViewMenu address={address} today={today} wide={wide} />
      )}
      {wide && (!deskOpen || width < DESK_BESIDE) ? (
        <Button
          icon="note-text-outline"
          iconOnly
          label={words.desk.open}
          selected={deskOpen}
          onPress={() => fold('desk', deskOpen)}
        />
      ) : null}
    </View>
  );
});

/** All views, side by side. */
function ViewSwitch({ address, roomy }: { address: PlanAddress; roomy: boolean }) {
  const { colours } = useTheme();
  const { to } = usePlanAddress();
  return (
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
          dense={!roomy}
          style={styles.segment}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.titleRow },
  low: { minHeight: sizes.touchTarget, gap: space(1) },
  gap: { flexGrow: 1 },
  switch: { flexDirection: 'row', borderWidth: hairline, borderRadius: corner, overflow: 'hidden' },
  segment: { borderWidth: 0, borderRadius: 0, minWidth: 0 },
});
