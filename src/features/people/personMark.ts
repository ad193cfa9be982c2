import { HUES, type Hue } from '@/core/model/colour';
import type { Person } from '@/core/model/person';

/** The two letters that somebody is marked with: of the first and the last word of their name. */
export function initialsOf({ name }: Pick<Person, 'name'>): string {
  const words = name.split(/\s+/).filter(Boolean);
  const letters = words.length > 1 ? `${words[0]![0]}${words.at(-1)![0]}` : name.slice(0, 2);
  return letters.toLocaleUpperCase();
}

/** The hue that somebody is drawn in: always the same for the same name. */
export function hueOf({ name }: Pick<Person, 'name'>): Hue {
  const sum = [...name].reduce((all, letter) => (all * 31 + letter.codePointAt(0)!) % 9973, 7);
  return HUES[sum % HUES.length]!;
}
