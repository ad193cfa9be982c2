import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { sameLook } from '@/core/model/lookParameters';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import { type PlanAddress, useWorkspace, workspace } from '@/features/workspace';
import { usePresets } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { lookOf } from '../presets/lookOf';

/** Search, filter, presets and how it looks. `few`: the first two, where there is little room, and the preset that is applied. */
export const PlanTools = memo(function PlanTools({
  address,
  few = false,
}: {
  address: PlanAddress;
  few?: boolean;
}) {
  const searching = useWorkspace((state) => state.searching);
  const presets = usePresets();
  const applied = presets.find(({ id }) => id === address.presetId);
  const isChanged = applied && !sameLook(applied.look, lookOf(address));
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
      {few && !applied ? null : (
        <Button
          icon={applied ? (isChanged ? 'bookmark-outline' : 'bookmark') : 'bookmark-outline'}
          iconOnly
          kind="quiet"
          label={
            applied
              ? isChanged
                ? words.presets.changed(applied.name)
                : words.presets.applied(applied.name)
              : words.presets.title
          }
          onPress={() => workspace.openSheet('presets')}
        />
      )}
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
