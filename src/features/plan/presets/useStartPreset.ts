import { useEffect, useRef } from 'react';
import { usePresets, useSettings } from '@/store';
import { useApplyPreset } from './useApplyPreset';

let wasOpened = false;

/** Plan opens with the start preset, unless its address says what to show. */
export function useStartPreset(): void {
  const presets = usePresets();
  const { startPresetId } = useSettings();
  const apply = useApplyPreset();
  const start = useRef(presets.find(({ id }) => id === startPresetId));
  useEffect(() => {
    if (wasOpened) return;
    const saysWhat = [...new URLSearchParams(window.location.search).keys()].some((name) => name !== 'now');
    const preset = start.current;
    // The router takes no parameters before the first screen stands.
    const handle = setTimeout(() => {
      wasOpened = true;
      if (preset && !saysWhat) apply(preset, { quietly: true });
    }, 0);
    return () => clearTimeout(handle);
  }, [apply]);
}
