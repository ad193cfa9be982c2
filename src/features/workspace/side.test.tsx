import { blankFields } from '@/core/change/eventFields';
import { date } from '../../../testing/samples';
import { letGoOfUppermost, sideOf } from './side';
import { useWorkspace, workspace } from './workspace';

const initial = useWorkspace.getState();
afterEach(() => useWorkspace.setState(initial, true));
const fields = blankFields('meetings', date('2027-03-09'), date('2027-03-10'));
const write = (panel: 'quick' | 'full') => workspace.edit({ fields, before: fields, panel, changed: false });
const kind = () => sideOf(useWorkspace.getState()).kind;

test('one thing stands at the side, and Escape leads from the uppermost down to the selection', () => {
  workspace.select('call');
  workspace.search(true);
  workspace.showSeries('rota');
  write('full');
  const seen = [kind()];
  for (let press = 0; press < 4; press++) {
    letGoOfUppermost();
    seen.push(kind());
  }
  expect(seen).toEqual(['editor', 'series', 'search', 'desk', 'desk']);
  expect(useWorkspace.getState().selected).toEqual([]);
});

test('a few fields of a draft belong to the desk: a search over them goes first', () => {
  write('quick');
  workspace.setDesk(true);
  workspace.search(true);
  expect(kind()).toBe('search');
  letGoOfUppermost();
  expect(useWorkspace.getState().editing).not.toBeNull();
  letGoOfUppermost();
  expect(useWorkspace.getState().editing).toBeNull();
});
