import { type ComponentType, useMemo } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { useShallow } from 'zustand/react/shallow';
import { TIDY_PARTS, type TidyParameters, type TidyPart, writeTidyLook } from '@/core/tidy/tidyLook';
import { binnedEntries } from '@/core/change/binChanges';
import { type PlanAddress, type Side, sideOf, usePlanAddress, useWorkspace } from '@/features/workspace';
import { useNowWall, useSnapshot } from '@/store';
import { DAY } from '@/core/time/civil';
import { TitleText } from '@/ui/primitives/AppText';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { useTheme } from '@/ui/theme/theme';
import { space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';
import { BinPart } from './bin/BinPart';
import { ChecksPart } from './checks/ChecksPart';
import { EntriesPart } from './EntriesPart';
import { HoursPart } from './hours/HoursPart';
import { HistoryPart } from './history/HistoryPart';
import { useTidyAddress } from './useTidyAddress';
import { useTidyKeys } from './useTidyKeys';

/** The room that the choice of parts has on a wide screen, in pixels. */
const PARTS_WIDE = 460;

/** What Tidy shares with Plan: what stands at the side, and the sheets of filter and presets. */
export interface TidyScreenProps {
  SidePanel: ComponentType<{ side: Side; width: number; wide: boolean; onOpen: (key: string) => void }>;
  Sheets: ComponentType<{ address: PlanAddress; today: number; table?: TidyParameters }>;
  Presets: ComponentType<{ address: PlanAddress; table?: TidyParameters; iconOnly: boolean }>;
}

/** All entries, what was deleted, and what was done: Tidy. */
export function TidyScreen({ SidePanel, Sheets, Presets }: TidyScreenProps) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  const { look, show } = useTidyAddress();
  const { address } = usePlanAddress();
  const today = Math.floor(useNowWall(address.zone) / DAY);
  const bin = useSnapshot(({ state }) => state.bin);
  const calendars = useSnapshot(({ state }) => state.calendars);
  const binned = useMemo(() => binnedEntries({ bin, calendars }).length, [bin, calendars]);
  const table = useMemo(() => writeTidyLook(look), [look]);
  useTidyKeys();
  const name = (part: TidyPart) =>
    part === 'bin' ? tidyWords.partOf(tidyWords.parts.bin, binned) : tidyWords.parts[part];
  return (
    <View style={[styles.screen, { backgroundColor: colours.page }]}>
      <View role="main" style={[styles.main, wide ? styles.wide : null]}>
        <View style={styles.head}>
          <TitleText level={1} size="display" style={wide ? null : styles.unseen}>
            {words.places.tidy}
          </TitleText>
          <View style={[styles.parts, wide ? { flexBasis: PARTS_WIDE } : null]}>
            <ChoiceRow
              label={tidyWords.show}
              hideLabel
              room={wide ? PARTS_WIDE : undefined}
              choices={TIDY_PARTS.map((part) => ({ value: part, label: name(part) }))}
              value={look.part}
              onChange={(part) => show({ part })}
            />
          </View>
        </View>
        {look.part === 'entries' ? (
          <EntriesPart
            look={look}
            show={show}
            presets={<Presets address={address} table={table} iconOnly={!wide} />}
          />
        ) : null}
        {look.part === 'checks' ? <ChecksPart look={look} show={show} /> : null}
        {look.part === 'hours' ? <HoursPart look={look} show={show} /> : null}
        {look.part === 'bin' ? <BinPart /> : null}
        {look.part === 'history' ? <HistoryPart /> : null}
      </View>
      <TidySide SidePanel={SidePanel} width={width} wide={wide} />
      <Sheets address={address} today={today} table={table} />
    </View>
  );
}

/** What stands beside the table: what is put together or written, or the one entry that is selected. */
function TidySide({
  SidePanel,
  width,
  wide,
}: Pick<TidyScreenProps, 'SidePanel'> & { width: number; wide: boolean }) {
  const selected = useWorkspace((state) => state.selected);
  const side = useWorkspace(useShallow(sideOf));
  const collecting = useWorkspace((state) => state.collecting);
  // What is done with several stands in the bar below the table.
  if (side.kind === 'none' || (side.kind === 'desk' && (selected.length !== 1 || collecting))) return null;
  return <SidePanel side={side} width={width} wide={wide} onOpen={() => undefined} />;
}

const styles = StyleSheet.create({
  screen: { flex: 1, flexDirection: 'row', minHeight: 0 },
  main: { flex: 1, minWidth: 0, minHeight: 0, padding: space(2), gap: space(2) },
  wide: { padding: space(4), gap: space(3) },
  head: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2) },
  // On a phone the bar below says it.
  unseen: { position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 },
  // As wide as its segments are with none of them cut.
  parts: { flexGrow: 1, flexBasis: 290, maxWidth: 480, marginLeft: 'auto' },
});
