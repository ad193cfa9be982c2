import { FIELD_NAMES } from '../../fields/eventFields';
import { type CalendarEvent, isEvent } from '../../model/entry';
import { DAY } from '../../time/civil';
import { atWall, ownZone, wallOf } from '../../time/eventTime';
import { toBin } from '../binChanges';
import { put } from '../patch';
import type { Target } from '../target';
import type { UnitOfWork } from '../unitOfWork';
import { touched } from '../versions';
import { commonRule } from './commonRule';

const dayOf = ({ start }: CalendarEvent): number => Math.floor(wallOf(start) / DAY);

/** What has to be the same for two single entries to be of one series: all but the day, in all that is seen of them. */
function likeness(event: CalendarEvent): string {
  const start = wallOf(event.start);
  const fields = FIELD_NAMES.filter((name) => name !== 'start' && name !== 'end' && name !== 'timedMinutes');
  return JSON.stringify([
    event.start.kind,
    ownZone(event.start),
    ownZone(event.end),
    start - Math.floor(start / DAY) * DAY,
    wallOf(event.end) - start,
    ...fields.map((name) => event[name]),
  ]);
}

/**
 * Makes series of single entries that are alike but for their day: of each group by the rule that fits most of them. The
 * first of those that fit becomes the series, the others go to the bin; days of the rule that none of them is on are left out.
 * @returns which entries went into a series, by their ids: all others are as they were
 */
export function intoSeries(work: UnitOfWork, targets: readonly Target[]): ReadonlySet<string> {
  const groups = new Map<string, CalendarEvent[]>();
  for (const target of targets) {
    const event = work.state.entries.get(target.entryId);
    if (!event || !isEvent(event) || event.recurrence || event.seriesId !== undefined) continue;
    const key = likeness(event);
    const others = groups.get(key);
    if (others) others.push(event);
    else groups.set(key, [event]);
  }
  const joined = new Set<string>();
  for (const events of groups.values()) {
    const byDay = new Map<number, CalendarEvent>();
    for (const event of events.sort((a, b) => (a.id < b.id ? -1 : 1)))
      if (!byDay.has(dayOf(event))) byDay.set(dayOf(event), event);
    const found = commonRule([...byDay.keys()]);
    if (!found) continue;
    const first = byDay.get(found.fitting[0]!)!;
    const time = wallOf(first.start) - dayOf(first) * DAY;
    work.add([
      put(
        work.state,
        'entries',
        touched(
          {
            ...first,
            recurrence: {
              rules: [found.rule],
              dates: [],
              exceptionDates: found.exceptions.map((day) => atWall(first.start, day * DAY + time)),
            },
          },
          work.context,
        ),
      ),
    ]);
    for (const day of found.fitting) {
      const event = byDay.get(day)!;
      joined.add(event.id);
      if (event !== first) work.add(toBin(work.state, event, work.context));
    }
  }
  return joined;
}
