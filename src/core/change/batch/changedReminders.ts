import type { StepOf } from '../../model/batchStep';
import type { Entry } from '../../model/entry';
import { hasReminder, MOST_REMINDERS, type Reminder } from '../../model/reminder';
import type { State } from '../../model/state';
import { remindersOf } from '../../reminders/dueTimes';

/** An entry without one of its fields. */
export const without = <Kept extends Entry>(entry: Kept, name: keyof Kept): Kept => {
  const { [name]: _, ...rest } = entry;
  return rest as unknown as Kept;
};

/** Gives an entry other reminders. */
export const changedReminders = (
  event: Entry,
  { how, reminders }: Omit<StepOf<'reminders'>, 'kind'>,
  state: Pick<State, 'calendars'>,
): Entry => {
  if (how === 'usual') return without(event, 'reminders');
  if (how === 'none') return { ...event, reminders: [] };
  if (how === 'set') return { ...event, reminders };
  const usual = state.calendars.get(event.calendarId)?.usualReminders;
  const all: Reminder[] = [...remindersOf(event, usual)];
  for (const one of reminders) if (!hasReminder(all, one) && all.length < MOST_REMINDERS) all.push(one);
  return { ...event, reminders: all };
};
