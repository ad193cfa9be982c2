import { useEffect, useState } from 'react';
import { forgetTextWidths } from './measureText';

/** Changes once when the fonts have loaded, so that texts are set anew with their true widths. */
export function useFontsLoaded(): boolean {
  const [loaded, setLoaded] = useState(() => document.fonts.status === 'loaded' && document.fonts.size > 0);
  useEffect(() => {
    if (loaded) return;
    let gone = false;
    void document.fonts.ready.then(() => {
      forgetTextWidths();
      if (!gone) setLoaded(true);
    });
    return () => {
      gone = true;
    };
  }, [loaded]);
  return loaded;
}
