import type { BusySpan, BusyTimes } from '../../model/busyTimes';
import type { WorkingPattern } from '../../model/settings';
import { type InstantRange, rangesOverlap } from '../../time/eventTime';
import { type StateNow, stateNow } from './stateNow';

/** Somebody's time, as far as it is known. */
export interface Attending {
  readonly id: string;
  readonly zone: string;
  readonly workingPattern: WorkingPattern;
  readonly busy: readonly BusySpan[];
  /** The range that their times are known for; undefined where nothing is known. */
  readonly known?: InstantRange | undefined;
}

/** Why somebody can't be at a time, or may not be. */
export interface Hindrance {
  readonly id: string;
  readonly state: StateNow;
}

const GRAVITY: Readonly<Record<BusySpan['kind'], number>> = { away: 3, busy: 2, tentative: 1 };

function hindranceOf(
  { zone, workingPattern, busy, known }: Attending,
  range: InstantRange,
): StateNow | undefined {
  const [taken] = busy
    .filter((span) => rangesOverlap(span, range))
    .sort((a, b) => GRAVITY[b.kind] - GRAVITY[a.kind] || a.start - b.start);
  if (taken)
    return {
      kind: taken.kind,
      until: taken.end,
      ...(taken.title === undefined ? {} : { title: taken.title }),
    };
  const times: BusyTimes | undefined = known && {
    id: '',
    readAt: 0,
    from: known.start,
    until: known.end,
    depth: 'busy',
    spans: [],
  };
  // Nothing is taken: who works at its start and at its end works all of it, or has a break that it lies over.
  return [range.start, range.end - 1]
    .map((instant) => stateNow({ zone, workingPattern }, times, instant))
    .find(({ kind }) => kind !== 'free');
}

/** Who can't be at a time, or may not be, and why, in the order in which they are given. */
export const whoCant = (people: readonly Attending[], range: InstantRange): Hindrance[] =>
  people.flatMap((person) => {
    const state = hindranceOf(person, range);
    return state ? [{ id: person.id, state }] : [];
  });
