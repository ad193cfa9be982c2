import { type Dated, isTodo, seriesOf } from '../../model/entry';
import { isSettled } from '../../schedule/standing';
import { Series } from '../../recurrence/series';
import { TooManyDatesError } from '../../recurrence/expandRule';
import { shapeAt, rangeChangeAt, rangeChanges } from '../../recurrence/occurrenceShape';
import { DAY, parseDate } from '../../time/civil';
import { wallOf, zoneOf } from '../../time/eventTime';
import { toBin } from '../binChanges';
import { binEntries, binLater } from '../binEntries';
import { copyToCalendar, single } from '../copyEntries';
import { isRefused } from '../eventFields';
import { overridesOf } from '../overrides';
import { remove } from '../patch';
import { isRefusal, type Refusal } from '../shift';
import { daysOffFor, entryAt, isRecurring, masterOf, type Scope, type Target, targetOfKey } from '../target';
import { setDone } from '../todos/todoChanges';
import type { UnitOfWork } from '../unitOfWork';
import { freshVersion } from '../versions';
import { isReadOnly } from '../../model/calendar';
import type { StepOf } from '../../model/batchStep';
import { calendarNamed } from './calendarNamed';

/** The most single entries that one series becomes. */
const MOST_SINGLES = 1000;

/** What a step that makes or takes entries leaves to the steps after it, or why it can't be done. */
export type Left = readonly Target[] | Refusal;

/** Copies a target to a calendar; the steps after it are done to the copy. */
export function copyStep(work: UnitOfWork, target: Target, step: StepOf<'copy'>): Left {
  const calendar = calendarNamed(work.state, step.calendar);
  if (!calendar) return 'calendar-missing';
  if (isReadOnly(calendar)) return 'calendar-closed';
  const { changes } = copyToCalendar(work.state, [target], calendar.id, work.context);
  work.add(changes);
  // A series' changed occurrences follow it.
  const [first] = changes;
  return first ? [{ entryId: first.id }] : 'entry-missing';
}

/** Sets a to-do done, or open again: of a series one of its dates. */
export function doneStep(work: UnitOfWork, target: Target, { isDone }: StepOf<'done'>): Left {
  const { state, context } = work;
  const entry = state.entries.get(target.entryId);
  if (!entry) return 'entry-missing';
  if (!isTodo(entry)) return 'no-todo';
  const shown = entryAt(state, target, context);
  if (shown && isTodo(shown) && isSettled(shown) === isDone) return [target];
  const done = setDone(state, target, isDone, context);
  if (isRefused(done)) return done.refused;
  work.add(done.changes);
  return [done.landed === undefined ? target : targetOfKey(done.landed)];
}

/** Puts a target in the bin: one occurrence, this and later ones, or the whole. */
export function deleteStep(work: UnitOfWork, target: Target, scope: Scope): Left {
  const patch =
    scope === 'later' && isRecurring(work.state, target)
      ? binLater(work.state, target, work.context)
      : binEntries(work.state, [target], scope === 'later' ? 'this' : scope, work.context);
  if (isRefused(patch)) return patch.refused;
  work.add(patch.changes);
  return [];
}

/** Sets a changed occurrence back to its series; one that is as its series stays so. */
export function asSeriesStep(work: UnitOfWork, target: Target): Left {
  const { state, context } = work;
  const override = state.entries.get(target.entryId);
  const master = seriesOf(masterOf(state, target));
  if (!master) return 'no-series';
  if (override?.seriesId === undefined || !override.recurrenceId) return [target];
  const series = new Series(master);
  const wall = series.wallOfRecurrenceId(override.recurrenceId, context.zone);
  work.add([remove('entries', override)]);
  return [{ entryId: master.id, recurrenceKey: series.keyOf(wall) }];
}

/** Ends a series with the last of its occurrences that starts on a day or before it. */
export function endSeriesStep(work: UnitOfWork, target: Target, { last }: StepOf<'end-series'>): Left {
  const { zone } = work.context;
  const master = seriesOf(masterOf(work.state, target));
  if (!master) return 'no-series';
  const series = new Series(master);
  const limit = (parseDate(last) + 1) * DAY;
  const [next] = series.next(limit, 1, zone);
  const later = overridesOf(work.state, master.id).filter(
    ({ recurrenceId }) => recurrenceId && series.wallOfRecurrenceId(recurrenceId, zone) >= limit,
  );
  if (!next && later.length === 0) return [target];
  const wall = next?.wall ?? series.wallOfRecurrenceId(later[0]!.recurrenceId!, zone);
  const patch = binLater(work.state, { entryId: master.id, recurrenceKey: series.keyOf(wall) }, work.context);
  if (isRefused(patch)) return patch.refused;
  work.add(patch.changes);
  return work.state.entries.has(master.id) ? [target] : [];
}

/** Makes single entries of a series: of one without an end, up to a day. */
export function singlesStep(work: UnitOfWork, target: Target, { until }: StepOf<'into-singles'>): Left {
  const { zone } = work.context;
  const { state } = work;
  const master = seriesOf(masterOf(state, target));
  if (!master) return 'no-series';
  const series = new Series(master);
  const last = series.lastWall(zoneOf(master.start, zone));
  const end = until === undefined ? last : Math.min(last, (parseDate(until) + 1) * DAY - 1);
  if (!Number.isFinite(end)) return 'series-without-end';
  const singles = singlesOf(state, master, series, end, zone);
  if (isRefusal(singles)) return singles;
  const overrides = overridesOf(state, master.id);
  for (const override of overrides) work.add([remove('entries', override)]);
  work.add(toBin(state, master, work.context));
  const made = [...singles, ...overrides.map(single)].map((event) => ({
    ...event,
    ...freshVersion(work.context),
  }));
  for (const event of made) work.put('entries', event);
  return made.map(({ id }) => ({ entryId: id }));
}

/** The occurrences of a series that no record stands for, as single events. */
function singlesOf(
  state: UnitOfWork['state'],
  master: Dated,
  series: Series,
  endWall: number,
  zone: string,
): Dated[] | Refusal {
  const overrides = overridesOf(state, master.id);
  const changed = new Set(
    overrides.flatMap(({ recurrenceId }) =>
      recurrenceId ? [series.wallOfRecurrenceId(recurrenceId, zone)] : [],
    ),
  );
  const ranges = rangeChanges(series, overrides, zone);
  try {
    const dates = series.next(wallOf(master.start) - 1, MOST_SINGLES + 1, zone, daysOffFor(state, master));
    const within = dates.filter(({ wall }) => wall <= endWall && !changed.has(wall));
    if (within.length > MOST_SINGLES) return 'too-many-dates';
    return within.map(({ wall, shownWall }) => {
      const { fields, start, end } = shapeAt(master, shownWall, rangeChangeAt(ranges, wall), zone);
      return single({ ...fields, start, end });
    });
  } catch (error) {
    if (error instanceof TooManyDatesError) return 'too-many-dates';
    throw error;
  }
}
