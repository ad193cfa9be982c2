import { type ReactNode, Suspense, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { useFolding, useWorkspace, workspace } from '@/features/workspace';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { EntryPanel } from './EntryPanel';
import { severalPanel } from './laterPanels';
import { QuickDraft } from './QuickDraft';
import { RunDown } from './RunDown';

interface DeskProps {
  /** Whether it stands beside the view rather than over it. */
  beside: boolean;
  wide: boolean;
  onOpen: (key: string) => void;
}

/** Shows what is selected with its actions; with nothing selected, the run-down of today. */
export function Desk({ beside, wide, onOpen }: DeskProps) {
  const selected = useWorkspace((state) => state.selected);
  const editing = useWorkspace((state) => state.editing);
  const fold = useFolding();
  const close = () => {
    workspace.putAside();
    workspace.clearSelection();
    if (beside) fold('desk', true);
    else workspace.setDesk(false);
  };
  const [only] = selected;
  const content =
    editing?.panel === 'quick' ? (
      <QuickDraft fields={editing.fields} />
    ) : selected.length > 1 ? (
      <Suspense fallback={null}>
        <severalPanel.Later keys={selected} />
      </Suspense>
    ) : only !== undefined ? (
      <EntryPanel key={only} occurrenceKey={only} onOpen={onOpen} />
    ) : (
      <RunDown onOpen={(key) => workspace.select(key)} />
    );
  return wide ? (
    <SideDesk beside={beside} onClose={close}>
      {content}
    </SideDesk>
  ) : (
    <BottomSheet onClose={close}>{content}</BottomSheet>
  );
}

function SideDesk({
  beside,
  onClose,
  children,
}: {
  beside: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  const { colours } = useTheme();
  return (
    <View
      role="complementary"
      aria-label={words.desk.label}
      style={[
        styles.side,
        { backgroundColor: colours.card, borderColor: colours.line },
        beside ? null : [styles.over, webStyle({ boxShadow: '-6px 0 24px rgba(0,0,0,0.14)' })],
      ]}
    >
      <View style={styles.close}>
        <Button icon="close" iconOnly kind="quiet" label={words.desk.close} onPress={onClose} />
      </View>
      <ScrollView contentContainerStyle={styles.content}>{children}</ScrollView>
    </View>
  );
}

/** The phone's desk: a sheet over the lower part of the view, with two heights. */
function BottomSheet({ onClose, children }: { onClose: () => void; children: ReactNode }) {
  const { colours } = useTheme();
  const { height } = useWindowDimensions();
  const [tall, setTall] = useState(false);
  return (
    <View
      role="complementary"
      aria-label={words.desk.label}
      testID="sheet"
      style={[
        styles.sheet,
        webStyle({ boxShadow: '0 -6px 24px rgba(0,0,0,0.18)' }),
        {
          backgroundColor: colours.card,
          borderColor: colours.line,
          maxHeight: height * (tall ? 0.85 : 0.46),
          minHeight: tall ? height * 0.85 : 0,
        },
      ]}
    >
      <View style={styles.sheetHead}>
        <Pressable
          role="button"
          aria-label={tall ? words.desk.lower : words.desk.raise}
          onPress={() => setTall(!tall)}
          style={styles.grip}
        >
          <View style={[styles.gripBar, { backgroundColor: colours.line }]} />
        </Pressable>
        <View style={styles.close}>
          <Button icon="close" iconOnly kind="quiet" label={words.desk.close} onPress={onClose} />
        </View>
      </View>
      <ScrollView contentContainerStyle={styles.content}>{children}</ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  side: { width: sizes.desk, borderLeftWidth: hairline },
  over: { position: 'absolute', right: 0, top: 0, bottom: 0, zIndex: 10 },
  close: { position: 'absolute', right: space(2), top: space(2), zIndex: 2 },
  content: { padding: space(4), paddingTop: space(4) },
  sheet: {
    position: 'absolute',
    left: 0,
    right: 0,
    bottom: 0,
    zIndex: 10,
    borderTopWidth: hairline,
    borderTopLeftRadius: space(3),
    borderTopRightRadius: space(3),
  },
  sheetHead: { minHeight: 20, zIndex: 2 },
  grip: { height: 28, alignItems: 'center', justifyContent: 'center' },
  gripBar: { width: 44, height: 4, borderRadius: 2 },
});
