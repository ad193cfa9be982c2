import type { BusyKind, BusyTimes } from '../../model/busyTimes';
import type { WorkingPattern } from '../../model/settings';
import { DAY, MINUTE } from '../../time/civil';
import { workingDay } from '../../time/workingPattern';
import { instantToWall, wallToInstant } from '../../time/zones';

/** What somebody is at now, as far as it is known, and until when: an instant. */
export interface StateNow {
  readonly kind: BusyKind | 'free' | 'not-working' | 'unknown';
  readonly until?: number;
  readonly title?: string;
}

/** What somebody is at at an instant: not at work outside their hours, else what takes their time, else free. */
export function stateNow(
  { zone, workingPattern }: { readonly zone: string; readonly workingPattern?: WorkingPattern | undefined },
  times: BusyTimes | undefined,
  now: number,
): StateNow {
  const taken = times?.spans.find(({ start, end }) => start <= now && end > now);
  if (taken)
    return {
      kind: taken.kind,
      until: taken.end,
      ...(taken.title === undefined ? {} : { title: taken.title }),
    };
  let until = Infinity;
  if (workingPattern) {
    const wall = instantToWall(zone, now);
    const day = Math.floor(wall / DAY);
    const minute = (wall - day * DAY) / MINUTE;
    const span = workingDay(workingPattern, day).spans.find(({ from, to }) => from <= minute && to > minute);
    if (!span) return { kind: 'not-working' };
    until = wallToInstant(zone, day * DAY + span.to * MINUTE);
  }
  if (!times || now < times.from || now >= times.until) return { kind: 'unknown' };
  const next = times.spans.find(({ start }) => start > now)?.start ?? Infinity;
  const end = Math.min(until, next, times.until);
  return { kind: 'free', until: end };
}
