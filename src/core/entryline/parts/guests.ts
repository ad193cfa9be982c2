import { anyOf, asWord, type Candidate, type GuestSaid, uncaptured, wholeWords } from '../candidate';
import type { LineContext } from '../lineContext';

/** Names under which people are known: the whole one, and the first where nobody else has it. */
function namesOf(people: NonNullable<LineContext['people']>): Map<string, { id: string; name: string }> {
  const names = new Map<string, { id: string; name: string }>();
  const firsts = new Map<string, number>();
  const firstOf = (name: string): string => asWord(name).split(' ')[0]!;
  for (const { name } of people) firsts.set(firstOf(name), (firsts.get(firstOf(name)) ?? 0) + 1);
  for (const person of people) {
    names.set(asWord(person.name), person);
    const first = firstOf(person.name);
    if (firsts.get(first) === 1 && !names.has(first)) names.set(first, person);
  }
  return names;
}

const AND = String.raw`(?:\s*,\s*(?:and\s+)?|\s*&\s*|\s+and\s+)`;

/** Guests: "with Tobias and Salma", "invite Marek", "optional Oona": people who are known, by their whole or first name. */
export function* guestsIn(text: string, { people = [] }: LineContext): Generator<Candidate> {
  if (people.length === 0) return;
  const names = namesOf(people);
  const name = uncaptured(anyOf([...names.keys()]));
  const list = `${name}(?:${AND}${name})*`;
  const said = wholeWords(
    String.raw`(?<how>with|optional(?:ly)?(?:\s+with|:)?)\s+(?<names>${list})|invit(?:e|ing)\s+(?<invited>${list})(?:\s+to(?=\s))?`,
  );
  const one = wholeWords(name);
  for (const match of text.matchAll(said)) {
    const { how = '', names: named = '', invited = '' } = match.groups!;
    const isOptional = /^optional/i.test(how);
    const guests = [...(named || invited).matchAll(one)].flatMap(([written]): GuestSaid[] => {
      const person = names.get(asWord(written));
      return person ? [{ personId: person.id, name: person.name, isOptional }] : [];
    });
    yield {
      from: match.index,
      to: match.index + match[0].length,
      score: 8,
      slots: [],
      said: { guests },
    };
  }
}

/** The names that the last word of a line may be the beginning of, where it names a guest; and the line with each. */
export function guestCompletions(
  line: string,
  people: NonNullable<LineContext['people']>,
): { readonly name: string; readonly line: string }[] {
  const typed = /(?:^|\s)(?:with|invite|inviting|optional|and|&|,)\s+(\p{L}[\p{L}'’-]*)$/iu.exec(line)?.[1];
  if (typed === undefined || !/(?:^|\s)(?:with|invite|inviting|optional)\s/i.test(line)) return [];
  const begun = typed.toLowerCase();
  return people
    .filter(({ name }) => {
      const whole = asWord(name);
      return whole.startsWith(begun) && whole !== begun && whole.split(' ')[0] !== begun;
    })
    .slice(0, 3)
    .map(({ name }) => ({ name, line: `${line.slice(0, line.length - typed.length)}${name} ` }));
}
