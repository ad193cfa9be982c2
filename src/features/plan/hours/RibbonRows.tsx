import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { weekNumber } from '@/core/layout/views';
import { useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes } from '@/ui/theme/tokens';
import { useWindowHeight } from '@/ui/useWindowHeight';
import { words } from '@/ui/words';
import type { Ghost } from '../grid/ghost';
import { RibbonCard } from '../grid/RibbonCard';
import type { GridView } from '../grid/useGridView';
import { GhostLayer } from './GhostLayer';
import type { HoursLayout } from './useHoursLayout';

/** Rows of ribbons that are shown before they are unfolded. */
const FEW_RIBBONS = 2;

interface RibbonRowsProps {
  view: GridView;
  hours: HoursLayout;
  weekNumbers: boolean;
  draft: Ghost | null;
  tabbableKey: string | undefined;
}

/** Entries of whole days over the columns: a few rows of them, and the rest when they are unfolded. */
export function RibbonRows({ view, hours, weekNumbers, draft, tabbableKey }: RibbonRowsProps) {
  const { colours } = useTheme();
  const [all, setAll] = useState(false);
  const isLow = useWindowHeight() !== 'full';
  const { layout, draftPlaces, columns, columnWidth, scale } = hours;
  const few = isLow ? 1 : FEW_RIBBONS;
  // One row more needs no more room than the way to it.
  const fewRows =
    !isLow && layout.ribbonRows === few + 1 ? layout.ribbonRows : Math.min(layout.ribbonRows, few);
  const rows = all ? layout.ribbonRows : Math.max(fewRows, (draftPlaces.ribbon?.row ?? -1) + 1);
  const hidden = layout.ribbons.filter(({ row }) => row >= rows).length;
  const height = isLow && rows === 0 ? 0 : Math.max(rows, 1) * sizes.ribbon + 4;
  return (
    <View style={[styles.ribbons, { height, borderColor: colours.line }]}>
      <RibbonRail
        width={hours.railsWidth}
        hidden={hidden}
        all={all}
        onAll={setAll}
        weekOf={weekNumbers ? hours.days[0] : undefined}
      />
      <View style={styles.fill}>
        {columns.map((_, index) => (
          <View key={index} style={[styles.line, { left: index * columnWidth, borderColor: colours.line }]} />
        ))}
        {layout.ribbons
          .filter(({ row }) => row < rows)
          .map((ribbon) => (
            <RibbonCard
              key={ribbon.occurrence.key}
              ribbon={ribbon}
              columnWidth={columnWidth}
              calendar={view.calendarsById.get(ribbon.occurrence.calendarId)}
              selected={view.selected.has(ribbon.occurrence.key)}
              tabbable={tabbableKey === ribbon.occurrence.key}
              faded={view.fadeBefore !== undefined && ribbon.occurrence.end <= view.fadeBefore}
            />
          ))}
        <GhostLayer
          part="ribbons"
          columns={columns}
          columnWidth={columnWidth}
          scale={scale}
          draft={draft}
          places={draftPlaces}
        />
      </View>
    </View>
  );
}

/** Beside the ribbons: how many more there are, else the number of the week. */
function RibbonRail({
  width,
  hidden,
  all,
  onAll,
  weekOf,
}: {
  width: number;
  hidden: number;
  all: boolean;
  onAll: (all: boolean) => void;
  weekOf: number | undefined;
}) {
  const { weekStart } = useSettings();
  return (
    <View style={[styles.rail, { width }]}>
      {hidden > 0 || all ? (
        <Pressable
          role="button"
          aria-label={all ? words.plan.fewerRibbons : words.plan.moreRibbons(hidden)}
          onPress={() => onAll(!all)}
          style={styles.more}
        >
          <AppText size="small" weight="700" tone="accent">
            {all ? '–' : `+${hidden}`}
          </AppText>
        </Pressable>
      ) : weekOf === undefined ? null : (
        <AppText size="small" tone="quiet" figures>
          {words.weeks.number(weekNumber(weekOf, weekStart))}
        </AppText>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  ribbons: {
    flexDirection: 'row',
    borderTopWidth: hairline,
    borderBottomWidth: hairline,
    paddingVertical: 2,
  },
  rail: { alignItems: 'center', justifyContent: 'center' },
  line: { position: 'absolute', top: -2, bottom: -2, borderLeftWidth: hairline },
  more: { minWidth: sizes.target, minHeight: 24, alignItems: 'center', justifyContent: 'center' },
  fill: { flex: 1 },
});
