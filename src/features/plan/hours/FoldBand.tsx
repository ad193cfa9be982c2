import { Pressable, StyleSheet, View } from 'react-native';
import { hourText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { MINUTE } from '@/core/time/civil';

/** Folded hours: a hatched band over all days that says what it hides, and opens when pressed. */
export function FoldBand({
  edge,
  minute,
  hidden,
  railsWidth,
  columnWidth,
  top,
  onPress,
}: {
  edge: 'before' | 'after';
  /** The minute at which the open hours begin or end. */
  minute: number;
  /** How many entries each day hides here. */
  hidden: readonly number[];
  /** The width of the hour rails beside the columns. */
  railsWidth: number;
  columnWidth: number;
  top: number;
  onPress: () => void;
}) {
  const { colours } = useTheme();
  const time = hourText(minute * MINUTE);
  const count = hidden.reduce((sum, each) => sum + each, 0);
  const text = edge === 'before' ? words.plan.hiddenBefore : words.plan.hiddenAfter;
  return (
    <Pressable
      role="button"
      aria-label={`${text(count, time)}. ${words.plan.showHours}`}
      onPress={onPress}
      {...webProps({ dataSet: { fold: edge } })}
      style={[
        styles.band,
        { top, borderColor: colours.line, backgroundColor: colours.page },
        webStyle({
          backgroundImage: `repeating-linear-gradient(135deg, transparent 0 7px, ${colours.shade} 7px 10px)`,
        }),
      ]}
    >
      <View style={[styles.rail, { width: railsWidth }]}>
        <AppIcon name="unfold-more-horizontal" size={16} color={colours.quietInk} />
      </View>
      {hidden.map((each, index) => (
        <View key={index} style={{ width: columnWidth }}>
          {each > 0 || (count === 0 && index === 0) ? (
            <AppText
              size="small"
              tone={each > 0 ? 'ink' : 'quiet'}
              weight={each > 0 ? '500' : '400'}
              numberOfLines={1}
              style={styles.text}
            >
              {columnWidth < 96 && each > 0 ? String(each) : text(each, time)}
            </AppText>
          ) : null}
        </View>
      ))}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  band: {
    position: 'absolute',
    left: 0,
    right: 0,
    height: sizes.fold,
    borderTopWidth: hairline,
    borderBottomWidth: hairline,
    flexDirection: 'row',
    alignItems: 'center',
  },
  rail: { alignItems: 'center' },
  text: { paddingHorizontal: space(2) },
});
