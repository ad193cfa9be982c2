import { sameValue } from '../../change/seriesLike';
import { FIELD_NAMES } from '../../fields/eventFields';
import type { CalendarEvent } from '../../model/entry';
import { Series } from '../../recurrence/series';
import { DAY, dateString } from '../../time/civil';
import { instantOf, wallOf } from '../../time/eventTime';
import { type Checked, finding } from './check';
import type { Finding } from './finding';

/** So long nobody has touched a series without an end, and so long another has been over, before it is told. */
const STALE = 365 * DAY;

/** The fields in which a changed occurrence may differ from its series: all but when it is and how it repeats. */
const SHARED = FIELD_NAMES.filter((field) => !['start', 'end', 'recurrence', 'timedMinutes'].includes(field));

/** Whether a changed occurrence is as its series would have it. */
function isAsSeries(override: CalendarEvent, master: CalendarEvent): boolean {
  const { recurrenceId } = override;
  return (
    recurrenceId !== undefined &&
    override.recurrenceRange === undefined &&
    sameValue(override.start, { ...master.start, ...recurrenceId }) &&
    wallOf(override.end) - wallOf(override.start) === wallOf(master.end) - wallOf(master.start) &&
    override.status === master.status &&
    SHARED.every((field) => sameValue(override[field], master[field]))
  );
}

/** Series that go on though nobody cares for them, that are over, and changed occurrences that are as their series. */
export function* ofSeries(checked: Checked): Iterable<Finding> {
  const { index, query, today } = checked;
  const overrides = [...index.all()].filter(({ seriesId }) => seriesId !== undefined);
  const touched = new Map<string, number>();
  for (const { seriesId, modified } of overrides)
    touched.set(seriesId!, Math.max(touched.get(seriesId!) ?? 0, modified));
  for (const event of checked.own) {
    if (!event.recurrence || checked.isClosed(event)) continue;
    let last: number;
    try {
      last = new Series(event).lastWall(query.zone);
    } catch {
      // One that can't be read is told where it is set aside.
      continue;
    }
    const latest = Math.max(event.modified, touched.get(event.id) ?? 0);
    const details = { name: event.title, at: latest };
    if (
      last === Infinity &&
      latest < query.now - STALE &&
      instantOf(event.start, query.zone) < query.now - STALE
    )
      yield finding('endless', {
        keys: [event.id],
        details,
        fix: [{ keys: [event.id], steps: [{ kind: 'end-series', last: dateString(today - 1) }] }],
      });
    else if (last < query.now - STALE)
      yield finding('series-over', {
        keys: [event.id],
        details: { name: event.title, day: Math.floor(last / DAY) },
        fix: [{ keys: [event.id], steps: [{ kind: 'delete' }] }],
      });
  }
  for (const override of overrides) {
    const master = index.get(override.seriesId!);
    if (!master || checked.isClosed(override) || !isAsSeries(override, master)) continue;
    yield finding('same-as-series', {
      keys: [override.id],
      details: { name: override.title, at: instantOf(override.start, query.zone) },
      fix: [{ keys: [override.id], steps: [{ kind: 'as-series' }] }],
      isSafe: true,
    });
  }
}
