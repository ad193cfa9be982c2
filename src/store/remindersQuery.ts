import type { ReminderWay } from '@/core/model/reminder';
import type { State } from '@/core/model/state';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import type { RemindersQuery } from '@/engine/engine';

/** How the engine is asked about the reminders of a state that come by some ways. */
export function remindersQuery({ settings, calendars }: State, ways: readonly ReminderWay[]): RemindersQuery {
  const { homeZone = 'UTC', workingPattern = standardWorkingPattern } = settings.get('settings') ?? {};
  return {
    zone: homeZone,
    workingPattern,
    unlistedCalendarIds: [...calendars.values()].filter(({ unlisted }) => unlisted).map(({ id }) => id),
    ways,
  };
}
