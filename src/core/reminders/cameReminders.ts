import { type Change, type ChangeContext, makePatch, type Patch, put, remove } from '../change/patch';
import { entryAt, targetOfKey } from '../change/target';
import type { CameReminder } from '../model/cameReminder';
import { type Dated, isDated } from '../model/entry';
import type { ReminderTrigger } from '../model/reminder';
import type { State } from '../model/state';
import { isSettled } from '../schedule/standing';
import { DAY } from '../time/civil';
import { instantOf } from '../time/eventTime';
import type { DueReminder } from './dueReminders';
import { remindedSpan, type RemindedSpan, triggerTime } from './dueTimes';

/** The most reminders that wait one by one; of more that came while nobody looked, the latest do. */
export const MOST_WAITING = 1000;
/** For how long it is known what was answered, in milliseconds. */
const ANSWERED_KEPT = 2 * DAY;

/** What a reminder is about, as it stands now. */
export interface Reminded {
  readonly entry: Dated;
  readonly span: RemindedSpan;
}

/** What a reminder is about; undefined where that is gone, off or done. */
function remindedOf(state: State, occurrenceKey: string, zone: string): Reminded | undefined {
  const context = { now: 0, newId: () => occurrenceKey, zone };
  const entry = entryAt(state, targetOfKey(occurrenceKey), context);
  if (!entry || !isDated(entry) || isSettled(entry)) return undefined;
  const at = { start: instantOf(entry.start, zone), end: instantOf(entry.end, zone) };
  return { entry, span: remindedSpan(entry, at, zone) };
}

/** A reminder that waits, with what it is about. */
export interface Waiting extends Reminded {
  readonly came: CameReminder;
}

/** The reminders that wait for an answer, oldest first: but for those of what is gone, or at another time by now. */
export const waitingReminders = (state: State, zone: string): Waiting[] =>
  [...state.reminded.values()]
    .filter(({ answer }) => answer === 'waiting')
    .flatMap((came) => {
      const reminded = remindedOf(state, came.occurrenceKey, zone);
      return reminded?.span.start === came.start ? [{ ...reminded, came }] : [];
    })
    .sort((a, b) => a.came.due - b.came.due || (a.came.id < b.came.id ? -1 : 1));

/** When a reminder that was put off comes again; undefined where what it is about is gone. */
function snoozeTime(state: State, { trigger, occurrenceKey }: CameReminder, zone: string) {
  const reminded = trigger && remindedOf(state, occurrenceKey, zone);
  return reminded && triggerTime(trigger, reminded.span, zone);
}

/** When the next of the reminders that were put off comes again, if one does. */
export function nextSnooze(state: State, zone: string): number | undefined {
  const times = [...state.reminded.values()].flatMap((came) =>
    came.answer === 'snoozed' ? (snoozeTime(state, came, zone) ?? []) : [],
  );
  return times.length > 0 ? Math.min(...times) : undefined;
}

/** Until when reminders of an occurrence were put off, if any is: the latest. */
export function nextSnoozeOf(state: State, occurrenceKey: string, zone: string): number | undefined {
  const times = [...state.reminded.values()].flatMap((came) =>
    came.answer === 'snoozed' && came.occurrenceKey === occurrenceKey
      ? (snoozeTime(state, came, zone) ?? [])
      : [],
  );
  return times.length > 0 ? Math.max(...times) : undefined;
}

const cameOf = ({ key, due, by, occurrence, description }: DueReminder): CameReminder => ({
  id: key,
  due,
  by: by === 'sound' ? 'sound' : 'notice',
  occurrenceKey: occurrence.key,
  start: occurrence.start,
  answer: 'waiting',
  ...(description === undefined ? {} : { description }),
});

/** What looking for due reminders came to. */
export interface Looked {
  readonly patch: Patch;
  /** Whether the patch says more than until when was looked. */
  readonly isNews: boolean;
  /** Those that came by it, oldest first. */
  readonly came: readonly CameReminder[];
}

/**
 * Notes all that fell due up to now: it waits with what waited before, and what was put off until then waits again. What is
 * gone or at another time by now waits no more.
 * @param found what fell due since all was found the last time, oldest first
 */
export function lookedUntilNow(
  state: State,
  found: readonly DueReminder[],
  { now, zone, ...context }: ChangeContext,
): Looked {
  const changes: Change[] = [];
  const again: CameReminder[] = [];
  for (const came of state.reminded.values()) {
    if (came.answer === 'answered') {
      if (came.due < now - ANSWERED_KEPT) changes.push(remove('reminded', came));
      continue;
    }
    const reminded = remindedOf(state, came.occurrenceKey, zone);
    if (came.answer === 'waiting') {
      if (reminded?.span.start !== came.start) changes.push(remove('reminded', came));
      continue;
    }
    const time = reminded && came.trigger && triggerTime(came.trigger, reminded.span, zone);
    if (!reminded || time === undefined) changes.push(remove('reminded', came));
    else if (time <= now) {
      const { trigger: _, ...rest } = came;
      again.push({ ...rest, due: time, start: reminded.span.start, answer: 'waiting' });
    }
  }
  const session = state.sessions.get('session') ?? { id: 'session' as const };
  const { dismissed = [], ...known } = session;
  const isAnswered = ({ key, occurrence, due }: DueReminder): boolean =>
    state.reminded.has(key) || dismissed.includes(`${occurrence.key}#${due}`);
  const fresh = found.filter((each) => !isAnswered(each)).map(cameOf);
  const left = Math.max(0, fresh.length - MOST_WAITING);
  const came = [...fresh.slice(left), ...again].sort((a, b) => a.due - b.due || (a.id < b.id ? -1 : 1));
  return {
    came,
    isNews: changes.length + came.length > 0,
    patch: makePatch({ now, zone, ...context }, { what: 'session-changed', count: 1 }, [
      ...changes,
      ...came.map((one) => put(state, 'reminded', one)),
      put(state, 'sessions', {
        ...known,
        remindedUntil: now,
        ...(left > 0 ? { remindersPassed: (session.remindersPassed ?? 0) + left } : {}),
      }),
    ]),
  };
}

const answered = (
  state: State,
  ids: readonly string[],
  answer: Partial<CameReminder>,
  context: ChangeContext,
): Patch => {
  const session = state.sessions.get('session');
  const waits = [...state.reminded.values()].some(
    ({ id, answer: known }) => known === 'waiting' && !ids.includes(id),
  );
  const { remindersPassed, ...rest } = session ?? { id: 'session' as const };
  return makePatch(context, { what: 'session-changed', count: ids.length }, [
    ...ids.flatMap((id) => {
      const came = state.reminded.get(id);
      return came ? [put(state, 'reminded', { ...came, ...answer })] : [];
    }),
    ...(remindersPassed !== undefined && !waits ? [put(state, 'sessions', rest)] : []),
  ]);
};

/** Dismisses reminders. */
export const dismissReminders = (state: State, ids: readonly string[], context: ChangeContext): Patch =>
  answered(state, ids, { answer: 'answered' }, context);

/** Puts reminders off. */
export const snoozeReminders = (
  state: State,
  ids: readonly string[],
  trigger: ReminderTrigger,
  context: ChangeContext,
): Patch => answered(state, ids, { answer: 'snoozed', trigger }, context);
