import type { BusyTimes } from '../model/busyTimes';
import { Person } from '../model/person';
import type { State } from '../model/state';
import { parseKept } from '../model/unknownFields';
import { personOfAddress, sortKey } from '../people/peopleInOrder';
import type { CardPerson } from '../people/vcard/readCards';
import { sameValue } from './seriesLike';
import {
  type Change,
  type ChangeContext,
  makePatch,
  type Patch,
  put,
  remove,
  type SummaryKind,
} from './patch';

/** What a person says of somebody: all but what the record keeps for itself. */
export type PersonFields = CardPerson;

/** Keeps somebody: a new one, or what is changed of one. */
export function savePerson(
  state: State,
  fields: PersonFields,
  context: ChangeContext,
  id?: string,
): { readonly patch: Patch; readonly id: string } {
  const before = id === undefined ? undefined : state.people.get(id);
  const person = parseKept(Person, {
    ...before,
    ...fields,
    id: before?.id ?? context.newId(),
    created: before?.created ?? context.now,
    modified: context.now,
  });
  return {
    id: person.id,
    patch: makePatch(context, { what: 'person-saved', count: 1, name: person.name }, [
      put(state, 'people', person),
    ]),
  };
}

const union = (one: readonly string[], other: readonly string[]): string[] => {
  const known = new Set(one.map((each) => each.trim().toLowerCase()));
  return [...one, ...other.filter((each) => !known.has(each.trim().toLowerCase()))];
};

/** Of two who are one: what the first says, and what only the second does. */
function mergedPerson(kept: Person, other: PersonFields): Person {
  const notes = kept.notes.includes(other.notes) ? kept.notes : `${kept.notes}\n${other.notes}`.trim();
  return {
    ...other,
    ...kept,
    addresses: union(kept.addresses, other.addresses),
    role: kept.role || other.role,
    place: kept.place || other.place,
    equipment: union(kept.equipment, other.equipment),
    groups: union(kept.groups, other.groups),
    notes,
  };
}

/** Who is the same: by an address, or where neither has one, by kind and name. */
function sameAs(people: Iterable<Person>, fields: PersonFields): Person | undefined {
  for (const address of fields.addresses) {
    const found = personOfAddress(people, address);
    if (found) return found;
  }
  if (fields.addresses.length > 0) return undefined;
  for (const person of people)
    if (person.kind === fields.kind && person.addresses.length === 0 && sortKey(person) === sortKey(fields))
      return person;
  return undefined;
}

const samePerson = (one: Person, other: Person): boolean =>
  (Object.keys(Person.shape) as (keyof Person)[]).every((name) => sameValue(one[name], other[name]));

/** What adding people comes to. */
export interface AddedPeople {
  readonly patch: Patch;
  readonly added: number;
  readonly merged: number;
}

/**
 * Adds people; who is there already is filled up with what is new of them.
 * @param updates whether what comes is newer: of a directory, in place of what is here
 */
export function addPeople(
  state: State,
  people: readonly PersonFields[],
  context: ChangeContext,
  { updates = false }: { readonly updates?: boolean } = {},
): AddedPeople {
  const all = new Map(state.people);
  const touched = new Set<string>();
  let added = 0;
  let merged = 0;
  for (const fields of people) {
    const known = sameAs(all.values(), fields);
    if (!known) {
      const id = context.newId();
      all.set(id, parseKept(Person, { ...fields, id, created: context.now, modified: context.now }));
      touched.add(id);
      added++;
      continue;
    }
    // Groups, notes and further addresses are one's own; what the directory says of the rest is newer.
    const next = updates
      ? mergedPerson({ ...known, ...newer(fields, known) }, fields)
      : mergedPerson(known, fields);
    if (samePerson(next, known)) continue;
    all.set(known.id, parseKept(Person, { ...next, modified: context.now }));
    if (!touched.has(known.id)) merged++;
    touched.add(known.id);
  }
  return {
    patch: makePatch(
      context,
      { what: 'people-added', count: added + merged },
      [...touched].map((id) => put(state, 'people', all.get(id)!)),
    ),
    added,
    merged,
  };
}

/** What of newer fields takes the place of the known ones. */
const newer = (fields: PersonFields, known: Person): Partial<Person> => ({
  role: fields.role || known.role,
  place: fields.place || known.place,
  ...(fields.zone === undefined ? {} : { zone: fields.zone }),
  ...(fields.workingPattern === undefined ? {} : { workingPattern: fields.workingPattern }),
  ...(fields.seats === undefined ? {} : { seats: fields.seats }),
  ...(fields.busyAddress === undefined ? {} : { busyAddress: fields.busyAddress }),
});

/** What is said of what somebody may see, where it was said of another who is the same. */
function shareOfMerged(state: State, kept: Person, others: readonly Person[]): Change[] {
  const said = others.flatMap(({ id }) => state.shares.get(id) ?? [])[0];
  if (!said || state.shares.has(kept.id)) return [];
  const { address: _, taken: __, ...share } = said;
  return [put(state, 'shares', { ...share, id: kept.id })];
}

/** Makes one of several who are one: the first stays, and what the others say beyond it goes to it. */
export function mergePeople(state: State, ids: readonly string[], context: ChangeContext): Patch | undefined {
  const [kept, ...others] = ids.flatMap((id) => state.people.get(id) ?? []);
  if (!kept || others.length === 0) return undefined;
  const whole = others.reduce(mergedPerson, kept);
  return makePatch(context, { what: 'people-merged', count: others.length + 1, name: kept.name }, [
    put(state, 'people', { ...whole, modified: context.now }),
    ...shareOfMerged(state, kept, others),
    ...others.map((other) => remove('people', other)),
    ...others.flatMap(({ id }) => {
      const busy = state.busyTimes.get(id);
      return busy ? [remove('busyTimes', busy)] : [];
    }),
  ]);
}

/** Takes people out, with what was read of their time. */
export function removePeople(
  state: State,
  ids: readonly string[],
  context: ChangeContext,
): Patch | undefined {
  const people = ids.flatMap((id) => state.people.get(id) ?? []);
  if (people.length === 0) return undefined;
  const what: SummaryKind = 'people-removed';
  const name = people.length === 1 ? { name: people[0]!.name } : {};
  return makePatch(context, { what, count: people.length, ...name }, [
    ...people.map((person) => remove('people', person)),
    ...people.flatMap(({ id }) => {
      const busy = state.busyTimes.get(id);
      return busy ? [remove('busyTimes', busy)] : [];
    }),
  ]);
}

/** Keeps busy times that were read, with the working hours and zone that came with them. */
export function keepBusyTimes(
  state: State,
  read: readonly (BusyTimes & Pick<Person, 'workingPattern' | 'zone'>)[],
  context: ChangeContext,
): Patch {
  const changes = read.flatMap(({ workingPattern, zone, ...times }) => {
    const person = state.people.get(times.id);
    if (!person) return [];
    const next = {
      ...person,
      ...(zone === undefined ? {} : { zone }),
      ...(workingPattern === undefined ? {} : { workingPattern }),
    };
    const isChanged = !samePerson(next, person);
    return [
      put(state, 'busyTimes', times),
      ...(isChanged ? [put(state, 'people', { ...next, modified: context.now })] : []),
    ];
  });
  return makePatch(context, { what: 'busy-times-read', count: changes.length }, changes);
}
