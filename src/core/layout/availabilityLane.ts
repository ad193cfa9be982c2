import type { BusyKind, BusySpan } from '../model/busyTimes';
import type { WorkingPattern } from '../model/settings';
import { DAY, MINUTE } from '../time/civil';
import type { InstantRange } from '../time/eventTime';
import { workingDay } from '../time/workingPattern';
import { instantToWall, wallToInstant } from '../time/zones';

/** A piece of a lane, in parts of its width from 0 to 1. */
export interface LanePiece {
  readonly left: number;
  readonly width: number;
}

export interface BusyPiece extends LanePiece {
  readonly kind: BusyKind;
  readonly title: string;
  /** Where it begins and ends on the clock of who looks: wall times. */
  readonly startWall: number;
  readonly endWall: number;
}

/** Whose time a lane shows. */
export interface LaneOwner {
  readonly zone: string;
  readonly workingPattern: WorkingPattern;
  readonly busy: readonly BusySpan[];
  /** The time that it is known for; nothing is known without. */
  readonly known?: InstantRange | undefined;
}

/** Somebody's day across some hours: when they work, what takes their time, and what is not known of it. */
export interface AvailabilityLane {
  readonly working: readonly LanePiece[];
  readonly busy: readonly BusyPiece[];
  readonly unknown: readonly LanePiece[];
}

/**
 * Lays out the day of somebody as it lies on the clock of who looks.
 * @param day a day number in the zone
 * @param hours minutes of the zone's clock that are drawn
 */
export function availabilityLane(
  owner: LaneOwner,
  day: number,
  zone: string,
  hours: { readonly from: number; readonly to: number },
): AvailabilityLane {
  const whole = (hours.to - hours.from) * MINUTE;
  const begin = day * DAY + hours.from * MINUTE;
  const pieceOf = (start: number, end: number): LanePiece | undefined => {
    const from = Math.max(0, instantToWall(zone, start) - begin);
    const to = Math.min(whole, instantToWall(zone, end) - begin);
    return to > from ? { left: from / whole, width: (to - from) / whole } : undefined;
  };
  const seen = {
    start: wallToInstant(zone, begin),
    end: wallToInstant(zone, begin + whole),
  };
  const first = Math.floor(instantToWall(owner.zone, seen.start) / DAY);
  const last = Math.floor(instantToWall(owner.zone, seen.end) / DAY);
  const working: LanePiece[] = [];
  for (let own = first; own <= last; own++)
    for (const { from, to } of workingDay(owner.workingPattern, own).spans) {
      const piece = pieceOf(
        wallToInstant(owner.zone, own * DAY + from * MINUTE),
        wallToInstant(owner.zone, own * DAY + to * MINUTE),
      );
      if (piece) working.push(piece);
    }
  const busy = owner.busy.flatMap(({ start, end, kind, title }): BusyPiece[] => {
    const piece = pieceOf(start, end);
    return piece
      ? [
          {
            ...piece,
            kind,
            title: title ?? '',
            startWall: instantToWall(zone, start),
            endWall: instantToWall(zone, end),
          },
        ]
      : [];
  });
  const { known } = owner;
  const gaps = known
    ? [
        { start: seen.start, end: Math.min(seen.end, known.start) },
        { start: Math.max(seen.start, known.end), end: seen.end },
      ]
    : [seen];
  const unknown = gaps.flatMap(({ start, end }) => (end > start ? (pieceOf(start, end) ?? []) : []));
  return { working, busy, unknown };
}
