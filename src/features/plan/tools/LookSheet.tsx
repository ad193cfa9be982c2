import { VIEW_DESCRIPTORS } from '@/core/layout/viewDescriptors';
import { useRouter } from 'expo-router';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import { DETAILS, GRID_STEPS, LANE_MODES, type Look, ROW_HEIGHTS } from '@/core/model/look';
import { FOLDABLE, type Foldable } from '@/core/model/state';
import { useCommands, useFolding, usePlanAddress, WeekStartField, workspace } from '@/features/workspace';
import { useFolded, useOpenStore, useSettings } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Sheet } from '@/ui/primitives/Sheet';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { PlanSheetProps } from '../sheetProps';
import { WIDE_BAR } from '../weeks/weekSizes';
import { RangeField } from './RangeField';
import { SECOND_CALENDAR_SYSTEMS } from './calendarSystems';

type Switch = 'weekends' | 'weekNumbers' | 'calendarColumns' | 'fadePast' | 'showCancelled';
const SWITCHES: readonly Switch[] = [
  'weekends',
  'weekNumbers',
  'calendarColumns',
  'fadePast',
  'showCancelled',
];

/** How the view looks, and which parts of Plan are in sight. Every choice takes effect at once. */
export function LookSheet({ address }: PlanSheetProps) {
  const { to } = usePlanAddress();
  const folded = useFolded();
  const fold = useFolding();
  const { view } = address;
  const { width } = useWindowDimensions();
  const { hasHours } = VIEW_DESCRIPTORS[view];
  const close = () => workspace.openSheet(null);
  const choose = (look: Partial<Look>) => to(look);
  return (
    <Sheet title={words.look.title} closeLabel={words.actions.close} onClose={close}>
      <RangeField address={address} onChange={choose} />
      {view === 'weeks' && width >= 7 * WIDE_BAR ? (
        <ChoiceRow
          label={words.look.detail}
          choices={DETAILS.map((value) => ({ value, label: words.look.details[value] }))}
          value={address.detail}
          onChange={(detail) => choose({ detail })}
        />
      ) : null}
      {view === 'lanes' ? (
        <ChoiceRow
          label={words.lanes.mode}
          choices={LANE_MODES.map((value) => ({ value, label: words.lanes.modes[value] }))}
          value={address.laneMode}
          onChange={(laneMode) => choose({ laneMode })}
        />
      ) : null}
      {hasHours || view === 'lanes' ? (
        <ChoiceRow
          label={words.look.gridStep}
          choices={GRID_STEPS.map((value) => ({ value: String(value), label: String(value) }))}
          value={String(address.gridStep)}
          onChange={(value) => choose({ gridStep: Number(value) as Look['gridStep'] })}
        />
      ) : null}
      {hasHours ? (
        <ChoiceRow
          label={words.look.rowHeight}
          choices={ROW_HEIGHTS.map((value) => ({ value, label: words.look.rowHeights[value] }))}
          value={address.rowHeight}
          onChange={(rowHeight) => choose({ rowHeight })}
        />
      ) : null}
      <ToggleRow
        label={words.look.shown}
        choices={SWITCHES.map((value) => ({ value, label: words.look.switches[value] }))}
        values={SWITCHES.filter((value) => address[value])}
        onChange={(values) => {
          const changed = SWITCHES.find((value) => values.includes(value) !== address[value]);
          if (changed) choose({ [changed]: !address[changed] });
        }}
      />
      <PartsField folded={folded} fold={fold} />
      <WeekStartField />
      <SecondSystemField />
      <LookActions close={close} />
    </Sheet>
  );
}

/** Which parts of Plan stand open. */
function PartsField({
  folded,
  fold,
}: {
  folded: readonly Foldable[];
  fold: (part: Foldable, isFolded: boolean) => void;
}) {
  return (
    <ToggleRow
      label={words.look.parts}
      choices={FOLDABLE.map((value) => ({ value, label: words.look.foldable[value] }))}
      values={FOLDABLE.filter((value) => !folded.includes(value))}
      onChange={(values) => {
        const next = FOLDABLE.filter((value) => !values.includes(value));
        for (const part of FOLDABLE) fold(part, next.includes(part));
      }}
    />
  );
}

/** A second calendar system beside the first. */
function SecondSystemField() {
  const { secondCalendarSystem = '' } = useSettings();
  const { commit, context } = useCommands();
  const { store } = useOpenStore();
  return (
    <SelectField
      label={words.look.secondCalendarSystem}
      value={secondCalendarSystem}
      options={[
        { value: '', label: words.look.noCalendarSystem },
        ...SECOND_CALENDAR_SYSTEMS.map((value) => ({
          value,
          label: words.look.calendarSystems[value],
        })),
      ]}
      onChange={(value) =>
        commit(
          changeSettings(store.getSnapshot().state, { secondCalendarSystem: value || undefined }, context()),
        )
      }
    />
  );
}

/** What can be done with what is shown. */
function LookActions({ close }: { close: () => void }) {
  const router = useRouter();
  return (
    <View style={styles.row}>
      <Button
        icon="open-in-new"
        label={words.look.secondWindow}
        onPress={() => window.open(window.location.href, '_blank', 'popup,width=1000,height=760')}
      />
      <Button
        icon="download-outline"
        label={words.calendars.export}
        onPress={() => workspace.openSheet('export')}
      />
      <Button
        icon="printer-outline"
        label={words.look.print}
        onPress={() => {
          close();
          router.push({
            pathname: '/print',
            params: Object.fromEntries(new URLSearchParams(window.location.search)),
          });
        }}
      />
    </View>
  );
}

const styles = StyleSheet.create({ row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) } });
