import fc from 'fast-check';
import { calendar, context, event, series, stateWith } from '../../../testing/samples';
import { overridesOf } from './overrides';
import { applyPatch, inversePatch } from './patch';
import { editEach } from './editEach';
import { UnitOfWork } from './unitOfWork';

const titles = (entries: ReadonlyMap<string, { id: string; title: string }>) =>
  [...entries.values()].map(({ id, title }) => `${id} ${title}`).sort();

test('what is drafted is seen at once by what follows it, and is one patch that can be taken back', () => {
  const state = stateWith(event({ id: 'a', title: 'Old' }), event({ id: 'b' }));
  const work = new UnitOfWork(state, context());
  work.put('entries', { ...state.entries.get('a')!, title: 'New' });
  work.remove('entries', 'b');
  work.put('entries', event({ id: 'c' }));
  expect(work.state.entries.get('a')?.title).toBe('New');
  expect(work.state.entries.has('b')).toBe(false);
  expect([...work.state.entries.keys()]).toEqual(['a', 'c']);
  expect(work.state.entries.size).toBe(2);
  expect(state.entries.get('a')?.title).toBe('Old');
  const patch = work.patch({ what: 'entry-changed', count: 3 });
  const after = applyPatch(state, patch);
  expect(titles(after.entries)).toEqual(titles(work.state.entries));
  expect(titles(applyPatch(after, inversePatch(patch)).entries)).toEqual(titles(state.entries));
});

test('what comes to nothing is not in the patch', () => {
  const state = stateWith(event({ id: 'a' }));
  const work = new UnitOfWork(state, context());
  work.put('entries', event({ id: 'new' }));
  work.remove('entries', 'new');
  work.remove('entries', 'a');
  work.put('entries', state.entries.get('a')!);
  work.put('calendars', state.calendars.get(calendar().id) ?? calendar());
  expect(work.changes()).toEqual([]);
});

test('a unit of work reads as the state does that its patch makes, whatever is put and removed', () => {
  const step = fc.record({
    id: fc.constantFrom('a', 'b', 'c', 'd'),
    of: fc.constantFrom(undefined, 'a', 'b'),
    removes: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
      const state = stateWith(event({ id: 'a' }), event({ id: 'b', seriesId: 'a' }), event({ id: 'c' }));
      const work = new UnitOfWork(state, context());
      for (const { id, of, removes } of steps)
        if (removes) work.remove('entries', id);
        else work.put('entries', event({ id, title: `${id} of ${of}`, ...(of ? { seriesId: of } : {}) }));
      const after = applyPatch(state, work.patch({ what: 'entry-changed', count: 1 }));
      expect(titles(work.state.entries)).toEqual(titles(after.entries));
      expect(work.state.entries.size).toBe(after.entries.size);
      for (const id of ['a', 'b', 'c'])
        expect(
          overridesOf(work.state, id)
            .map((one) => one.id)
            .sort(),
        ).toEqual([...after.entries.values()].flatMap((one) => (one.seriesId === id ? [one.id] : [])).sort());
    }),
  );
});

test('a series whose every occurrence is edited is edited once, however many of them were chosen', () => {
  const state = stateWith(series('FREQ=WEEKLY', { id: 'call' }));
  const targets = ['2027-03-09T14:00:00', '2027-03-16T14:00:00'].map((recurrenceKey) => ({
    entryId: 'call',
    recurrenceKey,
  }));
  const edit = (of: readonly (typeof targets)[number][]) =>
    editEach(state, of, 'every', (one) => ({ ...one, title: `${one.title}!` }), context());
  const { work, count } = edit(targets);
  expect(count).toBe(1);
  expect(work.state.entries.get('call')?.title).toBe(`${state.entries.get('call')!.title}!`);
  expect(edit([...targets].reverse()).work.changes()).toEqual(work.changes());
});

test('single occurrences of one series are edited each, upon one another', () => {
  const state = stateWith(series('FREQ=WEEKLY', { id: 'call' }));
  const targets = ['2027-03-09T14:00:00', '2027-03-16T14:00:00'].map((recurrenceKey) => ({
    entryId: 'call',
    recurrenceKey,
  }));
  const { work, count, left } = editEach(
    state,
    targets,
    'this',
    (one) => ({ ...one, title: 'Off' }),
    context(),
  );
  expect({ count, left }).toEqual({ count: 2, left: 0 });
  expect(overridesOf(work.state, 'call').map(({ title }) => title)).toEqual(['Off', 'Off']);
});
