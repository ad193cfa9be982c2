import type { Invitation } from '../../model/invitation';
import { plainAddress } from '../../model/emailAddress';
import { DAY } from '../../time/civil';

/** How promptly somebody answers, by what they were invited to so far. */
export interface Promptness {
  /** To how many invitations they have answered, and to how many not yet. */
  readonly answered: number;
  readonly silent: number;
  /** How long they took, in milliseconds: half of their answers took no longer. Undefined before the first. */
  readonly median: number | undefined;
}

/** So much later than this somebody answers late, in milliseconds. */
export const LATE = DAY;

/**
 * How promptly somebody answers. What they took is counted from the last time that they were told; an invitation that was called off
 * counts for nothing.
 * @param addresses all at which they are invited
 */
export function promptnessOf(invitations: Iterable<Invitation>, addresses: readonly string[]): Promptness {
  const own = new Set(addresses.map(plainAddress));
  const took: number[] = [];
  let silent = 0;
  for (const { role, isCancelled, toldTo, answers, toldAt = {} } of invitations) {
    if (role !== 'organizer' || isCancelled) continue;
    for (const address of Object.keys(toldTo).filter((each) => own.has(each))) {
      const last = answers.findLast((answer) => answer.address === address && !answer.isOutdated);
      const told = toldAt[address];
      if (!last) silent++;
      else if (told !== undefined) took.push(Math.max(0, last.at - told));
    }
  }
  took.sort((a, b) => a - b);
  return { answered: took.length, silent, median: took[Math.floor((took.length - 1) / 2)] };
}
