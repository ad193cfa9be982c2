import type { BatchStep } from '../../model/batchStep';
import type { CalendarEvent } from '../../model/entry';
import { DAY, MINUTE } from '../../time/civil';
import { instantOf, ownZone, wallOf } from '../../time/eventTime';
import { offsetAt } from '../../time/zones';
import { type Check, type Checked, finding, gathered } from './check';
import type { Finding } from './finding';
import { Groups } from './groups';
import { plainTitle } from './likeTitles';

/** Words as they are compared: small, without marks and blanks, and without an English plural. */
const spelling = (text: string): string => plainTitle(text).replaceAll(' ', '').replace(/s$/, '');

/** What is written in one of several ways, as an entry has it. */
interface SpellingKind {
  readonly check: 'category-spelling' | 'place-spelling';
  readonly namesOf: (event: CalendarEvent) => readonly string[];
  readonly stepsOf: (from: string, to: string) => BatchStep[];
}

const KINDS: readonly SpellingKind[] = [
  {
    check: 'category-spelling',
    namesOf: ({ categories }) => categories,
    stepsOf: (from, to) => [
      { kind: 'categories', how: 'remove', names: [from] },
      { kind: 'categories', how: 'add', names: [to] },
    ],
  },
  {
    check: 'place-spelling',
    namesOf: ({ location }) => (location.trim() === '' ? [] : [location]),
    stepsOf: (_, to) => [{ kind: 'place', to }],
  },
];

const isOnlyCase = (a: string, b: string): boolean =>
  a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();

/** What is told of entries that write one thing in several ways: the most used is proposed for all. */
function waysTold(
  { check, namesOf, stepsOf }: SpellingKind,
  events: readonly CalendarEvent[],
  key: string,
): Finding[] {
  const written = new Map<string, string[]>();
  for (const event of events)
    for (const name of namesOf(event)) {
      if (spelling(name) !== key) continue;
      const known = written.get(name);
      if (known) known.push(event.id);
      else written.set(name, [event.id]);
    }
  const ways = [...written].sort((a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1));
  const [most, ...others] = ways;
  return others.map(([name, keys]) => {
    const [usual, users] = most!;
    return finding(check, {
      // Told by what is written, so that one more entry does not bring it back.
      id: JSON.stringify([check, name, usual]),
      keys,
      details: { name, other: usual, count: keys.length, otherCount: users.length },
      fix: [{ keys, steps: stepsOf(name, usual) }],
      isSafe: keys.length < users.length && isOnlyCase(name, usual),
    });
  });
}

/** Categories and places that are written in several ways. */
export const spellings: Check = (checked) => {
  const kinds = KINDS.map(
    (kind) =>
      new Groups<CalendarEvent, readonly Finding[]>(
        (event) =>
          checked.isClosed(event) ? [] : [...new Set(kind.namesOf(event).map(spelling).filter(Boolean))],
        (events, key) => waysTold(kind, events, key),
      ),
  );
  return (touched) => kinds.flatMap((kind) => [...kind.follow(touched)].flat());
};

/** So many entries of a title tell when it is as a rule. */
const ENOUGH = 3;

/**
 * Entries of another zone than all others of their title, that would lie at their time of day if they were of that zone:
 * likely written down in the wrong one.
 */
export const wrongZones: Check = (checked) => {
  const titles = new Groups<CalendarEvent, readonly Finding[]>(
    (event) => {
      const counts =
        event.start.kind === 'zoned' && !event.recurrence && checked.isOwn(event) && !checked.isClosed(event);
      return counts ? [checked.titleOf(event)].filter(Boolean) : [];
    },
    (group) => oddZones(group, checked),
  );
  return (touched) => [...titles.follow(touched)].flat();
};

const clockOf = (event: CalendarEvent): number => ((wallOf(event.start) % DAY) + DAY) % DAY;

/** Those of one title whose zone is likely not the one that is meant. */
function oddZones(group: readonly CalendarEvent[], checked: Checked): Finding[] {
  const byZone = [...gathered(group, ({ start }) => ownZone(start))].sort(
    (a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1),
  );
  const [usual] = byZone;
  if (!usual || byZone.length < 2 || usual[1].length < ENOUGH) return [];
  const [zone, events] = usual;
  const clock = clockOf(events[0]!);
  if (!events.every((event) => clockOf(event) === clock)) return [];
  return byZone
    .slice(1)
    .flatMap(([, odd]) => odd)
    .flatMap((event) => {
      const at = instantOf(event.start, checked.query.zone);
      const by = offsetAt(ownZone(event.start)!, at) - offsetAt(zone, at);
      if (clockOf(event) !== clock || by === 0) return [];
      return finding('wrong-zone', {
        keys: [event.id],
        details: { name: event.title, other: zone, at, minutes: by / MINUTE, count: events.length },
        fix: [{ keys: [event.id], steps: [{ kind: 'zone', zone, keeps: 'wall' }] }],
      });
    });
}
