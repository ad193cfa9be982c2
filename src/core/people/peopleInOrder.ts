import type { Person } from '../model/person';
import type { State } from '../model/state';
import { plainAddress } from '../model/emailAddress';

/** A name as it is compared and put in order. */
export const sortKey = ({ name }: Pick<Person, 'name'>): string => name.toLocaleLowerCase();

/** All people and rooms by name. */
export const peopleByName = (state: Pick<State, 'people'>): Person[] =>
  [...state.people.values()].sort((a, b) => sortKey(a).localeCompare(sortKey(b)) || (a.id < b.id ? -1 : 1));

/** Who has an address; undefined for a stranger. */
export const personOfAddress = (people: Iterable<Person>, address: string): Person | undefined => {
  const wanted = plainAddress(address);
  for (const person of people)
    if (person.addresses.some((own) => plainAddress(own) === wanted)) return person;
  return undefined;
};
