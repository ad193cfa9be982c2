import 'temporal-polyfill/global';
import { makeLarge } from '../demo/makeLarge';
import { layoutDay } from '@/core/layout/hours';
import { writeCalendarFile } from '@/core/interchange/icalendar/writeCalendarFile';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import { shiftByDays } from '@/core/change/batchChanges';
import type { Entry } from '@/core/model/entry';
import { emptyState, type State } from '@/core/model/state';
import { dayWindow, OccurrenceIndex } from '@/core/schedule/occurrenceIndex';
import { DAY, parseDate } from '@/core/time/civil';
import { compareLibraries } from './benchRecurrence';
import { measurePeople } from './benchPeople';
import { measureReminders } from './benchReminders';
import { measureTidy } from './benchTidy';
import { measureTodos } from './benchTodos';

/** Measures the core on the large set and prints a table. A report, not a test: the machine decides the numbers. */
const ZONE = 'Europe/Lisbon';
const today = parseDate('2027-03-09');
const rows: { what: string; result: string }[] = [];

function measure(what: string, runs: number, task: (run: number) => unknown): void {
  const times: number[] = [];
  for (let run = 0; run < runs; run++) {
    const start = performance.now();
    task(run);
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  const at = (share: number) =>
    times[Math.min(times.length - 1, Math.floor(times.length * share))]!.toFixed(1);
  rows.push({
    what,
    result: runs === 1 ? `${at(0)} ms` : `median ${at(0.5)} ms, 95th percentile ${at(0.95)} ms`,
  });
}

let fresh = 0;
const recordsOf = (entries: readonly Entry[]): Pick<State, 'entries'> => ({
  entries: new Map(entries.map((entry) => [entry.id, entry])),
});

async function main(): Promise<void> {
  const large = makeLarge();
  const { entries } = large;
  const series = entries.filter((entry) => entry.recurrence);
  console.log(`large set: ${entries.length} entries, ${series.length} of them series`);
  const all = new OccurrenceIndex();
  const onlySeries = new OccurrenceIndex();
  measure('build the index', 1, () => all.load(entries));
  onlySeries.load(series);
  const week = (run: number) => dayWindow(today + 7 * run - 350, today + 7 * run - 343, ZONE);
  measure('expand all series, first week', 1, () => onlySeries.between(week(50), ZONE));
  measure('expand all series over a week, 100 weeks', 100, (run) => onlySeries.between(week(run), ZONE));
  measure('expand all series over a year', 5, (run) =>
    onlySeries.between(dayWindow(today - 400 + run * 50, today - 35 + run * 50, ZONE), ZONE),
  );
  for (const [begun, start] of [
    ['in 1990', '1990-01-01T09:00:00'],
    ['last month', '2027-02-01T09:00:00'],
  ] as const) {
    const at = { kind: 'zoned', local: start, zone: ZONE } as const;
    const daily = Array.from({ length: 1000 }, (_, number) => ({
      ...series[0]!,
      id: `daily ${number}`,
      start: at,
      end: at,
      recurrence: { rules: ['FREQ=DAILY'], dates: [], exceptionDates: [] },
    }));
    const index = new OccurrenceIndex();
    index.load(daily);
    measure(`1,000 daily series begun ${begun}, over a week`, 20, (run) =>
      index.between(week(50 + run), ZONE),
    );
  }
  measure('all occurrences of a week, 100 weeks', 100, (run) => all.between(week(run), ZONE));
  const state = { ...emptyState(), ...recordsOf(entries) };
  const later = entries.slice(0, 5_000).map((entry) => ({ ...entry, title: `${entry.title} again` }));
  measure('put 5,000 entries anew into the index', 1, () => {
    for (const entry of later) all.put(entry);
  });
  measure('move 5,000 entries by a day, as one change', 1, () =>
    shiftByDays(
      state,
      later.map(({ id }) => ({ entryId: id })),
      1,
      {
        now: today * DAY,
        newId: () => `fresh ${fresh++}`,
        zone: ZONE,
      },
    ),
  );
  const occurrences = all.between(week(50), ZONE);
  const scale = {
    from: 480,
    to: 1080,
    foldedBefore: true,
    foldedAfter: true,
    hourHeight: 46,
    foldHeight: 28,
  };
  measure(`lay out a week of ${occurrences.length} occurrences`, 50, () => {
    for (let day = today - 1; day < today + 6; day++) layoutDay(occurrences, day, scale);
  });
  measureReminders(entries, ZONE, measure);
  measurePeople(today, ZONE, measure);
  measureTodos(entries, all, today, ZONE, measure);
  await measureTidy(large, state, ZONE, today, (what, result) => rows.push({ what, result }));
  const ten = entries.slice(0, 10_000);
  let text = '';
  measure('write 10,000 events as iCalendar', 1, () => (text = writeCalendarFile(ten)));
  let id = 0;
  const start = performance.now();
  const file = await readCalendarFile(text, {
    zone: ZONE,
    now: Date.UTC(2027, 2, 9),
    newId: () => String(++id),
  });
  rows.push({
    what: `read ${file.events.length} events (${(text.length / 1e6).toFixed(1)} MB)`,
    result: `${(performance.now() - start).toFixed(0)} ms`,
  });
  const width = Math.max(...rows.map(({ what }) => what.length));
  for (const { what, result } of rows) console.log(`${what.padEnd(width)}  ${result}`);
  console.log('');
  for (const line of compareLibraries(series, today)) console.log(line);
}

void main();
