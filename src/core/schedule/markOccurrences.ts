import type { Occurrence } from './occurrence';

/** What is known of an occurrence beside its entry. */
type Flag = 'isDone' | 'isRough';

/**
 * Marks occurrences: those of which something is true are the same but for the mark, and the same ones for as long as they
 * are, so that nothing is drawn anew. The same list where it is true of none.
 */
export function markOccurrences(flag: Flag) {
  const made = new WeakMap<Occurrence, Occurrence>();
  const mark = (occurrence: Occurrence): Occurrence => {
    let marked = made.get(occurrence);
    if (!marked) made.set(occurrence, (marked = { ...occurrence, [flag]: true }));
    return marked;
  };
  return (
    occurrences: readonly Occurrence[],
    isTrue: (occurrence: Occurrence) => boolean,
  ): readonly Occurrence[] =>
    occurrences.some(isTrue) ? occurrences.map((each) => (isTrue(each) ? mark(each) : each)) : occurrences;
}
