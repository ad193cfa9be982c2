import { type PresetLook, samePresetLook } from '@/core/model/viewPreset';
import type { PlanAddress } from '@/features/workspace';
import { usePresets, useSnapshot } from '@/store';
import { lookOf } from './lookOf';

/** What the table's address says, where the table stands. */
export type TableParameters = Readonly<Record<string, string | undefined>>;

/** What a preset would keep now, the preset that is applied, and whether what is seen has changed since. */
export function usePresetLook(address: PlanAddress, table: TableParameters | undefined) {
  const columns = useSnapshot(({ state }) => state.sessions.get('session')?.tableColumns);
  // The places share their address: a preset of the other one is not applied here.
  const applied = usePresets().find((preset) => preset.id === address.presetId && !preset.table === !table);
  const parameters =
    table && Object.fromEntries(Object.entries(table).map(([name, value]) => [name, value ?? '']));
  const present: PresetLook = {
    look: lookOf(address),
    ...(parameters ? { table: { parameters, ...(columns ? { columns } : {}) } } : {}),
  };
  return { present, applied, isChanged: !!applied && !samePresetLook(applied, present) };
}
