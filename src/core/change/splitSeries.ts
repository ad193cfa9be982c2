import type { Dated } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { expandRule, LAST_WALL } from '../recurrence/expandRule';
import { endAfter, rangeChangeAt, rangeChanges } from '../recurrence/occurrenceShape';
import { explicitRule, formatRule, type RecurrenceRule } from '../recurrence/rule';
import { readRules, Series } from '../recurrence/series';
import { dateString, DAY, localString } from '../time/civil';
import { atWall, wallOf, zoneOf } from '../time/eventTime';
import { shiftSeries } from './carrySeries';
import { isRefusal, type Refusal } from './shift';

/** A series cut in two: what comes before an occurrence, and what begins with it. */
export interface SplitSeries {
  /** Undefined if nothing comes before. */
  readonly earlier: Dated | undefined;
  /** A series of its own; an event without recurrence if only one date is left. */
  readonly later: Dated;
  /** The changed occurrences that go along with the later part. */
  readonly laterOverrides: readonly Dated[];
}

/** Dates that are compared to be sure that a split changed none. */
const COMPARED = 150;

/** The end of a rule after its last date before a split: COUNT where it has one, else UNTIL as the start is written. */
function endRule(rule: RecurrenceRule, before: readonly number[], start: EventTime): RecurrenceRule {
  if (rule.count !== undefined) return { ...rule, count: before.length };
  const last = before.at(-1)!;
  return {
    ...rule,
    until:
      start.kind === 'date'
        ? { kind: 'date', value: dateString(Math.floor(last / DAY)) }
        : { kind: 'local', value: localString(last) },
  };
}

interface RulePart {
  readonly rule: RecurrenceRule;
  readonly before: readonly number[];
  /** Its first date from the split on. */
  readonly next: number | undefined;
}

function rulePart(
  rule: RecurrenceRule,
  before: readonly number[],
  series: Series,
  wall: number,
  zone: string,
): RulePart {
  const { count } = rule;
  if (count !== undefined && before.length >= count) return { rule, before, next: undefined };
  const start = wallOf(series.event.start);
  const endless = { ...rule, count: undefined, until: undefined };
  const until = series.untilOf(rule, zone);
  const [next] = expandRule(endless, start, { start: Math.max(wall, start), end: LAST_WALL }, until, 1);
  return { rule, before, next };
}

/** The rule of a part as it stands in the later series, which starts at another wall time. */
function laterRule({ rule, before, next }: RulePart, start: number, laterStart: number): RecurrenceRule {
  const explicit = explicitRule(rule, start, laterStart);
  if (rule.count === undefined) return explicit;
  // The start counts as the first date of every rule, also of one that does not make it.
  return { ...explicit, count: rule.count - before.length + (next === laterStart ? 0 : 1) };
}

/**
 * Cuts a series before the occurrence of an original start: UNTIL and COUNT are divided, exceptions, further dates and
 * changed occurrences go with their half. The dates of both halves are those of the whole.
 *
 * @param overrides the changed occurrences of the series
 * @param ids of the later half
 * @returns a refusal where no rule of the standard says the later dates by themselves
 */
export function splitSeries(
  event: Dated,
  overrides: readonly Dated[],
  wall: number,
  ids: { id: string; uid: string },
  viewZone: string,
): SplitSeries | { refused: Refusal } {
  const series = new Series(event);
  const zone = zoneOf(event.start, viewZone);
  const start = wallOf(event.start);
  const recurrence = event.recurrence;
  if (!recurrence) return { refused: 'rule-not-divisible' };
  const { rules, unreadable } = readRules(recurrence.rules);
  const dates = series.ruleDatesBefore(wall, zone);
  if (unreadable.length > 0 || series.isDense) return { refused: 'unreadable-rule' };
  const wallIn = (time: EventTime) => series.wallOfRecurrenceId(time, zone);
  const further = [...recurrence.dates, ...(recurrence.periods ?? []).map((period) => period.start)];
  const isFirst = wall <= start && further.every((time) => wallIn(time) >= wall);
  const laterOverrides = overrides
    .filter((override) => override.recurrenceId && wallIn(override.recurrenceId) >= wall)
    .map((override) => ({ ...override, seriesId: ids.id, uid: ids.uid }));
  if (isFirst) return { earlier: undefined, later: { ...event, ...ids }, laterOverrides };

  const parts = rules.map((rule, index) => rulePart(rule, dates[index]!, series, wall, zone));
  const going = parts.filter((part) => part.next !== undefined);
  const furtherLater = further.map(wallIn).filter((at) => at >= wall);
  const laterStart = Math.min(...(going.length > 0 ? going.map((part) => part.next!) : furtherLater));
  if (!Number.isFinite(laterStart)) return { refused: 'rule-not-divisible' };

  const halves = <Time>(times: readonly Time[], of: (time: Time) => EventTime) => ({
    before: times.filter((time) => wallIn(of(time)) < wall),
    after: times.filter((time) => wallIn(of(time)) >= wall),
  });
  const own = (time: EventTime) => time;
  const furtherDates = halves(recurrence.dates, own);
  const exceptions = halves(recurrence.exceptionDates, own);
  const periods = recurrence.periods && halves(recurrence.periods, (period) => period.start);
  const skip = recurrence.skipDaysOff && { skipDaysOff: recurrence.skipDaysOff };
  const earlier: Dated = {
    ...event,
    recurrence: {
      // A rule whose dates all lie before stays as it is written.
      rules: parts.map((part, index) =>
        part.next === undefined
          ? recurrence.rules[index]!
          : formatRule(endRule(part.rule, part.before, event.start)),
      ),
      dates: furtherDates.before,
      exceptionDates: exceptions.before,
      ...(periods ? { periods: periods.before } : {}),
      ...skip,
    },
  };
  const laterTime = atWall(event.start, laterStart);
  const isSingle = going.length === 0 && furtherLater.length === 1 && (periods?.after.length ?? 0) === 0;
  const { recurrence: _, ...single } = event;
  const later: Dated = {
    ...single,
    ...ids,
    start: laterTime,
    end: endAfter(event, laterTime, viewZone),
    ...(isSingle
      ? {}
      : {
          recurrence: {
            rules: going.map((part) => formatRule(laterRule(part, start, laterStart))),
            dates: furtherDates.after,
            exceptionDates: exceptions.after,
            ...(periods ? { periods: periods.after } : {}),
            ...skip,
          },
        }),
  };
  if (!sameDates(series, later, wall, zone)) return { refused: 'rule-not-divisible' };
  return governed({ earlier, later, laterOverrides }, event, overrides, wall, viewZone);
}

/** Whether the later half makes the dates that the whole makes from the split on. */
function sameDates(whole: Series, later: Dated, wall: number, zone: string): boolean {
  const walls = (series: Series) => series.next(wall, COMPARED, zone).map((date) => date.wall);
  return walls(whole).join() === walls(new Series(later)).join();
}

/** The later half with the fields and the time of a change that held for later occurrences at the split. */
function governed(
  split: SplitSeries,
  event: Dated,
  overrides: readonly Dated[],
  wall: number,
  viewZone: string,
): SplitSeries | { refused: Refusal } {
  const range = rangeChangeAt(rangeChanges(new Series(event), overrides, viewZone), wall);
  if (!range) return split;
  const { start, end } = range.event;
  const sameClock =
    start.kind === event.start.kind &&
    (start.kind !== 'zoned' || event.start.kind !== 'zoned' || start.zone === event.start.zone);
  if (!sameClock) return { refused: 'rule-not-divisible' };
  const by = wallOf(start) - range.wall;
  const { recurrence, id, uid, created } = split.later;
  const moved = shiftSeries(split.later, by, viewZone);
  if (isRefusal(moved)) return { refused: moved };
  const { seriesId: _, recurrenceId: __, recurrenceRange: ___, ...fields } = range.event;
  const later: Dated = {
    ...fields,
    id,
    uid,
    created,
    start: moved.start,
    end: endAfter({ ...fields, start, end }, moved.start, viewZone),
    ...(recurrence ? { recurrence: moved.recurrence } : {}),
  };
  const laterOverrides = split.laterOverrides.map((override) => ({
    ...override,
    recurrenceId: override.recurrenceId && atWall(override.recurrenceId, wallOf(override.recurrenceId) + by),
  }));
  return { ...split, later, laterOverrides };
}
