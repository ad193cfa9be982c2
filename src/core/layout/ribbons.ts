import { daysOf, type Occurrence } from '../schedule/occurrence';

/** A ribbon above the hours: which of the shown days it covers, half-open, and in which row it lies. */
export interface Ribbon {
  readonly occurrence: Occurrence;
  readonly row: number;
  readonly from: number;
  readonly to: number;
  /** Whether it goes on before or after the shown days. */
  readonly continuesBefore: boolean;
  readonly continuesAfter: boolean;
}

/**
 * Ribbons over the shown days, each in the first row that is free for it, longer ones first.
 * @param days the shown day numbers, ascending; a view without weekends leaves some out
 */
export function layoutRibbons(occurrences: readonly Occurrence[], days: readonly number[]): Ribbon[] {
  const spans = occurrences
    .map((occurrence) => {
      const { first, end } = daysOf(occurrence);
      const from = days.findIndex((day) => day >= first && day < end);
      const to = days.findLastIndex((day) => day >= first && day < end) + 1;
      return {
        occurrence,
        from,
        to,
        continuesBefore: first < (days[from] ?? 0),
        continuesAfter: end - 1 > (days[to - 1] ?? 0),
      };
    })
    .filter((span) => span.from !== -1)
    .sort(
      (a, b) =>
        a.from - b.from ||
        b.to - b.from - (a.to - a.from) ||
        a.occurrence.start - b.occurrence.start ||
        (a.occurrence.key < b.occurrence.key ? -1 : 1),
    );
  const rowEnds: number[] = [];
  return spans.map((span) => {
    const free = rowEnds.findIndex((end) => end <= span.from);
    const row = free === -1 ? rowEnds.length : free;
    rowEnds[row] = span.to;
    return { ...span, row };
  });
}
