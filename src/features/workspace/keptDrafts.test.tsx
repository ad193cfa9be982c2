import { blankFields } from '@/core/change/eventFields';
import { zoned } from '../../../testing/samples';
import type * as KeptDrafts from './keptDrafts';
import type * as Workspace from './workspace';

/** The locks of one browser: what is held is waited for, as long as the page that holds it is open. */
const held = new Set<string>();
Object.defineProperty(navigator, 'locks', {
  value: {
    request: (name: string, options: { signal: AbortSignal }, then: () => Promise<void>) =>
      held.has(name)
        ? new Promise((_, reject) =>
            options.signal.addEventListener('abort', () => reject(new Error('gone'))),
          )
        : (held.add(name), then()),
    query: async () => ({ held: [...held].map((name) => ({ name })) }),
  },
});

const fields = (title = '') => ({
  ...blankFields('meetings', zoned('2027-03-09T14:00'), zoned('2027-03-09T15:00')),
  title,
});

/** A page of its own: fresh modules over the same storage. `isReload`: it follows one that had the tab. */
async function openPage({ isReload = false } = {}) {
  if (!isReload) sessionStorage.clear();
  // A page of its own has modules of its own, over the same storage.
  jest.resetModules();
  const kept = jest.requireActual<typeof KeptDrafts>('./keptDrafts');
  const space = jest.requireActual<typeof Workspace>('./workspace');
  const restored = jest.fn();
  await kept.keepDrafts(restored);
  return {
    ...space,
    restored,
    state: () => space.useWorkspace.getState(),
    titles: () => space.useWorkspace.getState().aside.map((each) => each.fields.title),
  };
}
const closePages = () => held.clear();

beforeEach(() => {
  closePages();
  localStorage.clear();
});

test('a reload finds what was being written where it was, half-typed too', async () => {
  const page = await openPage();
  page.workspace.edit({ fields: fields('Tide'), before: fields(), panel: 'full', changed: true });
  page.workspace.goOn({ typed: { startTime: '1' } });
  page.workspace.writeLine('Half a line');
  closePages();
  const again = await openPage({ isReload: true });
  expect(again.restored).toHaveBeenCalledTimes(1);
  expect(again.state().editing).toMatchObject({ fields: { title: 'Tide' }, typed: { startTime: '1' } });
  expect(again.state().line).toBe('Half a line');
});

test('what was saved or thrown away does not come back', async () => {
  const page = await openPage();
  page.workspace.edit({ fields: fields('Tide'), before: fields(), panel: 'quick', changed: true });
  page.workspace.finishEditing();
  page.workspace.edit({ fields: fields('Buoy'), before: fields(), panel: 'quick', changed: true });
  page.workspace.putAside();
  page.workspace.throwAway(page.state().aside[0]!);
  closePages();
  const again = await openPage({ isReload: true });
  expect(again.restored).not.toHaveBeenCalled();
  expect(again.state()).toMatchObject({ editing: null, aside: [], line: '' });
});

test('another page leaves alone what an open one writes, and takes what one that is gone has left', async () => {
  const first = await openPage();
  first.workspace.edit({ fields: fields('Tide'), before: fields(), panel: 'quick', changed: true });
  first.workspace.writeLine('Half a line');
  const second = await openPage();
  expect(second.titles()).toEqual([]);
  expect(second.state().line).toBe('');
  closePages();
  const third = await openPage();
  expect(third.titles()).toEqual(['Tide']);
  expect(third.state().editing).toBeNull();
  expect(third.state().line).toBe('Half a line');
});

test('of two lines that pages have left, the second waits for a page that has room for it', async () => {
  for (const line of ['one', 'two']) {
    const page = await openPage();
    page.workspace.writeLine(line);
  }
  closePages();
  const third = await openPage();
  const taken = third.state().line;
  expect(['one', 'two']).toContain(taken);
  const fourth = await openPage();
  expect([taken, fourth.state().line].sort()).toEqual(['one', 'two']);
});

test('what can’t be read is no draft, and nothing fails', async () => {
  localStorage.setItem('orderly-week/draft/broken', '{"editing":{"id":7}}');
  const page = await openPage();
  expect(page.restored).not.toHaveBeenCalled();
  expect(localStorage.getItem('orderly-week/draft/broken')).toBeNull();
});

test('what is half-typed into the form of a to-do is there again; one that was only opened is not', async () => {
  const page = await openPage();
  page.workspace.openTodo('rope');
  page.workspace.keepTodo({ notes: 'the thick one' });
  closePages();
  const again = await openPage({ isReload: true });
  expect(again.state().todo).toEqual({ key: 'rope', as: 'form', typed: { notes: 'the thick one' } });
  expect(again.restored).toHaveBeenCalledTimes(1);
  again.workspace.keepTodo({});
  closePages();
  const third = await openPage({ isReload: true });
  expect(third.state().todo).toBeNull();
});
