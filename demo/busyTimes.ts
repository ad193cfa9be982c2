import type { BusyDepth, BusyKind, BusySpan } from '@/core/model/busyTimes';
import type { Person } from '@/core/model/person';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DIRECTORY_BUSY } from '@/core/people/directory';
import { OccurrenceIndex } from '@/core/schedule/occurrenceIndex';
import { DAY, MINUTE } from '@/core/time/civil';
import type { InstantRange } from '@/core/time/eventTime';
import { workingDay } from '@/core/time/workingPattern';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import { makeDemo } from './makeDemo';
import { people } from './people';
import { Chance } from './random';
import { plainAddress } from '@/core/model/emailAddress';

/** How much each lets be seen of their time; rooms say who holds them. */
const DEPTHS: Readonly<Record<string, BusyDepth>> = {
  'Tobias Rask': 'titles',
  'Salma Wray': 'busy',
  'Oona Pell': 'everything',
  'Marek Dunne': 'busy',
  'Ines Falk': 'titles',
  'Dev Arlen': 'everything',
};
export const depthOf = ({ name, kind }: Pick<Person, 'name' | 'kind'>): BusyDepth =>
  kind === 'room' ? 'titles' : (DEPTHS[name] ?? 'busy');

interface Habit {
  readonly title: string;
  readonly minutes: readonly number[];
  readonly kind?: BusyKind;
}
const HABITS: readonly Habit[] = [
  { title: 'Survey notes', minutes: [60, 90, 120] },
  { title: 'Supplier call', minutes: [30, 45] },
  { title: 'One-to-one', minutes: [30] },
  { title: 'Drawings', minutes: [60, 120] },
  { title: 'Workshop', minutes: [90, 120] },
  { title: 'Stocktaking', minutes: [60] },
  { title: 'Perhaps a visit', minutes: [60, 120], kind: 'tentative' },
];

/** A seed for some words: those that differ in a letter share nothing. */
const seedOf = (words: string): number => {
  let seed = 7;
  for (const letter of words) {
    seed = Math.imul(seed ^ letter.charCodeAt(0), 0x5bd1e995);
    seed ^= seed >>> 15;
  }
  return seed;
};

/** What takes the time of somebody on one day: always the same on the same day. */
function ofDay(person: Person, day: number): BusySpan[] {
  const pattern = person.workingPattern;
  const zone = person.zone ?? 'UTC';
  const place = pattern ? workingDay(pattern, day) : undefined;
  const chance = new Chance(seedOf(`${person.id} ${day}`));
  // A room stands open the whole day, and is held now and then.
  const spans = place?.spans ?? [{ from: 9 * 60, to: 17 * 60 }];
  if (spans.length === 0 || (!pattern && new Date(day * DAY).getUTCDay() % 6 === 0)) return [];
  const at = (minute: number): number => wallToInstant(zone, day * DAY + minute * MINUTE);
  if (pattern && chance.percent(4)) {
    const [first, last] = [spans[0]!, spans.at(-1)!];
    return [{ start: at(first.from), end: at(last.to), kind: 'away', title: 'Away' }];
  }
  const busy: BusySpan[] = [];
  for (const { from, to } of spans)
    for (let minute = from; minute < to;) {
      const habit = chance.one(HABITS);
      const length = chance.one(habit.minutes);
      if (minute + length <= to && chance.percent(pattern ? 22 : 15))
        busy.push({
          start: at(minute),
          end: at(minute + length),
          kind: habit.kind ?? 'busy',
          title: pattern ? habit.title : 'Held',
          place: person.place,
        });
      minute += Math.max(30, length);
    }
  return busy;
}

let known: OccurrenceIndex | undefined;
/** The demo's own entries, which the others have in their calendars, too. */
const shared = (): OccurrenceIndex => {
  if (!known) {
    known = new OccurrenceIndex();
    known.load(makeDemo().entries.filter(({ attendees, location }) => attendees ?? location));
  }
  return known;
};

/** Whether somebody is at an occurrence: said yes or perhaps to it, or is the room that it is held in. */
function takesPart(person: Person, occurrence: Occurrence): BusyKind | undefined {
  if (person.kind === 'room') return occurrence.location === person.name ? 'busy' : undefined;
  const own = new Set(person.addresses.map(plainAddress));
  const invited = shared()
    .fieldsOf(occurrence)
    ?.attendees?.find(({ address }) => own.has(plainAddress(address)));
  const answer = String(invited?.parameters.partstat ?? '').toUpperCase();
  if (!invited || answer === 'DECLINED') return undefined;
  return answer === 'ACCEPTED' ? 'busy' : 'tentative';
}

/** The busy times of one of the demo's people or rooms in a range, by their starts. */
export function busyTimesIn(person: Person, range: InstantRange): BusySpan[] {
  const zone = person.zone ?? 'UTC';
  const first = Math.floor(instantToWall(zone, range.start) / DAY);
  const last = Math.floor(instantToWall(zone, range.end) / DAY);
  const spans: BusySpan[] = [];
  for (let day = first; day <= last; day++) spans.push(...ofDay(person, day));
  for (const occurrence of shared().between(range, zone)) {
    const kind =
      occurrence.allDay || occurrence.status === 'cancelled' ? undefined : takesPart(person, occurrence);
    if (kind)
      spans.push({
        start: occurrence.start,
        end: occurrence.end,
        kind,
        title: occurrence.title,
        place: occurrence.location,
      });
  }
  return spans
    .filter(({ start, end }) => end > range.start && start < range.end)
    .sort((a, b) => a.start - b.start || a.end - b.end);
}

/** The demo's people, by the end of the address that their busy times are asked for at. */
export const inDirectory: ReadonlyMap<string, Person> = new Map(
  people.map((person) => [person.busyAddress!.slice(DIRECTORY_BUSY.length), person]),
);
