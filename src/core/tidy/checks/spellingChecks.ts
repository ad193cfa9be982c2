import type { BatchStep } from '../../model/batchStep';
import type { CalendarEvent } from '../../model/entry';
import { DAY, HOUR } from '../../time/civil';
import { instantOf, ownZone, wallOf } from '../../time/eventTime';
import { offsetAt } from '../../time/zones';
import { type Checked, finding, gathered } from './check';
import type { Finding } from './finding';
import { plainTitle } from './likeTitles';

/** Words as they are compared: small, without marks and blanks, and without an English plural. */
const spelling = (text: string): string => plainTitle(text).replaceAll(' ', '').replace(/s$/, '');

/** The ways in which something is written, with the entries that write it so: the most used first. */
function waysOf(
  events: readonly CalendarEvent[],
  namesOf: (event: CalendarEvent) => readonly string[],
): Map<string, { name: string; events: CalendarEvent[] }[]> {
  const written = new Map<string, CalendarEvent[]>();
  for (const event of events)
    for (const name of namesOf(event)) {
      const known = written.get(name);
      if (known) known.push(event);
      else written.set(name, [event]);
    }
  const ways = [...written].map(([name, own]) => ({ name, events: own }));
  const groups = gathered(ways, ({ name }) => spelling(name) || undefined);
  for (const group of groups.values())
    group.sort((a, b) => b.events.length - a.events.length || (a.name < b.name ? -1 : 1));
  return groups;
}

/** Categories and places that are written in several ways: the most used is proposed for all. */
export function* spellings(checked: Checked): Iterable<Finding> {
  const events = [...checked.index.all()]
    .filter((event) => !checked.isClosed(event))
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  const isOnlyCase = (a: string, b: string) => a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();
  const kinds = [
    {
      check: 'category-spelling',
      namesOf: ({ categories }: CalendarEvent) => categories,
      stepsOf: (from: string, to: string): BatchStep[] => [
        { kind: 'categories', how: 'remove', names: [from] },
        { kind: 'categories', how: 'add', names: [to] },
      ],
    },
    {
      check: 'place-spelling',
      namesOf: ({ location }: CalendarEvent) => (location.trim() === '' ? [] : [location]),
      stepsOf: (_: string, to: string): BatchStep[] => [{ kind: 'place', to }],
    },
  ] as const;
  for (const { check, namesOf, stepsOf } of kinds)
    for (const [most, ...others] of waysOf(events, namesOf).values())
      for (const other of most ? others : []) {
        const keys = other.events.map(({ id }) => id);
        const found = finding(check, {
          keys,
          details: {
            name: other.name,
            other: most!.name,
            count: keys.length,
            otherCount: most!.events.length,
          },
          fix: [{ keys, steps: stepsOf(other.name, most!.name) }],
          isSafe: keys.length < most!.events.length && isOnlyCase(other.name, most!.name),
        });
        // Told by what is written, so that one more entry does not bring it back.
        yield { ...found, id: JSON.stringify([check, other.name, most!.name]) };
      }
}

/** So many entries of a title tell when it is as a rule. */
const ENOUGH = 3;

/**
 * Entries of another zone than all others of their title, that would lie at their time of day if they were of that zone:
 * likely written down in the wrong one.
 */
export function* wrongZones(checked: Checked): Iterable<Finding> {
  const { zone } = checked.query;
  const timed = checked.own.filter(
    (event) => event.start.kind === 'zoned' && !event.recurrence && !checked.isClosed(event),
  );
  for (const group of gathered(timed, ({ title }) => plainTitle(title) || undefined).values()) {
    if (group.length <= ENOUGH) continue;
    const byZone = [...gathered(group, ({ start }) => ownZone(start)).entries()].sort(
      (a, b) => b[1].length - a[1].length,
    );
    const [usual] = byZone;
    if (!usual || byZone.length < 2 || usual[1].length < ENOUGH) continue;
    const clock = (event: CalendarEvent): number => ((wallOf(event.start) % DAY) + DAY) % DAY;
    const usualClock = clock(usual[1][0]!);
    if (!usual[1].every((event) => clock(event) === usualClock)) continue;
    for (const [, odd] of byZone.slice(1))
      for (const event of odd) {
        const at = instantOf(event.start, zone);
        const by = offsetAt(ownZone(event.start)!, at) - offsetAt(usual[0], at);
        if (clock(event) !== usualClock || by === 0) continue;
        yield finding('wrong-zone', {
          keys: [event.id],
          details: {
            name: event.title,
            other: usual[0],
            at,
            minutes: by / (HOUR / 60),
            count: usual[1].length,
          },
          fix: [{ keys: [event.id], steps: [{ kind: 'zone', zone: usual[0], keeps: 'wall' }] }],
        });
      }
  }
}
