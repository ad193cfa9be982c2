import { type Dated, type Entry, seriesOf } from '../model/entry';
import type { State } from '../model/state';
import { atWall, recurrenceKey, wallOf } from '../time/eventTime';
import { toBin } from './binChanges';
import type { ChangeResult } from './eventFields';
import { overridesOf } from './overrides';
import { type Change, type ChangeContext, makePatch, type Patch, put } from './patch';
import { originalWall, splitAt } from './scopes';
import { isRecurring, masterOf, type Target } from './target';
import { touched } from './versions';

/** A series that leaves one occurrence out (EXDATE, RFC 5545 3.8.5.1). */
function leaveOut(series: Dated, wall: number): Dated {
  const recurrence = series.recurrence!;
  const exception = atWall(series.start, wall);
  const key = recurrenceKey(wall, series.start.kind === 'date');
  const dates = recurrence.exceptionDates.filter(
    (time) => recurrenceKey(wallOf(time), time.kind === 'date') !== key,
  );
  return { ...series, recurrence: { ...recurrence, exceptionDates: [...dates, exception] } };
}

/** Puts entries in the bin. One occurrence of a series is left out of it; with *every*, the series goes with all changes. */
export function binEntries(
  state: State,
  targets: readonly Target[],
  scope: 'this' | 'every',
  context: ChangeContext,
): Patch {
  const series = new Map<string, Dated>();
  const binned = new Map<string, Entry>();
  for (const target of targets) {
    const entry = state.entries.get(target.entryId);
    const master = masterOf(state, target);
    if (!entry || !master) continue;
    const wall = originalWall(state, target, context.zone);
    const whole = seriesOf(master);
    if (scope === 'every' || !whole || !isRecurring(state, target) || wall === undefined) {
      binned.set(master.id, master);
      for (const override of overridesOf(state, master.id)) binned.set(override.id, override);
      continue;
    }
    series.set(whole.id, leaveOut(series.get(whole.id) ?? whole, wall));
    if (entry.id !== master.id) binned.set(entry.id, entry);
  }
  const changes = [
    ...[...series.values()]
      .filter((event) => !binned.has(event.id))
      .map((event) => put(state, 'entries', touched(event, context))),
    ...[...binned.values()].flatMap((entry) => toBin(state, entry, context)),
  ];
  const first = targets[0] && state.entries.get(targets[0].entryId);
  return makePatch(context, { what: 'entries-binned', count: targets.length, name: first?.title }, changes);
}

/** Puts an occurrence and the later ones in the bin: the series ends before it, and its later half can be brought back. */
export function binLater(state: State, target: Target, context: ChangeContext): ChangeResult {
  const split = splitAt(state, target, context);
  if ('refused' in split) return split;
  if (!split.earlier) return binEntries(state, [target], 'every', context);
  const summary = { what: 'entries-binned', count: 1, name: split.later.title } as const;
  const changes: Change[] = [
    put(state, 'entries', touched(split.earlier, context)),
    put(state, 'bin', { id: split.later.id, entry: split.later, deleted: context.now }),
    ...split.laterOverrides.flatMap((override): Change[] => {
      const stored = state.entries.get(override.id);
      return stored
        ? [
            { collection: 'entries', id: stored.id, before: stored, after: null },
            put(state, 'bin', { id: override.id, entry: override, deleted: context.now }),
          ]
        : [];
    }),
  ];
  return makePatch(context, summary, changes);
}
