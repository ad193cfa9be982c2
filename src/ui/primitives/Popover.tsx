import { type ReactNode, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Modal, Pressable, StyleSheet, View } from 'react-native';
import { useBackCloses } from '../backCloses';
import { useTheme } from '../theme/theme';
import { corner, hairline, space } from '../theme/tokens';
import { webStyle } from '../web';

/** Where something floats from: the corner of what opened it, in the window. */
export interface Anchor {
  readonly x: number;
  readonly y: number;
}

/** The lower left corner of an element, to open a popover at. */
export function anchorOf(element: View | null): Anchor {
  const box = (element as unknown as HTMLElement | null)?.getBoundingClientRect();
  return { x: box?.left ?? 0, y: box?.bottom ?? 0 };
}

const WIDTH = 260;

/** A small floating list of actions. Escape, the back button and a press outside close it, and the focus goes back. */
export function Popover({
  anchor,
  label,
  onClose,
  children,
}: {
  anchor: Anchor;
  label: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const { colours } = useTheme();
  const box = useRef<View>(null);
  useBackCloses(onClose);
  const left = Math.max(space(2), Math.min(anchor.x, window.innerWidth - WIDTH - space(2)));
  // A long list keeps inside the window.
  const [height, setHeight] = useState(0);
  useLayoutEffect(() => {
    setHeight((box.current as unknown as HTMLElement).offsetHeight);
  }, [children]);
  const lowest = window.innerHeight - height - space(2);
  useEffect(() => {
    (box.current as unknown as HTMLElement | null)
      ?.querySelector<HTMLElement>('[role="menuitem"], [role="radio"], button')
      ?.focus();
  }, []);
  return (
    <Modal transparent visible onRequestClose={onClose} animationType="none" aria-label={label}>
      <Pressable style={styles.outside} onPress={onClose} tabIndex={-1} aria-hidden />
      <View
        ref={box}
        role="menu"
        aria-label={label}
        style={[
          styles.box,
          webStyle({ boxShadow: '0 6px 24px rgba(0,0,0,0.22)', overflowY: 'auto' }),
          {
            left,
            top: Math.max(space(2), Math.min(anchor.y + space(1), lowest)),
            maxHeight: window.innerHeight - 2 * space(2),
            backgroundColor: colours.card,
            borderColor: colours.line,
          },
        ]}
      >
        {children}
      </View>
    </Modal>
  );
}

const styles = StyleSheet.create({
  outside: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, cursor: 'auto' },
  box: {
    position: 'absolute',
    width: WIDTH,
    borderWidth: hairline,
    borderRadius: corner,
    padding: space(2),
    gap: space(1),
  },
});
