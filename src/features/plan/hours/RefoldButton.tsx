import { Pressable, StyleSheet } from 'react-native';
import { AppText } from '@/ui/primitives/AppText';
import { sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** Folds opened hours again; stands on the hour rail beside them. */
export function RefoldButton({
  time,
  before,
  left,
  top,
  onPress,
}: {
  time: string;
  before: boolean;
  left: number;
  top: number;
  onPress: () => void;
}) {
  return (
    <Pressable
      role="button"
      aria-label={words.plan.foldHours(time, before)}
      onPress={onPress}
      style={[styles.refold, { left, top: before ? top : top + space(2) }]}
    >
      <AppText size="small" weight="700" tone="accent">
        {words.plan.fold}
      </AppText>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  refold: {
    position: 'absolute',
    width: sizes.hourRail - 8,
    height: 24,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
