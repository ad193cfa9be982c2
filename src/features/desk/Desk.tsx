import { memo, type ReactNode, Suspense, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { noteNoticePlace, useFolding, useWorkspace, workspace } from '@/features/workspace';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { useWindowHeight } from '@/ui/useWindowHeight';
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
export const Desk = memo(function Desk({ beside, wide, onOpen }: DeskProps) {
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
      <QuickDraft editing={editing} />
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
});

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
      {/* What is due stands over what the desk shows, and moves nothing of the view. */}
      <div ref={noteNoticePlace} />
      <View style={styles.inner}>
        <View style={styles.close}>
          <Button icon="close" iconOnly kind="quiet" label={words.desk.close} onPress={onClose} />
        </View>
        <ScrollView contentContainerStyle={styles.content}>{children}</ScrollView>
      </View>
    </View>
  );
}

type SheetHeight = 'bar' | 'half' | 'tall';

/** Shares of the window that the sheet takes at the most; a bar is as high as its line. */
const SHARE = { bar: 1, half: 0.46, tall: 0.85 } as const;

/** The phone's desk: a sheet over the lower part of the view, with two heights, and a bar while entries are collected. */
function BottomSheet({ onClose, children }: { onClose: () => void; children: ReactNode }) {
  const { colours } = useTheme();
  const { height } = useWindowDimensions();
  const isLow = useWindowHeight() !== 'full';
  const selected = useWorkspace((state) => state.selected);
  const collecting = useWorkspace((state) => state.collecting && state.editing === null);
  const [chosen, setChosen] = useState<SheetHeight>('half');
  // What is collected next may lie under the sheet: it keeps low until it is asked up.
  const [raisedFor, setRaisedFor] = useState<readonly string[] | null>(null);
  const size: SheetHeight = collecting ? (raisedFor === selected ? 'tall' : 'bar') : chosen;
  const raise = () => (collecting ? setRaisedFor(selected) : setChosen(size === 'bar' ? 'half' : 'tall'));
  const lower = () => (collecting ? setRaisedFor(null) : setChosen(size === 'tall' ? 'half' : 'bar'));
  const share = isLow && size === 'half' ? 0.6 : SHARE[size];
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
          maxHeight: height * share,
          minHeight: size === 'tall' && !collecting ? height * share : 0,
        },
      ]}
    >
      {size === 'bar' ? (
        <View style={styles.bar}>
          <AppText weight="700" style={styles.barText}>
            {selected.length === 0 ? words.desk.restOfToday : words.desk.several(selected.length)}
          </AppText>
          <Button label={words.desk.showActions} onPress={raise} />
          <Button icon="close" iconOnly kind="quiet" label={words.desk.close} onPress={onClose} />
        </View>
      ) : (
        <>
          <SheetHead size={size} lower={lower} raise={raise} collecting={collecting} onClose={onClose} />
          <ScrollView contentContainerStyle={styles.content}>{children}</ScrollView>
        </>
      )}
    </View>
  );
}

/** What raises, lowers and closes the sheet. */
function SheetHead({
  size,
  lower,
  raise,
  collecting,
  onClose,
}: {
  size: SheetHeight;
  lower: () => void;
  raise: () => void;
  collecting: boolean;
  onClose: () => void;
}) {
  const { colours } = useTheme();
  return (
    <View style={styles.sheetHead}>
      <Pressable
        role="button"
        aria-label={size === 'tall' ? words.desk.lower : words.desk.raise}
        onPress={size === 'tall' ? lower : raise}
        style={styles.grip}
      >
        <View style={[styles.gripBar, { backgroundColor: colours.line }]} />
      </Pressable>
      <View style={styles.close}>
        <Button
          icon="chevron-down"
          iconOnly
          kind="quiet"
          label={collecting || size === 'half' ? words.desk.toBar : words.desk.lower}
          onPress={lower}
        />
        <Button icon="close" iconOnly kind="quiet" label={words.desk.close} onPress={onClose} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  side: { width: sizes.desk, borderLeftWidth: hairline },
  over: { position: 'absolute', right: 0, top: 0, bottom: 0, zIndex: 10 },
  inner: { flex: 1, minHeight: 0 },
  close: { position: 'absolute', right: space(2), top: space(2), zIndex: 2, flexDirection: 'row' },
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(3),
    paddingLeft: space(4),
    paddingRight: space(2),
    paddingVertical: space(2),
  },
  barText: { flexGrow: 1 },
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
