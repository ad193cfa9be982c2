import { useMemo } from 'react';
import { minuteOfInstant, missingMinutes, scaleMinute, wallMinute } from '@/core/layout/hours';
import { type Lane, laneHours, layoutLane, minuteToX, stackLanes, xToMinute } from '@/core/layout/lanes';
import type { Calendar } from '@/core/model/calendar';
import { colleagueOfLane } from '@/core/people/busy/colleagueOccurrences';
import { type Gap, gapsBetween } from '@/core/schedule/load';
import { clockChangeOn } from '@/core/time/clockChange';
import { DAY, MINUTE } from '@/core/time/civil';
import { hoursInZone, patternHours } from '@/core/time/workingPattern';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import type { PlanAddress } from '@/features/workspace';
import { useSettings } from '@/store';
import { hairline } from '@/ui/theme/tokens';
import { useKeptParts } from '@/ui/useKeptParts';
import type { CardOrder } from '../grid/cardOrder';
import type { GridView } from '../grid/useGridView';
import { DRAFT_KEY } from '../grid/withDraft';
import type { ShownLane } from './LaneRow';
import {
  CARD,
  GAP,
  HEAD_WIDTH,
  LEAST_CARD,
  LEAST_HEIGHT,
  LEAST_HOUR,
  NARROW_HEAD_WIDTH,
  WHOLE,
} from './laneSizes';

/** A day with its lanes as it is laid out, in pixels. */
export interface LanesLayout {
  readonly subjects: readonly ShownLane[];
  readonly lanes: ReturnType<typeof stackLanes>;
  readonly hours: ReturnType<typeof laneHours>;
  readonly hourWidth: number;
  readonly headWidth: number;
  /** The width of all hours. */
  readonly total: number;
  readonly order: CardOrder;
  /** Times at which none of the lanes is taken. */
  readonly gaps: readonly Gap[];
  /** Minutes that the day has not. */
  readonly missing: ReturnType<typeof missingMinutes>;
  /** How far across a minute of the scale, a wall time or an instant lies; and the wall minute that lies somewhere. */
  readonly toX: (minute: number) => number;
  readonly xOfWall: (wall: number) => number;
  readonly xOfInstant: (instant: number) => number;
  readonly minuteAt: (x: number) => number;
}

/** The lane of a calendar: it takes what is dropped on it. */
const laneOfCalendar = ({ id, name, mark, colour }: Calendar): ShownLane => ({
  id,
  label: name,
  mark,
  colour,
  holds: ({ calendarId }) => calendarId === id,
  accepts: colleagueOfLane(id) === undefined ? { calendarId: id } : {},
});

/** What takes the whole day and cards of each lane in the order in which the keys walk them. */
const orderOf = (lanes: readonly Lane[]): CardOrder => ({
  lists: lanes.map((lane) => [
    ...lane.whole.filter(({ personId }) => !personId).map(({ key }) => key),
    ...[...lane.cards]
      .filter(({ occurrence }) => !occurrence.personId)
      .sort((a, b) => a.left - b.left || a.top - b.top)
      .map(({ occurrence }) => occurrence.key)
      .filter((key) => key !== DRAFT_KEY),
  ]),
  along: 'across',
});

/** Lays out a day with its hours across and a lane for each shown calendar. */
export function useLanesLayout(
  { width, occurrences, answer, now }: GridView,
  { zone, day, hidden, laneMode }: PlanAddress,
  calendars: readonly Calendar[],
): LanesLayout {
  const { workingPattern, homeZone } = useSettings();
  const headWidth = width < 600 ? NARROW_HEAD_WIDTH : HEAD_WIDTH;
  const subjects = useMemo(
    () => calendars.filter(({ id }) => !hidden.includes(id)).map(laneOfCalendar),
    [calendars, hidden],
  );
  const change = useMemo(() => clockChangeOn(zone, day), [zone, day]);
  const made = useMemo(() => {
    // Of the day before, what reaches over midnight belongs to it.
    const pattern = hoursInZone(patternHours(workingPattern), homeZone, zone, day);
    const hours = laneHours(occurrences, day, pattern, change);
    const count = (hours.to - hours.from) / 60;
    const hourWidth = Math.max(LEAST_HOUR, (width - headWidth - 2 * hairline) / count);
    const sizes = {
      hourWidth,
      cardHeight: CARD,
      gap: GAP,
      least: LEAST_CARD,
      leastHeight: LEAST_HEIGHT,
      wholeHeight: WHOLE,
    };
    const lanes = subjects.map((subject) =>
      layoutLane(subject, occurrences, day, hours, laneMode, sizes, change),
    );
    return { hours, hourWidth, lanes: stackLanes(lanes) };
  }, [occurrences, workingPattern, homeZone, zone, day, change, width, headWidth, subjects, laneMode]);
  const { hours, hourWidth, lanes } = useKeptParts(made);
  const order = useMemo(() => orderOf(lanes), [lanes]);
  const gaps = useMemo(() => {
    const instantOf = (minute: number) => wallToInstant(zone, day * DAY + wallMinute(hours, minute) * MINUTE);
    const from = Math.max(now, instantOf(hours.from));
    return gapsBetween(
      answer ? [...answer.occurrences, ...answer.travelling] : [],
      from,
      instantOf(hours.to),
    );
  }, [answer, zone, day, hours, now]);
  const toX = (minute: number) => minuteToX(hours, hourWidth, minute);
  return {
    subjects,
    lanes,
    hours,
    hourWidth,
    headWidth,
    total: toX(hours.to),
    order,
    gaps,
    missing: missingMinutes(hours, change),
    toX,
    xOfWall: (wall) => toX(scaleMinute(hours, (wall - day * DAY) / MINUTE)),
    xOfInstant: (instant) => toX(minuteOfInstant(hours, day, instantToWall(zone, instant), instant, change)),
    minuteAt: (x) => wallMinute(hours, xToMinute(hours, hourWidth, x)),
  };
}
