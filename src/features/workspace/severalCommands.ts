import {
  changeReminders,
  moveToCalendar,
  type ReminderChange,
  type SeveralScope,
  shiftByDays,
} from '@/core/change/batchChanges';
import { binEntries, binLater } from '@/core/change/binEntries';
import { againOn, copyToCalendar, duplicateEntry } from '@/core/change/copyEntries';
import { bringBackDate, resetOccurrence } from '@/core/change/exceptions';
import { type Move, moveEntry } from '@/core/change/moveEntry';
import type { Patch } from '@/core/change/patch';
import { type Scope, type Target, targetOfKey } from '@/core/change/target';
import type { EventTime } from '@/core/model/eventTime';
import type { State } from '@/core/model/state';
import { words } from '@/ui/words';
import { type CommandPipeline, following, isOccurrence } from './commandPipeline';
import { workspace } from './workspace';

/** Selects a new entry, unless it is a series: which of its occurrences is meant nobody knows. */
function selectNew({ changes }: Patch): void {
  const put = changes.find((change) => change.collection === 'entries' && change.after);
  const isSeries = changes.some(({ after }) => after && 'recurrence' in after);
  if (put && !isSeries) workspace.select(put.id);
}

/** Which occurrences of the series among several entries are meant; undefined where it is asked, and not said. */
async function scopeOfSeveral(state: State, targets: readonly Target[]): Promise<SeveralScope | undefined> {
  if (!targets.some((target) => isOccurrence(state, target))) return 'every';
  const asked = await workspace.askScope('change', words.desk.several(targets.length), ['this', 'every']);
  return asked === 'later' ? undefined : asked;
}

/** What is done to entries as they are, one or several: binned, multiplied, shifted, given to another calendar. */
export const severalCommands = ({ state, context, perform, performAt }: CommandPipeline) => ({
  copyTo: (keys: readonly string[], calendarId: string): boolean =>
    perform(copyToCalendar(state(), keys.map(targetOfKey), calendarId, context())) !== undefined,
  duplicate: (key: string): boolean =>
    perform(duplicateEntry(state(), targetOfKey(key), context()), selectNew) !== undefined,
  /** The same entry on other days, given as day numbers. */
  againOn: (key: string, days: readonly number[]): boolean =>
    perform(againOn(state(), targetOfKey(key), days, context())) !== undefined,
  async bin(keys: readonly string[]): Promise<boolean> {
    const targets = keys.map(targetOfKey);
    const [only] = targets;
    const draft = (scope: Scope) =>
      scope === 'later'
        ? binLater(state(), only!, context())
        : binEntries(state(), targets, scope, context());
    const then = () => workspace.clearSelection();
    const patch =
      only && targets.length === 1
        ? await performAt(only, { about: 'bin' }, draft, then)
        : perform(draft('this'), then);
    return patch !== undefined;
  },
  /** Sets a changed occurrence back to its series. */
  reset: (overrideId: string): boolean =>
    perform(resetOccurrence(state(), overrideId, context())) !== undefined,
  /** Brings a date back that a series leaves out. */
  bringBack: (seriesId: string, date: EventTime): boolean =>
    perform(bringBackDate(state(), seriesId, date, context())) !== undefined,
  /** Moves entries to another calendar; of series it is asked which occurrences. */
  async toCalendar(keys: readonly string[], calendarId: string): Promise<boolean> {
    const targets = keys.map(targetOfKey);
    const [only] = targets;
    if (only && targets.length === 1) {
      const move: Move = { kind: 'shift', by: 0, calendarId };
      const draft = (scope: Scope) => moveEntry(state(), only, move, scope, context());
      return (await performAt(only, { about: 'change' }, draft, following(only))) !== undefined;
    }
    const scope = await scopeOfSeveral(state(), targets);
    return (
      scope !== undefined &&
      perform(moveToCalendar(state(), targets, calendarId, scope, context())) !== undefined
    );
  },
  /** Changes the reminders of several entries; of series it is asked which occurrences. */
  async remind(keys: readonly string[], change: ReminderChange): Promise<boolean> {
    const targets = keys.map(targetOfKey);
    const scope = await scopeOfSeveral(state(), targets);
    return (
      scope !== undefined &&
      perform(changeReminders(state(), targets, change, scope, context())) !== undefined
    );
  },
  shiftDays: (keys: readonly string[], days: number): boolean =>
    perform(shiftByDays(state(), keys.map(targetOfKey), days, context())) !== undefined,
});
