import { type ReactNode, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Pressable, StyleSheet, type View } from 'react-native';
import { Surface } from 'react-native-paper';
import { useBackCloses } from '../backCloses';
import { useTheme } from '../theme/theme';
import { corner, hairline, space } from '../theme/tokens';
import { webProps, webStyle } from '../web';
import { ModalLayer } from './ModalLayer';

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
/** Of a list that is picked from: eight of its options. */
const LIST_HEIGHT = 360;
const ITEMS = '[role="menuitem"]:not([aria-disabled="true"]), [role="radio"], [role="option"]';

/** The item that a key leads to from another: down, up, the first or the last, round at the ends, or by its first letter. */
function itemAt(key: string, items: readonly HTMLElement[], from: number): HTMLElement | undefined {
  const step = { ArrowDown: 1, ArrowUp: -1 }[key];
  if (step !== undefined) return items.at((from + step) % items.length);
  if (key === 'Home') return items[0];
  if (key === 'End') return items.at(-1);
  if (key.length !== 1 || key === ' ') return undefined;
  return [...items.slice(from + 1), ...items.slice(0, from + 1)].find((item) =>
    item.textContent.trim().toLowerCase().startsWith(key.toLowerCase()),
  );
}

/**
 * What floats beside what opened it: a small list of actions, walked by the arrow keys, or a dialog. Escape, the back
 * button and a press outside close it, and the focus goes back.
 */
export function Popover({
  anchor,
  label,
  role = 'menu',
  width = WIDTH,
  onClose,
  children,
}: {
  anchor: Anchor;
  label: string;
  role?: 'menu' | 'listbox' | 'dialog';
  width?: number;
  onClose: () => void;
  children: ReactNode;
}) {
  const { colours } = useTheme();
  const box = useRef<View>(null);
  const element = () => box.current as unknown as HTMLElement;
  useBackCloses(onClose);
  const left = Math.max(space(2), Math.min(anchor.x, window.innerWidth - width - space(2)));
  // A long list keeps inside the window.
  const [height, setHeight] = useState(0);
  useLayoutEffect(() => {
    const observer = new ResizeObserver(() => setHeight(element().offsetHeight));
    observer.observe(element());
    return () => observer.disconnect();
  }, []);
  const lowest = window.innerHeight - height - space(2);
  useEffect(() => {
    if (role === 'dialog' && element().contains(document.activeElement)) return;
    const first =
      element().querySelector<HTMLElement>('[aria-selected="true"]') ??
      element().querySelector<HTMLElement>(`${ITEMS}, button`);
    first?.focus();
    first?.scrollIntoView({ block: 'center' });
  }, [role]);
  return (
    <ModalLayer label={label} onClose={onClose}>
      <Pressable
        style={styles.outside}
        onPress={onClose}
        tabIndex={-1}
        aria-hidden
        {...webProps({
          onContextMenu: (event) => {
            event.preventDefault();
            onClose();
          },
        })}
      />
      <Surface
        ref={box}
        elevation={0}
        // The modal around it is the dialog already.
        {...(role === 'dialog' ? {} : { role: role as 'menu', 'aria-label': label })}
        {...webProps({
          // What it was opened from, and lies under it, does not hear of it.
          onKeyDownCapture: (event) => {
            if (event.key !== 'Escape') return;
            event.stopPropagation();
            onClose();
          },
          onKeyDown: (event) => {
            if (role === 'dialog' || event.ctrlKey || event.metaKey || event.altKey) return;
            const items = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>(ITEMS)];
            const next = itemAt(event.key, items, items.indexOf(document.activeElement as HTMLElement));
            if (!next) return;
            event.preventDefault();
            next.focus();
          },
        })}
        style={[
          styles.box,
          webStyle({ boxShadow: '0 6px 24px rgba(0,0,0,0.22)', overflowY: 'auto' }),
          {
            left,
            top: Math.max(space(2), Math.min(anchor.y + space(1), lowest)),
            width,
            maxHeight: Math.min(
              window.innerHeight - 2 * space(2),
              role === 'listbox' ? LIST_HEIGHT : Infinity,
            ),
            backgroundColor: colours.card,
            borderColor: colours.line,
          },
        ]}
      >
        {children}
      </Surface>
    </ModalLayer>
  );
}

const styles = StyleSheet.create({
  outside: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, cursor: 'auto' },
  box: {
    position: 'absolute',
    borderWidth: hairline,
    borderRadius: corner,
    padding: space(2),
    gap: space(1),
  },
});
