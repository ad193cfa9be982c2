import type { FineFinding } from '../model/fineFinding';
import type { State } from '../model/state';
import { type ChangeContext, makePatch, type Patch, put, remove } from './patch';

/** Says of findings that they are fine as they are. They are not found again, until that is taken back. */
export function settleFindings(
  state: State,
  ids: readonly string[],
  name: string,
  context: ChangeContext,
): Patch {
  const fine = ids.map((id): FineFinding => ({ id, at: context.now }));
  return makePatch(
    context,
    { what: 'findings-fine', count: fine.length, name },
    fine.map((each) => put(state, 'fineFindings', each)),
  );
}

/** Has everything that was fine looked at again; undefined where nothing was. */
export function unsettleFindings(state: State, context: ChangeContext): Patch | undefined {
  const all = [...state.fineFindings.values()];
  if (all.length === 0) return undefined;
  return makePatch(
    context,
    { what: 'findings-again', count: all.length },
    all.map((each) => remove('fineFindings', each)),
  );
}
