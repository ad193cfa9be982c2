import type { Dated, DayOffHandling, SkipDaysOff } from '../../model/entry';
import { Series } from '../../recurrence/series';
import type { DayOffLookup } from '../../recurrence/skipDaysOff';
import { DAY } from '../../time/civil';
import { atWall } from '../../time/eventTime';
import type { JCalProperty } from '../../model/jcal';

/** Our property that says that a series skips days off: OMIT, NEXT or PREVIOUS, with the calendar that marks them. */
export const SKIP_PROPERTY = 'x-orderly-week-skip-days-off';
/** Our parameter of the EXDATEs and RDATEs that follow from it, so that whoever reads them back tells them apart. */
const DAY_OFF_PARAMETER = 'x-orderly-week-day-off';

const CALENDAR_ID = 'x-calendar-id';
const CALENDAR_NAME = 'x-calendar-name';
const VALUES: Record<DayOffHandling, string> = { omit: 'OMIT', next: 'NEXT', previous: 'PREVIOUS' };

/** How far ahead the dates on days off are written out, after the later of the start and now. */
const YEARS_AHEAD = 5;

/** What writing a series that skips days off needs to know. */
export interface DaysOffSource {
  readonly calendarName: (calendarId: string) => string | undefined;
  readonly lookup: (calendarId: string) => DayOffLookup;
  /** Instant in milliseconds. */
  readonly now: number;
}

/**
 * The properties of a series that skips days off: what it is set to, and the dates that follow from it for the coming
 * years as EXDATE and RDATE, so that other programs agree. Dates that were changed by themselves are left alone.
 */
export function skipProperties(
  event: Dated,
  overrides: readonly Dated[],
  source: DaysOffSource | undefined,
  timeProperty: (name: string, time: Dated['start']) => JCalProperty,
): JCalProperty[] {
  const skip = event.recurrence?.skipDaysOff;
  if (!skip) return [];
  const name = source?.calendarName(skip.calendarId);
  const parameters = { [CALENDAR_ID]: skip.calendarId, ...(name ? { [CALENDAR_NAME]: name } : {}) };
  const setting: JCalProperty = [SKIP_PROPERTY, parameters, 'unknown', VALUES[skip.handling]];
  if (!source) return [setting];
  const marked = (property: JCalProperty): JCalProperty => {
    const [of, given, type, ...values] = property;
    return [of, { ...given, [DAY_OFF_PARAMETER]: 'TRUE' }, type, ...values];
  };
  const dates = skippedDates(event, overrides, source.lookup(skip.calendarId), source.now);
  return [
    setting,
    ...dates.flatMap(({ left, instead }) => [
      marked(timeProperty('exdate', left)),
      ...(instead ? [marked(timeProperty('rdate', instead))] : []),
    ]),
  ];
}

/** A date of a series that is left out for a day off, and when it is held instead. */
export interface SkippedDate {
  readonly left: Dated['start'];
  readonly instead: Dated['start'] | undefined;
}

/**
 * The dates of the coming years that a series leaves out or moves for days off. Dates that were changed by themselves are left alone.
 * @param now an instant in milliseconds
 */
export function skippedDates(
  event: Dated,
  overrides: readonly Dated[],
  daysOff: DayOffLookup,
  now: number,
): SkippedDate[] {
  const series = new Series(event);
  const zone = event.start.kind === 'zoned' ? event.start.zone : 'UTC';
  const changed = new Set(
    overrides.map((override) =>
      override.recurrenceId ? series.wallOfRecurrenceId(override.recurrenceId, zone) : NaN,
    ),
  );
  const [first] = series.next(-Infinity, 1, zone);
  const window = {
    start: first?.start ?? 0,
    end: Math.max(first?.start ?? 0, now) + YEARS_AHEAD * 366 * DAY,
  };
  return series.between(window, zone).flatMap(({ wall }): SkippedDate[] => {
    if (changed.has(wall)) return [];
    const shown = series.shownWallOf(wall, zone, daysOff);
    if (shown === wall) return [];
    return [
      {
        left: atWall(event.start, wall),
        instead: shown === undefined ? undefined : atWall(event.start, shown),
      },
    ];
  });
}

/** Whether a property follows from days off rather than from the person. */
export const isOfDaysOff = (property: JCalProperty): boolean => DAY_OFF_PARAMETER in property[1];

/**
 * What our property says, for the calendar that it names; undefined if there is no such calendar here. Its id counts
 * before its name.
 */
export function readSkip(
  property: JCalProperty | undefined,
  calendars: readonly { id: string; name: string }[],
): SkipDaysOff | undefined {
  if (!property) return undefined;
  const text = String(property[3]).toUpperCase();
  const handling = (Object.keys(VALUES) as DayOffHandling[]).find((name) => VALUES[name] === text);
  const calendar =
    calendars.find(({ id }) => id === property[1][CALENDAR_ID]) ??
    calendars.find(({ name }) => name === property[1][CALENDAR_NAME]);
  return handling && calendar ? { calendarId: calendar.id, handling } : undefined;
}
