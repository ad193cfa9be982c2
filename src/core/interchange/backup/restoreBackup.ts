import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from '../../change/patch';
import { withKnownZones } from '../../model/knownZones';
import type { Settings } from '../../model/settings';
import { BACKED_UP, type BackedUp, type State } from '../../model/state';
import type { Backup, BackupRecords } from './backupFile';

/** Replacing makes everything as it was in the backup; adding brings what is not here, and leaves what is. */
export const RESTORE_MODES = ['replace', 'add'] as const;
export type RestoreMode = (typeof RESTORE_MODES)[number];

type BackedUpRecord = BackupRecords[BackedUp][number];

/** Restores a backup as one patch. */
export function restoreBackup(
  state: State,
  backup: Pick<Backup, 'records'>,
  mode: RestoreMode,
  context: ChangeContext,
): Patch {
  const changes: Change[] = [];
  for (const name of BACKED_UP) {
    const known: ReadonlyMap<string, BackedUpRecord> = state[name];
    const restored = new Set<string>();
    for (const kept of backup.records[name]) {
      // The home zone stays where the backup's is not known here.
      const record =
        name === 'settings'
          ? withKnownZones(kept as Settings, state.settings.get('settings')?.homeZone ?? context.zone)
          : kept;
      restored.add(record.id);
      const before = known.get(record.id);
      if (before && (mode === 'add' || JSON.stringify(before) === JSON.stringify(record))) continue;
      changes.push(put(state, name, record) as Change);
    }
    if (mode === 'replace')
      for (const record of known.values())
        if (!restored.has(record.id)) changes.push(remove(name, record) as Change);
  }
  return makePatch(context, { what: 'restored', count: changes.length }, changes, 'closed-calendars');
}

/** How many records of a collection a patch adds, changes and removes. */
export interface Effect {
  readonly collection: BackedUp;
  readonly added: number;
  readonly changed: number;
  readonly removed: number;
}

/** What a patch does, by collection; those that it leaves alone are left out. */
export const effectsOf = (patch: Patch): Effect[] =>
  BACKED_UP.flatMap((collection): Effect[] => {
    const changes = patch.changes.filter((change) => change.collection === collection);
    if (changes.length === 0) return [];
    return [
      {
        collection,
        added: changes.filter(({ before }) => before === null).length,
        changed: changes.filter(({ before, after }) => before !== null && after !== null).length,
        removed: changes.filter(({ after }) => after === null).length,
      },
    ];
  });
