import fc from 'fast-check';
import { event, FENNICK, remindedOf, series, stateWith, zoned } from '../../../../testing/samples';
import { applyPatch, type ChangeContext } from '@/core/change/patch';
import type { CalendarEvent } from '@/core/model/entry';
import { offsetTrigger, type Reminder } from '@/core/model/reminder';
import type { State } from '@/core/model/state';
import { dismissReminders, snoozeReminders } from '@/core/reminders/cameReminders';
import { dueReminders, nextDue } from '@/core/reminders/dueReminders';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { ReminderKeeper } from './reminderKeeper';
import { MINUTE } from '@/core/time/civil';

const FILTER = { workingPattern: standardWorkingPattern };
/** Two days before the night in which Fennick's clock is put on. */
const FIRST = Date.parse('2027-03-26T06:00Z');

interface Timer {
  readonly at: number;
  readonly then: () => void;
}

/** Open pages over one browser's data, with a clock that is moved by hand. */
class Pages {
  now = FIRST;
  state: State;
  /** How often each reminder came, by its id. */
  readonly came = new Map<string, number>();
  private readonly open = new Map<number, { keeper: ReminderKeeper; timers: Set<Timer>; isGone: boolean }>();
  private holder: number | undefined;
  private count = 0;

  constructor(private readonly events: readonly CalendarEvent[]) {
    this.state = stateWith(...events);
  }

  private context = (): ChangeContext => ({
    now: this.now,
    newId: () => `patch-${++this.count}`,
    zone: FENNICK,
  });

  private keep(patch: Parameters<ConstructorParameters<typeof ReminderKeeper>[0]['commit']>[0]): void {
    for (const change of patch.changes)
      if (change.collection === 'reminded' && change.after?.answer === 'waiting')
        this.came.set(change.id, (this.came.get(change.id) ?? 0) + 1);
    this.state = applyPatch(this.state, patch);
  }

  openPage(id: number): void {
    if (this.open.has(id)) return;
    const reminded = remindedOf(...this.events);
    const timers = new Set<Timer>();
    const page = { timers, isGone: false } as { keeper: ReminderKeeper; timers: Set<Timer>; isGone: boolean };
    // What a page that is gone still waits for never comes.
    const unlessGone = <Answer>(answer: () => Answer): Promise<Answer> =>
      new Promise((resolve) => setImmediateLike(() => (page.isGone ? undefined : resolve(answer()))));
    page.keeper = new ReminderKeeper({
      state: () => this.state,
      opened: this.now,
      context: this.context,
      commit: (patch) =>
        unlessGone(() => {
          this.keep(patch);
          return true;
        }),
      due: (from, to) => unlessGone(() => dueReminders(reminded, from, to, FENNICK, FILTER)),
      next: (after) => unlessGone(() => nextDue(reminded, after, FENNICK, FILTER)),
      wait: (milliseconds, then) => {
        const timer = { at: this.now + milliseconds, then };
        timers.add(timer);
        return () => timers.delete(timer);
      },
      onCame: () => undefined,
    });
    this.open.set(id, page);
    this.handLock();
  }

  /** The lock goes to the next page when its holder is gone. */
  private handLock(): void {
    if (this.holder !== undefined) return;
    const [next] = this.open.keys();
    if (next === undefined) return;
    this.holder = next;
    this.open.get(next)!.keeper.start();
  }

  kill(id: number): void {
    const page = this.open.get(id);
    if (!page) return;
    page.isGone = true;
    page.timers.clear();
    this.open.delete(id);
    if (this.holder === id) this.holder = undefined;
    this.handLock();
  }

  async close(id: number): Promise<void> {
    const page = this.open.get(id);
    if (!page) return;
    if (this.holder === id) {
      await settled();
      const stopping = page.keeper.stop();
      await settled();
      await stopping;
    }
    this.kill(id);
  }

  /** Time goes by with the machine awake: timers run as they fall due. */
  async pass(minutes: number): Promise<void> {
    const end = this.now + minutes * MINUTE;
    for (;;) {
      const due = [...this.open.values()]
        .flatMap(({ timers }) => [...timers].map((timer) => ({ timer, timers })))
        .sort((a, b) => a.timer.at - b.timer.at)
        .find(({ timer }) => timer.at <= end);
      if (!due) break;
      due.timers.delete(due.timer);
      this.now = Math.max(this.now, due.timer.at);
      due.timer.then();
      await settled();
    }
    this.now = end;
  }

  /** The machine sleeps, or its clock is set: no timer runs, and pages hear of it afterwards. */
  async jump(minutes: number): Promise<void> {
    await settled();
    this.now += minutes * MINUTE;
    for (const { keeper } of this.open.values()) keeper.look();
    await settled();
  }

  /** Pages go out of sight, all of them. */
  async hide(): Promise<void> {
    for (const { keeper } of this.open.values()) void keeper.note();
    await settled();
  }

  private waiting(): string[] {
    return [...this.state.reminded.values()].filter(({ answer }) => answer === 'waiting').map(({ id }) => id);
  }

  dismissAll(): void {
    this.keep(dismissReminders(this.state, this.waiting(), this.context()));
  }

  /** Puts the first that waits off; gives its id and when it is to come again. */
  snoozeFirst(minutes: number): { id: string; at: number } | undefined {
    const [id] = this.waiting();
    if (id === undefined) return undefined;
    const at = this.now + minutes * MINUTE;
    this.keep(snoozeReminders(this.state, [id], { kind: 'fixed', at }, this.context()));
    for (const { keeper } of this.open.values()) keeper.look();
    return { id, at };
  }
}

const tasks: (() => void)[] = [];
const setImmediateLike = (task: () => void): void => void tasks.push(task);

/** Runs all that waits for an answer, until nothing does. */
async function settled(): Promise<void> {
  for (let idle = 0; idle < 3;) {
    await Promise.resolve();
    const [task] = tasks.splice(0, 1);
    if (task) {
      task();
      idle = 0;
    } else idle++;
  }
}

/** What random entries are made of, so that the oracle can work with it itself. */
interface Random {
  readonly local: string;
  readonly zone: string;
  readonly minutes: number;
  readonly there: number;
  readonly repeat: { readonly unit: 'days' | 'weeks'; readonly every: number; readonly times: number };
  readonly reminders: readonly Reminder[];
}

const eventOf = (random: Random, index: number): CalendarEvent => {
  const end = Temporal.PlainDateTime.from(random.local).add({ minutes: random.minutes }).toString();
  const fields = {
    id: `e${index}`,
    start: zoned(random.local, random.zone),
    end: zoned(end, random.zone),
    reminders: [...random.reminders],
    ...(random.there > 0 ? { travel: { there: random.there, back: 0 } } : {}),
  };
  const { unit, every, times } = random.repeat;
  return times === 1
    ? event(fields)
    : series(`FREQ=${unit === 'days' ? 'DAILY' : 'WEEKLY'};INTERVAL=${every};COUNT=${times}`, fields);
};

/** When each reminder is due, by the standard's words and the runtime's own arithmetic, occurrence by occurrence. */
function oracle(randoms: readonly Random[], from: number, to: number): Set<string> {
  const all = new Map<number, string[]>();
  randoms.forEach(({ local, zone, minutes, there, repeat, reminders }, index) => {
    const first = Temporal.PlainDateTime.from(local);
    const firstEnd = first.add({ minutes }).toZonedDateTime(zone);
    const length = firstEnd.epochMilliseconds - first.toZonedDateTime(zone).epochMilliseconds;
    for (let time = 0; time < repeat.times; time++) {
      const wall = first.add({ [repeat.unit]: time * repeat.every });
      const start = wall.toZonedDateTime(zone);
      const end = start.add({ milliseconds: length });
      for (const { trigger, by } of reminders) {
        let due: Temporal.ZonedDateTime;
        if (trigger.kind === 'time-of-day')
          due = start
            .withTimeZone(FENNICK)
            .toPlainDate()
            .subtract({ days: trigger.daysBefore })
            .toZonedDateTime({
              timeZone: FENNICK,
              plainTime: Temporal.PlainTime.from({
                hour: Math.floor(trigger.minute / 60),
                minute: trigger.minute % 60,
              }),
            });
        else if (trigger.kind === 'offset') {
          const anchor =
            trigger.from === 'end'
              ? end
              : trigger.from === 'leaving'
                ? start.subtract({ minutes: there })
                : start;
          due = anchor.add({ days: trigger.days }).add({ minutes: trigger.minutes });
        } else throw new Error('not made here');
        const at = due.epochMilliseconds;
        const key =
          repeat.times === 1 ? `e${index}` : `e${index}|${wall.toString({ smallestUnit: 'second' })}`;
        all.set(at, [...(all.get(at) ?? []), `${key}#${at}#${by}`]);
      }
    }
  });
  const listed = new Set<string>();
  for (let minute = from + MINUTE; minute <= to; minute += MINUTE)
    for (const key of all.get(minute) ?? []) listed.add(key);
  return listed;
}

const trigger = fc.oneof(
  fc
    .record({
      from: fc.constantFrom('start' as const, 'end' as const, 'leaving' as const),
      amount: fc.oneof(fc.integer({ min: -600, max: 90 }), fc.constantFrom(-1440, -2880, 0, -10)),
    })
    .map(({ from, amount }) => offsetTrigger(amount, from)),
  fc.integer({ min: -3, max: 1 }).map((days) => offsetTrigger(0, 'start', days)),
  fc.record({
    kind: fc.constant('time-of-day' as const),
    daysBefore: fc.integer({ min: 0, max: 3 }),
    minute: fc.integer({ min: 0, max: 1439 }),
  }),
);

const random: fc.Arbitrary<Random> = fc.record({
  local: fc
    .record({ day: fc.integer({ min: 24, max: 31 }), minute: fc.integer({ min: 0, max: 1439 }) })
    .map(({ day, minute }) =>
      Temporal.PlainDateTime.from(`2027-03-${day}T00:00`).add({ minutes: minute }).toString({
        smallestUnit: 'second',
      }),
    ),
  zone: fc.constantFrom(FENNICK, 'Europe/Oslo', 'America/Halifax', 'Atlantic/Azores', 'Australia/Lord_Howe'),
  minutes: fc.integer({ min: 0, max: 240 }),
  there: fc.constantFrom(0, 0, 25, 90),
  repeat: fc.oneof(
    fc.constant({ unit: 'days' as const, every: 1, times: 1 }),
    fc.record({
      unit: fc.constantFrom('days' as const, 'weeks' as const),
      every: fc.integer({ min: 1, max: 3 }),
      times: fc.integer({ min: 2, max: 9 }),
    }),
  ),
  reminders: fc.uniqueArray(fc.record({ trigger, by: fc.constant('notice' as const) }), {
    minLength: 1,
    maxLength: 3,
    selector: ({ trigger: one }) => JSON.stringify(one),
  }),
});

const page = fc.integer({ min: 1, max: 2 });
const deed = fc.oneof(
  {
    weight: 3,
    arbitrary: fc.record({ kind: fc.constant('pass' as const), minutes: fc.integer({ min: 1, max: 90 }) }),
  },
  {
    weight: 3,
    arbitrary: fc.record({ kind: fc.constant('sleep' as const), minutes: fc.integer({ min: 1, max: 1500 }) }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      kind: fc.constant('set-back' as const),
      minutes: fc.integer({ min: 1, max: 120 }),
    }),
  },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('open' as const), page }) },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('kill' as const), page }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant('close' as const), page }) },
  { weight: 2, arbitrary: fc.constant({ kind: 'dismiss' as const }) },
  { weight: 1, arbitrary: fc.constant({ kind: 'hide' as const }) },
  {
    weight: 2,
    arbitrary: fc.record({ kind: fc.constant('snooze' as const), minutes: fc.integer({ min: 1, max: 120 }) }),
  },
);

test('no reminder is lost and none comes twice, whatever sleeps, is killed, put off or set back', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(random, { minLength: 1, maxLength: 4 }),
      fc.array(deed, { maxLength: 14 }),
      async (randoms, deeds) => {
        tasks.length = 0;
        const pages = new Pages(randoms.map(eventOf));
        pages.openPage(1);
        await settled();
        const snoozed: { id: string; at: number }[] = [];
        let latest = FIRST;
        for (const one of deeds) {
          if (one.kind === 'pass') await pages.pass(one.minutes);
          else if (one.kind === 'sleep') await pages.jump(one.minutes);
          else if (one.kind === 'set-back') await pages.jump(-one.minutes);
          else if (one.kind === 'open') pages.openPage(one.page);
          else if (one.kind === 'kill') pages.kill(one.page);
          else if (one.kind === 'close') await pages.close(one.page);
          else if (one.kind === 'dismiss') pages.dismissAll();
          else if (one.kind === 'hide') await pages.hide();
          else {
            const again = pages.snoozeFirst(one.minutes);
            if (again) snoozed.push(again);
          }
          latest = Math.max(latest, pages.now);
        }
        // Whatever was closed: a page is opened in the end, when all that was put off is due.
        pages.openPage(1);
        await settled();
        await pages.jump((latest - pages.now) / MINUTE + 200);
        await pages.jump(1);
        const expected = new Map([...oracle(randoms, FIRST, pages.now)].map((key) => [key, 1]));
        for (const { id } of snoozed) expected.set(id, (expected.get(id) ?? 1) + 1);
        // Where the clock was set back before the first visit, what was over by then may come again, once.
        for (const [id, times] of pages.came)
          if (Number(id.split('#')[1]) <= FIRST && times <= (expected.get(id) ?? 1)) {
            pages.came.delete(id);
            expected.delete(id);
          }
        expect(new Map([...pages.came].sort())).toEqual(new Map([...expected].sort()));
      },
    ),
    { numRuns: 2000 },
  );
}, 240_000);

test('the next page takes over at once when the one that kept is killed, also while it was looking', async () => {
  const pages = new Pages([
    event({
      id: 'e0',
      start: zoned('2027-03-26T08:00'),
      end: zoned('2027-03-26T09:00'),
      reminders: [{ trigger: offsetTrigger(-10), by: 'notice' }],
    }),
  ]);
  pages.openPage(1);
  pages.openPage(2);
  await settled();
  await pages.pass(109);
  expect(pages.came.size).toBe(0);
  pages.now += MINUTE;
  pages.kill(1);
  await settled();
  expect([...pages.came.values()]).toEqual([1]);
});
