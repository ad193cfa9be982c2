import type { Person } from '@/core/model/person';
import { samePlace } from '@/core/places/placeName';

/** The room that a place is, if it is one that can be invited. */
export function roomNamed(people: ReadonlyMap<string, Person>, name: string): Person | undefined {
  const same = samePlace(name);
  for (const person of people.values())
    if (person.kind === 'room' && samePlace(person.name) === same) return person;
  return undefined;
}
