import { previewBatch } from '@/core/change/batch/batchRun';
import type { BatchStep } from '@/core/model/batchStep';
import type { CalendarEvent } from '@/core/model/entry';
import { NO_FILTER } from '@/core/model/look';
import type { State } from '@/core/model/state';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { EntrySearch } from '@/core/search/entrySearch';
import { KeptChecks } from '@/core/tidy/checks/keptChecks';
import { hoursOf } from '@/core/tidy/hours/hours';
import { EntryTable } from '@/core/tidy/table/entryTable';
import type { TableQuery } from '@/core/tidy/table/tableQuery';
import type { CheckQuery } from '@/core/tidy/checks/finding';
import { DAY, HOUR, parseDate } from '@/core/time/civil';
import { atWall, wallOf } from '@/core/time/eventTime';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import type { DemoData } from '../demo/makeDemo';
import { labelledDoubles, pairOf, scoreOf } from '../testing/labelledDoubles';
import { wholeTable } from './wholeTable';

/** Writes down how long something took. */
type Note = (what: string, result: string) => void;

async function timed(note: Note, what: string, task: () => unknown): Promise<void> {
  const start = performance.now();
  await task();
  note(what, `${(performance.now() - start).toFixed(0)} ms`);
}

const queryOf = (calendars: DemoData['calendars'], zone: string, now: number) => ({
  zone,
  now,
  workingPattern: standardWorkingPattern,
  fine: [],
  calendars: calendars.map(({ id, name, mark, colour, feed }) => ({
    id,
    name,
    mark,
    colour,
    isClosed: feed !== undefined,
    isFeed: feed !== undefined,
    reminds: false,
  })),
});

/** How well doubles are told from what only looks like them: both ask for 0.98 and 0.95. */
async function scoreDoubles(note: Note, zone: string, now: number): Promise<void> {
  const { events, pairs } = labelledDoubles(3_000);
  const found: string[] = [];
  // In parts, since of one check so many findings are listed at most.
  for (let from = 0; from < events.length; from += 1_000) {
    const index = new EntryIndex();
    index.load(events.filter((_, at) => at >= from && at < from + 1_000));
    const answer = await new KeptChecks(index).run({
      ...queryOf([], zone, now),
      calendars: ['meetings', 'desk'].map((id) => ({
        id,
        name: id,
        mark: id.slice(0, 2).toUpperCase(),
        colour: 'pine' as const,
        isClosed: false,
        isFeed: false,
        reminds: false,
      })),
    });
    for (const { check, keys } of answer!.findings)
      if (check === 'same-uid' || check === 'double' || check === 'near-double')
        found.push(pairOf(keys[0]!, keys[1]!));
  }
  const { recall, precision } = scoreOf(found, pairs);
  note(
    `doubles among ${events.length} entries, ${pairs.size} planted`,
    `recall ${recall.toFixed(3)}, precision ${precision.toFixed(3)}`,
  );
}

/** All checks over everything, and again after one entry has changed: a single one and a series by turns. */
async function measureChecks(index: EntryIndex, query: CheckQuery, note: Note): Promise<void> {
  const kept = new KeptChecks(index);
  await timed(note, 'all checks', () => kept.run(query));
  const events = [...index.events.all()].filter(({ start }) => start.kind === 'zoned');
  const times: number[] = [];
  for (let run = 0; run < 40; run++) {
    const own = run % 2 === 0 ? events.filter(({ recurrence }) => recurrence) : events;
    const before = own[(run * 7919) % own.length]!;
    const after = { ...before, end: atWall(before.end, wallOf(before.end) + HOUR) };
    kept.touch(before.id, [before, after]);
    index.put(after);
    const start = performance.now();
    await kept.run(query);
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  note(
    'all checks after a change of one entry',
    `median ${times[20]!.toFixed(0)} ms, 95th percentile ${times[38]!.toFixed(0)} ms`,
  );
}

/** Measures what Tidy asks of the engine and of changes: the table, changes to many, the checks, the hours. */
export async function measureTidy(
  { calendars, entries }: DemoData,
  state: State,
  zone: string,
  today: number,
  note: Note,
): Promise<void> {
  const index = new EntryIndex();
  index.load(entries);
  const table = new EntryTable(index, new EntrySearch(index));
  const now = today * DAY;
  const query: TableQuery = {
    ...wholeTable(today, zone),
    calendars: calendars.map(({ id, name, mark, feed }) => ({ id, name, mark, isFeed: feed !== undefined })),
  };
  await timed(note, 'the table of all entries, its first rows', () => table.rows(query, 0, 120));
  for (const column of ['title', 'place', 'length'] as const)
    await timed(note, `sorted by ${column}`, () =>
      table.rows({ ...query, sort: [{ column, descending: false }] }, 0, 120),
    );
  await timed(note, 'gathered by calendar', () => table.rows({ ...query, group: 'calendar' }, 0, 120));
  const steps: BatchStep[] = [
    { kind: 'categories', how: 'add', names: ['spring'] },
    { kind: 'trim', minutes: 5 },
  ];
  const targets = entries
    .filter(({ seriesId }: CalendarEvent) => seriesId === undefined)
    .slice(0, 5_000)
    .map(({ id }) => ({ entryId: id }));
  let fresh = 0;
  await timed(note, 'preview of a change to 5,000 entries, two steps', () =>
    previewBatch(
      state,
      [{ targets, steps }],
      { scopeOf: () => 'every' },
      {
        now,
        newId: () => `batch ${fresh++}`,
        zone,
      },
    ),
  );
  await measureChecks(index, queryOf(calendars, zone, now), note);
  for (const run of ['first', 'again'])
    await timed(note, `hours of a year by calendar, ${run}`, () =>
      hoursOf(index.events, {
        range: { first: parseDate('2027-01-01'), end: parseDate('2028-01-01') },
        zone,
        weekStart: 1,
        by: 'calendar',
        step: 'month',
        counted: ['busy', 'away'],
        filter: NO_FILTER,
        hiddenCalendarIds: [],
        workingPattern: standardWorkingPattern,
      }),
    );
  await scoreDoubles(note, zone, now);
}
