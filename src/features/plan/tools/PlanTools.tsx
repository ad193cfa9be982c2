import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import { type PlanAddress, useWorkspace, workspace } from '@/features/workspace';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { PresetsButton } from '../presets/PresetsButton';

/** Search, filter, presets and how it looks. `few`: the first two, where there is little room, and the preset that is applied. */
export const PlanTools = memo(function PlanTools({
  address,
  few = false,
}: {
  address: PlanAddress;
  few?: boolean;
}) {
  const searching = useWorkspace((state) => state.searching);
  return (
    <View style={styles.tools}>
      <Button
        icon="magnify"
        iconOnly
        kind="quiet"
        label={words.search.open}
        selected={searching}
        onPress={() => workspace.search(!searching)}
      />
      <Button
        icon={isFilterEmpty(address.filter) ? 'filter-outline' : 'filter'}
        iconOnly
        kind="quiet"
        label={words.filter.open}
        onPress={() => workspace.openSheet('filter')}
      />
      <PresetsButton address={address} onlyApplied={few} iconOnly kind="quiet" />
      {few ? null : (
        <Button
          icon="tune-variant"
          iconOnly
          kind="quiet"
          label={words.look.title}
          onPress={() => workspace.openSheet('look')}
        />
      )}
    </View>
  );
});

const styles = StyleSheet.create({ tools: { flexDirection: 'row', gap: space(1) / 2 } });
