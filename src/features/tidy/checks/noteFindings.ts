import { changeSession } from '@/core/change/calendarChanges';
import type { ChangeContext } from '@/core/change/patch';
import type { Store } from '@/store';
import { DAY } from '@/core/time/civil';

/** Notes how much the checks found, for whoever asks without running them. */
export function noteFindings(store: Store, count: number, context: ChangeContext): void {
  const { state } = store.getSnapshot();
  const known = state.sessions.get('session')?.findings;
  const isOld = !known || context.now - known.at > STALE;
  if (known?.count === count && !isOld) return;
  void store.commit(changeSession(state, { findings: { count, at: context.now } }, context), 'quiet');
}

/** Once a month the checks run by themselves, in milliseconds. */
export const STALE = 30 * DAY;
