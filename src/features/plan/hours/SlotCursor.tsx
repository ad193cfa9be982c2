import { useState } from 'react';
import { Pressable, StyleSheet } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';

/** The slot of empty time that the keys have reached: Enter drafts an entry there. */
export function SlotCursor({
  label,
  time,
  box,
  tabbable,
  onPress,
}: {
  /** What is read out: day and time. */
  label: string;
  time: string;
  box: { top: number; left: number; width: number; height: number };
  tabbable: boolean;
  onPress: () => void;
}) {
  const { colours } = useTheme();
  const [isFocused, setIsFocused] = useState(false);
  return (
    <Pressable
      role="button"
      aria-label={words.plan.slot(label)}
      tabIndex={tabbable ? 0 : -1}
      testID="slot"
      onFocus={() => setIsFocused(true)}
      onBlur={() => setIsFocused(false)}
      onPress={onPress}
      {...webProps({ dataSet: { slot: 'true' } })}
      style={[
        styles.slot,
        box,
        isFocused
          ? { borderColor: colours.accent, backgroundColor: colours.accentTint }
          : { borderColor: 'transparent', pointerEvents: 'none' },
      ]}
    >
      {isFocused && box.height >= 16 ? (
        <AppText size="small" figures weight="700" numberOfLines={1} style={styles.time}>
          {time}
        </AppText>
      ) : null}
    </Pressable>
  );
}

const styles = StyleSheet.create({
  slot: {
    position: 'absolute',
    borderWidth: focusWidth,
    borderStyle: 'dashed',
    borderRadius: corner,
    zIndex: 4,
  },
  time: { paddingHorizontal: space(1), lineHeight: 16 },
});
