import type { StepOf } from '../../model/batchStep';
import type { CalendarEvent } from '../../model/entry';
import { hasReminder, MOST_REMINDERS, type Reminder } from '../../model/reminder';
import type { State } from '../../model/state';
import { remindersOf } from '../../reminders/dueTimes';

/** An event without one of its fields. */
export const without = <Name extends keyof CalendarEvent>(
  event: CalendarEvent,
  name: Name,
): CalendarEvent => {
  const { [name]: _, ...rest } = event;
  return rest as unknown as CalendarEvent;
};

/** Gives an event other reminders. */
export const changedReminders = (
  event: CalendarEvent,
  { how, reminders }: Omit<StepOf<'reminders'>, 'kind'>,
  state: Pick<State, 'calendars'>,
): CalendarEvent => {
  if (how === 'usual') return without(event, 'reminders');
  if (how === 'none') return { ...event, reminders: [] };
  if (how === 'set') return { ...event, reminders };
  const usual = state.calendars.get(event.calendarId)?.usualReminders;
  const all: Reminder[] = [...remindersOf(event, usual)];
  for (const one of reminders) if (!hasReminder(all, one) && all.length < MOST_REMINDERS) all.push(one);
  return { ...event, reminders: all };
};
