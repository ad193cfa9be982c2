import { FIELD_NAMES } from '../../fields/eventFields';
import type { CalendarEvent } from '../../model/entry';
import { DAY } from '../../time/civil';
import { atWall, ownZone, wallOf } from '../../time/eventTime';
import { toBin } from '../binChanges';
import { put } from '../patch';
import type { Target } from '../target';
import { targetKey } from '../target';
import type { UnitOfWork } from '../unitOfWork';
import { touched } from '../versions';
import { commonRule } from './commonRule';

/** What became of single entries that were to become series. */
export interface IntoSeries {
  /** By the id of the entry that a series was made of: how many entries it stands for. */
  readonly made: ReadonlyMap<string, number>;
  /** Which entries went into a series, by their ids, and into which. */
  readonly joined: ReadonlyMap<string, string>;
  /** Those that no rule fits, or that are no single entries. */
  readonly leftOver: readonly string[];
}

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
 */
export function intoSeries(work: UnitOfWork, targets: readonly Target[]): IntoSeries {
  const groups = new Map<string, CalendarEvent[]>();
  const leftOver: string[] = [];
  for (const target of targets) {
    const event = work.state.entries.get(target.entryId);
    if (!event || event.recurrence || event.seriesId !== undefined) leftOver.push(targetKey(target));
    else groups.set(likeness(event), [...(groups.get(likeness(event)) ?? []), event]);
  }
  const made = new Map<string, number>();
  const joined = new Map<string, string>();
  for (const events of groups.values()) {
    const byDay = new Map<number, CalendarEvent>();
    for (const event of events.sort((a, b) => (a.id < b.id ? -1 : 1)))
      if (byDay.has(dayOf(event))) leftOver.push(event.id);
      else byDay.set(dayOf(event), event);
    const found = commonRule([...byDay.keys()]);
    if (!found) {
      leftOver.push(...[...byDay.values()].map(({ id }) => id));
      continue;
    }
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
    made.set(first.id, found.fitting.length);
    for (const day of found.fitting) {
      const event = byDay.get(day)!;
      joined.set(event.id, first.id);
      if (event !== first) work.add(toBin(work.state, event, work.context));
    }
    for (const day of found.leftOver) leftOver.push(byDay.get(day)!.id);
  }
  return { made, joined, leftOver };
}
