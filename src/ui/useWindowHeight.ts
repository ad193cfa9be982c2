import { useEffect, useState } from 'react';
import { useWindowDimensions } from 'react-native';
import { LEAST_HEIGHT, LOW_HEIGHT } from '@/ui/theme/tokens';

/** How much height a window has: enough, little (a phone laid across, a page at 200 %), or hardly any. */
export type WindowHeight = 'full' | 'low' | 'least';

const heightOf = (pixels: number): WindowHeight =>
  pixels >= LOW_HEIGHT ? 'full' : pixels >= LEAST_HEIGHT ? 'low' : 'least';

const isTyping = (): boolean =>
  document.activeElement instanceof HTMLInputElement || document.activeElement instanceof HTMLTextAreaElement;

/** The window's height. A keyboard that comes up takes height away and must not take the field away that it came for. */
export function useWindowHeight(): WindowHeight {
  const { height } = useWindowDimensions();
  const [known, setKnown] = useState(() => heightOf(height));
  useEffect(() => {
    const take = () => setKnown(heightOf(height));
    if (!isTyping()) {
      take();
      return;
    }
    // The focus is nowhere while it moves from one field to the next.
    const afterMove = () => {
      if (!isTyping()) take();
    };
    const onFocusOut = () => queueMicrotask(afterMove);
    document.addEventListener('focusin', afterMove);
    document.addEventListener('focusout', onFocusOut);
    return () => {
      document.removeEventListener('focusin', afterMove);
      document.removeEventListener('focusout', onFocusOut);
    };
  }, [height]);
  return known;
}
