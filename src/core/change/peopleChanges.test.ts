import type { Share } from '@/core/model/share';
import { context as freshContext, person, stateWith } from '../../../testing/samples';
import type { BusyTimes } from '@/core/model/busyTimes';
import { peopleByName, personOfAddress } from '@/core/people/peopleInOrder';
import { applyPatch, inversePatch } from './patch';
import {
  addPeople,
  keepBusyTimes,
  mergePeople,
  type PersonFields,
  removePeople,
  savePerson,
} from './peopleChanges';

const shared = freshContext();
/** One for all, so that no id comes twice. */
const context = () => shared;

const someone = (name: string, more: Partial<PersonFields> = {}): PersonFields => {
  const { id: _, created: __, modified: ___, ...fields } = person(name, more);
  return fields;
};
const withPeople = (...people: PersonFields[]) => {
  const state = stateWith();
  return applyPatch(state, addPeople(state, people, context()).patch);
};
const idOf = (state: ReturnType<typeof withPeople>, name: string): string =>
  [...state.people.values()].find((person) => person.name === name)!.id;
const busyOf = (id: string, more: Partial<BusyTimes> = {}): BusyTimes => ({
  id,
  readAt: 1,
  from: 0,
  until: 100,
  depth: 'busy',
  spans: [{ start: 10, end: 20, kind: 'busy' }],
  ...more,
});

test('who comes twice is one: by an address in whatever case, and filled up with what is new', () => {
  const state = withPeople(someone('Tobias Rask', { groups: ['Works'], notes: 'Has the drill' }));
  const again = someone('Rask, Tobias', {
    addresses: ['TOBIAS@Fennick.example', 'rask@fennick.example'],
    role: 'Surveyor',
    groups: ['works', 'Inspections'],
    notes: 'Away in June',
  });
  const { patch, added, merged } = addPeople(state, [again, someone('Salma Wray')], context());
  expect({ added, merged }).toEqual({ added: 1, merged: 1 });
  const after = applyPatch(state, patch);
  expect(peopleByName(after).map(({ name }) => name)).toEqual(['Salma Wray', 'Tobias Rask']);
  expect(personOfAddress(after.people.values(), 'mailto:rask@FENNICK.example')).toMatchObject({
    name: 'Tobias Rask',
    addresses: ['tobias@fennick.example', 'rask@fennick.example'],
    role: 'Surveyor',
    groups: ['Works', 'Inspections'],
    notes: 'Has the drill\nAway in June',
  });
  // Once more, nothing is new.
  expect(addPeople(after, [again], context()).patch.changes).toEqual([]);
  expect(applyPatch(after, inversePatch(patch)).people).toEqual(state.people);
});

test('what a directory says takes the place of what was there; one’s own words stay', () => {
  const state = withPeople(someone('Oona Pell', { role: 'Keepers', place: 'Tern Rock', notes: 'Likes tea' }));
  const { patch } = addPeople(
    state,
    [someone('Oona Pell', { role: 'Rota', place: 'Fennick', zone: 'Europe/Lisbon' })],
    context(),
    { updates: true },
  );
  expect([...applyPatch(state, patch).people.values()]).toEqual([
    expect.objectContaining({ role: 'Rota', place: 'Fennick', zone: 'Europe/Lisbon', notes: 'Likes tea' }),
  ]);
});

test('two of one name without an address are one, and of another kind are not', () => {
  const lamp = someone('Lamp room', { kind: 'room', addresses: [] });
  const { patch, added, merged } = addPeople(
    stateWith(),
    [lamp, { ...lamp, name: 'LAMP ROOM', seats: 4 }, { ...lamp, kind: 'colleague' }],
    context(),
  );
  expect({ added, merged }).toEqual({ added: 2, merged: 0 });
  expect(applyPatch(stateWith(), patch).people.size).toBe(2);
});

test('somebody is kept, changed and taken out with their busy times, and comes back with them', () => {
  const made = savePerson(stateWith(), someone('Dev Arlen'), context());
  const one = applyPatch(stateWith(), made.patch);
  const changed = savePerson(one, someone('Dev Arlen', { role: 'Office' }), context(), made.id);
  expect(changed.id).toBe(made.id);
  const two = applyPatch(one, changed.patch);
  expect(two.people.get(made.id)).toMatchObject({ role: 'Office' });
  const three = applyPatch(two, keepBusyTimes(two, [busyOf(made.id), busyOf('a stranger')], context()));
  expect([...three.busyTimes.keys()]).toEqual([made.id]);
  const gone = removePeople(three, [made.id, 'nobody'], context())!;
  const four = applyPatch(three, gone);
  expect([four.people.size, four.busyTimes.size]).toEqual([0, 0]);
  const back = applyPatch(four, inversePatch(gone));
  expect([back.people, back.busyTimes]).toEqual([three.people, three.busyTimes]);
  expect(removePeople(four, [made.id], context())).toBeUndefined();
  expect(() => savePerson(four, someone(' '), context())).toThrow();
});

test('several who are one become the first of them', () => {
  const state = withPeople(
    someone('Marek Dunne', { role: 'Lenses' }),
    someone('M. Dunne', { addresses: ['dunne@fennick.example'], place: 'Warsaw' }),
  );
  const ids = [idOf(state, 'Marek Dunne'), idOf(state, 'M. Dunne')];
  const patch = mergePeople(state, ids, context())!;
  expect([...applyPatch(state, patch).people.values()]).toEqual([
    expect.objectContaining({
      id: ids[0],
      name: 'Marek Dunne',
      addresses: ['marek@fennick.example', 'dunne@fennick.example'],
      role: 'Lenses',
      place: 'Warsaw',
    }),
  ]);
  expect(applyPatch(applyPatch(state, patch), inversePatch(patch)).people).toEqual(state.people);
  expect(mergePeople(state, ids.slice(0, 1), context())).toBeUndefined();
});

test('what may be seen goes along to the one that several become, but for its address', () => {
  const two = withPeople(
    someone('Marek Dunne'),
    someone('M. Dunne', { addresses: ['dunne@fennick.example'] }),
  );
  const [kept, other] = [idOf(two, 'Marek Dunne'), idOf(two, 'M. Dunne')];
  const address = { token: 't'.repeat(22), key: 'k'.repeat(22), since: 0 };
  const share = { id: other, depths: { meetings: 'titles' as const }, mayChange: [], address };
  const state = { ...two, shares: new Map<string, Share>([[other, share]]) };
  const after = applyPatch(state, mergePeople(state, [kept, other], context())!);
  expect(after.shares.get(kept)).toEqual({ id: kept, depths: { meetings: 'titles' }, mayChange: [] });
  // What is said of the one that stays holds.
  const own = { id: kept, depths: { meetings: 'busy' as const }, mayChange: [] };
  const both = { ...state, shares: new Map(state.shares).set(kept, own) };
  expect(applyPatch(both, mergePeople(both, [kept, other], context())!).shares.get(kept)).toEqual(own);
});

test('working hours that come with busy times are kept with the person', () => {
  const state = withPeople(someone('Ines Falk'));
  const id = idOf(state, 'Ines Falk');
  const read = { ...busyOf(id), zone: 'Atlantic/Azores' };
  const after = applyPatch(state, keepBusyTimes(state, [read], context()));
  expect(after.people.get(id)?.zone).toBe('Atlantic/Azores');
  expect(after.busyTimes.get(id)).toEqual(busyOf(id));
});
