import { useCallback, useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

export interface FrameSize {
  readonly width: number;
  readonly height: number;
}

/** What each kind of frame measured last. All views stand in the same place, so the next one begins with it. */
const measured = new Map<string, FrameSize>();
const UNKNOWN: FrameSize = { width: 0, height: 0 };

/**
 * The size of a frame in pixels, and what measures it. A view that opens after another begins with that one's size, so
 * that it is drawn at once and not after it was measured; zero as long as none of the kind was measured.
 */
export function useFrameSize(kind: string): FrameSize & { onLayout: (event: LayoutChangeEvent) => void } {
  const [size, setSize] = useState(() => measured.get(kind) ?? UNKNOWN);
  const onLayout = useCallback(
    ({ nativeEvent: { layout } }: LayoutChangeEvent) => {
      const next = { width: layout.width, height: layout.height };
      measured.set(kind, next);
      setSize((before) => (before.width === next.width && before.height === next.height ? before : next));
    },
    [kind],
  );
  return { ...size, onLayout };
}
