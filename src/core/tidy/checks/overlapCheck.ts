import type { Occurrence } from '../../schedule/occurrence';
import { DAY, MINUTE } from '../../time/civil';
import { type Check, finding } from './check';
import type { Finding } from './finding';
import type { Touched } from './groups';

/** Two entries that take the same time, in all their occurrences to come. */
interface Overlap {
  /** Where they meet first: the one that is there, and the one that begins meanwhile. */
  one: Occurrence;
  other: Occurrence;
  minutes: number;
  count: number;
}

/** Busy time that is taken twice from now on: once for each two entries, with the hours lost. */
export const overlaps: Check = (checked) => {
  const found = new Map<
    string,
    { readonly one: string; readonly other: string; readonly finding: Finding }
  >();
  const follow = function* (touched: Touched<unknown>): Iterable<Finding> {
    for (const [id, { one, other }] of found) if (touched.has(one) || touched.has(other)) found.delete(id);
    for (const [id, { one, other, minutes, count }] of overlapsOf(checked.comingTaking, touched))
      found.set(id, {
        one: one.entryId,
        other: other.entryId,
        finding: finding('overlap', {
          keys: [one.key, other.key],
          details: { name: one.title, other: other.title, minutes, count, at: other.start },
        }),
      });
    for (const each of found.values()) yield each.finding;
  };
  return follow;
};

/**
 * The overlaps of some entries with all others, by the ids of both.
 * @param taking by their starts, each shorter than a day
 */
function overlapsOf(
  taking: readonly Occurrence[],
  entryIds: Pick<ReadonlySet<string>, 'has'>,
): Map<string, Overlap> {
  const pairs = new Map<string, Overlap>();
  const note = (one: Occurrence, other: Occurrence): void => {
    if (one.entryId === other.entryId || one.end <= other.start) return;
    const id =
      one.entryId < other.entryId ? `${one.entryId} ${other.entryId}` : `${other.entryId} ${one.entryId}`;
    const minutes = (Math.min(one.end, other.end) - other.start) / MINUTE;
    const known = pairs.get(id);
    if (!known) pairs.set(id, { one, other, minutes, count: 1 });
    else {
      known.minutes += minutes;
      known.count++;
      if (isBefore({ one, other }, known)) Object.assign(known, { one, other });
    }
  };
  for (let at = 0; at < taking.length; at++) {
    const each = taking[at]!;
    if (!entryIds.has(each.entryId)) continue;
    for (let before = at - 1; before >= 0; before--) {
      const one = taking[before]!;
      if (one.start <= each.start - DAY) break;
      note(one, each);
    }
    for (let after = at + 1; after < taking.length; after++) {
      const other = taking[after]!;
      if (other.start >= each.end) break;
      // Where both are looked at, the later one has told it.
      if (!entryIds.has(other.entryId)) note(each, other);
    }
  }
  return pairs;
}

type Meeting = Pick<Overlap, 'one' | 'other'>;

const isBefore = (a: Meeting, b: Meeting): boolean =>
  a.other.start !== b.other.start
    ? a.other.start < b.other.start
    : a.other.key !== b.other.key
      ? a.other.key < b.other.key
      : a.one.key < b.one.key;
