import type { State } from '../model/state';
import type { ChangeResult } from './eventFields';
import type { ChangeContext, Summary } from './patch';
import type { Edit } from './edits';
import { editTarget } from './scopes';
import { isRefusal, type Refusal } from './shift';
import { isRecurring, masterOf, type Scope, type Target } from './target';
import { UnitOfWork } from './unitOfWork';

/** What an edit did to several targets. */
export interface EachEdited {
  readonly work: UnitOfWork;
  /** How many targets were changed, how many could not be, and why the last of these could not. */
  readonly count: number;
  readonly left: number;
  readonly refusal: Refusal | undefined;
  /** Changed occurrences that found no place in their series any more. */
  readonly dropped: number;
}

/** Whether a target is a series itself and none of its occurrences. */
export const isWholeSeries = (state: State, target: Target): boolean =>
  target.recurrenceKey === undefined && !!state.entries.get(target.entryId)?.recurrence;

/** The order of an occurrence among those of its series, as far as a target says it. */
const orderOf = (state: State, { entryId, recurrenceKey }: Target): string => {
  const recurrenceId = state.entries.get(entryId)?.recurrenceId;
  return recurrenceKey ?? (recurrenceId?.kind === 'date' ? recurrenceId.date : recurrenceId?.local) ?? '';
};

/**
 * The targets that a scope leaves to be edited: of a series whose every occurrence or later ones change, one stands for
 * those chosen, the first.
 */
export function standing(
  state: State,
  targets: readonly Target[],
  scopeOf: (target: Target) => Scope,
): Target[] {
  const chosen = new Map<string, Target>();
  for (const target of targets) {
    const isOne = scopeOf(target) === 'this' && !isWholeSeries(state, target);
    const key =
      isOne || !isRecurring(state, target)
        ? `${target.entryId} ${target.recurrenceKey ?? ''}`
        : (masterOf(state, target)?.id ?? target.entryId);
    const known = chosen.get(key);
    if (!known || orderOf(state, target) < orderOf(state, known)) chosen.set(key, target);
  }
  return [...chosen.values()];
}

/**
 * Edits several entries and occurrences as one change: each upon what the ones before made of the state. Of series in a
 * scope; a series that is chosen as such is edited whole. What can't be is left as it is, and counted.
 */
export function editEach(
  state: State,
  targets: readonly Target[],
  scope: Scope,
  edit: Edit,
  context: ChangeContext,
): EachEdited {
  const work = new UnitOfWork(state, context);
  let refusal: Refusal | undefined;
  let count = 0;
  let left = 0;
  let dropped = 0;
  for (const target of standing(state, targets, () => scope)) {
    const whole = isWholeSeries(work.state, target);
    const edited = editTarget(work.state, target, whole ? 'every' : scope, edit, context);
    if (isRefusal(edited)) {
      refusal = edited;
      left++;
      continue;
    }
    count++;
    dropped += edited.dropped;
    work.add(edited.changes);
  }
  return { work, count, left, refusal, dropped };
}

/** The patch of an edit of several, or why there is none: if none of them could be edited. */
export function madeOfEach(
  { work, count, left, refusal, dropped }: EachEdited,
  summary: Omit<Summary, 'count'>,
): ChangeResult {
  if (count === 0 && refusal) return { refused: refusal };
  return work.patch({
    ...summary,
    count,
    ...(left > 0 ? { left } : {}),
    ...(dropped > 0 ? { dropped } : {}),
  });
}
