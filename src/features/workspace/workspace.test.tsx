import { blankFields } from '@/core/change/eventFields';
import { zoned } from '../../../testing/samples';
import { type Editing, useWorkspace, workspace } from './workspace';

const fields = (title = '') => ({
  ...blankFields('meetings', zoned('2027-03-09T14:00'), zoned('2027-03-09T15:00')),
  title,
});
const draft = (title: string, changed = true): Omit<Editing, 'id'> => ({
  fields: fields(title),
  before: fields(),
  panel: 'quick',
  changed,
});
const state = () => useWorkspace.getState();
const asideTitles = () => state().aside.map((each) => each.fields.title);
const width = (pixels: number) =>
  Object.defineProperty(window, 'innerWidth', { value: pixels, configurable: true });
const initial = useWorkspace.getState();

beforeEach(() => {
  width(1280);
  useWorkspace.setState(initial, true);
});

describe('what is being written', () => {
  test('is put aside when something else is begun, and taken up again', () => {
    workspace.edit(draft('Tide table'));
    workspace.edit(draft('Buoy log'));
    expect(asideTitles()).toEqual(['Tide table']);
    workspace.takeUp(state().aside[0]!);
    expect(state().editing?.fields.title).toBe('Tide table');
    expect(asideTitles()).toEqual(['Buoy log']);
  });

  test('is not kept where nothing would be lost', () => {
    workspace.edit(draft('', false));
    expect(workspace.putAside()).toBe(false);
    expect(state().editing).toBeNull();
    expect(state().aside).toEqual([]);
  });

  test('says so when it is put aside, and is gone when it is finished or thrown away', () => {
    workspace.edit(draft('Tide table'));
    expect(workspace.putAside()).toBe(true);
    workspace.throwAway(state().aside[0]!);
    expect(state().aside).toEqual([]);
    workspace.edit(draft('Buoy log'));
    workspace.finishEditing();
    expect(state().aside).toEqual([]);
    expect(state().editing).toBeNull();
  });

  test('counts as changed once a field is written', () => {
    workspace.edit(draft('', false));
    workspace.editFields({ title: 'B' });
    expect(state().editing).toMatchObject({ changed: true, fields: { title: 'B' } });
  });

  test('two of the same entry are told apart', () => {
    workspace.edit(draft('one'));
    const first = state().editing!.id;
    workspace.edit(draft('one'));
    expect(state().editing!.id).not.toBe(first);
  });
});

describe('the desk', () => {
  test('over the view goes when there is nothing on it any more', () => {
    width(390);
    workspace.setDesk(true);
    workspace.edit(draft('Tide table'));
    workspace.putAside();
    expect(state().deskOpen).toBe(false);
    workspace.select('rota');
    expect(state().deskOpen).toBe(true);
    workspace.edit(draft('Buoy log'));
    workspace.finishEditing();
    expect(state().deskOpen).toBe(true);
  });

  test('beside the view stays', () => {
    workspace.setDesk(true);
    workspace.edit(draft('Tide table'));
    workspace.putAside();
    expect(state().deskOpen).toBe(true);
  });
});

describe('the selection', () => {
  test('is collected one by one, and one that is pressed again is taken out', () => {
    workspace.select('rota');
    expect(state().collecting).toBe(false);
    workspace.collect('buoy');
    expect(state().selected).toEqual(['rota', 'buoy']);
    workspace.collect('rota');
    expect(state().selected).toEqual(['buoy']);
    workspace.clearSelection();
    expect(state()).toMatchObject({ selected: [], collecting: false });
  });

  test('the first that is collected stays when it was selected', () => {
    workspace.select('rota');
    workspace.collect('rota');
    expect(state().selected).toEqual(['rota']);
  });
});

test('a question that another takes the place of is let be', async () => {
  const first = workspace.askScope('change', 'Rota', ['this', 'every']);
  const second = workspace.askScope('bin', 'Buoy', ['this']);
  expect(await first).toBeUndefined();
  state().question!.answer('this');
  expect(await second).toBe('this');
  expect(state().question).toBeNull();
});
