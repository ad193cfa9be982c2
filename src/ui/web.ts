import type { CSSProperties, RefObject } from 'react';
import type { View, ViewStyle } from 'react-native';

interface WebProps {
  dataSet?: Record<string, string | undefined>;
  onKeyDown?: (event: KeyboardEvent) => void;
  /** Before the fields inside: React Native's text fields keep their keys to themselves. */
  onKeyDownCapture?: (event: KeyboardEvent) => void;
  /** Also when a field inside is left. */
  onBlur?: (event: { relatedTarget: EventTarget | null; currentTarget: EventTarget & Node }) => void;
  onContextMenu?: (event: MouseEvent) => void;
  onDragOver?: (event: DragEvent) => void;
  'aria-keyshortcuts'?: string;
  'aria-roledescription'?: string;
  'aria-expanded'?: boolean;
  'aria-haspopup'?: string;
  lang?: string;
  title?: string | undefined;
}

/** Whether a key was pressed within the element itself: React hands on keys of sheets that were opened from it, too. */
export const isOwnKey = (event: KeyboardEvent): boolean =>
  event.currentTarget instanceof Node &&
  event.target instanceof Node &&
  event.currentTarget.contains(event.target);

/** Properties that react-native-web passes on to the element and React Native's types do not know. */
export const webProps = (props: WebProps): object => props;

/** A ref to an element as one to the View that it is of: on the web they are the same. */
export const viewRef = <Of = View>(ref: RefObject<HTMLElement | null>): RefObject<Of | null> =>
  ref as unknown as RefObject<Of | null>;

/** A style of the web alone (hatching, text wrap, cursors). */
export const webStyle = (style: CSSProperties): ViewStyle => style as ViewStyle;

/** Whether what has the focus takes letters. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable);
