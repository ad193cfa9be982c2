import { useEffect } from 'react';
import { usePresets } from '@/store';
import { isKeyElsewhere } from '../isKeyElsewhere';
import { useApplyPreset } from './useApplyPreset';

/** `G`, then a digit, applies a preset. The digit is heard here before it means anything else. */
export function usePresetKeys(): void {
  const presets = usePresets();
  const apply = useApplyPreset();
  useEffect(() => {
    let isAwaited = false;
    const onKey = (event: KeyboardEvent) => {
      if (isKeyElsewhere(event) || event.altKey) return;
      const wasAwaited = isAwaited;
      isAwaited = event.key.toLowerCase() === 'g';
      const preset = wasAwaited && /^[1-9]$/.test(event.key) ? presets[Number(event.key) - 1] : undefined;
      if (!isAwaited && !preset) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      if (preset) apply(preset);
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, [presets, apply]);
}
