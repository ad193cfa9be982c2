import { changeSession } from '@/core/change/calendarChanges';
import { dateString, DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { useOpenStore } from '@/store';
import { words } from '@/ui/words';
import { saveBackup } from './files';

/** Saves a backup and remembers when, or puts the offer of one off. */
export function useBackup() {
  const { store } = useOpenStore();
  const { context, refuse } = useCommands();
  const remember = (fields: { backedUp?: number; backupPutOff?: number }) =>
    void store.commit(changeSession(store.getSnapshot().state, fields, context()), 'quiet');
  return {
    async save(): Promise<void> {
      const { now, zone } = context();
      try {
        await saveBackup(store, now, dateString(Math.floor(instantToWall(zone, now) / DAY)));
        remember({ backedUp: now });
      } catch {
        refuse(words.data.saveFailed);
      }
    },
    putOff: () => remember({ backupPutOff: context().now }),
  };
}
