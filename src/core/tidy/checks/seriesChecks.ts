import { sameValue } from '../../change/seriesLike';
import { FIELD_NAMES } from '../../fields/eventFields';
import type { CalendarEvent } from '../../model/entry';
import { Series } from '../../recurrence/series';
import { DAY, dateString } from '../../time/civil';
import { instantOf, wallOf } from '../../time/eventTime';
import { type Check, type Checked, finding } from './check';
import type { Finding } from './finding';
import { Groups } from './groups';

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
export const ofSeries: Check = (checked) => {
  const series = new Groups<CalendarEvent, readonly Finding[]>(
    ({ id, recurrence, seriesId }) => ((seriesId ?? (recurrence ? id : undefined)) ? [seriesId ?? id] : []),
    (all, id) => {
      const master = all.find((event) => event.id === id);
      const overrides = all.filter((event) => event !== master);
      if (!master) return undefined;
      return [...lifeOf(master, overrides, checked), ...needless(master, overrides, checked)];
    },
  );
  return (touched) => [...series.follow(touched)].flat();
};

/** What is told of how long a series goes on. */
function lifeOf(event: CalendarEvent, overrides: readonly CalendarEvent[], checked: Checked): Finding[] {
  const { query, today } = checked;
  if (!event.recurrence || checked.isClosed(event) || !checked.isOwn(event)) return [];
  let last: number;
  try {
    last = new Series(event).lastWall(query.zone);
  } catch {
    // One that can't be read is told where it is set aside.
    return [];
  }
  const latest = Math.max(event.modified, ...overrides.map(({ modified }) => modified));
  const isOld = latest < query.now - STALE && instantOf(event.start, query.zone) < query.now - STALE;
  if (last === Infinity && isOld)
    return [
      finding('endless', {
        keys: [event.id],
        details: { name: event.title, at: latest },
        fix: [{ keys: [event.id], steps: [{ kind: 'end-series', last: dateString(today - 1) }] }],
      }),
    ];
  if (last < query.now - STALE)
    return [
      finding('series-over', {
        keys: [event.id],
        details: { name: event.title, day: Math.floor(last / DAY) },
        fix: [{ keys: [event.id], steps: [{ kind: 'delete' }] }],
      }),
    ];
  return [];
}

/** The changed occurrences of a series that need not be kept by themselves. */
const needless = (master: CalendarEvent, overrides: readonly CalendarEvent[], checked: Checked): Finding[] =>
  overrides
    .filter((override) => !checked.isClosed(override) && isAsSeries(override, master))
    .map((override) =>
      finding('same-as-series', {
        keys: [override.id],
        details: { name: override.title, at: instantOf(override.start, checked.query.zone) },
        fix: [{ keys: [override.id], steps: [{ kind: 'as-series' }] }],
        isSafe: true,
      }),
    );
