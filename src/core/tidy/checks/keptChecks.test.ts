import { eventsIn } from '../../../../testing/samples';
import fc from 'fast-check';
import { checkedDemo } from '../../../../testing/checks';
import { type CalendarEvent, type Entry, isEvent, isTodo, type Todo } from '@/core/model/entry';
import { partOf } from '@/core/model/relatedTo';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { DAY, HOUR } from '@/core/time/civil';
import { atWall, wallOf } from '@/core/time/eventTime';
import { KeptChecks } from './keptChecks';

/** Entries whose checks are kept, beside checks that begin anew. */
function keptBeside(entries: Iterable<Entry>) {
  const query = checkedDemo().query;
  const all = new Map<string, Entry>([...entries].map((each) => [each.id, each]));
  const index = new EntryIndex();
  index.load([...all.values()]);
  const kept = new KeptChecks(index);
  return {
    all,
    put(id: string, after: Entry | undefined) {
      kept.touch(id, [all.get(id) ?? null, after ?? null]);
      if (after) index.put(after);
      else index.remove(id);
      if (after) all.set(id, after);
      else all.delete(id);
    },
    kept: () => kept.run(query),
    anew() {
      const fresh = new EntryIndex();
      fresh.load([...all.values()]);
      return new KeptChecks(fresh).run(query);
    },
  };
}

const movedBy = (event: CalendarEvent, by: number): CalendarEvent => ({
  ...event,
  start: atWall(event.start, wallOf(event.start) + by),
  end: atWall(event.end, wallOf(event.end) + by),
});

/** What a person may do to an entry, and to another beside it; what it becomes, or nothing where it goes. */
const EDITS: Readonly<
  Record<string, (event: CalendarEvent, other: CalendarEvent, fresh: string) => CalendarEvent | undefined>
> = {
  rename: (event, other) => ({ ...event, title: other.title }),
  untitle: (event) => ({ ...event, title: '' }),
  move: (event) => movedBy(event, event.start.kind === 'date' ? DAY : HOUR),
  follow: (event, other) => ({ ...event, start: other.start, end: other.end }),
  remove: () => undefined,
  copy: (event, _, id) => ({ ...event, id }),
  copyLater: (event, _, id) => movedBy({ ...event, id, uid: id }, DAY),
  file: (event, other) => ({ ...event, calendarId: other.calendarId }),
  place: (event) => ({ ...event, location: event.location.toUpperCase() }),
  label: (event, other) => ({ ...event, categories: [...event.categories, ...other.categories] }),
  empty: (event) => ({ ...event, end: event.start }),
  repeat: (event, other) => {
    const { recurrence: _, ...single } = event;
    return other.recurrence && event.seriesId === undefined
      ? { ...single, recurrence: other.recurrence }
      : single;
  },
};

/** The same of to-dos. */
const TODO_EDITS: Readonly<Record<string, (todo: Todo, other: Todo, fresh: string) => Todo | undefined>> = {
  retitle: (todo, other) => ({ ...todo, title: other.title }),
  bear: (todo) => ({ ...todo, title: '' }),
  finish: (todo) => ({ ...todo, status: 'completed', completed: 0 }),
  reopen: (todo) => ({ ...todo, status: 'needs-action' }),
  again: (todo, _, id) => ({ ...todo, id, uid: id }),
  drop: () => undefined,
};

test('after whatever changes, what is kept is what a new look finds', async () => {
  const edit = fc.record({
    kind: fc.constantFrom(...Object.keys(EDITS), 'tie'),
    todoKind: fc.option(fc.constantFrom(...Object.keys(TODO_EDITS)), { freq: 3 }),
    at: fc.nat(),
    beside: fc.nat(),
    isSeries: fc.boolean(),
  });
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.array(edit, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 4 }),
      async (rounds) => {
        const beside = keptBeside(checkedDemo().state.entries.values());
        await beside.kept();
        let fresh = 0;
        for (const round of rounds) {
          for (const { kind, todoKind, at, beside: next, isSeries } of round) {
            const all = [...beside.all.values()].filter(isEvent);
            const todos = [...beside.all.values()].filter(isTodo);
            const todo = todos[at % Math.max(1, todos.length)];
            if (todoKind && todo) {
              const other = todos[next % todos.length]!;
              const done = TODO_EDITS[todoKind]!(todo, other, `fresh ${fresh++}`);
              beside.put(done?.id ?? todo.id, done);
              continue;
            }
            const own = isSeries ? all.filter(({ recurrence, seriesId }) => recurrence ?? seriesId) : all;
            const event = own[at % own.length]!;
            const after =
              kind === 'tie'
                ? { ...event, relatedTo: [partOf(todo?.uid ?? 'none', undefined)] }
                : EDITS[kind]!(event, all[next % all.length]!, `fresh ${fresh++}`);
            beside.put(after?.id ?? event.id, after);
          }
          expect(await beside.kept()).toEqual(await beside.anew());
        }
      },
    ),
    { numRuns: 10 },
  );
});

test('a day off that is added later changes what is found of the series that skips it', async () => {
  const { state } = checkedDemo();
  const beside = keptBeside(eventsIn(state));
  const before = await beside.kept();
  const dayOff = [...beside.all.values()]
    .filter(isEvent)
    .find(({ calendarId, start }) => calendarId === 'daysoff' && start.kind === 'date')!;
  for (let days = 1; days <= 14; days++) {
    const id = `off ${days}`;
    beside.put(
      id,
      movedBy(
        {
          ...dayOff,
          id,
          uid: id,
          title: `Local day ${days}`,
          start: { kind: 'date', date: '2027-03-09' },
          end: { kind: 'date', date: '2027-03-10' },
        },
        days * DAY,
      ),
    );
  }
  const found = (await beside.kept())!;
  expect(found.counts).not.toEqual(before!.counts);
  expect(found).toEqual(await beside.anew());
});

test('what is stopped half-way is looked at anew', async () => {
  const { state, query } = checkedDemo();
  const index = new EntryIndex();
  index.load(eventsIn(state));
  const kept = new KeptChecks(index);
  expect(await kept.run(query, (done) => done < 4)).toBeUndefined();
  expect(await kept.run(query)).toEqual(await new KeptChecks(index).run(query));
});

test('what changes while the checks run is found by the next run', async () => {
  const { state, query } = checkedDemo();
  const beside = keptBeside(eventsIn(state));
  await beside.kept();
  const index = new EntryIndex();
  index.load(eventsIn(state));
  const kept = new KeptChecks(index);
  await kept.run(query, (done) => {
    if (done === 5)
      for (const event of eventsIn(state).slice(0, 20)) {
        const after = { ...event, title: '' };
        kept.touch(event.id, [event, after]);
        index.put(after);
      }
    return true;
  });
  expect(await kept.run(query)).toEqual(await new KeptChecks(index).run(query));
});
