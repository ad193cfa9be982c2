import { context, event, stateWith } from '../../../testing/samples';
import { emptyHistory, recordCommit, takeBackAlone, touchedBy } from './history';
import { applyPatch, makePatch, type Patch, put, remove } from './patch';

const [one, two] = [event({ id: 'one', title: 'Boat check' }), event({ id: 'two', title: 'Tower paint' })];
const start = stateWith(one, two);
const own = context();
const patch = (changes: Patch['changes']): Patch =>
  makePatch(own, { what: 'entry-changed', count: 1 }, changes);

const renamed = patch([put(start, 'entries', { ...one, title: 'Boat look' })]);
const binned = patch([remove('entries', two)]);
const later = applyPatch(applyPatch(start, renamed), binned);
const history = [renamed, binned].reduce((so, deed) => recordCommit(so, 'do', deed), emptyHistory);

test('an older deed is taken back alone, where nothing touched the same since', () => {
  const back = takeBackAlone(later, renamed, own)!;
  const after = applyPatch(later, back);
  expect([...after.entries.values()]).toEqual([one]);
  expect(touchedBy(history, renamed)).toBeUndefined();
  expect(applyPatch(later, takeBackAlone(later, binned, own)!).entries.get('two')).toEqual(two);
});

test('where something did, it is not, and it is told what did', () => {
  const again = patch([put(later, 'entries', { ...one, title: 'Boat look', location: 'Boat shed' })]);
  const touched = applyPatch(later, again);
  expect(takeBackAlone(touched, renamed, own)).toBeUndefined();
  expect(touchedBy(recordCommit(history, 'do', again), renamed)).toBe(again);
});
