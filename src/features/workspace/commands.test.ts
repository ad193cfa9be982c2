import type { Patch } from '@/core/change/patch';
import { targetOfKey } from '@/core/change/target';
import type { CalendarEvent } from '@/core/model/entry';
import { HOUR } from '@/core/time/civil';
import { words } from '@/ui/words';
import { calendar, event, FENNICK, series, zoned } from '../../../testing/samples';
import { begin, freshBrowser, openPage } from '../../../testing/storePages';
import { commandPipeline } from './commandPipeline';
import { entryCommands } from './entryCommands';
import { severalCommands } from './severalCommands';
import { turnCommands } from './turnCommands';
import { useWorkspace } from './workspace';

const put = (record: CalendarEvent) =>
  ({ collection: 'entries', id: record.id, before: null, after: record }) as const;
const closed = calendar({ id: 'rota', name: 'Keeper rota', mark: 'KR', readOnly: true });

/** The commands of a page that holds some entries. */
async function commandsOver(...entries: CalendarEvent[]) {
  const store = await openPage(freshBrowser());
  const changes: Patch['changes'] = [
    ...begin.changes,
    { collection: 'calendars', id: closed.id, before: null, after: closed },
    ...entries.map(put),
  ];
  await store.commit({ ...begin, changes });
  let made = 0;
  const pipeline = commandPipeline(store, () => ({
    now: Date.UTC(2027, 2, 9, 10, 20),
    newId: () => `new-${++made}`,
    zone: FENNICK,
  }));
  return {
    store,
    ...pipeline,
    ...entryCommands(pipeline),
    ...severalCommands(pipeline),
    ...turnCommands(store),
  };
}
const initial = useWorkspace.getState();
const notice = () => useWorkspace.getState().notice;
/** What was said, once it is: a change is said when it is kept. */
const said = async (text: string | RegExp) => {
  for (let waited = 0; waited < 100 && !notice(); waited++) await new Promise((next) => setTimeout(next, 5));
  expect(notice()?.text).toMatch(text);
};
const call = event({ id: 'call', title: 'Lens call' });
const rounds = series('FREQ=WEEKLY', { id: 'rounds', title: 'Works round' });
const third = 'rounds|2027-03-23T14:00:00';

beforeEach(() => useWorkspace.setState(initial, true));

test('a change that is made is said with a way back, and what it made is to be seen', async () => {
  const { create, state } = await commandsOver();
  const patch = create(event({ title: 'Buoy log' }));
  expect([...state().entries.values()].map(({ title }) => title)).toEqual(['Buoy log']);
  expect(useWorkspace.getState().revealed).toBe(patch?.landed);
  await said(/Buoy log/);
  expect(notice()).toMatchObject({ tone: 'done', undo: true, where: { day: 20_886, key: patch?.landed } });
});

test('what can’t be is refused in words, and nothing changes', async () => {
  const kept = event({ id: 'watch', calendarId: 'rota', title: 'Night watch' });
  const { move, bin, setFields, state } = await commandsOver(kept);
  expect(await move('watch', { kind: 'shift', by: HOUR })).toBeUndefined();
  expect(notice()).toMatchObject({ tone: 'problem', undo: false });
  expect(notice()?.text).toContain('Keeper rota');
  expect(await bin(['watch'])).toBe(false);
  expect(await setFields('watch', { title: 'Day watch' })).toBe(false);
  expect(state().entries.get('watch')).toEqual(kept);
});

test('an answer says whether it happened: of one of a series it is asked which are meant', async () => {
  const { setFields, state } = await commandsOver(rounds);
  const asked = setFields(third, { title: 'Round on the boat' });
  await Promise.resolve();
  const { question } = useWorkspace.getState();
  expect(question).toMatchObject({
    about: 'change',
    title: 'Works round',
    scopes: ['this', 'later', 'every'],
  });
  question?.answer(undefined);
  expect(await asked).toBe(false);
  expect(state().entries.size).toBe(1);

  const again = setFields(third, { title: 'Round on the boat' });
  await Promise.resolve();
  useWorkspace.getState().question?.answer('this');
  expect(await again).toBe(true);
  expect([...state().entries.values()].map(({ title }) => title).sort()).toEqual([
    'Round on the boat',
    'Works round',
  ]);
});

test('the series itself and single entries are changed without a question', async () => {
  const { setFields, move, state } = await commandsOver(rounds, call);
  expect(await setFields('rounds', { title: 'Round' })).toBe(true);
  expect(await move('call', { kind: 'shift', by: HOUR })).toBe('call');
  expect(useWorkspace.getState().question).toBeNull();
  expect(state().entries.get('call')?.start).toEqual(zoned('2027-03-09T15:00'));
});

test('with several selected, moving one moves all of them by as much', async () => {
  const other = event({ id: 'other', start: zoned('2027-03-10T09:00'), end: zoned('2027-03-10T10:00') });
  const { move, state } = await commandsOver(call, other);
  useWorkspace.setState({ selected: ['call', 'other'] });
  await move('call', { kind: 'shift', by: 2 * HOUR });
  expect(state().entries.get('call')?.start).toEqual(zoned('2027-03-09T16:00'));
  expect(state().entries.get('other')?.start).toEqual(zoned('2027-03-10T11:00'));
});

test('a copy is selected; a duplicate, unless it is a series', async () => {
  const { paste, duplicate } = await commandsOver(call, rounds);
  expect(paste(targetOfKey('call'), { kind: 'shift', by: HOUR })).toBe(true);
  const copied = useWorkspace.getState().selected;
  expect(copied).toHaveLength(1);
  duplicate('call');
  expect(useWorkspace.getState().selected).not.toEqual(copied);
  const before = useWorkspace.getState().selected;
  duplicate('rounds');
  expect(useWorkspace.getState().selected).toEqual(before);
});

test('what is binned is selected no more, and comes back', async () => {
  const { bin, undo, redo, state } = await commandsOver(call);
  useWorkspace.setState({ selected: ['call'] });
  expect(await bin(['call'])).toBe(true);
  expect(useWorkspace.getState().selected).toEqual([]);
  expect(state().entries.size).toBe(0);
  await undo();
  expect(state().entries.get('call')?.title).toBe('Lens call');
  await redo();
  expect(state().entries.size).toBe(0);
  expect(notice()).toMatchObject({ undo: true });
});

test('several changes are taken back at once, and none where there is none', async () => {
  const { setFields, undo, state } = await commandsOver(call);
  await setFields('call', { title: 'One' });
  await setFields('call', { title: 'Two' });
  await undo(2);
  expect(state().entries.get('call')?.title).toBe('Lens call');
  expect(notice()?.text).toBe(words.undoneSeveral(2));
  await undo(9);
  await undo();
  expect(notice()?.text).toBe(words.nothingToUndo);
});
