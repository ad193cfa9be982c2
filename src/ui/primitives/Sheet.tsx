import { type ReactNode, useEffect, useRef } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Divider, Surface } from 'react-native-paper';
import { useBackCloses } from '../backCloses';
import { useTheme } from '../theme/theme';
import { corner, hairline, space, WIDE } from '../theme/tokens';
import { webProps, webStyle } from '../web';
import { TitleText } from './AppText';
import { Button } from './Button';
import { ModalLayer } from './ModalLayer';

interface SheetProps {
  title: string;
  closeLabel: string;
  onClose: () => void;
  children: ReactNode;
  /** What the sheet is there for: a button beside the one that closes it, always in sight. */
  go?: { label: string; onPress: () => void; disabled?: boolean; kind?: 'primary' | 'danger' };
  /** What the sheet ends in instead. */
  footer?: ReactNode;
}

/** A dialog: in the middle of a wide screen, over the whole of a phone. Escape and the back button close it, and the focus goes back. */
export function Sheet({ title, closeLabel, onClose, children, go, footer }: SheetProps) {
  const { colours } = useTheme();
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  const box = useRef<View>(null);
  useBackCloses(onClose);
  useEffect(() => {
    const sheet = box.current as unknown as HTMLElement | null;
    // A field that asks for the focus has it already.
    if (sheet?.contains(document.activeElement)) return;
    sheet?.querySelector<HTMLElement>('input, select, button[data-first], [role="button"]')?.focus();
  }, []);
  return (
    <ModalLayer label={title} onClose={onClose}>
      <View style={[styles.backdrop, { backgroundColor: colours.scrim }]}>
        <Surface
          ref={box}
          elevation={0}
          {...webProps({
            onKeyDownCapture: (event) => {
              if (event.key !== 'Escape') return;
              event.stopPropagation();
              onClose();
            },
          })}
          style={[
            styles.sheet,
            webStyle({ boxShadow: '0 12px 40px rgba(0,0,0,0.3)' }),
            { backgroundColor: colours.card, borderColor: colours.line },
            wide
              ? { width: 560, maxHeight: height - 80 }
              : { width, maxHeight: height, minHeight: Math.min(height, 320), marginTop: 'auto' },
          ]}
        >
          <View style={styles.head}>
            <TitleText style={styles.title}>{title}</TitleText>
            <Button icon="close" iconOnly kind="quiet" label={closeLabel} onPress={onClose} />
          </View>
          <ScrollView contentContainerStyle={styles.content}>{children}</ScrollView>
          {go || footer ? (
            <>
              <Divider />
              <View style={styles.footer}>
                {go ? (
                  <>
                    <Button label={closeLabel} onPress={onClose} />
                    <Button kind="primary" {...go} />
                  </>
                ) : (
                  footer
                )}
              </View>
            </>
          ) : null}
        </Surface>
      </View>
    </ModalLayer>
  );
}

const styles = StyleSheet.create({
  backdrop: { flex: 1, alignItems: 'center', justifyContent: 'center' },
  sheet: { borderWidth: hairline, borderRadius: corner },
  head: { flexDirection: 'row', alignItems: 'center', padding: space(3), paddingLeft: space(4) },
  title: { flex: 1 },
  content: { paddingHorizontal: space(4), paddingBottom: space(4), gap: space(3) },
  footer: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space(2),
    padding: space(3),
    justifyContent: 'flex-end',
  },
});
