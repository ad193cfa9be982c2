import type { Occurrence } from '../schedule/occurrence';

/** The same occurrence for as long as it is the same, so that nothing is drawn anew. */
const made = new WeakMap<Occurrence, Occurrence>();

function done(occurrence: Occurrence): Occurrence {
  let marked = made.get(occurrence);
  if (!marked) made.set(occurrence, (marked = { ...occurrence, isDone: true }));
  return marked;
}

/** Occurrences, of which those that are time for a to-do that is over are marked so; the same list where none is. */
export const withDone = (
  occurrences: readonly Occurrence[],
  over: ReadonlySet<string>,
): readonly Occurrence[] =>
  occurrences.some(({ tie }) => tie !== undefined && over.has(tie))
    ? occurrences.map((each) => (each.tie !== undefined && over.has(each.tie) ? done(each) : each))
    : occurrences;
