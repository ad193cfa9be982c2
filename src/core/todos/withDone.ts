import { markOccurrences } from '../schedule/markOccurrences';
import type { Occurrence } from '../schedule/occurrence';

const mark = markOccurrences('isDone');

/** Occurrences, of which those that are time for a to-do that is over are marked so. */
export const withDone = (
  occurrences: readonly Occurrence[],
  over: ReadonlySet<string>,
): readonly Occurrence[] => mark(occurrences, ({ tie }) => tie !== undefined && over.has(tie));
