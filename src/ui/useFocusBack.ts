import { useEffect, useRef } from 'react';

/** Gives the focus back to what opened something, once that is closed and out of the page. */
export function useFocusBack(isOpen: boolean, opener: () => HTMLElement | null): void {
  const wasOpen = useRef(false);
  useEffect(() => {
    if (wasOpen.current && !isOpen) opener()?.focus();
    wasOpen.current = isOpen;
  });
}
