import { nextSnoozeOf } from '@/core/reminders/cameReminders';
import { type RunDown, runDownOf, runDownTimes } from '@/core/reminders/runDown';
import type { DueReminder } from '@/core/reminders/dueReminders';
import type { State } from '@/core/model/state';
import { DAY, MINUTE } from '@/core/time/civil';
import { remindersQuery, type Store } from '@/store';
import { asTextMessage, reminderMessage, runDownMessage } from './messageText';

/** How far ahead messages are handed over, in milliseconds. */
const AHEAD = 14 * DAY;
/** What was due so long ago is handed over still, in milliseconds: the server's clock may be behind, and sends none twice. */
const OVERLAP = 5 * MINUTE;
/** The most that the server takes of one browser. */
const MOST_MESSAGES = 500;

/** A message as it is handed over. */
interface PlannedMessage {
  readonly id: string;
  readonly way: 'email' | 'text';
  readonly to: string;
  readonly at: number;
  readonly subject: string;
  readonly body: string;
}

/** What is to be handed over, and what can't be. */
export interface MessagePlan {
  readonly messages: readonly PlannedMessage[];
  /** How many later ones there was no room for. */
  readonly left: number;
  /** How many there is no address for. */
  readonly missing: Readonly<Record<'email' | 'text', number>>;
}

/** A run-down of a day, from what the engine says of it. */
export async function runDownFor(store: Store, day: number, since: number): Promise<RunDown> {
  const { state } = store.getSnapshot();
  const { zone, workingPattern, unlistedCalendarIds } = remindersQuery(state, []);
  const { occurrences, travelling } = await store.engine.days({
    firstDay: day,
    endDay: day + 1,
    zone,
    hiddenCalendarIds: unlistedCalendarIds,
    unlistedCalendarIds,
    workingPattern,
  });
  const { entries, bin } = state;
  return runDownOf(day, since, {
    occurrences,
    travelling,
    entries,
    bin: bin.values(),
    pattern: workingPattern,
    zone,
  });
}

/** When a reminder goes out: as it is due, or when what it is about was put off until, if that is later. */
function sentAt(state: State, { due, occurrence }: DueReminder, zone: string): number {
  const until = nextSnoozeOf(state, occurrence.key, zone);
  return until !== undefined && until > due ? until : due;
}

/** All messages of the fourteen days after an instant: reminders by e-mail and text message, and run-downs. */
export async function messagePlan(store: Store, now: number): Promise<MessagePlan> {
  const { state } = store.getSnapshot();
  const query = remindersQuery(state, ['email', 'text']);
  const { zone } = query;
  const { addresses, runDown } = state.settings.get('settings') ?? {};
  const to = { email: addresses?.email ?? '', text: addresses?.phone ?? '' };
  const missing = { email: 0, text: 0 };
  const due = await store.engine.dueReminders(query, now - OVERLAP, now + AHEAD);
  const reminders = due.flatMap((reminder): PlannedMessage[] => {
    const way = reminder.by === 'text' ? 'text' : 'email';
    if (to[way] === '') {
      missing[way]++;
      return [];
    }
    const text = reminderMessage(reminder, zone);
    const said = way === 'text' ? asTextMessage(text) : text;
    return [{ id: reminder.key, way, to: to[way], at: sentAt(state, reminder, zone), ...said }];
  });
  const times = runDown && to.email !== '' ? runDownTimes(runDown, now, now + AHEAD, zone) : [];
  const runDowns = await Promise.all(
    times.map(async ({ day, at }): Promise<PlannedMessage> => ({
      id: `run-down#${day}`,
      way: 'email',
      to: to.email,
      at,
      ...runDownMessage(await runDownFor(store, day, at - DAY)),
    })),
  );
  const messages = [...reminders, ...runDowns].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
  return {
    messages: messages.slice(0, MOST_MESSAGES),
    left: Math.max(0, messages.length - MOST_MESSAGES),
    missing,
  };
}
