import type { ReactNode, RefObject } from 'react';
import { type LayoutChangeEvent, StyleSheet, View } from 'react-native';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { viewRef, webProps } from '@/ui/web';
import { LassoMark } from './LassoMark';

/** The frame that all views stand in: what measures them, and takes their keys. */
export function GridFrame({
  frame,
  label,
  testID,
  onLayout,
  onKeyDown,
  children,
}: {
  frame: RefObject<HTMLElement | null>;
  /** What the view is read out as, where nothing inside says it. */
  label?: string;
  testID: string;
  onLayout: (event: LayoutChangeEvent) => void;
  onKeyDown: (event: KeyboardEvent) => void;
  children: ReactNode;
}) {
  const { colours } = useTheme();
  return (
    <View
      ref={viewRef(frame)}
      {...(label === undefined ? null : { role: 'group' as const, 'aria-label': label })}
      testID={testID}
      onLayout={onLayout}
      {...webProps({ onKeyDown })}
      style={[styles.frame, { backgroundColor: colours.card, borderColor: colours.line }]}
    >
      {children}
      <LassoMark />
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, borderWidth: hairline, borderRadius: space(1), overflow: 'hidden', minHeight: 160 },
});
