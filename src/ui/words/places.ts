import type { TravelReason } from '@/core/places/travelMinutes';
import { plural } from './plural';

const entries = (count: number): string => plural(count, 'entry', 'entries');
/** Under ten kilometres to a tenth. */
const kilometres = (length: number): string =>
  `${length < 10 ? Math.round(length * 10) / 10 : Math.round(length)} km`;

/** Words about places. */
export const placeWords = {
  known: 'Known places',
  map: 'Open in the map program',
  take: (name: string, count: number) => `${name}, in ${entries(count)}`,
  open: (name: string) => `Open ${name}`,
  entries: (count: number) => `in ${entries(count)}`,
  seats: (seats: number) => plural(seats, 'seat'),
  used: (count: number) =>
    count === 0 ? 'No entry names this place any more.' : `Named by ${entries(count)}; a series counts once.`,
  located: 'on the map',
  nowhere: 'Where it is on earth, no entry says: a calendar file can (GEO).',
  all: 'All entries with this place',
  held: {
    next: 'Next here',
    last: 'Last here',
    nothing: 'Nothing is held here in the year before or after today.',
  },
  learned:
    'Learned from what your entries name. Written with an address after its name (“Lamp works, Quay 4”), a place has that address.',
  noneYet: 'No entry names a place yet.',
  find: 'Find a place',
  noneFound: 'No place is called so.',
  more: (count: number) => `Show ${count} more`,
  drawn: {
    label: (name: string, others: readonly string[]) =>
      others.length === 0 ? `Map about ${name}` : `Map about ${name}, with ${others.join(', ')}`,
    made: 'Outlines of land alone, from open data that ships with the application (Natural Earth).',
    failed: 'The outlines could not be fetched.',
    kilometres,
  },
  travel: {
    proposed: 'Ways that are known',
    length: (there: number, back: number) =>
      there === back
        ? `${there} min each way`
        : back === 0
          ? `${there} min there`
          : `${there} min there, ${back} back`,
    reason: (reason: TravelReason, speed: number) =>
      reason.kind === 'distance'
        ? `a guess: ${kilometres(reason.kilometres)} straight from ${reason.from}, by road at ${speed} km/h`
        : reason.from === undefined
          ? `as in ${entries(reason.count)} here`
          : `as in ${entries(reason.count)} here after ${reason.from}`,
  },
} as const;
