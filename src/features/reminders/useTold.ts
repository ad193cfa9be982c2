import { useEffect, useRef } from 'react';
import { useOpenStore, useSettings } from '@/store';
import { notify } from './notify';
import { playTones } from './tones';
import type { Kept } from './keeper/useReminderKeeper';
import type { Heard } from './useHeardReminders';

/**
 * Tells each reminder that is heard now once, by a notification and its sound: by the page that keeps them, and not those
 * that fell due while no page was open, which are listed.
 */
export function useTold(heard: readonly Heard[], { since, fresh }: Kept): void {
  const { clock } = useOpenStore();
  const { homeZone, reminderSound } = useSettings();
  const told = useRef(new Set<string>());
  const opened = useRef<number>(undefined);
  opened.current ??= clock() - performance.now();
  useEffect(() => {
    if (since === undefined) return;
    const isTold = ({ came, heard: at }: Heard) =>
      told.current.has(`${came.id}@${came.due}`) ||
      at < opened.current! ||
      (!fresh.has(came.id) && at < since);
    const now = heard.filter((one) => !isTold(one));
    for (const one of now) {
      told.current.add(`${one.came.id}@${one.came.due}`);
      // Where the browser does not show it after all, it stands on the page.
      notify(one, clock(), homeZone).catch(() => undefined);
    }
    if (reminderSound && now.some(({ came }) => came.by === 'sound')) playTones();
  }, [heard, since, fresh, clock, homeZone, reminderSound]);
}
