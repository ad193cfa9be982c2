import type { QuietTimes, WorkingPattern } from '../model/settings';
import { DAY, MINUTE } from '../time/civil';
import { workingDay } from '../time/workingPattern';
import { instantToWall, wallToInstant } from '../time/zones';

/** How many days are looked through for a time that is not quiet. */
const MOST_DAYS = 60;

/** Minutes of a day that are not quiet, half-open, in order. */
function openSpans(day: number, quiet: QuietTimes, pattern: WorkingPattern): { from: number; to: number }[] {
  const { from, to } = quiet.hours ?? { from: 0, to: 0 };
  const awake =
    from === to
      ? [{ from: 0, to: 1440 }]
      : from < to
        ? [
            { from: 0, to: from },
            { from: to, to: 1440 },
          ]
        : [{ from: to, to: from }];
  if (!quiet.onlyWorkingHours) return awake;
  return workingDay(pattern, day).spans.flatMap((span) =>
    awake
      .map((each) => ({ from: Math.max(each.from, span.from), to: Math.min(each.to, span.to) }))
      .filter((each) => each.from < each.to),
  );
}

/**
 * When something may be said that is due at an instant: then, or as soon as the quiet time is over in which it falls. Where
 * no other time comes within two months, then.
 * @param calendarId whose reminder it is: some calendars are heard at any time
 */
export function heardAt(
  due: number,
  calendarId: string,
  quiet: QuietTimes | undefined,
  pattern: WorkingPattern,
  zone: string,
): number {
  if (!quiet || quiet.exceptCalendarIds.includes(calendarId)) return due;
  const wall = instantToWall(zone, due);
  const today = Math.floor(wall / DAY);
  for (let day = today; day < today + MOST_DAYS; day++)
    for (const { from, to } of openSpans(day, quiet, pattern)) {
      if (day * DAY + to * MINUTE <= wall) continue;
      const opens = day * DAY + from * MINUTE;
      return opens <= wall ? due : wallToInstant(zone, opens);
    }
  return due;
}
