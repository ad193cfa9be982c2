import { fieldsOf, valueOf, withValues } from '../fields/fieldsOf';
import type { Dated, Recurrence } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { formatRule, parseRule } from '../recurrence/rule';
import { readRule } from '../recurrence/choices';
import { ruleAtStart } from '../recurrence/ruleAtStart';
import { Series } from '../recurrence/series';
import { DAY } from '../time/civil';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import { carrySeries } from './carrySeries';
import { isRefusal, type Refusal } from './shift';

const dayOf = (time: EventTime): number => Math.floor(wallOf(time) / DAY);
const isDate = (time: EventTime): boolean => time.kind === 'date';

/** Whether two times are read on one clock: of one kind, and in one zone. */
const sameClock = (a: EventTime, b: EventTime): boolean =>
  a.kind === b.kind && (a.kind !== 'zoned' || b.kind !== 'zoned' || a.zone === b.zone);

/** The length in milliseconds: exact for zoned times, nominal for dates and floating ones. */
const lengthOf = ({ start, end }: Pick<Dated, 'start' | 'end'>, viewZone: string): number =>
  start.kind === 'zoned'
    ? instantOf(end, viewZone) - instantOf(start, viewZone)
    : wallOf(end) - wallOf(start);

export const sameValue = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The fields in which one entry differs from another of its kind, with the values of the first. */
export function differingFields(entry: Dated, from: Dated): Readonly<Record<string, unknown>> {
  const names = fieldsOf(entry.kind).shared.filter(
    (name) => !sameValue(valueOf(entry, name), valueOf(from, name)),
  );
  return Object.fromEntries(names.map((name) => [name, valueOf(entry, name)]));
}

/** An edit of one occurrence: what was shown, and what was made of it. */
export interface OccurrenceEdit {
  readonly shown: Dated;
  readonly edited: Dated;
  /** How it is to repeat from now on, if that was edited, written for the start of `edited`. */
  readonly repeat?: Repeat | undefined;
}

/** An edit of how a series repeats: not at all, by other rules, or by those that it has with other days off. */
export interface Repeat {
  readonly recurrence: Recurrence | undefined;
  readonly changesRules: boolean;
}

/** The start and end of a series one of whose occurrences was moved, stretched, or put on another clock. */
export function timesLike(
  series: Dated,
  { shown, edited }: OccurrenceEdit,
  viewZone: string,
): { start: EventTime; end: EventTime } {
  const clock = sameClock(shown.start, edited.start) ? series.start : edited.start;
  const keepsKind = isDate(shown.start) === isDate(edited.start) && isDate(series.start) === isDate(clock);
  const time = wallOf(edited.start) - dayOf(edited.start) * DAY;
  const start = atWall(
    clock,
    keepsKind
      ? wallOf(series.start) + wallOf(edited.start) - wallOf(shown.start)
      : (dayOf(series.start) + dayOf(edited.start) - dayOf(shown.start)) * DAY + time,
  );
  const endClock = keepsKind && sameClock(shown.end, edited.end) ? series.end : edited.end;
  const keepsLength = keepsKind && lengthOf(shown, viewZone) === lengthOf(edited, viewZone);
  const length = lengthOf(keepsLength ? series : edited, viewZone);
  const end =
    start.kind === 'zoned'
      ? atInstant(endClock, instantOf(start, viewZone) + length, viewZone)
      : atWall(endClock, wallOf(start) + length);
  return { start, end };
}

/** A series with the rules that were chosen while looking at one of its dates. */
function withRules(
  series: Dated,
  recurrence: Recurrence,
  lookedAt: EventTime,
  countsFrom: Dated | undefined,
  viewZone: string,
): Dated {
  const start = wallOf(series.start);
  const dates = series.recurrence ?? { dates: [], exceptionDates: [] };
  const from = dayOf(lookedAt) * DAY + start - dayOf(series.start) * DAY;
  const [only] = recurrence.rules;
  if (recurrence.rules.length !== 1 || !readRule(only!))
    return { ...series, recurrence: { ...dates, rules: recurrence.rules } };
  const at = ruleAtStart(only!, from, start);
  const rule = countsFrom ? withoutCounted(at.rule, countsFrom, at.start, viewZone) : at.rule;
  const moved = atWall(series.start, at.start);
  const length = lengthOf(series, viewZone);
  const end =
    moved.kind === 'zoned'
      ? atInstant(series.end, instantOf(moved, viewZone) + length, viewZone)
      : atWall(series.end, wallOf(moved) + length);
  return { ...series, start: moved, end, recurrence: { ...dates, rules: [rule] } };
}

/** A rule with COUNT, less the dates that the whole series makes before the later half begins. */
function withoutCounted(text: string, whole: Dated, start: number, viewZone: string): string {
  const rule = parseRule(text);
  if (rule.count === undefined) return text;
  const [before = []] = new Series(whole).ruleDatesBefore(start, viewZone);
  return formatRule({ ...rule, count: Math.max(1, rule.count - before.length) });
}

/**
 * A series after one of its occurrences was edited for every one: it takes the fields that the edit changed, moves by as
 * much as the occurrence did with its dates left out and further dates, and repeats as was chosen. A rule that was chosen
 * while looking at a later date makes the dates from there on that were shown; the series then begins with the first of
 * its dates that is not before its old start.
 *
 * @param whole for the later half of a series: the whole as it would be with the same edit, from which COUNT counts
 * @returns a refusal where a rule that stays names days that can't move
 */
export function seriesLike(
  series: Dated,
  edit: OccurrenceEdit,
  viewZone: string,
  whole?: Dated,
): Dated | Refusal {
  const { shown, edited, repeat } = edit;
  const fields = differingFields(edited, shown);
  if (repeat && !repeat.recurrence) {
    const { recurrence: _, ...single } = series;
    const { start, end } = edited;
    return withValues(single, { ...differingFields(edited, series), start, end });
  }
  const { start, end } = timesLike(series, edit, viewZone);
  const chosen = repeat?.changesRules ? repeat.recurrence : undefined;
  const from =
    chosen && series.recurrence ? { ...series, recurrence: { ...series.recurrence, rules: [] } } : series;
  const moved = carrySeries(from, start, viewZone);
  if (isRefusal(moved)) return moved;
  const timed = withValues(moved, { ...fields, start, end });
  const ruled = chosen ? withRules(timed, chosen, edited.start, whole, viewZone) : timed;
  return repeat?.recurrence ? skipping(ruled, repeat.recurrence.skipDaysOff) : ruled;
}

function skipping(series: Dated, skipDaysOff: Recurrence['skipDaysOff']): Dated {
  if (!series.recurrence) return series;
  const { skipDaysOff: _, ...others } = series.recurrence;
  return { ...series, recurrence: { ...others, ...(skipDaysOff ? { skipDaysOff } : {}) } };
}
