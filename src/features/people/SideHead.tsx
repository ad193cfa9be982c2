import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { peopleWords } from '@/ui/words/people';

/** What stands beside the list of people is called, and closed. */
export function SideHead({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  /** What stands before the title. */
  children?: ReactNode;
}) {
  return (
    <View style={styles.head}>
      {children}
      <TitleText level={2} size="large" style={styles.title}>
        {title}
      </TitleText>
      <Button icon="close" iconOnly kind="quiet" label={peopleWords.close} onPress={onClose} />
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  title: { flex: 1 },
});
