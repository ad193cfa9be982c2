import type { State } from '../model/state';
import { DAY } from '../time/civil';

/** How long after a backup the next one is offered, in milliseconds: about a month. */
const MONTH = 30 * DAY;
/** Nothing is offered to someone who has not kept so many entries. */
const WORTH_KEEPING = 20;

/** Whether it is time to offer a backup: a month after the last one, or after the offer was put off. */
export function isBackupDue(state: State, now: number): boolean {
  const settings = state.settings.get('settings');
  if (settings?.demoNow !== undefined || state.entries.size < WORTH_KEEPING) return false;
  const { backedUp, backupPutOff } = state.sessions.get('session') ?? {};
  const oldest = [...state.calendars.values()].reduce((least, { created }) => Math.min(least, created), now);
  return now - Math.max(backedUp ?? oldest, backupPutOff ?? 0) >= MONTH;
}
