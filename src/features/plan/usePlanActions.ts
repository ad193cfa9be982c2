import { useCallback, useMemo } from 'react';
import { fieldsSeenAt } from '@/core/change/entryChanges';
import { eventAt, targetKey, targetOfKey } from '@/core/change/target';
import type { Calendar } from '@/core/model/calendar';
import { DAY } from '@/core/time/civil';
import { shownDays } from '@/core/layout/viewDescriptors';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import {
  type Commands,
  type PlanAddress,
  usePlanAddress,
  useWorkspace,
  workspace,
} from '@/features/workspace';
import { type Store, useOpenStore, useSettings } from '@/store';
import { words } from '@/ui/words';
import { moveOfKey } from './grid/keyMoves';
import type { GridActions } from './grid/useGridDrag';
import { useTimeForTodo } from './useTimeForTodo';
import { useDraftInPlan } from './useDraftInPlan';
import { usePlanSteps } from './usePlanSteps';
import type { PlanRange } from './usePlanRange';

/** Opens an entry with all its fields. The same one that was put aside half-edited is gone on with. */
function openEntry(store: Store, commands: Commands, key: string): void {
  const target = targetOfKey(key);
  const fields = fieldsSeenAt(store.getSnapshot().state, target, commands.context());
  if (!fields) return;
  workspace.select(key);
  const kept = useWorkspace
    .getState()
    .aside.findLast((editing) => editing.target && targetKey(editing.target) === key);
  if (kept) workspace.takeUp(kept);
  else workspace.edit({ target, fields, before: fields, panel: 'full', changed: false });
}

/** What can be done in Plan, whatever the view: going about, opening, drafting, moving. */
export function usePlanActions(
  address: PlanAddress,
  stepped: PlanRange['stepped'],
  commands: Commands,
  target: Calendar | undefined,
) {
  const { store } = useOpenStore();
  const settings = useSettings();
  const { to } = usePlanAddress();
  const { zone, gridStep } = address;

  const steps = usePlanSteps(address, stepped);
  const { draft, pressEmpty } = useDraftInPlan(zone, target);
  const open = useCallback((key: string) => openEntry(store, commands, key), [store, commands]);
  /** Moves an entry by a key; the view follows where it goes out of sight. */
  const moveByKey = useCallback(
    async (key: string, event: KeyboardEvent) => {
      const dayOfKey = (of: string) => {
        const at = eventAt(store.getSnapshot().state, targetOfKey(of), commands.context());
        return at && { at, day: Math.floor(instantToWall(zone, instantOf(at.start, zone)) / DAY) };
      };
      const before = dayOfKey(key);
      const move = before && moveOfKey(event, before.at.start.kind === 'date', gridStep);
      if (!move) return;
      if (typeof move === 'string') return commands.refuse(words.keys.refusals[move]);
      // The focus follows what is selected.
      if (!useWorkspace.getState().selected.includes(key)) workspace.select(key);
      const landed = await commands.move(key, move);
      const after = landed === undefined ? undefined : dayOfKey(landed);
      if (after && !shownDays(address, settings).includes(after.day)) to({ day: after.day });
    },
    [store, commands, zone, gridStep, address, settings, to],
  );
  const giveTime = useTimeForTodo(commands, zone);
  const gridActions = useMemo(
    (): GridActions => ({
      press: (key, { add }) => {
        if (useWorkspace.getState().editing?.panel === 'quick') workspace.putAside();
        if (add) workspace.collect(key);
        else workspace.select(key);
      },
      walkTo: (key) => {
        if (!useWorkspace.getState().collecting) workspace.select(key);
      },
      pressEmpty,
      draft,
      move: async (key, move) => (await commands.move(key, move)) !== undefined,
      copy: (key, move) => commands.copy(targetOfKey(key), move),
      giveTime,
    }),
    [commands, draft, pressEmpty, giveTime],
  );
  return { ...steps, open, moveByKey, gridActions };
}
