import type { Occurrence } from './occurrence';
import { busyKindOf } from './standing';

/** What is on now, and what comes next. */
export interface ComingUp {
  /** By their ends: what is over first comes first. */
  readonly isOn: readonly Occurrence[];
  /** The first that is still to begin. */
  readonly next: Occurrence | undefined;
}

/** What of some occurrences is on at an instant, and what begins next: timed ones that one has to be at, perhaps. */
export function comingUp(occurrences: readonly Occurrence[], now: number): ComingUp {
  const timed = occurrences.filter(
    (occurrence) => !occurrence.allDay && busyKindOf(occurrence) !== undefined,
  );
  const isOn = timed.filter(({ start, end }) => start <= now && end > now).sort((a, b) => a.end - b.end);
  const next = timed.reduce<Occurrence | undefined>(
    (first, each) =>
      each.start > now &&
      (!first || each.start < first.start || (each.start === first.start && each.key < first.key))
        ? each
        : first,
    undefined,
  );
  return { isOn, next };
}
