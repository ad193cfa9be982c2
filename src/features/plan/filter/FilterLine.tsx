import { memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import { NO_FILTER } from '@/core/model/look';
import { type PlanAddress, usePlanAddress, workspace } from '@/features/workspace';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { filterText } from '@/ui/filterText';
import { words } from '@/ui/words';

/** Says what is left out of the view, and how many entries; one press shows everything again. */
export const FilterLine = memo(function FilterLine({
  address,
  calendars,
  leftOut,
}: {
  address: PlanAddress;
  calendars: readonly Calendar[];
  /** How many entries of the shown days are left out, once it is known. */
  leftOut: number | undefined;
}) {
  const { colours } = useTheme();
  const { to } = usePlanAddress();
  const off = calendars.filter(({ id }) => address.hidden.includes(id)).length;
  const only = filterText(address.filter);
  if (off === 0 && only.length === 0) return null;
  const said = [
    only.length > 0 ? words.filter.only(only.join(' · ')) : '',
    off > 0 ? words.filter.calendarsOff(off) : '',
    leftOut === undefined ? '' : words.filter.leftOut(leftOut),
  ].filter(Boolean);
  return (
    <View
      role="status"
      testID="filter-line"
      style={[styles.line, { backgroundColor: colours.accentTint, borderColor: colours.line }]}
    >
      <Pressable
        role="button"
        aria-label={words.filter.change(said.join(', '))}
        onPress={() => workspace.openSheet('filter')}
        style={styles.press}
      >
        <AppIcon name="filter-outline" size={18} color={colours.ink} />
        <AppText numberOfLines={2} style={styles.text}>
          {said.join(', ')}
        </AppText>
      </Pressable>
      <Button kind="quiet" label={words.filter.clear} onPress={() => to({ filter: NO_FILTER, hidden: [] })} />
    </View>
  );
});

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    borderWidth: hairline,
    borderRadius: corner,
    marginBottom: space(1),
    paddingLeft: space(2),
    minHeight: sizes.target,
  },
  press: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.target },
  text: { flex: 1 },
});
