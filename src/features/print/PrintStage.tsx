import { type ReactNode, useState } from 'react';
import { type LayoutChangeEvent, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { sheetSize } from '@/core/layout/paper';
import { AppText } from '@/ui/primitives/AppText';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { printWords } from '@/ui/words/print';
import { PrintedSheets } from './PrintedSheets';
import type { PrintOptions } from './printOptions';

interface PrintStageProps extends Pick<PrintOptions, 'paper' | 'isAcross'> {
  /** What can be chosen. */
  fields: ReactNode;
  /** The sheets as they will be; null while they are not known. */
  sheets: ReactNode;
  isReady: boolean;
  failed: boolean;
  onClose: () => void;
}

/** What is printed and how, beside the sheets as they will be. The browser prints them, or saves them as a file. */
export function PrintStage({ fields, sheets, paper, isAcross, isReady, failed, onClose }: PrintStageProps) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const [room, setRoom] = useState(0);
  const sheet = sheetSize(paper, isAcross);
  const scale = room === 0 ? 0 : Math.min(1, (room - 2 * space(4)) / sheet.width);
  const wide = width >= WIDE;
  return (
    <View role="main" style={[styles.screen, wide ? styles.beside : null, { backgroundColor: colours.page }]}>
      <View
        style={[
          wide ? styles.options : styles.optionsBelow,
          { backgroundColor: colours.card, borderColor: colours.line },
        ]}
      >
        <PanelHead
          title={printWords.open}
          onClose={onClose}
          action={{ label: printWords.now, onPress: () => window.print(), disabled: !isReady }}
        />
        {fields}
      </View>
      <ScrollView
        role="region"
        aria-label={printWords.preview}
        tabIndex={0}
        testID="print-preview"
        style={styles.preview}
        onLayout={(event: LayoutChangeEvent) => setRoom(event.nativeEvent.layout.width)}
      >
        {failed ? <AppText role="alert">{words.plan.failed}</AppText> : null}
        {scale > 0 && sheets ? <div style={{ zoom: scale, padding: space(4) / scale }}>{sheets}</div> : null}
      </ScrollView>
      <PrintedSheets paper={paper} isAcross={isAcross}>
        {sheets}
      </PrintedSheets>
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  beside: { flexDirection: 'row' },
  options: { width: sizes.editor, borderRightWidth: hairline },
  optionsBelow: { maxHeight: '55%', borderBottomWidth: hairline },
  preview: { flex: 1 },
});
