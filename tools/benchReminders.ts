import { type CalendarEvent, type Entry, eventsOf } from '@/core/model/entry';
import { noticeBefore, offsetTrigger, REMINDER_WAYS } from '@/core/model/reminder';
import { dueReminders, type Reminded } from '@/core/reminders/dueReminders';
import { ReminderIndex } from '@/core/reminders/reminderIndex';
import { ReminderPlan } from '@/core/reminders/reminderPlan';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { HOUR, MINUTE } from '@/core/time/civil';

const FILTER = { workingPattern: standardWorkingPattern };
const LEADS = [5, 10, 15, 30, 60, 120];
/** A working morning of the scenario. */
const FIRST = Date.UTC(2027, 2, 9, 10, 20);

type Measure = (what: string, runs: number, task: (run: number) => unknown) => void;

/** Measures what reminders take, each entry of a set having two: one some minutes before, one a day before. */
export function measureReminders(entries: readonly Entry[], zone: string, measure: Measure): void {
  const reminded = eventsOf(entries).map((entry, index): CalendarEvent => ({
    ...entry,
    reminders: [
      noticeBefore(LEADS[index % LEADS.length]!),
      { trigger: offsetTrigger(0, 'start', -1), by: index % 5 === 0 ? 'email' : 'notice' },
    ],
  }));
  const asked: Reminded = { index: new EntryIndex(), reminders: new ReminderIndex() };
  asked.index.load(reminded);
  measure('index two reminders of each entry', 1, () => asked.reminders.load(reminded));
  const after = (run: number) => FIRST + run * 37 * MINUTE;
  const ways = new Set(REMINDER_WAYS);
  measure('the next due reminder, asked for the first time', 20, (run) =>
    new ReminderPlan(asked, zone, FILTER, ways).next(after(run)),
  );
  const plan = new ReminderPlan(asked, zone, FILTER, ways);
  measure('the next due reminder, 100 times over two days', 100, (run) => plan.next(after(run)));
  measure('a change, and the next due reminder after it', 100, (run) => {
    const entry = reminded[run * 17]!;
    const changed = { ...entry, reminders: [noticeBefore(run)] };
    asked.index.put(changed);
    asked.reminders.put(changed);
    plan.touch(entry);
    plan.touch(changed);
    plan.next(after(run));
  });
  measure('what fell due in a weekend that nobody looked', 10, (run) =>
    dueReminders(asked, after(run), after(run) + 62 * HOUR, zone, FILTER),
  );
}
